import { practice } from '../../../kernel/check';
import type { Answer } from '../../../kernel/answer';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { whereHoisted } from '../../lift/hoisted';
import { hoistUse } from '../../lift/rigging';
import type { HungUnit } from '../../results';

const hoistOf = (h: HungUnit): Answer<{ riggingKg: number; ratedKg: number } | 'no hoist'> =>
  whereHoisted(
    h,
    ({ riggingKg, ratedKg }) => ({
      'mass of the rigging': riggingKg,
      'rating of the hoist': ratedKg,
    }),
    (k) => ({ riggingKg: k['mass of the rigging'], ratedKg: k['rating of the hoist'] }),
  );

/** Unit and rigging, kg, against the rating of the hoist: 80 % of it wanted at most. */
export const HOIST = rule<HungUnit>()({
  id: 'mounting.hoist',
  title: 'Load on the hoist',
  unit: 'kg',
  basis: practice('80 % of the rating holds, all of it is tight'),
  needs: {
    massKg: { as: 'mass of the unit', of: (h) => h.type.massKg, missing: (h) => [`mass of ${h.type.name}`] },
    hoist: { as: 'rating of the hoist', answer: hoistOf },
  },
  judge: ({ massKg, hoist }) => {
    if (hoist === 'no hoist') return found('holds', () => ['no hoist']);
    const { riggingKg, ratedKg } = hoist;
    const loadKg = massKg + riggingKg;
    return found(
      hoistUse(massKg, riggingKg, ratedKg).verdict,
      () => [`${massKg} kg + ${riggingKg} kg of rigging = ${fixed(loadKg, 1)} kg on a hoist of ${ratedKg} kg`],
      { value: loadKg, limit: ratedKg, margin: (100 * (ratedKg - loadKg)) / ratedKg },
    );
  },
});
