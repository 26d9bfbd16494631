import { expect, it } from 'vitest';
import { chainOf } from '../../../testing/chains';
import { edges } from '../../../testing/edges';
import { LENGTH } from './length';

/** One measured hop of this much cable: 1.05 × route + 1 m at both ends (common practice). */
const cable = (m: number, bitRate: Parameters<typeof chainOf>[2] = 9600) =>
  chainOf(2, (_, i) => (i === 1 ? { hopM: (m - 2) / 1.05, hopFromId: 'dev-inv-1' } : {}), bitRate);

edges(LENGTH, () => ({
  holds: [cable(1200), cable(1e8 / 115_200, 115_200)],
  stops: [cable(1200.1), cable(1e8 / 115_200 + 0.1, 115_200)],
  without: {
    'bit rate': cable(100, null),
    'routes or positions': { ...cable(100), lengthM: { value: null, missing: ['route or positions for A to B'] } },
  },
  numbers: [[cable(300), { value: 300, limit: 1200, margin: 75 }]],
}));

it('asks where two devices stand that stand in one another: no hop is of no length', () => {
  const here = { xM: 1, yM: 1, zM: 1 };
  const c = chainOf(2, (d) => ({ ...d, inverterId: null, position: here }));
  expect(LENGTH.check(c, { element: 'chain', path: '' }).working[0]).toMatch(/^Missing: route or positions/);
});
