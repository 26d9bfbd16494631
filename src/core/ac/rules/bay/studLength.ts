import { dataSheet } from '../../../kernel/check';
import { atLeast, withVerdict } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { studStackMm } from '../../bay/studStack';
import { palmMissing, palmsStacked } from '../../palm';
import type { RunResult } from '../../results';

/** Free length of the studs, mm, against palms, washers, nut and two threads. A tabulated palm is an upper bound: short by it alone is a reason to measure. */
export const STUD_LENGTH = rule<RunResult>()({
  id: 'ac.stud-length',
  title: 'Stud carries palms, washers and nut',
  unit: 'mm',
  basis: dataSheet('free length of the AC studs'),
  needs: {
    oneMm: { as: 'palm thickness of the lug', of: (r) => r.lug.value?.palmThicknessMm, missing: palmMissing },
    palms: { as: 'cables in parallel', of: palmsStacked },
    lengthMm: {
      as: 'free length of the AC studs, from the sheet',
      of: (r) => r.type.bay.studLengthMm,
      missing: (r) => [`free length of the AC studs of ${r.type.name}, from the sheet`],
    },
  },
  judge: ({ oneMm, palms, lengthMm }, { lug, type: { bay } }) => {
    // Every thread the sheet may have is on the table.
    const stackMm = studStackMm(bay.studM, oneMm, palms) ?? Infinity;
    const j = atLeast({
      value: lengthMm,
      limit: stackMm,
      working: () => [
        `${palms} × ${oneMm} mm palm, flat and spring washer, nut and two threads of M${bay.studM}: ${fixed(stackMm, 1)} mm`,
      ],
    });
    return j.verdict === 'stop' && lug.value?.thicknessIsBound
      ? withVerdict(j, 'tight', () => ['The thickness is an upper bound: measure the palm.'])
      : j;
  },
});
