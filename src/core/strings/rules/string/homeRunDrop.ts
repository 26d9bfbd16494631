import { practice } from '../../../kernel/check';
import { atMost, withVerdict } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { within } from '../../../kernel/rounding';
import { rule } from '../../../kernel/rule';
import { homeRunDrop, wayOhm } from '../../homeRun';
import type { StringOnInput } from '../../onInput';

/** Drop at standard conditions: wanted and borne, per cent (common practice). */
export const DROP_WANTED_PERCENT = 1;
export const DROP_MOST_PERCENT = 2;

/** Whether a drop is accepted: a reason given for this very string, and up to the drop it was given for. */
function accepted({ cable, string }: StringOnInput, dropPercent: number): boolean {
  const { dropReason, dropMostPercent, dropStringIds } = cable;
  return (
    dropReason !== '' &&
    dropMostPercent !== null &&
    within(dropPercent, dropMostPercent) &&
    dropStringIds.includes(string.id)
  );
}

/** Voltage drop of a home run at standard conditions, per cent of the string's working voltage. A stated reason bears more, for its strings and to its bound. */
export const HOME_RUN_DROP = rule<StringOnInput>()({
  id: 'strings.home-run-drop',
  title: 'Voltage drop of the home run',
  unit: '%',
  basis: practice('1 % wanted, 2 % at most, common practice; resistance IEC 60228 class 5, recalled'),
  needs: {
    sectionMm2: { as: 'section of the DC cable', of: (s) => s.cable.sectionMm2 },
    lengthM: { as: 'length of the home run, or both places', of: (s) => s.lengthM },
    sharedM: { as: 'where the Y sits', answer: (s) => s.sharedM },
  },
  judge: ({ sectionMm2, lengthM, sharedM }, s) => {
    const { cable, module, string, joined } = s;
    const { leadsM } = string;
    const ohm = wayOhm({ lengthM, sharedM, joined, leadsM }, sectionMm2, cable.conductorC);
    const stringV = string.modules * module.umpV;
    const d = homeRunDrop(ohm, module.impA, stringV);
    const j = atMost(
      {
        value: d.dropPercent,
        limit: DROP_MOST_PERCENT,
        working: () => [
          `R = 2 × ${fixed(lengthM, 1)} m, ${sectionMm2} mm², ${cable.conductorC} °C${sharedM > 0 ? `, ${fixed(sharedM, 1)} m of it with the current of ${joined} strings` : ''}${leadsM === null ? '' : `, ${leadsM} m of leads and return`} = ${fixed(ohm, 4)} Ω`,
          `ΔU = R × ${module.impA} A = ${fixed(d.dropV, 2)} V of ${fixed(stringV, 1)} V = ${fixed(d.dropPercent, 2)} %; ${fixed(d.lossW, 0)} W lost`,
        ],
      },
      100 * (1 - DROP_WANTED_PERCENT / DROP_MOST_PERCENT),
    );
    return j.verdict === 'stop' && accepted(s, d.dropPercent)
      ? withVerdict(j, 'tight', () => [`Accepted to ${cable.dropMostPercent} %: ${cable.dropReason}`])
      : j;
  },
});
