import type { Answer } from '../kernel/answer';
import { given, known, lacking } from '../kernel/answer';
import type { Survey } from './survey';

/** How near a figure times √3 lies to the nominal line voltage when it was read from a line to the neutral, share (common practice). */
const READS_LIKE_PHASE = 0.15;

/** Whether a board voltage fits nominal/√3: then it was read between a line and the neutral. Both V. */
export const readsLikePhaseV = (boardV: number, lineV: number): boolean =>
  Math.abs((boardV * Math.sqrt(3)) / lineV - 1) <= READS_LIKE_PHASE;

/** The highest voltage at the board while feeding, line to line, V. One that reads like a phase voltage is asked again, never converted. */
export function boardHighestV({
  boardHighestV: boardV,
  lineV,
}: Pick<Survey, 'boardHighestV' | 'lineV'>): Answer<number> {
  const both = given(
    { 'highest line-to-line voltage at the board while feeding': boardV, 'nominal line voltage': lineV },
    (k) => k,
  );
  if (!both.value || boardV === null || lineV === null) return lacking(...both.missing);
  return readsLikePhaseV(boardV, lineV)
    ? lacking(
        `the line-to-line voltage at the board: ${boardV} V × √3 is ${Math.round(boardV * Math.sqrt(3))} V, so it reads like a line to neutral`,
      )
    : known(boardV);
}
