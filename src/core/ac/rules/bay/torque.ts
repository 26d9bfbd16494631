import { dataSheet, practice, published } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { RunResult } from '../../results';
import type { TorqueTarget } from '../../torque';
import { settingWindowNm } from '../../torque';

/** The table is published; a sheet and a print are the makers'. */
const basisOf = (t: TorqueTarget) => (t.origin === 'stud table' ? published(t.source) : dataSheet(t.source));

/** Whether the torque of the studs has an origin, and a window that a tool can be set to: the data sheet holds, a table for the thread is tight. */
export const TORQUE = rule<RunResult>()({
  id: 'ac.torque',
  title: 'Torque has an origin',
  unit: 'N·m',
  basis: practice('data sheet or print beside the stud before any table'),
  needs: {
    t: {
      as: 'torque of the AC studs',
      of: (r) => r.torque,
      missing: (r) => [`torque of the AC studs of ${r.type.name}, the right way round`],
    },
  },
  judge: ({ t }) => {
    // A maker's own word holds; the lug maker speaks of the lug, not of this stud.
    const ofMaker = t.origin === 'data sheet' || t.origin === 'print beside the stud';
    const open = t.against !== undefined && !t.chosen;
    const tool = settingWindowNm(t.lowNm, t.highNm);
    const coarse = tool.lowNm > tool.highNm;
    return found(
      coarse || open ? 'stop' : ofMaker && t.against === undefined ? 'holds' : 'tight',
      () => [
        `${fixed(t.lowNm, 1)} to ${fixed(t.highNm, 1)} N·m from the ${t.origin}; set ${fixed(t.setNm, 1)} N·m`,
        coarse
          ? `no setting of a tool of ISO 6789-1 keeps inside ${t.lowNm} to ${t.highNm} N·m: the window is empty, a finer tool is needed`
          : `tool window ${fixed(tool.lowNm, 1)} to ${fixed(tool.highNm, 1)} N·m (ISO 6789-1)`,
        ...(t.against === undefined
          ? []
          : [
              `${t.against}, more than 10 % off: ${open ? 'the electrician chooses which rules' : `the electrician takes the ${t.origin}`}`,
            ]),
        ...(ofMaker ? [] : ['The sheet gives no torque: look for a print beside the stud; it outranks this.']),
      ],
      { value: t.setNm, basis: basisOf(t) },
    );
  },
});
