import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import { LIGHT_STANDS_MS, lightStands } from '../../light';

/** How long before its string the light was read, ms; null where that is not known. */
export interface LightReading {
  readonly ageMs: number | null;
}

/** Whether the light was read for this string: with it, or within ten minutes before it. */
export const LIGHT_IN_TIME = rule<LightReading>()({
  id: 'proving.light-in-time',
  title: 'Light read with the string',
  unit: 'min',
  basis: practice('one reading of the light serves ten minutes'),
  needs: {
    ageMs: {
      as: 'a reading of the light within ten minutes before the string',
      of: ({ ageMs }) => (ageMs !== null && lightStands(ageMs) ? ageMs : null),
    },
  },
  judge: ({ ageMs }) =>
    found('holds', () => [`read ${Math.round(ageMs / 60_000)} min before`], {
      value: ageMs / 60_000,
      limit: LIGHT_STANDS_MS / 60_000,
    }),
});
