import type { RIPPLE_PERCENT } from '../../links/contacts/truth';

/** A step of a ripple control, % of the rating (common practice; the operator’s letter outranks it). */
export type RipplePercent = (typeof RIPPLE_PERCENT)[number];

/** One step of a ripple control as it was worked, with the power of the unit before and after, kW. */
export interface RippleStep {
  readonly percent: RipplePercent;
  readonly beforeKw: number;
  readonly powerKw: number;
  /** Until the power stood at the step. */
  readonly seconds: number;
}
export interface RippleReading extends RippleStep {
  readonly ratedKw: number;
}

/** What a record says of the steps of a unit's ripple control: those that were worked, and those that are not wired. */
export interface RippleTold {
  readonly worked: readonly RipplePercent[];
  readonly notWired: readonly RipplePercent[];
}
