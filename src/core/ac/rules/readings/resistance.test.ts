import { known, lacking } from '../../../kernel/answer';
import type { ReadResistance } from '../../voltagePath/readResistance';
import { edges } from '../../../testing/edges';
import { RESISTANCE } from './resistance';

const read = (times: number, part: 'run' | 'source' = 'run', of = 0.02): ReadResistance => ({
  part,
  readOhm: known(times * of),
  calculatedOhm: known(of),
});

edges(RESISTANCE, () => ({
  holds: [read(1.2), read(0.4), read(0, 'source')],
  tight: [read(1.2001), read(1.5)],
  stops: [read(1.5001), read(-0.01)],
  without: {
    'two readings': { ...read(1), readOhm: lacking('two readings') },
    'impedance by the design': { ...read(1), calculatedOhm: lacking('section') },
  },
  // 0.0336833 Ω read on 0.023379 Ω: 1.44075 times (worked by hand).
  numbers: [[read(0.0336833 / 0.023379, 'run', 0.023379), { value: 0.0336833 / 0.023379, limit: 1.5 }]],
  says: [
    [read(1), /^20\.00 mΩ read, 20\.00 mΩ by the design: 1\.00 times$/, /^The run is as designed/],
    [read(1.3), /1\.30 times$/, /^Ours: a loose/],
    [read(1.6, 'source'), /1\.60 times$/, /^Between board and grid/],
    [read(1, 'source'), /1\.00 times$/, /^Main cable, transformer and network/],
    [read(-1), /-?1\.00 times$/, /fell as power rose/],
  ],
}));
