import { expect, it } from 'vitest';
import { chainDeviceOf } from '../../part';
import { edges } from '../../../testing/edges';
import { ADDRESS } from './address';

const device = (tag: string, address: number | null) => ({
  ...chainDeviceOf({ id: tag, tag, typeId: 't', position: null }),
  address,
});
const on = (address: number | null, ...others: (number | null)[]) => ({
  device: device('INV-01', address),
  others: others.map((a, i) => device(`INV-0${i + 2}`, a)),
});

edges(ADDRESS, () => ({
  holds: [on(1), on(247), on(5, 4, 6)],
  stops: [on(0), on(248), on(5, 5)],
  // While one of them has none, nobody knows whom it will answer with.
  without: { 'an address': on(null, 1), 'addresses of all others on the chain': on(5, 4, null) },
  says: [
    [on(null, 1), /^Missing: an address for INV-01/],
    [on(5, null, 4, null), /^Missing: an address for INV-02, INV-04 /],
  ],
}));

it('names who else answers on an address', () =>
  expect(ADDRESS.check(on(5, 5, 7, 5), { element: 'chain', path: '' }).working[0]).toContain('INV-02, INV-04'));
