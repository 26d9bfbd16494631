/** Least rated residual current beside a unit, mA: the larger of 300 mA and 10 mA for each kVA (IEC 62109-2, 4.8.3.5, as a floor; recalled). */
export const residualFloorMa = (apparentKva: number): number => Math.max(300, 10 * apparentKva);

/** Bands of the tests of a residual-current device (IEC 61008-1, Table 1; IEC 62423 for the smooth ramp; recalled). Times ms, ramps per rated. */
const RESIDUAL_LIMITS = {
  generalAtRatedMs: 300,
  generalAtFiveMs: 40,
  delayedMinMs: 130,
  delayedMaxMs: 500,
  rampMin: 0.5,
  rampMaxAc: 1,
  rampMaxDc: 2,
} as const;

export interface ResidualTest {
  readonly ratedMa: number;
  readonly delayed: boolean;
  readonly atRatedMs: number;
  readonly atFiveMs: number | null;
  readonly tripsAtHalf: boolean;
  readonly rampMa: number;
  readonly smoothRamp: boolean;
}

/** The edge of its band to which a trip time at 1 × lies nearest, ms. */
export function nearestTimeMs({ delayed, atRatedMs }: Pick<ResidualTest, 'delayed' | 'atRatedMs'>): number {
  const { delayedMinMs: from, delayedMaxMs: to, generalAtRatedMs } = RESIDUAL_LIMITS;
  if (!delayed) return generalAtRatedMs;
  return atRatedMs - from < to - atRatedMs ? from : to;
}

/** What a tested device breaks, in words; empty when every time and ramp lies in its band. */
export function residualFaults(t: ResidualTest): string[] {
  const L = RESIDUAL_LIMITS;
  const rampMax = (t.smoothRamp ? L.rampMaxDc : L.rampMaxAc) * t.ratedMa;
  const faults: string[] = [];
  if (t.tripsAtHalf) faults.push('trips at half its rating');
  if (t.delayed && !(t.atRatedMs >= L.delayedMinMs && t.atRatedMs <= L.delayedMaxMs))
    faults.push(`${t.atRatedMs} ms at 1 × is outside ${L.delayedMinMs} to ${L.delayedMaxMs} ms`);
  if (!t.delayed && !(t.atRatedMs <= L.generalAtRatedMs))
    faults.push(`${t.atRatedMs} ms at 1 × is over ${L.generalAtRatedMs} ms`);
  if (!t.delayed && t.atFiveMs !== null && !(t.atFiveMs <= L.generalAtFiveMs))
    faults.push(`${t.atFiveMs} ms at 5 × is over ${L.generalAtFiveMs} ms`);
  if (!(t.rampMa >= L.rampMin * t.ratedMa && t.rampMa <= rampMax))
    faults.push(`trips at ${t.rampMa} mA: outside ${L.rampMin * t.ratedMa} to ${rampMax} mA`);
  return faults;
}
