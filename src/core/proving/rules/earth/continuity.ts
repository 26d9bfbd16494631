import type { Answer } from '../../../kernel/answer';
import { published } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { EarthVerdict } from '../../measure/earthContinuity';

/** One earth conductor, by its name, with what its measurement proves. */
export interface EarthReading {
  readonly name: string;
  readonly proof: Answer<EarthVerdict>;
}

/** Resistance of an earth conductor against what its own length and section should read, Ω. */
export const EARTH_CONTINUITY = rule<EarthReading>()({
  id: 'proving.earth-continuity',
  title: 'Earth reads like its conductor',
  unit: 'Ω',
  basis: published('IEC 60364-6, 6.4.3.2, and IEC 61557-4 for the method; limit common practice'),
  reads: 'resistance',
  needs: { proof: { as: 'an earth measurement that proves something', answer: (r) => r.proof } },
  judge: ({ proof }, { name }) =>
    found(
      proof.verdict,
      () => [
        `${name}: R = ${fixed(proof.ohm, 3)} Ω; bare ${fixed(proof.bareOhm, 4)} Ω, with joints ${fixed(proof.expectedOhm, 4)} Ω`,
        `R_lim = 1.25·R_exp + 0.05 Ω = ${fixed(proof.limitOhm, 4)} Ω`,
        proof.text,
      ],
      { value: proof.ohm, limit: proof.limitOhm, margin: (100 * (proof.limitOhm - proof.ohm)) / proof.limitOhm },
    ),
});
