import { dataSheet } from '../../../kernel/check';
import { atMost } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { RunResult } from '../../results';

/** Section of the lines, mm², against the largest the terminals take. */
export const SECTION_LARGEST = rule<RunResult>()({
  id: 'ac.section-largest',
  title: 'Section is not above the largest at the terminals',
  unit: 'mm²',
  basis: dataSheet('largest conductor'),
  needs: {
    sectionMm2: { as: 'section', of: (r) => r.run.sectionMm2 },
    mostMm2: {
      as: 'largest conductor, from the sheet',
      of: (r) => r.type.bay.sectionMaxMm2,
      missing: (r) => [`largest conductor of ${r.type.name}`],
    },
  },
  judge: ({ sectionMm2, mostMm2 }, { school }) =>
    atMost({
      value: sectionMm2,
      limit: mostMm2,
      working: () => [`${school.sectionName(sectionMm2)} at terminals for ${mostMm2} mm²`],
    }),
});
