import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { SetUpReading } from '../../readings/setUpReading';

/** Address and bit rate that the unit shows are those of the chain. */
export const SET_UP_BUS = rule<SetUpReading>()({
  id: 'proving.set-up-bus',
  title: 'Address and bit rate of the chain',
  unit: '',
  basis: practice('read back from the unit; alike at every unit and at the logger'),
  needs: {
    address: { as: 'address of the unit in the chain', of: (r) => r.site.address },
    bitRate: { as: 'bit rate of the chain', of: (r) => r.site.bitRate },
    shownAddress: { as: 'address that the unit shows', of: (r) => r.address },
    shownRate: { as: 'bit rate that the unit shows', of: (r) => r.bitRate },
  },
  judge: ({ address, bitRate, shownAddress, shownRate }) =>
    found(address === shownAddress && bitRate === shownRate ? 'holds' : 'stop', () => [
      `set: ${shownAddress} at ${shownRate} bit/s; planned: ${address} at ${bitRate} bit/s`,
    ]),
});
