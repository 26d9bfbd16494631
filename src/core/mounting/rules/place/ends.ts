import { dataSheet } from '../../../kernel/check';
import { rule } from '../../../kernel/rule';
import { freeEnough } from '../../freeWay';
import type { HungUnit } from '../../results';

/** Free way to the ends of the wall and to its upper and lower edge, mm, against what the unit keeps free. Beside an open end nothing stands. */
export const ENDS = rule<HungUnit>()({
  id: 'mounting.ends',
  title: 'Clear of the ends of the wall',
  unit: 'mm',
  basis: dataSheet('clearances; its class where the sheet is silent'),
  needs: { size: { as: 'size and clearances of the unit', answer: (h) => h.size } },
  judge: ({ size }, { wall, at }) =>
    freeEnough(
      [
        { to: 'the left end', freeMm: at.xMm, askedMm: wall.leftOpen ? 0 : size.leftMm },
        {
          to: 'the right end',
          freeMm: wall.widthMm - at.xMm - size.widthMm,
          askedMm: wall.rightOpen ? 0 : size.rightMm,
        },
        { to: 'the lower edge', freeMm: at.yMm, askedMm: size.bottomMm },
        { to: 'the upper edge', freeMm: wall.heightMm - at.yMm - size.heightMm, askedMm: size.topMm },
      ],
      '',
    ),
});
