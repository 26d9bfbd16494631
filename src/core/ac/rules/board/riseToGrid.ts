import { practice } from '../../../kernel/check';
import { atMost } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { BoardLoad } from '../../boardLoad';
import { RISE_TO_GRID_PERCENT } from '../../limits';

/** Rise of the voltage from the unit that stands highest to the point of connection, per cent of nominal: its run and the main cable, which carries everybody. */
export const RISE_TO_GRID = rule<BoardLoad>()({
  id: 'ac.rise-to-grid',
  title: 'Voltage rise from unit to point of connection',
  unit: '%',
  basis: practice('2 % wanted, 3 % at most, where the main cable ends at the point of connection (AU/NZ 1 and 2 %)'),
  needs: { rise: { as: 'runs and main cable', answer: (b) => b.riseToGrid } },
  judge: ({ rise: { tag, runPercent, mainPercent } }, { school }) => {
    const { wanted, most } = RISE_TO_GRID_PERCENT[school.name];
    return atMost(
      {
        value: runPercent + mainPercent,
        limit: most,
        working: () => [
          `${tag}: ${fixed(runPercent, 3)} % along its run + ${fixed(mainPercent, 3)} % along the main cable with everybody feeding`,
          `wanted ${wanted} %, at most ${most} %`,
        ],
      },
      100 * (1 - wanted / most),
    );
  },
});
