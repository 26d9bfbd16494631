import { dataSheet, practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { TorqueReading } from '../../readings/torqueReading';

/** Applied torque inside the target of the studs, N·m. A target from a table alone is tight inside: the print beside the stud decides. */
export const APPLIED_TORQUE = rule<TorqueReading>()({
  id: 'proving.torque',
  title: 'Applied torque inside its window',
  unit: 'N·m',
  basis: dataSheet('AC stud torque'),
  needs: { target: { as: 'torque of the AC studs', of: (r) => r.target } },
  judge: ({ target: { lowNm, highNm, origin, source } }, { appliedNm, joints }) => {
    const inside = appliedNm >= lowNm && appliedNm <= highNm;
    const onSheet = origin === 'data sheet';
    return found(
      inside ? (onSheet ? 'holds' : 'tight') : 'stop',
      () => [
        `${appliedNm} N·m on ${joints} joints; window ${lowNm} to ${highNm} N·m`,
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
