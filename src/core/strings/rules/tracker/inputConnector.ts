import { dataSheet } from '../../../kernel/check';
import { atMost } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { LoadedTracker } from '../../onInput';
import { fullestInput } from '../../onInput';

/** Current of the fullest input of a tracker on its connector, A: Σ 1.25 · g_b · I_sc of what joins there. */
export const INPUT_CONNECTOR = rule<LoadedTracker>()({
  id: 'strings.input-connector',
  title: 'Current of one input on its connector',
  unit: 'A',
  basis: dataSheet('DC connector rating'),
  needs: {
    currents: { as: 'rear-side share of the plane', answer: (t) => t.currents },
    limit: {
      as: 'connector rating of the inverter',
      of: (t) => t.first.type.connectorMaxA,
      missing: (t) => [`connector rating of ${t.first.type.name}`],
    },
  },
  judge: ({ currents, limit }, t) => {
    const { input, currentA, joined } = fullestInput(t.strings, currents);
    return atMost({
      value: currentA,
      limit,
      working: () => [
        `1.25 × ${fixed(currents[0]?.rearGain ?? 1, 3)} × ${t.first.module.iscA} A × ${joined} = ${fixed(currentA, 2)} A on input ${input}${joined > 1 ? ', a Y-branch' : ''}`,
      ],
    });
  },
});
