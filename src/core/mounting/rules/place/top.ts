import { published } from '../../../kernel/check';
import { atMost, withVerdict } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { HungUnit } from '../../results';

/** A switch is reached from the floor up to here, mm; over it people need a platform. */
const REACH_MM = 2000;

/** Height of the upper edge, mm, against the highest that the wall allows; over 2 m a caution: a platform for service. */
export const TOP = rule<HungUnit>()({
  id: 'mounting.top',
  title: 'Upper edge within reach',
  unit: 'mm',
  basis: published('NFPA 70 404.8(A), 2.0 m to a switch; common practice elsewhere'),
  needs: { size: { as: 'size and clearances of the unit', answer: (h) => h.size } },
  judge: ({ size }, { wall, at }) => {
    const topMm = at.yMm + size.heightMm;
    const limit = wall.topMostMm ?? wall.heightMm;
    const kept = atMost({
      value: topMm,
      limit,
      working: () => [`${at.yMm} + ${size.heightMm} = ${topMm} mm; at most ${limit} mm`],
    });
    return topMm > REACH_MM && kept.verdict !== 'stop'
      ? withVerdict(kept, 'tight', () => [`over ${REACH_MM} mm: a platform for service, and gear to hang it`])
      : kept;
  },
});
