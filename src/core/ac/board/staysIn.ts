import type { Answer } from '../../kernel/answer';
import { known, lacking } from '../../kernel/answer';
import { fixed } from '../../kernel/quantity';
import type { Board } from '../../site/parts';

/** A magnetic setting trips within ±20 %: below this share of it the main stays in for certain (IEC 60947-2; recalled). */
const STAYS_IN = 0.8;
/** Ratings that stay apart on overload: the main over the largest branch (common practice). */
export const APART = 2;
/** Least delay behind which a branch that trips at once is through, s (common practice). */
export const DELAY_LEAST_S = 0.1;

/** How a main breaker is set against short circuits: A, s, A; an override of 0 is off. Null: nobody has said. */
export type MainTrip = Pick<Board, 'mainMagneticA' | 'mainDelayS' | 'mainInstantA'>;

/** The current up to which the main leaves a fault to the branch, A: Infinity where it waits whatever flows. */
export interface StaysIn {
  readonly toA: number;
  /** Whether they stay apart on overload too; null: by their ratings. */
  readonly onOverload: boolean | null;
  readonly words: string;
}

/** Without a delay the magnetic setting ends it; behind a delay the instantaneous override, where the main has one. */
export function staysIn({ mainMagneticA, mainDelayS, mainInstantA }: MainTrip): Answer<StaysIn> {
  if (mainDelayS === null) return lacking('short-time delay of the main breaker');
  const waits = mainDelayS >= DELAY_LEAST_S;
  const instantA = mainInstantA === 0 ? Infinity : mainInstantA;
  const setA = waits ? instantA : mainMagneticA && Math.min(mainMagneticA, instantA ?? Infinity);
  if (setA === null) return lacking(`${waits ? 'instantaneous override' : 'magnetic setting'} of the main breaker`);
  if (setA === Infinity)
    return known({
      toA: Infinity,
      onOverload: null,
      words: `the main waits ${mainDelayS} s whatever flows, a branch is through at once`,
    });
  const toA = STAYS_IN * setA;
  const how = waits ? `waits ${mainDelayS} s` : 'stays in';
  return known({ toA, onOverload: null, words: `the main ${how} to ${STAYS_IN} · ${setA} A = ${fixed(toA, 0)} A` });
}

/** Whether an overload of a branch leaves the main in. Ratings in A. */
export const staysApart = (mainA: number, branchA: number): boolean => mainA >= APART * branchA;
