import { dataSheet } from '../../../kernel/check';
import { rule } from '../../../kernel/rule';
import { obstructionsOf } from '../../clearances';
import type { FreeWay } from '../../freeWay';
import { freeEnough } from '../../freeWay';
import type { Hung } from '../../part';
import type { HungUnit } from '../../results';
import type { Obstruction, WallUnit } from '../../wall/problem';

/** Free way to what stands on the wall, mm: the unit's own clearance where it blocks air, its own margin in any case, the larger of the two. */
export const OBSTRUCTIONS = rule<HungUnit>()({
  id: 'mounting.obstructions',
  title: 'Clear of what stands on the wall',
  unit: 'mm',
  basis: dataSheet('clearances; margins of common practice'),
  needs: { size: { as: 'size and clearances of the unit', answer: (h) => h.size } },
  judge: ({ size }, { wall, at }) =>
    freeEnough(
      obstructionsOf(wall).map((o) => wayTo(o, at, size)),
      'nothing stands on the wall',
    ),
});

/** The side on which the unit is freest of the obstruction: one free side is enough. */
function wayTo(o: Obstruction, at: Hung, u: WallUnit): FreeWay {
  const asked = (clearanceMm: number) => (o.blocksAir ? Math.max(clearanceMm, o.marginMm) : o.marginMm);
  const sides = [
    { freeMm: at.xMm - (o.xMm + o.widthMm), askedMm: asked(u.leftMm) },
    { freeMm: o.xMm - (at.xMm + u.widthMm), askedMm: asked(u.rightMm) },
    { freeMm: at.yMm - (o.yMm + o.heightMm), askedMm: asked(u.bottomMm) },
    { freeMm: o.yMm - (at.yMm + u.heightMm), askedMm: asked(u.topMm) },
  ];
  const best = sides.reduce((a, b) => (b.freeMm - b.askedMm > a.freeMm - a.askedMm ? b : a));
  return { to: o.label, ...best };
}
