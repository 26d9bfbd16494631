import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { OPEN_OHM, nearOhm } from '../../../links/line/meterSheet';
import type { PairReading } from '../../readings/busReading';

/** An open pair is expected as one of infinitely many ohms. */
const asPlanned = (readOhm: number, expectedOhm: number): boolean =>
  Number.isFinite(expectedOhm) ? nearOhm(readOhm, expectedOhm) : readOhm >= OPEN_OHM;

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
      asPlanned(read, expected) ? 'holds' : 'stop',
      () => [
        `${fixed(read, 1)} Ω read, ${Number.isFinite(expected) ? `${fixed(expected, 1)} Ω` : 'an open pair'} expected`,
        means,
      ],
      { value: read, limit: Number.isFinite(expected) ? expected : OPEN_OHM },
    ),
});
