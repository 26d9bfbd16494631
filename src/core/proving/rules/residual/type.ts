import { published } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { ResidualReading } from '../../readings/residualReading';

/** A device beside a transformerless unit sees smooth direct current, unless the maker says that he takes care of it. */
export const RESIDUAL_TYPE = rule<ResidualReading>()({
  id: 'proving.residual-type',
  title: 'Residual-current type for this unit',
  unit: '',
  basis: published('IEC 60364-7-712'),
  needs: {
    allowed: {
      as: 'whether the unit’s maker allows another type than B',
      of: ({ type, typeAAllowed }) => (type === 'B' || type === 'B+' ? true : typeAAllowed),
    },
  },
  judge: ({ allowed }, { type }) => found(allowed ? 'holds' : 'stop', () => [`type ${type}`]),
});
