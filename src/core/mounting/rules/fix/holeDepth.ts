import { practice } from '../../../kernel/check';
import { atMost } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { HungUnit } from '../../results';

/** Behind a hole at least this stays of the wall, mm, or two diameters (common practice). */
const LEFT_MM = 30;

/** Depth of the anchors' holes, mm, against what leaves max(30 mm, 2·d) of the wall behind them. */
export const HOLE_DEPTH = rule<HungUnit>()({
  id: 'mounting.hole-depth',
  title: 'Holes leave enough of the wall',
  unit: 'mm',
  basis: practice('the approval wins'),
  needs: {
    depthMm: { as: 'depth of the anchor’s hole', of: (h) => h.wall.anchorDepthMm },
    holeMm: { as: 'hole for the anchor', of: (h) => h.wall.anchorHoleMm },
    thicknessMm: { as: 'thickness of the wall', of: (h) => h.wall.thicknessMm },
  },
  judge: ({ depthMm, holeMm, thicknessMm }) => {
    const limit = thicknessMm - Math.max(LEFT_MM, 2 * holeMm);
    return atMost({
      value: depthMm,
      limit,
      working: () => [`${thicknessMm} − max(${LEFT_MM}, 2 · ${holeMm}) = ${limit} mm; hole ${depthMm} mm deep`],
    });
  },
});
