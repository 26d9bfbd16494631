import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { PvString } from '../../../site/parts';

/** A string that hangs nowhere has no tracker, no voltage limit and no cable: nothing of it can be judged. */
export const HANGS = rule<PvString>()({
  id: 'strings.hung',
  title: 'Hangs on an input',
  unit: '',
  basis: practice('a string that hangs nowhere cannot be judged'),
  needs: { place: { as: 'an input', of: (s) => s.place } },
  judge: ({ place }) => found('holds', () => [`tracker ${place.tracker}, input ${place.input}`]),
});
