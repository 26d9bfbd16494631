import { published } from '../../../kernel/check';
import { atMost, found, withVerdict } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { TrackerCurrents } from '../../currents';
import { fuseProtects, fuseRange, sharedFuseRange, smallestFuseA } from '../../fuses';
import type { LoadedTracker } from '../../onInput';
import { reverseCurrentA } from '../../onInput';

const amps = (x: number) => `${fixed(x, 2)} A`;

/** Range of a fuse that suits every string of the tracker, and how it is said. */
function rangeOf(t: LoadedTracker, currents: readonly TrackerCurrents[]) {
  const { school } = t.first.survey;
  const range = sharedFuseRange(t.strings.map((s, i) => fuseRange(s.module, currents[i]?.rearGain ?? 1, school)));
  const from = school === 'NEC' ? 'from' : 'above';
  return {
    range,
    school,
    words: `A string fuse lies ${from} ${amps(range.leastA)} and at most at ${amps(range.mostA)}`,
  };
}

/** A fuse that is fitted has to protect, whether one is needed or not. */
function fitted(t: LoadedTracker, currents: readonly TrackerCurrents[], fuseA: number) {
  const { range, school, words } = rangeOf(t, currents);
  const fits = fuseProtects(range, school, fuseA);
  return found(fits ? 'holds' : 'stop', () => [`${words}, of a rating that is made; ${fuseA} A is fitted`], {
    value: fuseA,
    limit: range.mostA,
    margin: fits ? (100 * (range.mostA - fuseA)) / range.mostA : null,
  });
}

/** Strings without fuses: what the others push back, against the smallest module maximum on the tracker. */
function unfused(t: LoadedTracker, currents: readonly TrackerCurrents[]) {
  const reverseA = reverseCurrentA(currents);
  const moduleA = Math.min(...t.strings.map((s) => s.module.fuseMaxA));
  const oneA = Math.max(...currents.map((c) => c.inputA));
  const parallel = t.strings.length;
  const j = atMost({
    value: reverseA,
    limit: moduleA,
    working: () => [
      `(N_p − 1) × 1.25 × g_b × I_sc = ${parallel - 1} × ${amps(oneA)} = ${amps(reverseA)}; module fuse ${moduleA} A`,
    ],
  });
  if (j.verdict !== 'stop') return j;
  const { range, school, words } = rangeOf(t, currents);
  const ratingA = smallestFuseA(range, school);
  const most = Math.min(...currents.map((c) => c.maxUnfused));
  return withVerdict(j, 'stop', () => [
    ratingA === null
      ? `${words}: no standard rating does. Use at most ${most} strings in parallel (SF01).`
      : `${words}: fit ${ratingA} A in both poles, or hang at most ${most} strings.`,
  ]);
}

/** Current that the others push into a shorted string, A, against the module's fuse, or against the string fuse that stands before it. */
export const REVERSE_CURRENT = rule<LoadedTracker>()({
  id: 'strings.reverse-current',
  title: 'Reverse current into a shorted string',
  unit: 'A',
  basis: published('IEC 62548-1; NFPA 70 690.9(A) exception; ratings IEC 60269-6'),
  needs: {
    currents: { as: 'rear-side share of the plane', answer: (t) => t.currents },
  },
  judge: ({ currents }, t) => {
    const { fuseA } = t.first.cable;
    return fuseA === null ? unfused(t, currents) : fitted(t, currents, fuseA);
  },
});
