import { nec } from '../../conductor/schools';
import type { Answer } from '../../kernel/answer';
import { known, lacking } from '../../kernel/answer';
import { fixed } from '../../kernel/quantity';
import type { RunResult } from '../results';

/** Height that the conductors need between gland plate and studs to bend without harm. */
export interface BendNeed {
  readonly neededMm: number;
  /** Written when somebody reads it. */
  readonly working: () => readonly string[];
}

/** Inner radius of one formed bend at a terminal, times the diameter of a core (IEC 60502-1, user practice; recalled). */
const BEND_MULTIPLE = 8;
/** What a conductor goes straight out of the gland, and out of the barrel beyond the palm, mm (common practice). */
const GLAND_STRAIGHT_MM = 20;
const BARREL_STRAIGHT_MM = 5;

/** Radius of the bend along the middle of a core, mm: so many diameters inside, and half of one. */
export const bendRadiusMm = (coreMm: number): number => (BEND_MULTIPLE + 0.5) * coreMm;

/**
 * Height of a bend that carries a conductor sideways, mm: h = √(x·(4R − x)), two equal arcs one after the other; a quarter turn in and one
 * out, 2·R, from an offset of 2·R on. x offset, mm, from 0 · R radius along the middle of the conductor, mm. Source: geometry of two arcs.
 */
export const offsetBendMm = (offsetMm: number, radiusMm: number): number =>
  offsetMm >= 2 * radiusMm ? 2 * radiusMm : Math.sqrt(offsetMm * (4 * radiusMm - offsetMm));

/** What a lug goes straight behind the middle of its stud, mm. */
export const lugStraightMm = (barrelDepthMm: number, palmWidthMm: number): number =>
  barrelDepthMm + palmWidthMm / 2 + BARREL_STRAIGHT_MM;

/** Gland plate to stud, mm: straight out of the gland, the bend, straight into the lug. */
export const heightForBendMm = (bendMm: number, straightMm: number): number => GLAND_STRAIGHT_MM + bendMm + straightMm;

/** By the diameter of a core: straight out of the gland, a bend over to the farthest stud, straight into the lug. */
function byRadius({ run, diameter, lug, type: { bay } }: RunResult): Answer<BendNeed> {
  // A single comes in with its sheath on; of a multicore cable the cores bend.
  const coreMm = (run.cores === '1-core' ? diameter.value?.nominalMm : diameter.value?.coreMm) ?? null;
  const depthMm = lug.value?.barrelDepthMm ?? null;
  const palmMm = lug.value?.palmWidthMm ?? null;
  const { entryOffsetMm } = bay;
  const missing = [
    ...diameter.missing,
    // What bends is not known: a core, or a single with its sheath on.
    ...(run.cores === null ? ['cores'] : []),
    ...(diameter.value && coreMm === null ? ['diameter of one core'] : []),
    ...lug.missing,
    ...(lug.value && (depthMm === null || palmMm === null) ? ['barrel and palm from the lug sheet'] : []),
    ...(entryOffsetMm === null ? ['gland to the farthest stud, from the sheet'] : []),
  ];
  if (missing.length || coreMm === null || depthMm === null || palmMm === null || entryOffsetMm === null)
    return lacking(...missing);
  const radiusMm = bendRadiusMm(coreMm);
  const bendMm = offsetBendMm(entryOffsetMm, radiusMm);
  const straightMm = lugStraightMm(depthMm, palmMm);
  const neededMm = heightForBendMm(bendMm, straightMm);
  return known({
    neededMm,
    working: () => [
      `R = ${BEND_MULTIPLE} · d + d/2 = ${fixed(radiusMm, 1)} mm for cores of ${fixed(coreMm, 1)} mm; ${fixed(entryOffsetMm, 0)} mm sideways take ${fixed(bendMm, 1)} mm of height`,
      `${GLAND_STRAIGHT_MM} mm out of the gland + ${fixed(bendMm, 1)} mm + ${fixed(straightMm, 1)} mm of lug = ${fixed(neededMm, 1)} mm`,
    ],
  });
}

/** By the table of the NEC school, whatever the lug. */
function byTable({ run, school }: RunResult): Answer<BendNeed> {
  const { sectionMm2, parallel } = run;
  if (sectionMm2 === null || parallel === null)
    return lacking(...(sectionMm2 === null ? ['section'] : []), ...(parallel === null ? ['cables in parallel'] : []));
  const space = nec.bendingSpaceMm(sectionMm2, parallel);
  if (space.value === null) return space;
  return known({
    neededMm: space.value,
    working: () => [
      `${school.sectionName(sectionMm2)}, one wire a terminal: ${fixed(space.value, 1)} mm of bending space`,
    ],
  });
}

/** Height needed between gland plate and studs, mm, by the school of the site. */
export const bendNeed = (r: RunResult): Answer<BendNeed> => (r.school.name === 'NEC' ? byTable(r) : byRadius(r));
