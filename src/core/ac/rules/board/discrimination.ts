import type { Answer } from '../../../kernel/answer';
import { known, lacking } from '../../../kernel/answer';
import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { apartByCurves } from '../../board/curves';
import type { StaysIn } from '../../board/staysIn';
import { APART, staysApart, staysIn } from '../../board/staysIn';
import type { BoardLoad } from '../../boardLoad';

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

/** By the makers' curves where all of them are given, else by how the main is set. */
function mainStaysIn({ board, branches, supply }: BoardLoad): Answer<StaysIn> {
  const ratingsA = branches.flatMap(({ breakerA }) => breakerA ?? []);
  const byCurves = supply.gridA.value === null ? null : apartByCurves(board, ratingsA, supply.gridA.value);
  return byCurves ?? staysIn(board);
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
    main: { as: 'settings of the main breaker', answer: mainStaysIn },
    faultA: { as: 'short-circuit current at the board', answer: (b) => b.supply.gridA },
  },
  judge: ({ branches, mainA, main: { toA, onOverload: byCurves, words }, faultA }) => {
    const onOverload = byCurves ?? staysApart(mainA, branches.largestA);
    const onFault = toA >= faultA;
    const share = (100 * (toA - faultA)) / faultA;
    return found(
      onOverload && onFault ? 'holds' : 'tight',
      () => [
        byCurves
          ? 'overload: the curves are apart from the beginning of every branch'
          : `overload: main ${mainA} A over ${branches.largestA} A of ${branches.largest} = ${fixed(mainA / branches.largestA, 2)}, wanted ${APART}`,
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
