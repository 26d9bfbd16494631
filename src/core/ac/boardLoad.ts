import type { BreakerNeed, School } from '../conductor/school';
import type { Answer } from '../kernel/answer';
import { lacking } from '../kernel/answer';
import { fixed } from '../kernel/quantity';
import type { TripCurrent } from './fault/tripCurrent';
import type { BoardSupply } from './fault/boardSupply';
import type { VoltagePath } from './voltagePath/path';
import type { Board } from '../site/parts';
import type { Survey } from '../site/survey';

/** Rise from a unit to the point of connection, per cent of nominal: along its run, and along the main cable, which carries everybody. */
export interface RiseToGrid {
  readonly tag: string;
  readonly runPercent: number;
  readonly mainPercent: number;
}

/** The breaker of one run, as its neighbours upstream see it. */
export interface Branch {
  readonly tag: string;
  readonly breakerA: number | null;
  readonly trip: Answer<TripCurrent>;
}

/** The site board with what feeds it. */
export interface BoardLoad {
  readonly board: Board;
  readonly school: School;
  readonly units: number;
  /** Currents of all inverters together, A: they peak at the same moment. */
  readonly sumA: Answer<number>;
  /** Breakers of all runs together, A. */
  readonly breakersA: Answer<number>;
  readonly supply: BoardSupply;
  /** From the unit that stands highest to the point of connection. */
  readonly riseToGrid: Answer<RiseToGrid>;
  /** What trips the breaker of each run at once. */
  readonly branches: readonly Branch[];
  /** From the grid to every unit, as the voltage sees it. */
  readonly path: Answer<VoltagePath>;
  /** Sheets of inverters that do not stand. */
  readonly wanting: readonly string[];
}

/** The grid connection with the apparent power of all inverters, VA; null while there is none. */
export interface GridLoad {
  readonly survey: Survey;
  readonly apparentVa: number | null;
  readonly wanting: readonly string[];
}

/** Largest miniature breaker, A (IEC 60898-1; recalled): a main up to it may be one, which heat takes more from. */
const MINIATURE_MOST_A = 125;

/** Rating the main breaker needs, A: moulded-case above 125 A, up to that as a miniature one; alone in its place. */
export function mainBreakerNeed({ board, school, sumA }: BoardLoad): Answer<BreakerNeed> {
  const { mainAmbientC: breakerAmbientC, mainBreakerA } = board;
  const missing = [
    ...(mainBreakerA === null ? ['main breaker'] : []),
    ...(breakerAmbientC === null ? ['ambient at the main breaker'] : []),
    ...sumA.missing,
  ];
  if (mainBreakerA === null || breakerAmbientC === null || sumA.value === null) return lacking(...missing);
  const breakerKind = mainBreakerA <= MINIATURE_MOST_A ? 'miniature' : 'moulded-case';
  return school.breakerNeed(sumA.value, {
    breakerKind,
    breakerAmbientC,
    breakerGroupFactor: 1,
    fullRated: board.mainFullRated,
  });
}

export const sumWords = ({ units }: BoardLoad, sumA: number): string => `Σ I_b = ${units} units = ${fixed(sumA, 1)} A`;
