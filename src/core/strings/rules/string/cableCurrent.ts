import { schoolOf } from '../../../conductor/schools';
import { published } from '../../../kernel/check';
import { atMost } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { IRRADIANCE_FACTOR } from '../../currents';
import { cableNeedA } from '../../homeRun';
import type { CableLoad } from '../../onInput';

/** Current of a DC cable, A: its own string, what its sisters push back, or its fuse, against what it may carry where it lies. */
export const CABLE_CURRENT = rule<CableLoad>()({
  id: 'strings.cable-current',
  title: 'DC cable carries the string',
  unit: 'A',
  basis: published('EN 50618, A.3; IEC 62548-1 (NEC: NFPA 70, 690.8(B))'),
  schools: ['IEC', 'NEC'],
  needs: {
    may: { as: 'current the DC cable may carry', answer: (s) => schoolOf(s.survey.school).dcAmpacity(s.cable) },
    gain: { as: 'rear-side share of the plane', answer: (s) => s.gain },
    sharedM: { as: 'where the Y sits', answer: (s) => s.sharedM },
  },
  judge: ({ may, gain, sharedM }, { cable, module, parallel, joined }) => {
    const oneA = IRRADIANCE_FACTOR * gain * module.iscA;
    const { fuseA } = cable;
    const ownA = cableNeedA(oneA, parallel, fuseA);
    // A Y at the input leaves no cable to share.
    const sharedA = sharedM > 0 ? cableNeedA(oneA, parallel, fuseA, joined) : 0;
    const inUse = { needA: Math.max(ownA, sharedA), mayA: may.mayA };
    // What flows for hours, at the ends: no fuse and no fault in it.
    const hoursA = sharedA > 0 ? joined * oneA : oneA;
    const atEnds = may.ends && { needA: may.ends.duty * hoursA, mayA: may.ends.mayA };
    const worse = atEnds && atEnds.needA / atEnds.mayA > inUse.needA / inUse.mayA ? atEnds : inUse;
    return atMost({
      value: worse.needA,
      limit: worse.mayA,
      working: () => [
        may.words,
        ...(may.ends ? [`at the ends ${may.ends.duty} × ${fixed(hoursA, 2)} A`] : []),
        fuseA === null
          ? `max(1, N_p − 1) × 1.25 × g_b × I_sc, N_p = ${parallel}: ${fixed(ownA, 2)} A`
          : `1.25 × g_b × I_sc = ${fixed(oneA, 2)} A, string fuse ${fuseA} A: ${fixed(ownA, 2)} A`,
        ...(sharedA > 0
          ? [`${fixed(sharedM, 1)} m from the Y to the input carry ${joined} strings: ${fixed(sharedA, 2)} A`]
          : []),
      ],
    });
  },
});
