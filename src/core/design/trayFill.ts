import { cablesThroughWall } from '../ac/gland';
import type { RunResult } from '../ac/results';
import { runResults } from '../ac/results';
import type { Answer } from '../kernel/answer';
import { known, lacking } from '../kernel/answer';
import type { Tray } from '../site/plan';
import type { SiteDesign } from '.';
import type { PlanLength } from './lengths';

/** Leads of a home run: there and back. */
const LEADS = 2;
const areaMm2 = (diameterMm: number): number => (Math.PI / 4) * diameterMm ** 2;

/** What the cables of a run take of a tray, mm²: each by the largest it may be. */
function runArea({ run, type, inverter, diameter }: RunResult): Answer<number> {
  const cables = cablesThroughWall(run, type.wiring);
  if (cables === null || diameter.value === null)
    return lacking(
      ...(cables === null ? [`cores of the run of ${inverter.tag}`] : []),
      ...(diameter.value === null ? [`cable diameter of ${inverter.tag}`] : []),
    );
  return known(cables * areaMm2(diameter.value.highMm));
}

/**
 * Share of a tray's section that its cables take, per cent: 100·Σ π/4·d²/(w·h), d outer diameter, mm, w and h inner width and usable depth, mm.
 * AC cables by the largest that the table or the tape allows; leads and bus by the diameters typed for the tray. How full a tray may be is for
 * the maker and the local code; grouping is judged by the runs themselves.
 */
export function trayFill(tray: Tray, lengths: readonly PlanLength[], runs: readonly RunResult[]): Answer<number> {
  const on = lengths.filter((l) => l.way?.trays.includes(tray.id));
  const ofUnit = new Map(runs.map((r) => [r.inverter.id, r]));
  const missing = new Set<string>();
  const take = (what: number | null, name: string, times = 1): number => {
    if (what === null) missing.add(name);
    return what === null ? 0 : times * areaMm2(what);
  };
  const areas = on.map((l): number => {
    if (l.kind === 'dc') return take(tray.dcLeadMm, `diameter of a DC lead on ${tray.label}`, LEADS);
    if (l.kind === 'bus') return take(tray.busCableMm, `diameter of the RS-485 cable on ${tray.label}`);
    const run = ofUnit.get(l.id);
    const area = run ? runArea(run) : lacking<number>(`run of ${l.from}`);
    area.missing.forEach((m) => missing.add(m));
    return area.value ?? 0;
  });
  const { widthMm, depthMm } = tray;
  if (widthMm === null) missing.add(`inner width of ${tray.label}`);
  if (depthMm === null) missing.add(`usable depth of ${tray.label}`);
  if (missing.size || widthMm === null || depthMm === null) return lacking(...missing);
  return known((100 * areas.reduce((sum, a) => sum + a, 0)) / (widthMm * depthMm));
}

/** The fill of every tray of a design, by its id. */
export function trayFills(d: SiteDesign, lengths: readonly PlanLength[]): ReadonlyMap<string, Answer<number>> {
  const runs = runResults(d);
  return new Map(d.plan.trays.map((t) => [t.id, trayFill(t, lengths, runs)]));
}
