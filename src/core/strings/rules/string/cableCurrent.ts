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
  basis: published('EN 50618, A.3; IEC 62548-1'),
  schools: ['IEC'],
  needs: {
    mayA: { as: 'current the DC cable may carry', answer: (s) => schoolOf(s.survey.school).dcAmpacityA(s.cable) },
    gain: { as: 'rear-side share of the plane', answer: (s) => s.gain },
    sharedM: { as: 'where the Y sits', answer: (s) => s.sharedM },
  },
  judge: ({ mayA, gain, sharedM }, { cable, module, parallel, joined }) => {
    const oneA = IRRADIANCE_FACTOR * gain * module.iscA;
    const { sectionMm2, mode, ambientC, circuitsTogether, fuseA } = cable;
    const ownA = cableNeedA(oneA, parallel, fuseA);
    // A Y at the input leaves no cable to share.
    const sharedA = sharedM > 0 ? cableNeedA(oneA, parallel, fuseA, joined) : 0;
    const needA = Math.max(ownA, sharedA);
    return atMost({
      value: needA,
      limit: mayA,
      working: () => [
        `I_z = ${sectionMm2} mm², ${mode}, ${ambientC} °C, ${circuitsTogether} together = ${fixed(mayA, 1)} A`,
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
