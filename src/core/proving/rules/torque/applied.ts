import { dataSheet, practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { JointReading } from '../../readings/torqueReading';

/** Applied torque inside the target of the studs, N·m. A target from a table alone is tight inside: the print beside the stud decides. */
export const APPLIED_TORQUE = rule<JointReading>()({
  id: 'proving.torque',
  title: 'Applied torque inside its window',
  unit: 'N·m',
  basis: dataSheet('AC stud torque'),
  needs: {
    appliedNm: {
      as: 'torque applied to every joint',
      of: (r) => r.appliedNm,
      missing: ({ at, appliedNm }) => (appliedNm === null ? [`torque applied at ${at}`] : []),
    },
    target: { as: 'torque of this joint', of: (r) => r.target },
  },
  judge: ({ appliedNm, target: { lowNm, highNm, origin, source } }, { at }) => {
    const inside = appliedNm >= lowNm && appliedNm <= highNm;
    const onSheet = origin !== 'stud table';
    return found(
      inside ? (onSheet ? 'holds' : 'tight') : 'stop',
      () => [
        `${at}: ${appliedNm} N·m; window ${lowNm} to ${highNm} N·m`,
        ...(onSheet ? [] : [`The sheet gives no torque (${source}): the print beside the stud decides.`]),
      ],
      {
        value: appliedNm,
        limit: appliedNm > (lowNm + highNm) / 2 ? highNm : lowNm,
        margin: Math.min((100 * (highNm - appliedNm)) / highNm, (100 * (appliedNm - lowNm)) / lowNm),
        ...(onSheet ? {} : { basis: practice('the sheet gives no torque: the print beside the stud decides') }),
      },
    );
  },
});
