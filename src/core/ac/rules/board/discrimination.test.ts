import { edges } from '../../../testing/edges';
import { boardLoad, loadedBoard } from '../../../testing/boards';
import { known, lacking } from '../../../kernel/answer';
import { DISCRIMINATION } from './discrimination';

/** 1250 kVA, 6 %, 13 kW, behind 30 m of 2 × 240 mm² copper: what the grid can feed into the board, A. */
const FAULT = loadedBoard(3).supply.gridA.value ?? 0;
type Over = NonNullable<Parameters<typeof loadedBoard>[1]>['board'];
const main = (board: Over) =>
  loadedBoard(3, { board: { mainMagneticA: 8000, mainDelayS: 0, mainInstantA: 0, ...board } });

/** The same board with runs that differ: each its breaker, and what it needs to trip at once, A. */
const unlike = (...branches: readonly (readonly [breakerA: number | null, tripA: number | null])[]) => ({
  ...main({ mainMagneticA: 5000 }),
  branches: branches.map(([breakerA, tripA], i) => ({
    tag: `INV-0${i + 1}`,
    breakerA,
    trip: tripA === null ? lacking('trip of the breaker') : known({ currentA: tripA, words: '' }),
  })),
});

/** Curves of main and runs: the main in `t` s up to a fault twice as large as any here, the runs through within 50 ms from ten times their rating on. */
const curved = (opensS: number, over: Over = {}) =>
  main({
    mainCurve: [
      { currentA: 1600, opensS: 500 },
      { currentA: 4000, opensS },
      { currentA: 60_000, opensS },
    ],
    branchCurves: [
      { breakerA: 200, currentA: 400, clearsS: 100 },
      { breakerA: 200, currentA: 2000, clearsS: 0.05 },
    ],
    ...over,
  });

edges(DISCRIMINATION, () => ({
  holds: [
    main({ mainDelayS: 0.1 }),
    main({ mainDelayS: 0.4, mainBreakerA: 400 }),
    main({ mainMagneticA: FAULT / 0.8 + 1 }),
    // It waits, and its override lies above all that can flow; its magnetic setting is passed over.
    main({ mainDelayS: 0.1, mainInstantA: FAULT / 0.8 + 1, mainMagneticA: 2000 }),
    main({ mainDelayS: 0.1, mainMagneticA: null }),
    // Without a delay there is no override to ask for.
    main({ mainMagneticA: FAULT / 0.8 + 1, mainInstantA: null }),
    // By their curves, whatever the settings say; on overload too, at less than two to one.
    curved(0.11, { mainMagneticA: 100, mainBreakerA: 399 }),
  ],
  tight: [
    main({ mainDelayS: 0.09 }),
    main({}),
    main({ mainMagneticA: FAULT / 0.8 - 1 }),
    main({ mainDelayS: 0.4, mainInstantA: FAULT / 0.8 - 1 }),
    // Without a delay the lower of the two rules.
    main({ mainMagneticA: FAULT / 0.8 + 1, mainInstantA: FAULT / 0.8 - 1 }),
    // 399 A over 200 A is less than two to one.
    main({ mainDelayS: 0.4, mainBreakerA: 399 }),
    // Under a tenth of a second curves prove nothing.
    curved(0.1),
  ],
  without: {
    'breakers of the runs': loadedBoard(3, { run: { magneticA: null }, board: { mainMagneticA: 8000, mainDelayS: 0 } }),
    'main breaker': main({ mainBreakerA: null }),
    'settings of the main breaker': main({ mainMagneticA: null }),
    'short-circuit current at the board': loadedBoard(3, {
      survey: { transformerKva: null },
      board: { mainMagneticA: 8000, mainDelayS: 0 },
    }),
  },
  numbers: [
    [main({}), { value: 6400, limit: FAULT, margin: null }],
    [main({ mainMagneticA: (1.25 * FAULT) / 0.8 }), { value: 1.25 * FAULT, limit: FAULT, margin: 25 }],
    [curved(0.11), { value: null, limit: null, margin: null }],
    [main({ mainDelayS: 0.4 }), { value: null, limit: null, margin: null }],
  ],
  says: [
    [
      main({ mainDelayS: 0.2 }),
      /^overload: main 800 A over 200 A of INV-01 = 4\.00, wanted 2$/,
      /waits 0\.2 s whatever flows/,
    ],
    [
      main({ mainDelayS: 0.2, mainInstantA: 10_000 }),
      /^overload/,
      /waits 0\.2 s to 0\.8 · 10000 A = 8000 A; behind/,
      /partial/,
    ],
    [curved(0.11), /^overload: the curves are apart/, /^fault: by their curves the main opens after every branch/],
    [curved(0.09), /^overload: the curves/, /of 200 A is through up to 39\d\d A; behind a branch/, /partial|may need/],
    [
      curved(0.11, {
        mainCurve: [
          { currentA: 1600, opensS: 500 },
          { currentA: 4000, opensS: 8 },
        ],
      }),
      /^Missing: curve of the main breaker up to \d+ A$/,
    ],
    [main({ mainMagneticA: null }), /^Missing: magnetic setting of the main breaker$/],
    [main({ mainDelayS: 0.2, mainInstantA: null }), /^Missing: instantaneous override of the main breaker$/],
    [main({ mainDelayS: null }), /^Missing: short-time delay of the main breaker$/],
    [
      main({}),
      /^overload/,
      /stays in to 0\.8 · 8000 A = 6400 A/,
      /^from 6400 A up the main may go with the branch: partial$/,
    ],
    // Branches set to 2000 A may need 2400 A; a main at 0.8 · 2900 A is out before.
    [main({ mainMagneticA: 2900 }), /^overload/, /2320 A/, /^a branch may need 2400 A/],
    [main({ mainMagneticA: 3000 }), /^overload/, /2400 A/, /partial/],
    // The largest breaker counts, and the branch that needs the most to trip, whichever they are.
    [unlike([160, 4001], [250, 2000], [200, 2500]), /over 250 A of INV-02/, /4000 A/, /^a branch may need 4001 A/],
    [unlike([160, 3900], [250, 2000]), /over 250 A of INV-02/, /4000 A/, /partial/],
    [unlike([160, 2000], [null, 2000], [200, null]), /^Missing: breaker, trip of the breaker$/],
    [boardLoad(0, { mainBreakerA: 800, mainMagneticA: 8000, mainDelayS: 0 }), /^Missing: inverters/],
  ],
}));
