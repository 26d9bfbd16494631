import { practice } from '../../../kernel/check';
import { atMost } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { RISE_PERCENT } from '../../limits';
import type { RunResult } from '../../results';
import { runLengthWords } from '../../results';

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
          `wanted ${wanted} %, at most ${most} %`,
        ],
      },
      100 * (1 - wanted / most),
    );
  },
});
