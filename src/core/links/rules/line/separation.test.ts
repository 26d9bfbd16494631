import { wholeChain } from '../../../testing/chains';
import { edges } from '../../../testing/edges';
import type { BusLine } from '../../line/busLine';
import { SEPARATION } from './separation';

const beside = (line: Partial<BusLine>) => wholeChain(2, 10, line);
const en = (separationMm: number, over: Partial<BusLine> = {}) =>
  beside({ separationBy: 'EN 50174-2', separationMm, barrier: 'none', cableClass: 'c', powerCircuits: 27, ...over });
const american = (separationMm: number, barrier: BusLine['barrier']) =>
  beside({ separationBy: 'NFPA 70, 725.136', separationMm, barrier });

edges(SEPARATION, () => ({
  holds: [
    beside({ separationMm: 200 }),
    // Class c, 27 circuits, no barrier: 50 mm twice (EN 50174-2; recalled).
    en(100),
    en(0, { barrier: 'solid metallic' }),
    american(50, 'none'),
    american(0, 'open metallic'),
  ],
  stops: [beside({ separationMm: 199 }), en(99), american(49, 'none'), beside({ separationMm: 0 })],
  without: {
    'what the distance from power cables is judged by': beside({ separationBy: null }),
    'distance of the bus cable from power cables': beside({ separationMm: null }),
    'barrier, separation class and circuits beside the bus cable': en(100, { barrier: null }),
  },
  numbers: [
    [en(150), { value: 150, limit: 100, margin: 50 }],
    [american(0, 'open metallic'), { value: 0, limit: 0 }],
  ],
  says: [
    [
      en(100, { cableClass: null, powerCircuits: null }),
      /^Missing: separation class of the bus cable, power circuits beside the bus cable$/,
    ],
    [american(60, null), /^Missing: barrier between bus and power$/],
    [american(0, 'open metallic'), /open metallic barrier/],
  ],
}));
