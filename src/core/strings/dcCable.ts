import { RESISTANCE_PER_K } from '../kernel/conductor';
import { atOrAbove, exactly } from '../kernel/publishedTable';
import { requireWithin } from '../kernel/require';
import { GROUPING_IN_AIR } from '../kernel/tables/grouping';
import type { DC_CABLE_MODES } from '../site/dcSide';
import type { PvString, SiteInverter, Plane } from '../site/siteDesign';
import { DC_CABLE } from './tables/dcCable';

export type DcCableMode = (typeof DC_CABLE_MODES)[number];

/** Slack of a home run over the straight way along three axes (common practice). */
export const HOME_RUN_SLACK = 1.1;

/**
 * There-and-back resistance of a home run, Ω: 2·L·R_20/1000·(1 + 0.00393(θ − 20)).
 * L one-way length, m (0.1…1000) · section 2.5…16 mm² · θ conductor, °C (20…120). Source: IEC 60228, class 5 tinned (recalled).
 */
export function homeRunOhm(lengthM: number, sectionMm2: number, conductorC: number): number {
  requireWithin('lengthM', lengthM, 0, 1000, 'm');
  requireWithin('conductorC', conductorC, 20, 120, '°C');
  const perKm = exactly(DC_CABLE, sectionMm2, 'R20');
  if (perKm === undefined) throw new RangeError(`sectionMm2 must be 2.5, 4, 6, 10 or 16 mm² (got ${sectionMm2})`);
  return ((2 * lengthM * perKm) / 1000) * (1 + RESISTANCE_PER_K.Cu * (conductorC - 20));
}

export interface HomeRunDrop {
  readonly ohm: number;
  readonly dropV: number;
  /** Of the string's working voltage at standard conditions. */
  readonly dropPercent: number;
  readonly lossW: number;
}

/** Drop and loss of a home run at standard conditions: ΔU = R·I, loss R·I². */
export function homeRunDrop(ohm: number, currentA: number, stringUmpV: number): HomeRunDrop {
  const dropV = ohm * currentA;
  return { ohm, dropV, dropPercent: (100 * dropV) / stringUmpV, lossW: ohm * currentA * currentA };
}

/**
 * Current a DC cable may carry, A: I_z(two adjacent, 60 °C) · min(1, √((120 − T_a)/60)) · grouping (EN 50618 A.3; the root is the
 * thermal law; no credit below 60 °C; grouping as bunched circuits, IEC 60364-5-52 B.52.17; recalled). Undefined above 20 circuits.
 */
export function dcAmpacityA(
  sectionMm2: number,
  mode: DcCableMode,
  ambientC: number,
  circuitsTogether: number,
): number | undefined {
  requireWithin('ambientC', ambientC, -25, 119.999, '°C');
  const base = exactly(DC_CABLE, sectionMm2, mode);
  const grouped = atOrAbove(GROUPING_IN_AIR, circuitsTogether, 'bunched');
  return base === undefined || grouped === undefined
    ? undefined
    : base * Math.min(1, Math.sqrt((120 - ambientC) / 60)) * grouped;
}

/**
 * Current that the cable of one string has to bear, A: its own 1.25·g_b·I_sc; unfused also what the other strings of its tracker push back,
 * (N_p − 1)·1.25·g_b·I_sc; fused the rating of the fuse (IEC 62548-1, recalled).
 */
export function cableNeedA(oneA: number, parallel: number, fuseA: number | null): number {
  return Math.max(oneA, fuseA ?? (parallel - 1) * oneA);
}

/** Where the home run of a plane's k-th of `of` strings leaves: its own start, or even along the edge of the plane. Null while unknown. */
export function homeRunStart(string: Pick<PvString, 'start'>, plane: Plane, k: number, of: number) {
  if (!plane.position) return null;
  const { xM, yM, zM } = plane.position;
  return string.start ? { ...string.start, zM } : { xM: xM + (plane.edgeM * (k + 0.5)) / of, yM, zM };
}

/** Way along the three axes, m. */
export function wayM(a: { xM: number; yM: number; zM: number }, b: { xM: number; yM: number; zM: number }): number {
  return Math.abs(a.xM - b.xM) + Math.abs(a.yM - b.yM) + Math.abs(a.zM - b.zM);
}

/** One-way length of every string's home run, m, by string id; null where it is neither measured nor both places are known. */
export function homeRunLengths(
  strings: readonly PvString[],
  planes: readonly Plane[],
  inverters: readonly SiteInverter[],
): Map<string, number | null> {
  const units = new Map(inverters.map((i) => [i.id, i]));
  const onPlane = new Map<string, PvString[]>(planes.map((p) => [p.id, []]));
  for (const s of strings) onPlane.get(s.planeId)?.push(s);
  const lengths = new Map<string, number | null>();
  for (const plane of planes) {
    const own = onPlane.get(plane.id) ?? [];
    own.forEach((s, k) => {
      const start = homeRunStart(s, plane, k, own.length);
      const end = s.place ? units.get(s.place.inverterId)?.position : null;
      lengths.set(s.id, s.lengthM ?? (start && end ? HOME_RUN_SLACK * wayM(start, end) : null));
    });
  }
  return lengths;
}
