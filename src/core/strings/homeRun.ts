import { z } from 'zod';
import { homeRunOhm } from '../conductor/pvCable';
import { lineOf } from '../site/line';
import type { Plane, PvString } from '../site/parts';
import { onEdge } from '../site/parts';
import type { Position } from '../site/position';
import type { Way } from '../site/way';
import { waysOf } from '../site/way';
import type { StringsDesign } from './part';

/** Slack of a home run over its way on the plan (common practice). */
export const HOME_RUN_SLACK = 1.1;

export const homeRunDropSchema = z.object({
  ohm: z.number().meta({ unit: 'Ω' }),
  dropV: z.number().meta({ unit: 'V' }),
  dropPercent: z
    .number()
    .meta({ unit: '%', description: 'Of the working voltage of the string at standard conditions' }),
  lossW: z.number().meta({ unit: 'W' }),
});
export type HomeRunDrop = Readonly<z.infer<typeof homeRunDropSchema>>;

/** Drop and loss of a home run at standard conditions: ΔU = R·I, V; loss R·I², W. R there and back, Ω · I A · U_mp of the string, V, above 0. */
export function homeRunDrop(ohm: number, currentA: number, stringUmpV: number): HomeRunDrop {
  const dropV = ohm * currentA;
  return { ohm, dropV, dropPercent: (100 * dropV) / stringUmpV, lossW: ohm * currentA * currentA };
}

/** A string's way to its input, m. */
export interface HomeRunWay {
  readonly lengthM: number;
  /** Of it shared with the other string of a Y, from the Y to the input; 0 without a Y. */
  readonly sharedM: number;
  /** Strings on the shared part. */
  readonly joined: number;
  /** Own leads and return, as one conductor lies; null where nobody gave it. */
  readonly leadsM: number | null;
}

/**
 * Resistance that one string's current sees on its way, Ω: R' · (2(L − y) + n·2y + leads), n strings on the shared y metres, whose current
 * is n times that of one. ΔU = R·I of one string and R·I² is its own share of the loss. Lengths m, 0 ≤ y ≤ L. Throws as `homeRunOhm`.
 */
export function wayOhm({ lengthM, sharedM, joined, leadsM }: HomeRunWay, sectionMm2: number, conductorC: number) {
  const alikeM = lengthM - sharedM + joined * sharedM + (leadsM ?? 0) / 2;
  return (alikeM / lengthM) * homeRunOhm(lengthM, sectionMm2, conductorC);
}

/**
 * Current that a DC cable has to bear, A, where `joined` strings of `parallel` on the tracker share it: their own joined·1.25·g_b·I_sc;
 * unfused also what the other strings push back, (N_p − joined)·1.25·g_b·I_sc; fused the rating of their fuses. Source: IEC 62548-1 (recalled).
 */
export function cableNeedA(oneA: number, parallel: number, fuseA: number | null, joined = 1): number {
  return Math.max(joined * oneA, fuseA === null ? (parallel - joined) * oneA : joined * fuseA);
}

/** Where the home run of a plane's k-th of `of` strings leaves: its own start, or even along the edge of the plane. Null while unknown. */
function homeRunStart(string: Pick<PvString, 'start'>, plane: Plane, k: number, of: number): Position | null {
  if (!plane.position) return null;
  return string.start ? { ...string.start, zM: plane.position.zM } : onEdge(plane, (k + 0.5) / of);
}

/** What was measured of a string's home run, m; null where it was measured to another inverter than the string hangs on. */
const measuredM = ({ lengthM, lengthToId, place }: PvString): number | null =>
  place !== null && place.inverterId === lengthToId ? lengthM : null;

/** A home run as it is known: its length, m, and where that comes from. */
export interface HomeRun {
  /** Null where it is not measured to where the string hangs, nor both places are known. */
  readonly lengthM: number | null;
  readonly measured: boolean;
  /** Its way over the plan; null while one of its ends is nowhere. */
  readonly way: Way | null;
}

/** The home run of every string, by its id: measured to where it hangs, else its way over the plan with slack. */
export function homeRuns(d: StringsDesign): Map<string, HomeRun> {
  const line = lineOf(d);
  const ways = waysOf(d.plan);
  const onPlane = new Map<string, PvString[]>(d.planes.map((p) => [p.id, []]));
  for (const s of d.strings) onPlane.get(s.planeId)?.push(s);
  const runs = new Map<string, HomeRun>();
  for (const plane of d.planes) {
    const own = onPlane.get(plane.id) ?? [];
    own.forEach((s, k) => {
      const start = homeRunStart(s, plane, k, own.length);
      const end = s.place ? line.inverter(s.place.inverterId)?.position : null;
      const way = start && end ? ways.between('dc', start, end) : null;
      const measured = measuredM(s);
      const lengthM = measured ?? (way === null ? null : HOME_RUN_SLACK * way.lengthM);
      runs.set(s.id, { lengthM, measured: measured !== null, way });
    });
  }
  return runs;
}

/** One-way length of every string's home run, m, by string id; null where it is not known. */
export const homeRunLengths = (d: StringsDesign): Map<string, number | null> =>
  new Map([...homeRuns(d)].map(([id, { lengthM }]) => [id, lengthM]));
