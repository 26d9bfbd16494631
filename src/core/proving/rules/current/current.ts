import type { Answer } from '../../../kernel/answer';
import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { CurrentVerdict } from '../../measure/stringCurrent';

export interface CurrentReading {
  readonly currentA: number;
  readonly proof: Answer<CurrentVerdict>;
}

/** Current of a string against its light and its sisters, A. */
export const STRING_CURRENT_RULE = rule<CurrentReading>()({
  id: 'proving.string-current',
  title: 'Current as the light and the sisters say',
  unit: 'A',
  basis: practice('IEC 62446-1, 6.6 for 5 % of sisters (recalled); bands against the light common practice'),
  needs: { proof: { as: 'light that says something', answer: (r) => r.proof } },
  judge: ({ proof: { verdict, expectedA, offPercent, text } }, { currentA }) =>
    found(
      verdict,
      () => [`I_exp = ${fixed(expectedA, 2)} A; read ${fixed(currentA, 2)} A, ${fixed(offPercent, 1)} %`, text],
      {
        value: currentA,
        limit: expectedA,
      },
    ),
});
