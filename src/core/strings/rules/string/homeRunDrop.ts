import { homeRunOhm } from '../../../conductor/pvCable';
import { practice } from '../../../kernel/check';
import { atMost, withVerdict } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { homeRunDrop } from '../../homeRun';
import type { StringOnInput } from '../../onInput';

/** Drop at standard conditions: wanted and borne, per cent (common practice). */
export const DROP_WANTED_PERCENT = 1;
export const DROP_MOST_PERCENT = 2;

/** Voltage drop of a home run at standard conditions, per cent of the string's working voltage. A stated reason bears more. */
export const HOME_RUN_DROP = rule<StringOnInput>()({
  id: 'strings.home-run-drop',
  title: 'Voltage drop of the home run',
  unit: '%',
  basis: practice('1 % wanted, 2 % at most, common practice; resistance IEC 60228 class 5, recalled'),
  needs: {
    sectionMm2: { as: 'section of the DC cable', of: (s) => s.cable.sectionMm2 },
    lengthM: { as: 'length of the home run, or both places', of: (s) => s.lengthM },
  },
  judge: ({ sectionMm2, lengthM }, { cable: { conductorC, dropReason }, module, string }) => {
    const ohm = homeRunOhm(lengthM, sectionMm2, conductorC);
    const stringV = string.modules * module.umpV;
    const d = homeRunDrop(ohm, module.impA, stringV);
    const j = atMost(
      {
        value: d.dropPercent,
        limit: DROP_MOST_PERCENT,
        working: () => [
          `R = 2 × ${fixed(lengthM, 1)} m, ${sectionMm2} mm², ${conductorC} °C = ${fixed(ohm, 4)} Ω`,
          `ΔU = R × ${module.impA} A = ${fixed(d.dropV, 2)} V of ${fixed(stringV, 1)} V = ${fixed(d.dropPercent, 2)} %; ${fixed(d.lossW, 0)} W lost`,
        ],
      },
      100 * (1 - DROP_WANTED_PERCENT / DROP_MOST_PERCENT),
    );
    return j.verdict === 'stop' && dropReason ? withVerdict(j, 'tight', () => [`Accepted: ${dropReason}`]) : j;
  },
});
