import { known, lacking } from '../../../kernel/answer';
import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { Survey } from '../../../site/survey';
import { openTemperatureQuestions } from '../../../site/temperatureQuestions';

/** Whether the design temperatures can be those of the place. What looks like a slip is asked about; an answer is kept for those very values. */
export const TEMPERATURES = rule<Survey>()({
  id: 'strings.design-temperatures',
  title: 'Design temperatures fit the place',
  unit: '',
  basis: practice('climates by latitude, general knowledge, no published source'),
  needs: {
    coldestC: { as: 'lowest design temperature', of: (s) => s.coldestC },
    hottestC: { as: 'hot design temperature', of: (s) => s.hottestC },
    latitudeDeg: { as: 'latitude', of: (s) => s.latitudeDeg },
    altitudeM: { as: 'altitude', of: (s) => s.altitudeM },
    looked: {
      as: 'a look at the design temperatures',
      answer: (s) => {
        const open = openTemperatureQuestions(s);
        return open.length ? lacking(...open.map((q) => q.text)) : known(true);
      },
    },
  },
  judge: ({ coldestC, hottestC, latitudeDeg }, { confirmed }) =>
    found('holds', () => [
      `${coldestC} °C to ${hottestC} °C at ${latitudeDeg}°`,
      ...(confirmed.length ? ['Asked about, and confirmed for these values.'] : []),
    ]),
});
