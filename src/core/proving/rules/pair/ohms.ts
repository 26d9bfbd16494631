import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { nearOhm } from '../../../links/line/meterSheet';
import type { PairReading } from '../../readings/busReading';

/** Ohms across a pair at its first device, everything off: a missing terminator or one too many can talk for years before a rate is changed. */
export const BUS_PAIR_OHM = rule<PairReading>()({
  id: 'proving.bus-pair-ohm',
  title: 'Ohms of the pair as planned',
  unit: 'Ω',
  basis: practice('two terminators and the loop of the cable, within 5 % and the leads'),
  needs: {
    read: { as: 'ohms across the pair', of: (r) => r.pairOhm, missing: (r) => [`ohms across the pair at ${r.at}`] },
    expected: {
      as: 'ohms that the pair must show',
      of: (r) => r.expectedOhm.value,
      missing: (r) => r.expectedOhm.missing,
    },
  },
  judge: ({ read, expected }, { means }) =>
    found(
      nearOhm(read, expected) ? 'holds' : 'stop',
      () => [`${fixed(read, 1)} Ω read, ${fixed(expected, 1)} Ω expected`, means],
      { value: read, limit: expected },
    ),
});
