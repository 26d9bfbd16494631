import { expect, it } from 'vitest';
import { edges } from '../../../testing/edges';
import { onTracker } from '../../../testing/subjects';
import { OPERATING } from './operating';

const TWO_A = 2 * 13.44;
const two = (trackerOperatingMaxA: number) => onTracker({ type: { trackerOperatingMaxA } }, [{}, {}]);

edges(OPERATING, () => ({
  holds: [two(TWO_A), two(32)],
  tight: [two(TWO_A - 0.01), two(20)],
  without: {
    'rear-side share of the plane': onTracker({ plane: { rearShare: null } }, [{}, {}]),
  },
  numbers: [[two(32), { value: TWO_A, limit: 32 }]],
  says: [
    [two(32), /1\.000 × 13\.44 A × 2 = 26\.88 A on 32\.00 A$/],
    [two(TWO_A / 1.05), /./, /^Over by 5\.0 %/],
  ],
}));

it('says when the loss is felt: in the best hours to 10 % over, on most clear days beyond', () => {
  const last = (limit: number) => OPERATING.check(two(limit), { element: 'tracker', path: '' }).working.at(-1);
  expect(last(TWO_A / 1.1)).toContain('best hours');
  expect(last(TWO_A / 1.101)).toContain('most clear days');
});
