import { computed } from '../../../kernel/check';
import { atMost } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { GridLoad } from '../../boardLoad';

/** Apparent power of all inverters, kVA, against the transformer. */
export const TRANSFORMER_LOAD = rule<GridLoad>()({
  id: 'ac.transformer-load',
  title: 'Transformer carries the apparent power',
  unit: 'kVA',
  basis: computed('sum of maximum apparent powers'),
  needs: {
    apparentVa: { as: 'inverters', of: (g) => g.apparentVa },
    ratedKva: { as: 'transformer rating', of: (g) => g.survey.transformerKva },
  },
  judge: ({ apparentVa, ratedKva }) =>
    atMost({
      value: apparentVa / 1000,
      limit: ratedKva,
      working: () => [`Σ S = ${fixed(apparentVa / 1000, 0)} kVA on ${ratedKva} kVA`],
    }),
});
