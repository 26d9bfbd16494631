import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { MountedReading } from '../../readings/mountedReading';

/** Corners of a bracket, where the sheet gives no holes (common practice). */
const CORNERS = 4;

/** Every fixing of the bracket is torqued: as many as the sheet has holes for. */
export const FIXINGS = rule<MountedReading>()({
  id: 'proving.bracket-fixings',
  title: 'Every fixing of the bracket torqued',
  unit: 'fixings',
  basis: practice('every hole of the bracket; all four corners where the sheet gives none'),
  needs: {},
  judge: (_, { type, fixings }) => {
    const wanted = type.body.bracketHoles.length || CORNERS;
    return found(fixings >= wanted ? 'holds' : 'stop', () => [`${fixings} torqued, ${wanted} wanted`], {
      value: fixings,
      limit: wanted,
    });
  },
});
