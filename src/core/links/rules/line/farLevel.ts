import { published } from '../../../kernel/check';
import { atLeast } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { RECEIVER_V } from '../../line/budget';
import { WEAK_DRIVER } from '../../line/busBudget';
import type { ChainResult } from '../../results';

/** What is wanted over the receivers' 200 mV: 500 mV (common practice). */
const RESERVE_PERCENT = 150;

/** What a weak driver leaves at the other end of the line, against what a receiver wants. */
export const FAR_LEVEL = rule<ChainResult>()({
  id: 'links.far-level',
  title: 'Level at the far end',
  unit: 'V',
  basis: published('TIA/EIA-485-A'),
  needs: { worst: { as: 'section of the bus conductors', answer: (c) => c.budget.worst } },
  judge: ({ worst: { volt, from, to } }) =>
    atLeast(
      {
        value: volt,
        limit: RECEIVER_V,
        working: () => [
          `lowest where ${from.label} sends and ${to.label} listens: ${fixed(volt, 3)} V`,
          `a driver of ${WEAK_DRIVER.openV} V behind ${WEAK_DRIVER.ohm} Ω, against the bias`,
        ],
      },
      RESERVE_PERCENT,
    ),
});
