import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';

/** What is out of order in the tightening of a unit's joints, in words. */
export interface Tightening {
  readonly outOfOrder: readonly string[];
}

/** Joints tightened in their order: out of it is no fault of a joint, and worth a look at what was bent. */
export const TIGHTENING_ORDER = rule<Tightening>()({
  id: 'proving.tightening-order',
  title: 'Joints tightened in their order',
  unit: '',
  basis: practice('the earth first, then from one side to the other; the list of the maker outranks it'),
  needs: {},
  judge: (_, { outOfOrder }) =>
    outOfOrder.length ? found('tight', () => outOfOrder) : found('holds', () => ['the earth first, then side to side']),
});
