/** The site meter while a unit comes on. */
export interface MeterReading {
  readonly beforeKw: number;
  readonly afterKw: number;
  readonly unitKw: number;
  readonly ratedKw: number | null;
  /** Change of each phase, kW: null on a meter that shows the sum alone. */
  readonly changeKw: readonly number[] | null;
  /** Whether it measures through current transformers, their ratio by their plates, and the one that the meter shows. */
  readonly transformers: boolean | null;
  readonly plateRatio: number | null;
  readonly shownRatio: number | null;
}
