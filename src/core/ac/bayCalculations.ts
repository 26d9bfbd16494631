import { z } from 'zod';
import { calculation } from '../kernel/discipline';
import { figure, quantity } from '../kernel/schema';
import { bendRadiusMm, heightForBendMm, lugStraightMm, offsetBendMm } from './bay/bend';
import { mm } from './calculationFields';
import { settingWindowNm } from './torque';

/** What can be computed about a bay without a site. */
export const bayCalculations = {
  'ac-bend': calculation({
    summary: 'Height that a conductor needs to bend from its gland over to a stud (IEC)',
    input: z.object({
      coreMm: mm('Core over its insulation, or a single over its sheath'),
      offsetMm: quantity(0, 1000, 'mm', 'Gland to the stud, sideways'),
      barrelDepthMm: mm('Barrel, depth'),
      palmWidthMm: mm('Palm, width'),
    }),
    output: z.object({
      radiusMm: figure('mm', 'Radius on the axis'),
      bendMm: figure('mm', 'Height of the bend'),
      heightMm: figure('mm', 'Gland plate to stud'),
    }),
    run: ({ coreMm, offsetMm, barrelDepthMm, palmWidthMm }) => {
      const radiusMm = bendRadiusMm(coreMm);
      const bendMm = offsetBendMm(offsetMm, radiusMm);
      return { radiusMm, bendMm, heightMm: heightForBendMm(bendMm, lugStraightMm(barrelDepthMm, palmWidthMm)) };
    },
  }),
  'ac-torque-tool': calculation({
    summary: 'What a tool is set to inside a torque window (ISO 6789-1)',
    input: z
      .object({
        lowNm: quantity(0.5, 200, 'N·m', 'Lower end of the window'),
        highNm: quantity(0.5, 200, 'N·m', 'Upper end of the window'),
      })
      .refine((w) => w.lowNm <= w.highNm, { path: ['highNm'], message: 'The upper end is not below the lower.' }),
    output: z.object({
      lowNm: figure('N·m', 'Least setting'),
      highNm: figure('N·m', 'Most setting'),
      possible: z.boolean().meta({ description: 'There is such a setting' }),
    }),
    run: ({ lowNm, highNm }) => {
      const tool = settingWindowNm(lowNm, highNm);
      return { ...tool, possible: tool.lowNm <= tool.highNm };
    },
  }),
};
