import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';

/** A joint that was tried again at its target. */
export interface TriedAgain {
  readonly at: string;
  readonly turned: boolean;
  readonly toolHolds: boolean | null;
}

/** A joint that does not turn before its target is reached. One that does was loose, and its neighbours were tightened the same way. */
export const HELD_TORQUE = rule<TriedAgain>()({
  id: 'proving.held-torque',
  title: 'Joint held its torque',
  unit: '',
  basis: practice('a joint that turns before its target is found loose; its neighbours are added'),
  needs: { toolHolds: { as: 'torque range of the tool', of: ({ turned, toolHolds }) => turned || toolHolds || null } },
  judge: (_, { at, turned }) =>
    turned
      ? found('stop', () => [`${at} turned before its target: found loose. Torque every joint of the unit anew.`])
      : found('holds', () => [`${at} held`]),
});
