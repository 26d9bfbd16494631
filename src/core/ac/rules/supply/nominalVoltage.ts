import { dataSheet } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import { suitsGrid } from '../../../site/nominalVoltage';
import type { RunResult } from '../../results';

/** Whether the grid's nominal voltage is the inverter's, or inside the window of its sheet. */
export const NOMINAL_VOLTAGE = rule<RunResult>()({
  id: 'ac.nominal-voltage',
  title: 'Grid voltage is the inverter’s',
  unit: 'V',
  basis: dataSheet('nominal line voltage and grid window'),
  needs: {
    lineV: { as: 'nominal line voltage', of: (r) => r.survey.lineV },
    suits: {
      as: 'grid voltage window of the inverter',
      of: ({ survey, type }) => (survey.lineV === null ? false : suitsGrid(survey.lineV, type)),
      missing: ({ survey, type }) => [
        `grid voltage window of ${type.name}: ${survey.lineV} V is not its nominal ${type.nominalLineV} V`,
      ],
    },
  },
  judge: ({ lineV, suits }, { type: { nominalLineV, lineMinV, lineMaxV } }) =>
    found(
      suits ? 'holds' : 'stop',
      () => [
        `grid ${lineV} V, inverter ${nominalLineV} V${lineMaxV === null ? '' : `, from ${lineMinV ?? '–'} to ${lineMaxV} V`}`,
      ],
      { value: lineV, limit: nominalLineV },
    ),
});
