import { edges } from '../../../testing/edges';
import type { AddressReading } from '../../readings/addressReading';
import { ADDRESS_PLANNED } from './planned';

const at = (over: Partial<AddressReading> = {}): AddressReading => ({
  from: 'at the unit',
  address: 3,
  serial: null,
  plannedAddress: 3,
  plannedSerial: null,
  ...over,
});
const first = (over: Partial<AddressReading> = {}) =>
  at({ address: 1, plannedAddress: 1, serial: 'A', plannedSerial: 'A', ...over });

edges(ADDRESS_PLANNED, () => ({
  holds: [at(), at({ serial: 'A' }), at({ plannedSerial: 'A' }), at({ serial: 'A', plannedSerial: 'A' }), first()],
  stops: [
    at({ address: 4 }),
    at({ serial: 'A', plannedSerial: 'B' }),
    at({ address: 4, serial: 'A', plannedSerial: 'A' }),
    first({ serial: 'B' }),
    first({ address: 2 }),
  ],
  without: {
    'address of the unit in the chain': at({ plannedAddress: null }),
    // A unit that nobody touched answers at 1, too.
    'serial read back at the address': first({ serial: null }),
    'serial number of the unit in the chain': first({ plannedSerial: null }),
  },
  says: [
    [at({ address: 4 }), /address 4, planned 3/, /read back: not asked; planned: not known/],
    [at({ serial: 'A' }), /./, /read back: A; planned: not known/],
  ],
}));
