import { z } from 'zod';
import { lineOf } from '../site/line';
import type { Plane, PvString } from '../site/parts';
import { wayM } from '../site/position';
import type { StringsDesign } from './part';

/** Slack of a home run over the straight way along three axes (common practice). */
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

/**
 * Current that the cable of one string has to bear, A: its own 1.25·g_b·I_sc; unfused also what the other strings of its tracker push back,
 * (N_p − 1)·1.25·g_b·I_sc; fused the rating of the fuse. N_p strings on the tracker, from 1 · fuse A, null where there is none.
 * Source: IEC 62548-1 (recalled).
 */
export function cableNeedA(oneA: number, parallel: number, fuseA: number | null): number {
  return Math.max(oneA, fuseA ?? (parallel - 1) * oneA);
}

/** Where the home run of a plane's k-th of `of` strings leaves: its own start, or even along the edge of the plane. Null while unknown. */
function homeRunStart(string: Pick<PvString, 'start'>, plane: Plane, k: number, of: number) {
  if (!plane.position) return null;
  const { xM, yM, zM } = plane.position;
  return string.start ? { ...string.start, zM } : { xM: xM + (plane.edgeM * (k + 0.5)) / of, yM, zM };
}

/** One-way length of every string's home run, m, by string id; null where it is neither measured nor both places are known. */
export function homeRunLengths(d: StringsDesign): Map<string, number | null> {
  const line = lineOf(d);
  const onPlane = new Map<string, PvString[]>(d.planes.map((p) => [p.id, []]));
  for (const s of d.strings) onPlane.get(s.planeId)?.push(s);
  const lengths = new Map<string, number | null>();
  for (const plane of d.planes) {
    const own = onPlane.get(plane.id) ?? [];
    own.forEach((s, k) => {
      const start = homeRunStart(s, plane, k, own.length);
      const end = s.place ? line.inverter(s.place.inverterId)?.position : null;
      lengths.set(s.id, s.lengthM ?? (start && end ? HOME_RUN_SLACK * wayM(start, end) : null));
    });
  }
  return lengths;
}
