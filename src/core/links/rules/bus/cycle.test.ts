import { chainOf } from '../../../testing/chains';
import { edges } from '../../../testing/edges';
import type { PollPlan } from '../../timing/pollPlan';
import type { BitRate } from '../../bitRates';
import { POLL_CYCLE } from './cycle';

const WHOLE: PollPlan = { registers: 10, needS: 60, turnaroundMs: 50, timeoutMs: 1000, retries: 2, characterBits: 11 };
const round = (over: Partial<PollPlan>, bitRate: BitRate | null = 9600) => {
  const c = chainOf(11, () => ({}), bitRate);
  return { ...c, chain: { ...c.chain, poll: { ...WHOLE, ...over } } };
};
/** Ten units of 95.8333 ms (Modbus over Serial Line V1.02, 2.5.1; a pause of 50 ms, common practice). */
const TEN_S = 0.958333333;

edges(POLL_CYCLE, () => ({
  holds: [round({}), round({ needS: 1.2 })],
  tight: [round({ needS: 1.19 }), round({ needS: 0.96 })],
  stops: [round({ needS: 0.95 }), round({ registers: 125, needS: 1 })],
  without: { 'how the logger goes round': round({ registers: null, timeoutMs: null }) },
  numbers: [[round({ needS: 2 }), { value: TEN_S, limit: 2 }]],
  says: [
    [{ ...round({}), chain: { ...round({}).chain, devices: [] } }, /^Missing: at least two devices$/],
    [
      round({ registers: null, timeoutMs: null }, null),
      /^Missing: bit rate, registers read of each unit, wait for an answer$/,
    ],
    [
      round({ needS: 0.5, registers: 60 }, 9600),
      /^10 units × 210\.4 ms for 60 registers/,
      /silent adds 2\.83 s/,
      /^fewer registers do not do it/,
      /shorter wait/,
      /^no higher bit rate does it/,
      /^10 buses: 0\.21 s/,
    ],
    [
      round({ needS: 1.1, registers: 20 }, 9600),
      /./,
      /./,
      /^6 registers a round, the others in a slower one: 0\.87 s/,
      /./,
      /^19200 bit\/s: 0\.84 s/,
      /^2 buses: 0\.59 s/,
    ],
  ],
}));
