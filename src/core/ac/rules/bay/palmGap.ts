import { practice } from '../../../kernel/check';
import { atLeast } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { palmMissing, palmWidthMm } from '../../palm';
import { palmGapLimitsMm } from '../../palmGap';
import type { RunResult } from '../../results';

/** Air between neighbouring palms, mm: spacing of the studs less the palm. Between least and wanted fit a barrier: tight. */
export const PALM_GAP = rule<RunResult>()({
  id: 'ac.palm-gap',
  title: 'Air between neighbouring palms',
  unit: 'mm',
  basis: practice('10 mm to 480 V, 14 mm above; least by IEC 60664-1'),
  needs: {
    palmMm: { as: 'palm width of the lug', of: palmWidthMm, missing: palmMissing },
    lineV: { as: 'nominal line voltage', of: (r) => r.survey.lineV },
    spacingMm: {
      as: 'stud spacing, from the sheet',
      of: (r) => r.type.bay.studSpacingMm,
      missing: (r) => [`stud spacing of ${r.type.name}`],
    },
  },
  judge: ({ palmMm, lineV, spacingMm }) => {
    const { leastMm, wantedMm } = palmGapLimitsMm(lineV);
    const gapMm = spacingMm - palmMm;
    return atLeast(
      {
        value: gapMm,
        limit: leastMm,
        working: () => [
          `spacing ${spacingMm} mm − palm ${palmMm} mm = ${fixed(gapMm, 1)} mm; wanted ${wantedMm} mm, least ${leastMm} mm; between them fit a barrier`,
        ],
      },
      100 * (wantedMm / leastMm - 1),
    );
  },
});
