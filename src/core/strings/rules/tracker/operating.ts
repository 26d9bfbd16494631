import { dataSheet } from '../../../kernel/check';
import { atMost, withVerdict } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { LoadedTracker } from '../../onInput';
import { summedA } from '../../onInput';

const amps = (x: number) => `${fixed(x, 2)} A`;

/** Operating current of a tracker, A: Σ g_b · I_mp. The tracker limits itself above it: tight, never a stop. */
export const OPERATING = rule<LoadedTracker>()({
  id: 'strings.tracker-operating',
  title: 'Operating current of the tracker',
  unit: 'A',
  basis: dataSheet('maximum operating current a tracker'),
  needs: {
    currents: { as: 'rear-side share of the plane', answer: (t) => t.currents },
  },
  judge: ({ currents }, t) => {
    const { module, type } = t.first;
    const value = summedA(currents, (c) => c.operatingA);
    const limit = type.trackerOperatingMaxA;
    const overload = value / limit;
    const j = atMost({
      value,
      limit,
      working: () => [
        `g_b × I_mp × N_p = ${fixed(currents[0]?.rearGain ?? 1, 3)} × ${module.impA} A × ${t.strings.length} = ${amps(value)} on ${amps(limit)}`,
      ],
    });
    if (!(overload > 1)) return j;
    return withVerdict(j, 'tight', () => [
      `Over by ${fixed(100 * (overload - 1), 1)} %: harms nothing, loses energy ${overload > 1.1 ? 'on most clear days' : 'in the best hours'}.`,
    ]);
  },
});
