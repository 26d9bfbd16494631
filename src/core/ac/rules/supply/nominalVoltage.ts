import { dataSheet } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { within } from '../../../kernel/rounding';
import { rule } from '../../../kernel/rule';
import type { RunResult } from '../../results';

/** How far the grid's nominal voltage may lie from the inverter's, share (common practice). */
const APART = 0.05;

/** Whether the grid's nominal voltage is the inverter's. */
export const NOMINAL_VOLTAGE = rule<RunResult>()({
  id: 'ac.nominal-voltage',
  title: 'Grid voltage is the inverter’s',
  unit: 'V',
  basis: dataSheet('nominal line voltage'),
  needs: { lineV: { as: 'nominal line voltage', of: (r) => r.survey.lineV } },
  judge: ({ lineV }, { type: { nominalLineV } }) =>
    found(
      within(Math.abs(lineV / nominalLineV - 1), APART) ? 'holds' : 'stop',
      () => [`grid ${lineV} V, inverter ${nominalLineV} V`],
      { value: lineV, limit: nominalLineV },
    ),
});
