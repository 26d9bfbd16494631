import { expect, it } from 'vitest';
import { edges } from '../../../testing/edges';
import { onTracker } from '../../../testing/subjects';
import { REVERSE_CURRENT } from './reverseCurrent';

/** What one string pushes: 1.25 × 14.21 A = 17.76 A. A fuse lies above 1.5 × and to 2.4 × I_sc (IEC) or from 1.5625 × (NEC; recalled). */
const ISC = 14.21;
const strings = (n: number, fuseA: number | null = null, over: Parameters<typeof onTracker>[0] = {}) =>
  onTracker(
    { ...over, cable: { fuseA } },
    Array.from({ length: n }, () => ({})),
  );
const moduleFuse = (fuseMaxA: number, n = 2) => strings(n, null, { module: { fuseMaxA } });
const nec = (fuseA: number, iscA = ISC) => strings(3, fuseA, { survey: { school: 'NEC' }, module: { iscA } });
/** A second module on the tracker that takes less. */
const unlike = (fuseMaxA: number, fuseA: number | null = null) =>
  onTracker({ cable: { fuseA } }, [{}, { module: { fuseMaxA } }]);

edges(REVERSE_CURRENT, () => ({
  holds: [
    strings(1),
    moduleFuse(1.25 * ISC),
    strings(3, 25),
    nec(25, 16),
    nec(25),
    // Fitted though not needed: it has to protect all the same.
    strings(1, 25),
    strings(2, 25),
  ],
  stops: [
    moduleFuse(1.25 * ISC - 0.01),
    strings(3),
    strings(3, 20),
    strings(3, 30),
    nec(20),
    nec(25, 16.01),
    nec(30),
    // Above the module, no rating that is made, too small: none of them is a fuse because one string needs none.
    strings(1, 30),
    strings(1, 24),
    strings(2, 16),
    // The smallest module maximum on the tracker rules, with and without fuses.
    unlike(17.75),
    unlike(20, 25),
  ],
  without: {
    'rear-side share of the plane': onTracker({ plane: { rearShare: null } }, [{}, {}]),
  },
  numbers: [
    [strings(2), { value: 1.25 * ISC, limit: 25 }],
    [strings(3), { value: 2 * 1.25 * ISC, limit: 25 }],
    [strings(3, 25), { value: 25, limit: 25, margin: 0 }],
    [strings(1), { value: 0 }],
    [unlike(20), { limit: 20 }],
    [unlike(20, 25), { value: 25, limit: 20 }],
  ],
  says: [
    [strings(2), /1 × 17\.76 A = 17\.76 A; module fuse 25/],
    [strings(3, 25), /lies above 21\.3\d* A and at most at 25\.00 A, of a rating that is made; 25 A is fitted/],
    [nec(25), /lies from 22\.20 A/],
  ],
}));

it('offers the fuse that fits, or fewer strings where none does', () => {
  const last = (t: ReturnType<typeof strings>) =>
    REVERSE_CURRENT.check(t, { element: 'tracker', path: '' }).working.at(-1);
  expect(last(strings(3))).toContain('fit 25 A in both poles, or hang at most 2 strings');
  expect(last(strings(3, null, { module: { fuseMaxA: 20 } }))).toContain('no standard rating does. Use at most 2');
});
