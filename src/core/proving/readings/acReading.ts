import type { Answer } from '../../kernel/answer';
import type { GridWindow } from '../../site/gridCodes';

/** Voltages at the line side of an open isolator, with the window of the site's grid. */
export interface AcReading {
  readonly lineV: readonly [number, number, number];
  /** To neutral, or to PE where there is none; those that were read. */
  readonly phaseV: readonly number[];
  readonly frequencyHz: number;
  readonly rotation: 'L1-L2-L3' | 'reversed';
  readonly window: Answer<GridWindow>;
  readonly nominalHz: number | null;
}
