import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { StringReading } from '../../readings/stringReading';

const AS_VERDICT = { pass: 'holds', caution: 'tight', fail: 'stop' } as const;

/** Likeliest explanation of a reading, and what to do next. */
export const CAUSE = rule<StringReading>()({
  id: 'proving.cause',
  title: 'Likeliest explanation',
  unit: 'V',
  basis: practice('priors of field causes, common practice'),
  needs: {},
  judge: (_, { voltageV, ranking }) =>
    found(
      AS_VERDICT[ranking.verdict],
      () => [
        `expected ${fixed(ranking.expected.stringV, 1)} V ± ${fixed(ranking.expected.u95Percent, 2)} % (k = 2); read ${fixed(ranking.deviationPercent, 2)} %`,
        ...ranking.causes
          .slice(0, 2)
          .map(
            (c) => `${fixed(100 * c.probability, 1)} %: ${c.words}. Next: ${c.next}.${c.safety ? ` ${c.safety}.` : ''}`,
          ),
      ],
      { value: voltageV, limit: ranking.expected.stringV },
    ),
});
