import { practice } from '../../../kernel/check';
import { atLeast, found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { HungUnit } from '../../results';

/** Out of reach of whoever passes, mm (common practice). */
const OUT_OF_REACH_MM = 2500;

/** Where the public gets to the wall and no fence stands, lower edges are 2.5 m up, or a fence is put up. */
export const PUBLIC_REACH = rule<HungUnit>()({
  id: 'mounting.public-reach',
  title: 'Out of reach of the public',
  unit: 'mm',
  basis: practice(),
  needs: { open: { as: 'whether the public reaches the wall', of: (h) => h.wall.publicReach } },
  judge: ({ open }, { at }) =>
    open
      ? atLeast({
          value: at.yMm,
          limit: OUT_OF_REACH_MM,
          working: () => [`lower edge ${at.yMm} mm; without a fence ${OUT_OF_REACH_MM} mm`],
        })
      : found('holds', () => ['the public does not get there']),
});
