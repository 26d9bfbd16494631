import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import { FACTORY_ADDRESS } from '../../../links/addresses';
import type { AddressReading } from '../../readings/addressReading';

/** Whoever answers at the factory address may be any unit that nobody touched: there the serial decides. */
const bySerial = (r: AddressReading) => r.plannedAddress === FACTORY_ADDRESS;

/** The unit has the address of the plan, and is the unit that the plan means: at the factory address by its serial, elsewhere where one was read. */
export const ADDRESS_PLANNED = rule<AddressReading>()({
  id: 'proving.address-planned',
  title: 'Bus address as planned',
  unit: '',
  basis: practice('unique on its bus; 1 only where the serial read back is the planned one'),
  needs: {
    planned: { as: 'address of the unit in the chain', of: (r) => r.plannedAddress },
    serial: { as: 'serial read back at the address', of: (r) => (bySerial(r) ? r.serial : (r.serial ?? 'not asked')) },
    plannedSerial: {
      as: 'serial number of the unit in the chain',
      of: (r) => (bySerial(r) ? r.plannedSerial : (r.plannedSerial ?? 'not known')),
    },
  },
  judge: ({ planned, serial, plannedSerial }, r) => {
    const other = r.serial !== null && r.plannedSerial !== null && r.serial !== r.plannedSerial;
    return found(r.address === planned && !other ? 'holds' : 'stop', () => [
      `address ${r.address}, planned ${planned}`,
      `serial read back: ${serial}; planned: ${plannedSerial}`,
    ]);
  },
});
