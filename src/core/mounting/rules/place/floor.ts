import { practice } from '../../../kernel/check';
import { atLeast } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import { floorMinOf } from '../../clearances';
import type { HungUnit } from '../../results';

/** Over a flood or snow mark a lower edge stays so far, mm (common practice). */
const OVER_WATER_MM = 150;

/** Height of the lower edge, mm, against the least over the floor and 150 mm over the mark of flood or snow. */
export const FLOOR = rule<HungUnit>()({
  id: 'mounting.floor',
  title: 'Lower edge over floor and water',
  unit: 'mm',
  basis: practice(),
  needs: {
    floorMm: { as: 'lowest lower edge', answer: (h) => floorMinOf(h.wall, h.type) },
    waterMm: { as: 'flood or snow mark of the wall', of: (h) => h.wall.waterMarkMm },
  },
  judge: ({ floorMm, waterMm }, { at }) => {
    const overWaterMm = waterMm > 0 ? waterMm + OVER_WATER_MM : 0;
    return atLeast({
      value: at.yMm,
      limit: Math.max(floorMm, overWaterMm),
      working: () => [
        `lower edge ${at.yMm} mm; floor asks for ${floorMm} mm`,
        waterMm > 0 ? `mark ${waterMm} mm + ${OVER_WATER_MM} mm = ${overWaterMm} mm` : 'no flood or snow mark',
      ],
    });
  },
});
