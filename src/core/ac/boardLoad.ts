import type { BreakerNeed, School } from '../conductor/school';
import type { Answer } from '../kernel/answer';
import { lacking } from '../kernel/answer';
import { fixed } from '../kernel/quantity';
import type { Board } from '../site/parts';
import type { Survey } from '../site/survey';

/** The site board with what feeds it. */
export interface BoardLoad {
  readonly board: Board;
  readonly school: School;
  readonly units: number;
  /** Currents of all inverters together, A: they peak at the same moment. */
  readonly sumA: Answer<number>;
}

/** The grid connection with the apparent power of all inverters, VA; null while there is none. */
export interface GridLoad {
  readonly survey: Survey;
  readonly apparentVa: number | null;
}

/** Rating the main breaker needs, A: moulded-case, alone. */
export function mainBreakerNeed({ board, school, sumA }: BoardLoad): Answer<BreakerNeed> {
  if (board.mainAmbientC === null) return lacking('ambient at the main breaker');
  return sumA.value === null
    ? lacking(...sumA.missing)
    : school.breakerNeed(sumA.value, {
        breakerKind: 'moulded-case',
        breakerAmbientC: board.mainAmbientC,
        breakerGroupFactor: 1,
      });
}

export const sumWords = ({ units }: BoardLoad, sumA: number): string => `Σ I_b = ${units} units = ${fixed(sumA, 1)} A`;
