import type { Answer } from '../../kernel/answer';
import type { Signature } from '../measure/supplySignature';

/** What ten voltages at the board or at a unit say, beside the supply that the survey names. */
export interface SupplyReading {
  readonly signature: Answer<Signature>;
  readonly service: string | null;
  /** Where the low-impedance repeat is wanted: at the board, before anything rests on the supply. */
  readonly repeatWanted: boolean;
}
