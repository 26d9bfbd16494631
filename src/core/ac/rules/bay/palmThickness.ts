import { dataSheet } from '../../../kernel/check';
import { atMost, withVerdict } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { palmMissing, palmsStacked } from '../../palm';
import type { RunResult } from '../../results';

/** Palms on one stud together, mm. A tabulated thickness is an upper bound: past the limit by the bound alone is a reason to measure. */
export const PALM_THICKNESS = rule<RunResult>()({
  id: 'ac.palm-thickness',
  title: 'Palms on the stud fit the thickness',
  unit: 'mm',
  basis: dataSheet('thickest lug palm'),
  needs: {
    oneMm: { as: 'palm thickness of the lug', of: (r) => r.lug.value?.palmThicknessMm, missing: palmMissing },
    palms: { as: 'cables in parallel', of: palmsStacked },
    mostMm: {
      as: 'thickest palm, from the sheet',
      of: (r) => r.type.bay.palmMaxThicknessMm,
      missing: (r) => [`thickest palm of ${r.type.name}`],
    },
  },
  judge: ({ oneMm, palms, mostMm }, r) => {
    const j = atMost({
      value: oneMm * palms,
      limit: mostMm,
      working: () => [`${palms} × ${oneMm} mm = ${fixed(oneMm * palms, 1)} mm on ${mostMm} mm`],
    });
    return j.verdict === 'stop' && r.lug.value?.thicknessIsBound
      ? withVerdict(j, 'tight', () => ['The thickness is an upper bound: measure the palm.'])
      : j;
  },
});
