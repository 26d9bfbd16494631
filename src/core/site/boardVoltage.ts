import type { Answer } from '../kernel/answer';
import { given, known, lacking } from '../kernel/answer';
import type { Survey } from './survey';

/** Under this share of nominal no grid feeds (lower end of EN 50549-1, recalled): the highest voltage of a board was read otherwise. */
const LEAST_PU = 0.85;
/** How near a figure times √3 lies to the nominal line voltage when it was read from a line to the neutral, share (common practice). */
const READS_LIKE_PHASE = 0.15;

/** Why a figure cannot be the highest line-to-line voltage of a board, in words; null where it can. Both V. */
function oddly(boardV: number, lineV: number): string | null {
  if (boardV >= LEAST_PU * lineV) return null;
  const asLineV = boardV * Math.sqrt(3);
  return Math.abs(asLineV / lineV - 1) <= READS_LIKE_PHASE
    ? `${boardV} V × √3 is ${Math.round(asLineV)} V, so it reads like a line to neutral`
    : `${boardV} V is under ${LEAST_PU} of the nominal ${lineV} V`;
}

/** A voltage read at the board, V, line to line. One that reads like a phase voltage, or too low, is asked again, never converted. */
function readAtBoard(name: string, readV: number | null, lineV: number | null): Answer<number> {
  const both = given({ [name]: readV, 'nominal line voltage': lineV }, (k) => k);
  if (!both.value || readV === null || lineV === null) return lacking(...both.missing);
  const odd = oddly(readV, lineV);
  return odd ? lacking(`the line-to-line voltage at the board: ${odd}`) : known(readV);
}

/** The highest voltage at the board while feeding, line to line, V. */
export const boardHighestV = ({ boardHighestV: readV, lineV }: Pick<Survey, 'boardHighestV' | 'lineV'>) =>
  readAtBoard('highest line-to-line voltage at the board while feeding', readV, lineV);

/** The voltage at the board with nothing feeding, line to line, V. */
export const boardAtRestV = ({ restLineV, lineV }: Pick<Survey, 'restLineV' | 'lineV'>) =>
  readAtBoard('voltage at the board with nothing feeding', restLineV, lineV);
