import { dataSheet, practice, published } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { RunResult } from '../../results';
import { settingWindowNm } from '../../torque';

/** Whether the torque of the studs has an origin: the data sheet holds, a table for the thread is tight. */
export const TORQUE = rule<RunResult>()({
  id: 'ac.torque',
  title: 'Torque has an origin',
  unit: 'N·m',
  basis: practice('data sheet or print beside the stud before any table'),
  needs: { t: { as: 'torque of the AC studs', of: (r) => r.torque } },
  judge: ({ t }) => {
    const onSheet = t.origin === 'data sheet';
    return found(
      onSheet ? 'holds' : 'tight',
      () => {
        const tool = settingWindowNm(t.lowNm, t.highNm);
        return [
          `${t.lowNm} to ${t.highNm} N·m from the ${t.origin}; set ${fixed(t.setNm, 1)} N·m`,
          `tool window ${fixed(tool.lowNm, 1)} to ${fixed(tool.highNm, 1)} N·m (ISO 6789-1)`,
          ...(onSheet ? [] : ['The sheet gives no torque: look for a print beside the stud; it outranks this.']),
        ];
      },
      { value: t.setNm, basis: onSheet ? dataSheet('AC stud torque') : published(t.source) },
    );
  },
});
