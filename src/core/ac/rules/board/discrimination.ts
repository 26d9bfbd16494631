import type { Answer } from '../../../kernel/answer';
import { known, lacking } from '../../../kernel/answer';
import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { BoardLoad } from '../../boardLoad';

/** A magnetic setting trips within ±20 %: below this share of it the main stays in for certain (IEC 60947-2; recalled). */
const STAYS_IN = 0.8;
/** Ratings that stay apart on overload: the main over the largest branch (common practice). */
const APART = 2;
/** Least delay behind which a branch that trips at once is through, s (common practice). */
const DELAY_LEAST_S = 0.1;

/** The current up to which the main leaves a fault to the branch, A: Infinity where it waits whatever flows. */
interface StaysIn {
  readonly toA: number;
  readonly words: string;
}

/** Without a delay the magnetic setting ends it; behind a delay the instantaneous override, where the main has one. */
function staysIn({ board: { mainMagneticA, mainDelayS, mainInstantA } }: BoardLoad): Answer<StaysIn> {
  if (mainDelayS === null) return lacking('short-time delay of the main breaker');
  const waits = mainDelayS >= DELAY_LEAST_S;
  const instantA = mainInstantA === 0 ? Infinity : mainInstantA;
  const setA = waits ? instantA : mainMagneticA && Math.min(mainMagneticA, instantA ?? Infinity);
  if (setA === null) return lacking(`${waits ? 'instantaneous override' : 'magnetic setting'} of the main breaker`);
  if (setA === Infinity)
    return known({
      toA: Infinity,
      words: `the main waits ${mainDelayS} s whatever flows, a branch is through at once`,
    });
  const toA = STAYS_IN * setA;
  const how = waits ? `waits ${mainDelayS} s` : 'stays in';
  return known({ toA, words: `the main ${how} to ${STAYS_IN} · ${setA} A = ${fixed(toA, 0)} A` });
}

interface Branches {
  readonly largestA: number;
  readonly largest: string;
  /** The highest current that a branch may still need to trip at once, A. */
  readonly tripA: number;
}

/** The branches, as far as all of them are known. */
function branchesOf({ branches }: BoardLoad): Answer<Branches> {
  const told = branches.flatMap(({ tag, breakerA, trip }) =>
    breakerA === null || trip.value === null ? [] : [{ tag, breakerA, tripA: trip.value.currentA }],
  );
  const missing = branches.flatMap(({ breakerA, trip }) => [
    ...(breakerA === null ? ['breaker'] : []),
    ...trip.missing,
  ]);
  const [first, ...others] = told;
  if (missing.length || !first) return lacking(...new Set(missing.length ? missing : ['inverters']));
  const largest = others.reduce((a, b) => (b.breakerA > a.breakerA ? b : a), first);
  return known({
    largestA: largest.breakerA,
    largest: largest.tag,
    tripA: Math.max(...told.map((b) => b.tripA)),
  });
}

/**
 * Whether a fault on one run leaves the others feeding, A: the main waits, or stays in up to the largest current there can be behind a branch.
 * Without that nothing is unsafe: the site goes dark where one unit would do, so it is tight at worst.
 */
export const DISCRIMINATION = rule<BoardLoad>()({
  id: 'ac.discrimination',
  title: 'A fault on one run leaves the main in',
  unit: 'A',
  basis: practice('magnetic settings within ±20 %; ratings 2 to 1; curves of the makers win'),
  needs: {
    branches: { as: 'breakers of the runs', answer: branchesOf },
    mainA: { as: 'main breaker', of: (b) => b.board.mainBreakerA },
    main: { as: 'settings of the main breaker', answer: staysIn },
    faultA: { as: 'short-circuit current at the board', answer: (b) => b.supply.gridA },
  },
  judge: ({ branches, mainA, main: { toA, words }, faultA }) => {
    const onOverload = mainA >= APART * branches.largestA;
    const onFault = toA >= faultA;
    const share = (100 * (toA - faultA)) / faultA;
    return found(
      onOverload && onFault ? 'holds' : 'tight',
      () => [
        `overload: main ${mainA} A over ${branches.largestA} A of ${branches.largest} = ${fixed(mainA / branches.largestA, 2)}, wanted ${APART}`,
        `fault: ${words}${toA === Infinity ? '' : `; behind a branch up to ${fixed(faultA, 0)} A can flow`}`,
        ...(onFault
          ? []
          : [
              toA >= branches.tripA
                ? `from ${fixed(toA, 0)} A up the main may go with the branch: partial`
                : `a branch may need ${fixed(branches.tripA, 0)} A to trip at once: the main may go first`,
            ]),
      ],
      // The main sees the grid's share of a fault; where it waits there is no number to meet.
      toA === Infinity ? {} : { value: toA, limit: faultA, ...(onOverload && onFault ? { margin: share } : {}) },
    );
  },
});
