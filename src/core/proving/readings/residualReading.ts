import type { ResidualTest } from '../measure/residualDevice';

/** A tested residual-current device beside the unit it protects. */
export interface ResidualReading extends ResidualTest {
  readonly type: 'A' | 'F' | 'B' | 'B+';
  readonly apparentKva: number;
  /** Null: the maker of the unit has not been asked whether a device that is blind to smooth direct current will do. */
  readonly typeAAllowed: boolean | null;
}
