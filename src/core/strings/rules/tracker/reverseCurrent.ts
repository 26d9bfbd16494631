import { published } from '../../../kernel/check';
import { atMost, found, withVerdict } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { fuseFits, stringFuse } from '../../fuses';
import type { LoadedTracker } from '../../onInput';
import { reverseCurrentA } from '../../onInput';

const amps = (x: number) => `${fixed(x, 2)} A`;

/** Current that the others push into a shorted string, A, against the module's fuse, or against the string fuse that stands before it. */
export const REVERSE_CURRENT = rule<LoadedTracker>()({
  id: 'strings.reverse-current',
  title: 'Reverse current into a shorted string',
  unit: 'A',
  basis: published('IEC 62548-1; NFPA 70 690.9(A) exception; ratings IEC 60269-6'),
  needs: {},
  judge: (_, t) => {
    const { module, survey, cable } = t.first;
    const { school } = survey;
    const parallel = t.strings.length;
    const oneA = Math.max(...t.currents.map((c) => c.inputA));
    const reverseA = reverseCurrentA(t);
    const fuse = stringFuse(module, t.currents[0]?.rearGain ?? 1, parallel, school, t.currents[0]?.trackerFactor);
    const sum = () =>
      `(N_p − 1) × 1.25 × g_b × I_sc = ${parallel - 1} × ${amps(oneA)} = ${amps(reverseA)}; module fuse ${module.fuseMaxA} A`;
    const range = () =>
      `A string fuse lies ${school === 'NEC' ? 'from' : 'above'} ${amps(fuse.leastA)} and at most at ${amps(fuse.mostA)}`;
    const unfused = atMost({ value: reverseA, limit: module.fuseMaxA, working: () => [sum()] });
    if (!fuse.needed) return unfused;
    if (cable.fuseA === null)
      return withVerdict(unfused, 'stop', () => [
        fuse.ratingA === null
          ? `${range()}: no standard rating does. Use at most ${fuse.maxUnfused} strings in parallel (SF01).`
          : `${range()}: fit ${fuse.ratingA} A in both poles, or hang at most ${fuse.maxUnfused} strings.`,
      ]);
    const fits = fuseFits(fuse, school, cable.fuseA);
    return found(fits ? 'holds' : 'stop', () => [sum(), `${range()}; ${cable.fuseA} A is fitted`], {
      value: cable.fuseA,
      limit: fuse.mostA,
      margin: fits ? (100 * (fuse.mostA - cable.fuseA)) / fuse.mostA : null,
    });
  },
});
