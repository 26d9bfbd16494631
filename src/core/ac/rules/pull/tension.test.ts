import { known, lacking } from '../../../kernel/answer';
import { edges } from '../../../testing/edges';
import type { PulledRun } from '../../schedule/pull';
import { PULL_TENSION } from './tension';

/** On lines that take 18 kN: 3 × 120 mm² of copper at 50 N/mm² (recalled). */
const pulled = (tensionN: number, over: Partial<PulledRun> = {}): PulledRun => ({
  tag: 'INV-01',
  id: 'x',
  kgPerM: known(5),
  chosen: known({ from: 'board', pull: { tensionN, sidewallNPerM: 0 }, otherN: 20_000, turnsRad: 0 }),
  mostN: known(18_000),
  ...over,
});

edges(PULL_TENSION, () => ({
  holds: [pulled(0), pulled(14_400)],
  tight: [pulled(14_401), pulled(18_000)],
  stops: [pulled(18_001)],
  without: {
    'way, mass and friction of the pull': pulled(1, { chosen: lacking('cores') }),
    'lines that are pulled by': pulled(1, { mostN: lacking('section') }),
  },
  numbers: [[pulled(9000), { value: 9000, limit: 18_000, margin: 50 }]],
  says: [[pulled(9000), /^with the rope at the board 9000 N, from the other end 20000 N; three lines take 18000 N$/]],
}));
