import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { ReadResistance } from '../../voltagePath/readResistance';

/** Read over calculated: up to here the design explains it, and from here something is wrong (common practice). */
const EXPLAINED = 1.2;
const WRONG = 1.5;

const MEANS = {
  run: {
    explained: 'The run is as designed: what trips the unit comes from the grid or from all units together.',
    wrong: 'Ours: a loose or oxidised termination, a wrong section or length. Thermal check before more load.',
  },
  source: {
    explained:
      'Main cable, transformer and network are as entered: the voltage at rest, or the sum of all units, decides.',
    wrong: 'Between board and grid: a bad joint of the main cable, or a network weaker than stated. Ask the operator.',
  },
} as const;

/** Resistance by two readings over the calculated one, times: whose the voltage is. */
export const RESISTANCE = rule<ReadResistance>()({
  id: 'ac.two-readings',
  title: 'Resistance read is the resistance designed',
  unit: '',
  basis: practice('up to 1.2 times the design explains it, above 1.5 times something is loose or other than drawn'),
  needs: {
    readOhm: { as: 'two readings', answer: (r) => r.readOhm },
    calculatedOhm: { as: 'impedance by the design', answer: (r) => r.calculatedOhm },
  },
  judge: ({ readOhm, calculatedOhm }, { part }) => {
    const ratio = readOhm / calculatedOhm;
    const negative = readOhm < 0;
    const verdict = ratio > WRONG || negative ? 'stop' : ratio > EXPLAINED ? 'tight' : 'holds';
    return found(
      verdict,
      () => [
        `${fixed(1000 * readOhm, 2)} mΩ read, ${fixed(1000 * calculatedOhm, 2)} mΩ by the design: ${fixed(ratio, 2)} times`,
        negative
          ? 'The voltage fell as power rose: something else changed between the readings. Read again.'
          : verdict === 'holds'
            ? MEANS[part].explained
            : MEANS[part].wrong,
      ],
      { value: ratio, limit: WRONG },
    );
  },
});
