import { requireWithin } from '../../kernel/require';
import type { PathUnit, VoltagePath } from './path';
import { TRUNK } from './path';
import type { Feeder } from './radial';
import { radialVoltages } from './radial';

/** What the units feed: a share of their apparent power, 0…1, at a power factor, 0.8…1. */
export interface Feeding {
  readonly share: number;
  readonly powerFactor: number;
  readonly reactive: 'absorbs' | 'supplies';
}

export const ALL_FEEDING: Feeding = { share: 1, powerFactor: 1, reactive: 'absorbs' };

/**
 * Power of a unit, W and var: P = min(share, cosφ)·S, for the apparent power is the most a unit gives; Q = ∓P·tanφ, absorbed below 0.
 * share 0…1, cosφ 0.8…1 (RangeError outside) · S VA, above 0.
 */
export function fedBy(apparentVa: number, { share, powerFactor, reactive }: Feeding): Omit<Feeder, 'z'> {
  requireWithin('share', share, 0, 1);
  requireWithin('powerFactor', powerFactor, 0.8, 1);
  const activeW = Math.min(share, powerFactor) * apparentVa;
  const sign = reactive === 'absorbs' ? -1 : 1;
  return { activeW, reactiveVar: (sign * activeW * Math.sqrt(1 - powerFactor ** 2)) / powerFactor };
}

export interface UnitVoltage {
  readonly id: string;
  readonly tag: string;
  readonly terminalV: number;
  /** Room to the trip level, per cent of it; at or below 0 the unit trips. */
  readonly marginPercent: number;
  /** Rise over each part of the way, V: the trunk, then the run of its own. */
  readonly rises: readonly { readonly part: string; readonly riseV: number }[];
}

export interface VoltagePicture {
  readonly boardV: number;
  readonly units: readonly UnitVoltage[];
  readonly worst: UnitVoltage;
}

/** Room to the trip level, per cent of it. Both V. */
export const marginPercentOf = (terminalV: number, tripV: number): number => (100 * (tripV - terminalV)) / tripV;

/** Every unit's own power: as it feeds by default, alike. */
export type PowerOf = (unit: PathUnit, index: number) => Omit<Feeder, 'z'>;

/**
 * Voltages of a path, V, from the grid at rest to every unit. Undefined where there is no unit, or the network cannot carry the power.
 * Error and source as `radialVoltages`.
 */
export function voltagePicture(path: VoltagePath, powerOf: PowerOf): VoltagePicture | undefined {
  const feeders = path.units.map((u, i): Feeder => ({ z: u.z, ...powerOf(u, i) }));
  const solved = radialVoltages(path.restV, path.trunk, feeders);
  const boardV = solved?.trunkV.at(-1);
  if (!solved || boardV === undefined) return undefined;
  const trunk = solved.trunkV.map((v, i) => ({
    part: TRUNK[i] ?? 'trunk',
    riseV: v - (solved.trunkV[i - 1] ?? path.restV),
  }));
  const units = path.units.map(({ id, tag }, i): UnitVoltage => {
    const terminalV = solved.unitV[i] ?? boardV;
    const marginPercent = marginPercentOf(terminalV, path.tripV);
    return { id, tag, terminalV, marginPercent, rises: [...trunk, { part: 'run', riseV: terminalV - boardV }] };
  });
  const [first, ...others] = units;
  if (!first) return undefined;
  return { boardV, units, worst: others.reduce((a, b) => (b.terminalV > a.terminalV ? b : a), first) };
}

/** The picture with every unit feeding alike. */
export const pictureAt = (path: VoltagePath, feeding: Feeding): VoltagePicture | undefined =>
  voltagePicture(path, (u) => fedBy(u.apparentVa, feeding));

const BISECTIONS = 60;

/** The largest x in [0, most] for which it is still so, where it is so from 0 on; null where not even at 0. */
function largestWhere(isSo: (x: number) => boolean, most: number): number | null {
  if (!isSo(0)) return null;
  if (isSo(most)) return most;
  let [low, high] = [0, most];
  for (let i = 0; i < BISECTIONS; i++) {
    const mid = (low + high) / 2;
    if (isSo(mid)) low = mid;
    else high = mid;
  }
  return low;
}

/** Share of full power, 0…1, up to which no unit reaches the trip level; 1 where none does at all, null where it is passed at rest. */
export const shareUntilTrip = (path: VoltagePath, marginPercent = 0): number | null =>
  largestWhere((share) => staysUnder(path, { ...ALL_FEEDING, share }, marginPercent), 1);

/** Highest voltage at rest, V, with which no unit reaches the trip level at full power; null where none will do. */
export function restThatSurvives(path: VoltagePath): number | null {
  const leastV = 0.5 * path.nominalV;
  const above = largestWhere((v) => staysUnder({ ...path, restV: leastV + v }, ALL_FEEDING), path.tripV - leastV);
  return above === null ? null : leastV + above;
}

/** Whether every unit keeps so much to its trip level, per cent of it. A network that cannot carry the power keeps nothing. */
function staysUnder(path: VoltagePath, feeding: Feeding, marginPercent = 0): boolean {
  const picture = pictureAt(path, feeding);
  if (!picture) return false;
  return marginPercent > 0 ? picture.worst.marginPercent >= marginPercent : picture.worst.marginPercent > 0;
}
