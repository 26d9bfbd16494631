import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { nearOhm } from '../../../links/line/meterSheet';
import type { BusReading } from '../../readings/busReading';

/** Ohms across the pair at the first device, everything off: a missing terminator or one too many can talk for years before a rate is changed. */
export const BUS_PAIR_OHM = rule<BusReading>()({
  id: 'proving.bus-pair-ohm',
  title: 'Ohms of the pair as planned',
  unit: 'Ω',
  basis: practice('two terminators and the loop of the cable, within 5 % and the leads'),
  needs: {
    expected: {
      as: 'ohms that the pair must show',
      of: (r) => r.expectedOhm.value,
      missing: (r) => r.expectedOhm.missing,
    },
  },
  judge: ({ expected }, { pairOhm, means }) =>
    found(
      nearOhm(pairOhm, expected) ? 'holds' : 'stop',
      () => [`${fixed(pairOhm, 1)} Ω read, ${fixed(expected, 1)} Ω expected`, means],
      { value: pairOhm, limit: expected },
    ),
});
