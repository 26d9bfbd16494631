import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { SetUpReading } from '../../readings/setUpReading';

/** Nominal voltage and frequency that the unit goes by are those of the supply: a code set for another window trips, or does not trip. */
export const SET_UP_NOMINAL = rule<SetUpReading>()({
  id: 'proving.set-up-nominal',
  title: 'Nominal voltage and frequency of the supply',
  unit: 'V',
  basis: practice('voltage and frequency of the code equal those of the system'),
  needs: {
    lineV: { as: 'line voltage of the supply', of: (r) => r.site.lineV },
    hz: { as: 'frequency of the supply', of: (r) => r.site.frequencyHz },
  },
  judge: ({ lineV, hz }, { nominalV, nominalHz }) =>
    found(
      nominalV === lineV && nominalHz === hz ? 'holds' : 'stop',
      () => [`set: ${nominalV} V, ${nominalHz} Hz; supply: ${lineV} V, ${hz} Hz`],
      { value: nominalV, limit: lineV },
    ),
});
