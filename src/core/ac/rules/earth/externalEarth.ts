import { published } from '../../../kernel/check';
import { atLeast } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { RunResult } from '../../results';

/** Section of the external chassis earth, mm²: as the PE of the cable and never less than that has to be, in equivalent metal; never under 10 Cu or 16 Al. */
export const EXTERNAL_EARTH = rule<RunResult>()({
  id: 'ac.external-earth',
  title: 'External chassis earth',
  unit: 'mm²',
  basis: published('IEC 60364-5-54, 543.7; default: both earths'),
  schools: ['IEC', 'NEC'],
  needs: {
    neededMm2: { as: 'section and PE', answer: (r) => r.externalEarthNeededMm2 },
    earthMm2: { as: 'external chassis earth', of: (r) => r.run.externalEarthMm2 },
  },
  judge: ({ neededMm2, earthMm2 }, { run, school }) =>
    atLeast({
      value: earthMm2,
      limit: neededMm2,
      working: () => [
        `as the PE of the cable, and as the lines want it, in ${run.externalEarthMetal}${school.name === 'NEC' ? '' : ', at least 10 mm² Cu or 16 mm² Al'}: ${fixed(neededMm2, 1)} mm² needed, ${school.sectionName(earthMm2)} chosen`,
      ],
    }),
});
