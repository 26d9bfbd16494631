import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { BusReading } from '../../readings/busReading';

/** Asked at the rate at which the site will run: a bus that talks at 9600 bit/s may not at 57600. */
export const BUS_BIT_RATE = rule<BusReading>()({
  id: 'proving.bus-bit-rate',
  title: 'Asked at the bit rate of the plan',
  unit: 'bit/s',
  basis: practice('a fault of the line can pass at a low rate and show at a higher one'),
  needs: { planned: { as: 'bit rate of the chain', of: (r) => r.plannedBitRate } },
  judge: ({ planned }, { bitRate }) =>
    found(bitRate === planned ? 'holds' : 'stop', () => [`asked at ${bitRate} bit/s, planned ${planned} bit/s`], {
      value: bitRate,
      limit: planned,
    }),
});
