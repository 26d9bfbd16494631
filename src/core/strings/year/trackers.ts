import { placeKey } from '../../site/parts';
import { homeRunLengths, wayOhm } from '../homeRun';
import { lineOf } from '../../site/line';
import type { Place, PvString } from '../../site/parts';
import type { StringsDesign } from '../part';

/** Strings of a tracker that see the same light and have the same length. */
export interface Part {
  readonly plane: number;
  readonly modules: number;
  readonly strings: number;
  /** Mean resistance of the cables of its strings, Ω. */
  readonly ohm: number;
}

/** A tracker as a year sees it: its inverter by place in the design, and what hangs there by light and length. */
export interface YearTracker {
  readonly unit: number;
  readonly tracker: number;
  readonly parts: readonly Part[];
  readonly mixed: boolean;
  /** Trackers mixed in the same way share one calculation an hour. */
  readonly mixKey: string;
}

/** Every tracker that carries a string, with cable resistance where section and way are known. */
export function yearTrackers(design: StringsDesign): YearTracker[] {
  const planeAt = new Map(design.planes.map((p, i) => [p.id, i]));
  const unitAt = new Map(design.inverters.map((u, i) => [u.id, i]));
  const lengths = homeRunLengths(design);
  const line = lineOf(design);
  const { sectionMm2, conductorC } = design.dcCable;
  /** On a Y the shared part as typed; while nobody said, all of it: the most it can lose. */
  const wayOf = (s: PvString, place: Place, lengthM: number) => {
    const second = line.stringAt(placeKey({ ...place, branch: 2 }));
    const sharedM = second ? Math.min(lengthM, second.yM ?? lengthM) : 0;
    return { lengthM, sharedM, joined: second ? 2 : 1, leadsM: s.leadsM };
  };
  const groups = new Map<string, { unit: number; tracker: number; parts: Map<string, Mutable<Part>> }>();
  for (const s of design.strings) {
    const plane = planeAt.get(s.planeId);
    const unit = s.place ? unitAt.get(s.place.inverterId) : undefined;
    if (!s.place || plane === undefined || unit === undefined) continue;
    const key = `${unit}/${s.place.tracker}`;
    const group = groups.get(key) ?? { unit, tracker: s.place.tracker, parts: new Map() };
    groups.set(key, group);
    const part = group.parts.get(`${plane}|${s.modules}`) ?? { plane, modules: s.modules, strings: 0, ohm: 0 };
    const lengthM = lengths.get(s.id) ?? null;
    part.ohm +=
      sectionMm2 === null || lengthM === null ? 0 : wayOhm(wayOf(s, s.place, lengthM), sectionMm2, conductorC);
    part.strings += 1;
    group.parts.set(`${plane}|${s.modules}`, part);
  }
  return [...groups.values()].map((g): YearTracker => {
    const parts = [...g.parts.values()].map((p) => ({ ...p, ohm: p.ohm / p.strings }));
    return {
      unit: g.unit,
      tracker: g.tracker,
      parts,
      mixed: parts.length > 1,
      mixKey: `${design.inverters[g.unit]?.typeId}:${parts.map((p) => `${p.plane},${p.modules},${p.strings}`).join(';')}`,
    };
  });
}

type Mutable<T> = { -readonly [K in keyof T]: T[K] };
