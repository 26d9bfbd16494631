import { edges } from '../../../testing/edges';
import { boardLoad } from '../../../testing/boards';
import { SHORT_CIRCUIT } from './shortCircuit';

edges(SHORT_CIRCUIT, () => ({
  // 31.57 kA of 1250 kVA and 6 %, without a main cable; four units of 160 A add 0.768 kA.
  holds: [boardLoad(4, { busbarIcwKa: 50 }), boardLoad(4, { busbarIcwKa: 32.35 })],
  stops: [boardLoad(4, { busbarIcwKa: 32.3 })],
  without: {
    'short-circuit current at the board': boardLoad(0, { busbarIcwKa: 50 }),
    'short-time withstand of the busbar': boardLoad(4, {}),
  },
  numbers: [[boardLoad(4, { busbarIcwKa: 50 }), { value: 0.42 / (Math.sqrt(3) * 0.00768) + 0.768, limit: 50 }]],
  says: [
    [boardLoad(4, { busbarIcwKa: 50 }), /^transformer 1250 kVA, 6 %/, /32\.34 kA; the busbar withstands 50 kA$/],
    [boardLoad(4, { busbarIcwKa: 50 }, { transformerKva: null }), /^Missing: transformer rating$/],
  ],
}));
