import { wholeChain } from '../../../testing/chains';
import { edges } from '../../../testing/edges';
import { DRIVER_LOAD } from './driverLoad';

/** Two terminators of 120 Ω and 650 + 650 Ω of bias, so many unit loads in all (TIA/EIA-485-A and a polarised bus; recalled). */
const loaded = (unitLoads: number, ohm = 650) =>
  wholeChain(8, 100, { pullUpOhm: ohm, pullDownOhm: ohm }, () => ({ unitLoads: unitLoads / 8 }));
const without = (line: Parameters<typeof wholeChain>[2]) => wholeChain(8, 100, line, () => ({ unitLoads: 1 }));

edges(DRIVER_LOAD, () => ({
  holds: [loaded(25.9), without({ biasAt: 'nowhere' })],
  tight: [loaded(26), loaded(28)],
  stops: [wholeChain(8, 100, {}, (_, i) => ({ terminated: i < 3 })), loaded(32, 200)],
  without: {
    'resistance of the terminators': without({ terminatorOhm: null }),
    'where the pair is biased': without({ biasAt: null }),
    'unit loads of every device': {
      ...loaded(8),
      unitLoads: { value: null, missing: ['unit loads of LOG'] },
    },
  },
  numbers: [
    [loaded(28), { value: 53.75603032, limit: 50 }],
    [without({ biasAt: 'nowhere' }), { value: 58.8235294 }],
  ],
  says: [
    [without({ biasAt: 'nowhere' }), /^2 terminators \(120, 120 Ω\), 8.000 unit loads of 24 kΩ, no bias$/, /54 Ω/],
  ],
}));
