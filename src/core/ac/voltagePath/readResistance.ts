import type { Answer } from '../../kernel/answer';

/** A resistance that was read, and what the design makes it: of the run, or of everything between the grid and the board. */
export interface ReadResistance {
  readonly part: 'run' | 'source';
  readonly readOhm: Answer<number>;
  readonly calculatedOhm: Answer<number>;
}
