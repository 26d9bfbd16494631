import type { Answer } from '../../kernel/answer';
import { known, lacking } from '../../kernel/answer';
import type { Judged } from '../../kernel/judgement';
import { requirePositive } from '../../kernel/require';

export type EarthMetal = 'Cu' | 'Al';

/** Resistivity at 20 °C, Ω·mm²/m, and its coefficient, 1/K (IEC 60028, IEC 60889; recalled). */
const METALS: Readonly<Record<EarthMetal, { rho20: number; alphaPerK: number }>> = {
  Cu: { rho20: 0.017241, alphaPerK: 0.00393 },
  Al: { rho20: 0.028264, alphaPerK: 0.00403 },
};
/** A joint, Ω; the share and the fixed part that the limit lies above what is expected (common practice). */
const JOINT_OHM = 0.005;
const LIMIT_SHARE = 1.25;
const LIMIT_FIXED_OHM = 0.05;
/** Least test current, A (IEC 61557-4; recalled). */
const EARTH_TEST_LEAST_A = 0.2;
/** A bare conductor from this on that reads under half of itself was measured beside another path, Ω and share (common practice). */
const PARALLEL_FROM_OHM = 0.05;
const PARALLEL_BELOW = 0.5;

/** One earth conductor as it was measured. */
export interface EarthLeg {
  readonly readOhm: number;
  readonly nullOhm: number;
  readonly lengthM: number;
  readonly sectionMm2: number;
  readonly metal: EarthMetal;
  readonly conductorC: number;
  readonly joints: number;
  readonly testA: number;
}
export interface EarthVerdict {
  readonly verdict: Judged;
  readonly ohm: number;
  readonly bareOhm: number;
  readonly expectedOhm: number;
  readonly limitOhm: number;
  readonly text: string;
}

/**
 * Continuity of an earth conductor: R = reading − null against R_lim = 1.25·R_exp + 0.05 Ω, R_exp = ρ20(1 + α(θ − 20))·L/A + 0.005 Ω a joint.
 * L m, A mm², θ °C of the conductor. A reading under half of the bare conductor saw a parallel path. Under 0.2 A it proves nothing, and
 * below zero the leads are to be nulled again. Method: IEC 60364-6, 6.4.3.2, and IEC 61557-4 (recalled); limits common practice.
 * Throws RangeError on a length or section that is not above 0.
 */
export function earthContinuity(leg: EarthLeg): Answer<EarthVerdict> {
  requirePositive(leg, 'lengthM', 'sectionMm2');
  const { rho20, alphaPerK } = METALS[leg.metal];
  const ohm = leg.readOhm - leg.nullOhm;
  const bareOhm = (rho20 * (1 + alphaPerK * (leg.conductorC - 20)) * leg.lengthM) / leg.sectionMm2;
  const expectedOhm = bareOhm + JOINT_OHM * leg.joints;
  const limitOhm = LIMIT_SHARE * expectedOhm + LIMIT_FIXED_OHM;
  if (leg.testA < EARTH_TEST_LEAST_A) return lacking(`a test current of at least ${EARTH_TEST_LEAST_A} A`);
  if (ohm < 0) return lacking('a reading above that of the leads: null the leads again');
  const said = (verdict: Judged, text: string) => known({ verdict, ohm, bareOhm, expectedOhm, limitOhm, text });
  if (ohm > limitOhm) return said('stop', 'Over the limit: find the loose joint or the broken core.');
  if (bareOhm >= PARALLEL_FROM_OHM && ohm < PARALLEL_BELOW * bareOhm)
    return said('tight', 'Too good: a parallel path was measured. Lift one end and measure again.');
  return said('holds', 'As the conductor should read.');
}
