import { published } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { RunResult } from '../../results';

/** Whether there is a lug for the section with a hole for the stud. */
export const LUG = rule<RunResult>()({
  id: 'ac.lug',
  title: 'A lug for this section and stud',
  unit: '',
  basis: published('DIN 46235 and DIN 46329'),
  schools: ['IEC'],
  needs: { lug: { as: 'section', answer: (r) => r.lug } },
  judge: ({ lug }, { run, type: { bay } }) =>
    found(lug === 'none' ? 'stop' : 'holds', () => [
      lug === 'none'
        ? `No ${run.metal} lug of ${run.sectionMm2} mm² has a hole for M${bay.studM}.`
        : `${lug.sectionMm2}-M${bay.studM}: die ${lug.dieCode}${lug.crimps ? `, ${lug.crimps} crimps with a 5 mm die` : ''}${lug.stripMm ? `, strip ${lug.stripMm} mm` : ''} (${lug.source})`,
      ...(run.metal === 'Al' ? ['Bimetal lug with a copper palm; brush, paste at once, insert, crimp, wipe.'] : []),
    ]),
});
