import { published } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import { palmMissing, palmWidthMm } from '../../palm';
import type { RunResult } from '../../results';

/** Whether there is a lug for the section with a hole for the stud. Where no series prints one, only the lug in hand can say. */
export const LUG = rule<RunResult>()({
  id: 'ac.lug',
  title: 'A lug for this section and stud',
  unit: '',
  basis: published('DIN 46235 and DIN 46329'),
  schools: ['IEC', 'NEC'],
  needs: {
    lug: { as: 'metal and section', answer: (r) => r.lug },
    // A palm is printed, or measured, for one stud: without it nobody knows that the hole is there.
    palmMm: { as: 'palm width of the lug', of: palmWidthMm, missing: palmMissing },
  },
  judge: ({ lug }, { run, school, type: { bay } }) =>
    found('holds', () => [
      `${school.sectionName(lug.sectionMm2)}, M${bay.studM}: die ${lug.dieCode}${lug.crimps ? `, ${lug.crimps} crimps with a 5 mm die` : ''}${lug.stripMm ? `, strip ${lug.stripMm} mm` : ''} (${lug.source})`,
      ...(run.metal === 'Al' ? ['Bimetal lug with a copper palm; brush, paste at once, insert, crimp, wipe.'] : []),
    ]),
});
