import { published } from '../../../kernel/check';
import { atMost } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { gridCodeOf } from '../../../site/gridCodes';
import { TRIP_RESERVE_PERCENT } from '../../limits';
import type { RunResult } from '../../results';

/** Voltage at the unit with the board at its highest, V, against the trip level of the grid code. */
export const TERMINAL_VOLTAGE = rule<RunResult>()({
  id: 'ac.terminal-voltage',
  title: 'Voltage at the unit stays under the trip level',
  unit: 'V',
  basis: published('trip level of the grid code'),
  schools: ['IEC', 'NEC'],
  needs: {
    terminalV: { as: 'highest line-to-line voltage at the board while feeding', answer: (r) => r.terminalV },
    tripV: { as: 'grid code with a trip level', answer: (r) => r.tripV },
    impedance: { as: 'impedance of the run', answer: (r) => r.impedance },
  },
  judge: ({ terminalV, tripV, impedance }, { survey, type }) => {
    const code = gridCodeOf(survey.gridCode);
    return atMost(
      {
        basis: published(`${code?.source}, ${code?.tripMean}`),
        value: terminalV,
        limit: tripV,
        working: () => [
          `board ${survey.boardHighestV} V, ${type.maxApparentVa} W, all apparent power as active, exported over ${fixed(1000 * impedance.ohm, 2)} mΩ: ${fixed(terminalV, 2)} V at the unit`,
          `trip at ${code?.tripPu} × ${survey.lineV} V = ${fixed(tripV, 1)} V; 2 % is wanted in hand`,
        ],
      },
      TRIP_RESERVE_PERCENT,
    );
  },
});
