import { reckonedRunM, runWay } from '../ac/results';
import { chainHops } from '../links/chain';
import { lineOf } from '../site/line';
import type { CableKind } from '../site/plan';
import type { Way } from '../site/way';
import { homeRuns } from '../strings/homeRun';
import type { SiteDesign } from '.';

/** A length that the plan gives, or that somebody measured instead. */
export interface PlanLength {
  readonly kind: CableKind;
  /** String, inverter of the run, or device at the end of the hop. */
  readonly id: string;
  readonly from: string;
  readonly to: string;
  /** With slack and what landed ends take, m; null while it is not known. */
  readonly lengthM: number | null;
  /** Entered by people: the plan gives way. */
  readonly measured: boolean;
  /** Its way over the plan, whether measured or not; null while one end is nowhere. */
  readonly way: Way | null;
}

/** Every length of cable between places: home runs, AC runs, hops of the chain, in the order of the design. */
export function planLengths(d: SiteDesign): PlanLength[] {
  const line = lineOf(d);
  const runs = homeRuns(d);
  const ofRun = new Map(d.runs.map((r) => [r.inverterId, r]));
  return [
    ...line.printedStrings.flatMap((s): PlanLength[] => {
      const run = runs.get(s.id);
      if (!s.place || !run) return [];
      return [{ kind: 'dc', id: s.id, from: `string ${s.number}`, to: line.tag(s.place.inverterId), ...run }];
    }),
    ...d.inverters.map((unit): PlanLength => {
      const entered = ofRun.get(unit.id)?.lengthM ?? null;
      const ends = { from: unit.tag, to: d.board.label };
      return {
        kind: 'ac',
        id: unit.id,
        ...ends,
        lengthM: entered ?? reckonedRunM(d.plan, unit, d.board),
        measured: entered !== null,
        way: runWay(d.plan, unit, d.board),
      };
    }),
    ...chainHops(d).map(({ from, to, cableM, measured, way }): PlanLength => ({
      kind: 'bus',
      id: to.id,
      from: from.label,
      to: to.label,
      lengthM: cableM,
      measured,
      way,
    })),
  ];
}

/** A length that two designs do not have alike. */
export interface ChangedLength {
  readonly length: PlanLength;
  readonly fromM: number | null;
  readonly toM: number | null;
}

/** Lengths that change from one design to another, largest change first; what comes to be known or unknown before all. */
export function changedLengths(before: readonly PlanLength[], after: readonly PlanLength[]): ChangedLength[] {
  const was = new Map(before.map((l) => [`${l.kind} ${l.id}`, l.lengthM]));
  const by = ({ fromM, toM }: ChangedLength) => (fromM === null || toM === null ? Infinity : Math.abs(toM - fromM));
  return after
    .flatMap((length): ChangedLength[] => {
      const fromM = was.get(`${length.kind} ${length.id}`) ?? null;
      return fromM === length.lengthM ? [] : [{ length, fromM, toM: length.lengthM }];
    })
    .sort((a, b) => by(b) - by(a) || 0);
}

/** How many cables of each kind lie on a tray. Those whose way is not known lie on none. */
export type TrayLoad = Readonly<Record<CableKind, number>>;

/** What lies on every tray, by its id. */
export function trayLoads(d: SiteDesign, lengths: readonly PlanLength[]): ReadonlyMap<string, TrayLoad> {
  const on = (trayId: string, kind: CableKind) =>
    lengths.filter((l) => l.kind === kind && l.way?.trays.includes(trayId)).length;
  return new Map(d.plan.trays.map(({ id }) => [id, { dc: on(id, 'dc'), ac: on(id, 'ac'), bus: on(id, 'bus') }]));
}
