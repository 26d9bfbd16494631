import { nec } from '../../../conductor/schools';
import { published } from '../../../kernel/check';
import { atMost } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { RunResult } from '../../results';
import { CONDUCTORS } from '../../wiring';

/** Fill of the raceway, per cent of its inside, all wires counted. */
export const NEC_RACEWAY_FILL = rule<RunResult>()({
  id: 'ac.nec-raceway-fill',
  title: 'Wires fit the raceway',
  unit: '%',
  basis: published('NFPA 70, chapter 9, Tables 1, 4 and 5'),
  schools: ['NEC'],
  notOf: ['IEC', 'AU/NZ'],
  needs: {
    // The conductors at the terminals but for the grounding one, which is one a raceway.
    fill: { as: 'raceway and its trade size', answer: (r) => nec.racewayFill(r.run, CONDUCTORS[r.type.wiring] - 1) },
  },
  judge: ({ fill }) =>
    atMost({
      value: fill.percent,
      limit: fill.mostPercent,
      working: () => [
        `${fill.wires} wires, ${fixed(fill.wireIn2, 4)} in² in ${fixed(fill.insideIn2, 3)} in²: ${fixed(fill.percent, 2)} %, at most ${fill.mostPercent} %`,
      ],
    }),
});
