/** A tested residual-current device beside the unit it protects. */
export interface ResidualReading {
  readonly type: 'A' | 'F' | 'B' | 'B+';
  readonly ratedMa: number;
  readonly delayed: boolean;
  readonly atRatedMs: number;
  readonly tripsAtHalf: boolean;
  readonly rampMa: number;
  readonly smoothRamp: boolean;
  readonly apparentKva: number;
  /** Null: the maker of the unit has not been asked whether a device that is blind to smooth direct current will do. */
  readonly typeAAllowed: boolean | null;
}

/** The same device at five times its rating, where that was tried. */
export interface ResidualAtFive {
  readonly delayed: boolean;
  readonly atFiveMs: number;
}
