import { published } from '../../../kernel/check';
import { atMost } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { LoadedTracker } from '../../onInput';
import { summedA } from '../../onInput';

const amps = (x: number) => `${fixed(x, 2)} A`;

/** Short-circuit current of a tracker, A: Σ k · g_b · I_sc; k 1.25, or 1 where the maker states the limit for standard conditions. */
export const SHORT_CIRCUIT = rule<LoadedTracker>()({
  id: 'strings.tracker-short-circuit',
  title: 'Short-circuit current of the tracker',
  unit: 'A',
  basis: published('NFPA 70 690.8(A)(1); IEC 62548-1'),
  needs: {
    currents: { as: 'rear-side share of the plane', answer: (t) => t.currents },
  },
  judge: ({ currents }, t) => {
    const { module, type } = t.first;
    const value = summedA(currents, (c) => c.shortCircuitA);
    const limit = type.trackerShortCircuitMaxA;
    return atMost({
      value,
      limit,
      working: () => [
        `k × g_b × I_sc × N_p = ${currents[0]?.trackerFactor} × ${fixed(currents[0]?.rearGain ?? 1, 3)} × ${module.iscA} A × ${t.strings.length} = ${amps(value)} on ${amps(limit)}`,
        ...(type.shortCircuitLimitIsStc ? ['k = 1: the maker states this limit for standard test conditions'] : []),
      ],
    });
  },
});
