import { practice } from '../../../kernel/check';
import { atMost } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { RISE_PERCENT } from '../../limits';
import { settledC } from '../../../conductor/settledC';
import type { RunResult } from '../../results';
import { runLengthWords } from '../../results';

/** What the rise would be with the conductor as warm as this current makes it; a rise is judged by the warmest that it may be. */
function atItsOwnTemperature({ run, ampacity, impedance, survey, school, designCurrent }: RunResult, percent: number) {
  const { metal, insulation, raceway, sectionMm2 } = run;
  const settled = ampacity.value && settledC(ampacity.value, designCurrent.currentA);
  if (settled === null || !impedance.value || settled >= impedance.value.conductorC) return [];
  if (!metal || !insulation || !sectionMm2 || !survey.frequencyHz) return [];
  const ohmAt = (c: number) =>
    school.conductorOhmPerM({ metal, insulation, raceway }, sectionMm2, survey.frequencyHz ?? 0, c).value?.ohmPerM;
  const [own, warmest] = [ohmAt(settled), ohmAt(impedance.value.conductorC)];
  if (own === undefined || warmest === undefined) return [];
  return [`at this current the conductor settles at ${fixed(settled, 1)} °C: ${fixed((percent * own) / warmest, 3)} %`];
}

/** Rise of the voltage from the board to the unit, per cent of nominal: ΔU = √3·I·R·cosφ. */
export const VOLTAGE_RISE = rule<RunResult>()({
  id: 'ac.voltage-rise',
  title: 'Voltage rise from unit to board',
  unit: '%',
  basis: practice('1 % wanted, 2 % at most (NEC 2 and 3 %): here each per cent is taken from the trip margin'),
  schools: ['IEC', 'NEC'],
  needs: {
    impedance: { as: 'section, length and frequency', answer: (r) => r.impedance },
    rise: { as: 'nominal line voltage', answer: (r) => r.rise },
  },
  judge: ({ impedance, rise }, r) => {
    const { wanted, most } = RISE_PERCENT[r.school.name];
    return atMost(
      {
        value: rise.percent,
        limit: most,
        working: () => [
          `R = ${fixed(1000 * impedance.ohm, 3)} mΩ a conductor at ${impedance.conductorC} °C (${r.run.parallel} × ${r.school.sectionName(r.run.sectionMm2 ?? 0)} ${r.run.metal}, ${runLengthWords(r)})`,
          `ΔU = √3·I·R·cosφ = √3 × ${fixed(r.designCurrent.currentA, 1)} A × ${fixed(1000 * impedance.ohm, 3)} mΩ × 1 = ${fixed(rise.riseV, 2)} V = ${fixed(rise.percent, 3)} % of ${r.survey.lineV} V`,
          ...atItsOwnTemperature(r, rise.percent),
          `wanted ${wanted} %, at most ${most} %`,
        ],
      },
      100 * (1 - wanted / most),
    );
  },
});
