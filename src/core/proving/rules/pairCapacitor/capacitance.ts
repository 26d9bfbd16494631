import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { PairReading } from '../../readings/busReading';

/** A reading is as planned this near to it: capacitors and cable both vary (common practice). */
const NEAR = 0.2;

/** What the ohms of a pair cannot show where its terminators block direct current: that they are there, and how many. */
export const PAIR_CAPACITANCE = rule<PairReading>()({
  id: 'proving.bus-pair-capacitance',
  title: 'Capacitors at both ends of the pair',
  unit: 'nF',
  basis: practice('the capacitors of all terminators and the cable’s own, within a fifth'),
  needs: {
    read: {
      as: 'capacitance across the pair',
      of: (r) => r.pairNf,
      missing: (r) => [`capacitance across the pair at ${r.at}`],
    },
    expected: {
      as: 'capacitance that the pair must show',
      of: (r) => r.expectedNf?.value ?? null,
      missing: (r) => r.expectedNf?.missing ?? [],
    },
  },
  judge: ({ read, expected }) =>
    found(
      Math.abs(read - expected) <= NEAR * expected ? 'holds' : 'stop',
      () => [`${fixed(read, 1)} nF read, ${fixed(expected, 1)} nF expected with the cable`],
      { value: read, limit: expected },
    ),
});
