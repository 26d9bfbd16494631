import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { MountedReading } from '../../readings/mountedReading';

/** Both sides, where the sheet shows no holes of its own (common practice). */
const BOTH_SIDES = 2;

/** Every safety screw is in: the unit cannot be lifted off its hooks. */
export const SAFETY_SCREWS = rule<MountedReading>()({
  id: 'proving.safety-screws',
  title: 'Every safety screw in',
  unit: 'screws',
  basis: practice('as many as the sheet has holes for, both sides at least'),
  needs: {},
  judge: (_, { type, safetyScrews }) => {
    const wanted = Math.max(BOTH_SIDES, type.body.safetyHoles.length);
    return found(safetyScrews >= wanted ? 'holds' : 'stop', () => [`${safetyScrews} in, ${wanted} wanted`], {
      value: safetyScrews,
      limit: wanted,
    });
  },
});
