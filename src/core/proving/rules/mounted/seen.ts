import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { MountedReading } from '../../readings/mountedReading';

/** What is looked at before anybody turns their back on a unit: both hooks engaged, nothing else in its air. */
export const SEEN = rule<MountedReading>()({
  id: 'proving.mounted-seen',
  title: 'Hooks engaged and air kept free',
  unit: '',
  basis: practice('looked at on both sides before the slings or hands come off'),
  needs: {},
  judge: (_, { hooksEngaged, clearancesKept }) =>
    found(hooksEngaged && clearancesKept ? 'holds' : 'stop', () => [
      hooksEngaged ? 'both hooks engaged' : 'a hook is not engaged: take the load up again',
      clearancesKept ? 'clearances as drawn' : 'something stands in its air',
    ]),
});
