import { wholeChain } from '../../../testing/chains';
import { edges } from '../../../testing/edges';
import { IDLE_BIAS } from './idleBias';

type Line = Parameters<typeof wholeChain>[2];
/** Ten units and a logger of one unit load on 250 m of 0.5 mm², as a chain that is wired right. */
const chain = (line: Line = {}, lengthM = 250) =>
  wholeChain(11, lengthM, line, (_, i) => ({ unitLoads: i === 0 ? 1 : 0.0375 }));
const pulled = (ohm: number, line: Line = {}) => chain({ pullUpOhm: ohm, pullDownOhm: ohm, ...line });
/** Bias resistors that leave so many mV without a loop. */
const leaving = (mV: number) => pulled(((1 / (2 / 120 + 1.375 / 24_000)) * (5 / (mV / 1000) - 1)) / 2, { areaMm2: 6 });

edges(IDLE_BIAS, () => ({
  holds: [pulled(450), chain({ biasAt: 'nowhere', failSafe: true }), leaving(252)],
  tight: [pulled(560), pulled(1000, { failSafe: true })],
  stops: [pulled(1000), chain({}, 1000), chain({ biasAt: 'nowhere', failSafe: false }), leaving(199.9)],
  without: {
    'bias of the pair': chain({ pullUpOhm: null }),
    'whether all receivers read an idle pair as mark': chain({ biasAt: 'nowhere', failSafe: null }),
  },
  // Without a loop the two nodes are one: 5 V over 2·560 Ω and what lies across.
  numbers: [
    [
      chain({ areaMm2: 6, pullUpOhm: 560 }, 1e-6),
      { value: 1000 * (5 / 1120 / (1 / 1120 + 2 / 120 + 1.375 / 24_000)), limit: 200 },
    ],
  ],
  says: [
    [chain({ biasAt: 'nowhere', failSafe: true }), /^nothing biases the pair$/, /^all receivers read/],
    [pulled(1000), /^near/, /^in order/],
  ],
}));
