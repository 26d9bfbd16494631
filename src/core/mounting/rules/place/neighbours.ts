import { dataSheet } from '../../../kernel/check';
import { rule } from '../../../kernel/rule';
import type { FreeWay } from '../../freeWay';
import { freeEnough } from '../../freeWay';
import type { Hung, Wall } from '../../part';
import type { HungUnit } from '../../results';
import type { WallUnit } from '../../wall/problem';
import { gapBetween } from '../../wall/problem';

type Placed = readonly [Hung, WallUnit];

/** Gap to the nearest unit on the same wall, mm: free enough sideways is enough, or upward where the wall allows stacking. By the wall's school, the larger of both gaps or their sum. */
export const NEIGHBOURS = rule<HungUnit>()({
  id: 'mounting.neighbours',
  title: 'Gap to the units beside it',
  unit: 'mm',
  basis: dataSheet('gaps between units; its class where the sheet is silent'),
  needs: {
    size: { as: 'size and clearances of the unit', answer: (h) => h.size },
    others: {
      as: 'size and clearances of the units beside it',
      of: (h) => (h.others.every((o) => o.size.value) ? h.others : null),
      missing: (h) => h.others.flatMap((o) => o.size.missing),
    },
  },
  judge: ({ size, others }, { wall, at }) =>
    freeEnough(
      others.flatMap((o) => (o.size.value ? [gapTo(o.unit.tag, [at, size], [o.at, o.size.value], wall)] : [])),
      'alone on the wall',
    ),
});

function gapTo(to: string, [a, u]: Placed, [b, v]: Placed, { gaps, stacking }: Wall): FreeWay {
  const asked = gapBetween(u, v, gaps);
  const besideMm = Math.max(b.xMm - a.xMm - u.widthMm, a.xMm - b.xMm - v.widthMm);
  const overMm = Math.max(b.yMm - a.yMm - u.heightMm, a.yMm - b.yMm - v.heightMm);
  return !stacking || besideMm - asked.besideMm >= overMm - asked.stackedMm
    ? { to, freeMm: besideMm, askedMm: asked.besideMm }
    : { to, freeMm: overMm, askedMm: asked.stackedMm };
}
