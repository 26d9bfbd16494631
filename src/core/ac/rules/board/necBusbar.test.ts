import { acResults } from '../../results';
import { Memo } from '../../../kernel/memo';
import type { Board } from '../../../site/parts';
import { edges } from '../../../testing/edges';
import { BOARD, SURVEY, T100, runOf, siteOf } from '../../../testing/examples';
import { NEC_BUSBAR } from './necBusbar';

/** Four units of 152 A on breakers of 200 A, a busbar of 800 A (worked by hand from NFPA 70, 705.12(B); recalled). */
const board = (over: Partial<Board>, units = 4, breakerA: number | null = 200) => {
  const d = siteOf(units, [], { ...T100, outputMaxA: 152 });
  return acResults(
    {
      ...d,
      survey: { ...SURVEY, school: 'NEC', lineV: 480, frequencyHz: 60 },
      board: { ...BOARD, busbarA: 800, mainBreakerA: 800, sourcesFarEnd: false, loadBreakersA: 0, ...over },
      runs: d.inverters.map((u) => runOf(u.id, { breakerA })),
    },
    new Memo(),
  ).board;
};

edges(NEC_BUSBAR, () => ({
  holds: [
    // The sum rule alone: 800 A of branches on 800 A.
    board({}),
    // 760 + 800 = 1560 A: on 100 % from 1560 A of busbar, on 120 % from 1300 A.
    board({ busbarA: 1560, loadBreakersA: 2000 }),
    board({ busbarA: 1300, loadBreakersA: 2000, sourcesFarEnd: true }),
    // One way that is met needs no other.
    board({ busbarA: 1560, loadBreakersA: null, sourcesFarEnd: null }),
  ],
  stops: [
    board({ loadBreakersA: 1 }),
    board({ mainBreakerA: 1200 }),
    board({ busbarA: 1299, loadBreakersA: 2000, sourcesFarEnd: true }),
    board({ busbarA: 1559, loadBreakersA: 2000 }),
  ],
  without: { 'busbar rating': board({ busbarA: null }) },
  numbers: [[board({}), { value: 800, limit: 800, margin: 0 }]],
  says: [
    [
      board({ sourcesFarEnd: true }),
      /^1\.25·ΣI_b \+ main = 1560 A on 800 A$/,
      /^at opposite ends, labelled: 1560 A on 120 %/,
      /^sum of all branch breakers 800 A on 800 A$/,
      /^best: sum of all/,
    ],
  ],
}));
// While a way could still be met, nobody knows.
for (const open of [
  board({ loadBreakersA: null }),
  board({ loadBreakersA: 900, sourcesFarEnd: null }),
  board({}, 4, null),
  board({ mainBreakerA: null }),
  board({}, 0),
])
  edges(NEC_BUSBAR, () => ({ holds: [], without: { 'busbar rating': open } }));
