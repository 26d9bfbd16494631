import type { InverterType } from '../equipment/inverterType';
import type { ModuleType } from '../equipment/moduleType';
import type { Answer } from '../kernel/answer';
import { known, lacking } from '../kernel/answer';
import { floored } from '../kernel/rounding';
import type { Plane } from '../site/parts';
import { rearGain } from './moduleAt';

/** Edge-of-cloud irradiance on currents (NFPA 70 690.8(A)(1); IEC 62548-1; recalled). */
export const IRRADIANCE_FACTOR = 1.25;

export interface TrackerCurrents {
  /** Factor in force on the tracker limit: 1.25, or 1.0 where the maker states the limit for standard test conditions. */
  readonly trackerFactor: number;
  readonly rearGain: number;
  readonly shortCircuitA: number;
  readonly operatingA: number;
  readonly inputA: number;
  /** What the others push back into a string that is shorted, A. */
  readonly reverseA: number;
  /** Strings in parallel that the tracker's short-circuit limit bears. */
  readonly maxByTracker: number;
  /** Strings in parallel that unfused modules bear. */
  readonly maxUnfused: number;
}

/** Gain of the rear side on currents, no unit: g_b = 1 + φ·r with r as typed for the plane. A module that sees nothing behind needs no r. */
export function rearGainOf(
  module: ModuleType,
  { label, rearShare }: Pick<Plane, 'label' | 'rearShare'>,
): Answer<number> {
  if (module.bifaciality === 0) return known(1);
  return rearShare === null ? lacking(`rear-side share of ${label}`) : known(rearGain(module, rearShare));
}

/**
 * Currents of a tracker with `strings` equal strings in parallel, A.
 * g_b gain of the rear side, from 1.
 *   I_sc = k·g_b·I_sc·N_p · I_mp = g_b·I_mp·N_p · input k'·g_b·I_sc, k' = max(k, 1.25) · I_rev = (N_p − 1)·k'·g_b·I_sc
 *   N_p by tracker ⌊I_sc,max/(k·g_b·I_sc)⌋ · N_p unfused 1 + ⌊I_fuse/(k'·g_b·I_sc)⌋
 * Source: IEC 62548-1; NFPA 70 690.8, 690.9(A) (recalled). Connectors and fuses keep 1.25 whatever the maker's limit is quoted at.
 */
export function trackerCurrents(
  module: ModuleType,
  inverter: InverterType,
  gain: number,
  strings: number,
): TrackerCurrents {
  const k = inverter.shortCircuitLimitIsStc ? 1 : IRRADIANCE_FACTOR;
  const kStrict = Math.max(k, IRRADIANCE_FACTOR);
  const oneA = gain * module.iscA;
  return {
    trackerFactor: k,
    rearGain: gain,
    shortCircuitA: k * oneA * strings,
    operatingA: gain * module.impA * strings,
    inputA: kStrict * oneA,
    reverseA: (strings - 1) * kStrict * oneA,
    maxByTracker: floored(inverter.trackerShortCircuitMaxA / (k * oneA)),
    maxUnfused: 1 + floored(module.fuseMaxA / (kStrict * oneA)),
  };
}
