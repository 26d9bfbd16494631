import { dataSheet } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { RunResult } from '../../results';

const amps = (x: number) => `${fixed(x, 1)} A`;

/** Data-sheet current over S/(√3·U): plausible in between (common practice). */
const RATIO_LEAST = 0.995;
const RATIO_MOST = 1.15;

/** Whether the current of the data sheet belongs to its power and voltage. Without one the current is provisional: tight. */
export const DESIGN_CURRENT = rule<RunResult>()({
  id: 'ac.design-current',
  title: 'Design current is plausible',
  unit: 'A',
  basis: dataSheet('maximum output current'),
  needs: {},
  judge: (_, { designCurrent: { currentA, byPowerA, provisional, ratio }, type }) => {
    const byPower = () =>
      `I_calc = S/(√3·U) = ${type.maxApparentVa} VA / (√3 × ${type.nominalLineV} V) = ${amps(byPowerA)}`;
    if (provisional)
      return found(
        'tight',
        () => [byPower(), `The sheet gives no current: I_b = I_calc / 0.90 = ${amps(currentA)}, provisional`],
        { value: currentA },
      );
    const [low, high] = [ratio < RATIO_LEAST, ratio > RATIO_MOST];
    return found(
      low ? 'stop' : high ? 'tight' : 'holds',
      () => [
        byPower(),
        `I_b = ${amps(currentA)} from the data sheet, ${fixed(ratio, 3)} of I_calc (0.995 to 1.15 is plausible)`,
        ...(low ? ['Below rated power at this voltage: the wrong column of the sheet?'] : []),
        ...(high ? ['Is this the output current, or an inrush or fault current?'] : []),
      ],
      { value: currentA },
    );
  },
});
