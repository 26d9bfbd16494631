import { schoolOf } from '../../../conductor/schools';
import { published } from '../../../kernel/check';
import { atMost } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { IRRADIANCE_FACTOR, rearGainOf } from '../../currents';
import { cableNeedA } from '../../homeRun';
import type { StringOnInput } from '../../onInput';

/** Current of a DC cable, A: its own string, what its sisters push back, or its fuse, against what it may carry where it lies. */
export const CABLE_CURRENT = rule<StringOnInput>()({
  id: 'strings.cable-current',
  title: 'DC cable carries the string',
  unit: 'A',
  basis: published('EN 50618, A.3; IEC 62548-1'),
  schools: ['IEC'],
  needs: {
    mayA: { as: 'current the DC cable may carry', answer: (s) => schoolOf(s.survey.school).dcAmpacityA(s.cable) },
  },
  judge: ({ mayA }, { cable, module, plane, parallel }) => {
    const oneA = IRRADIANCE_FACTOR * rearGainOf(module, plane.mounting) * module.iscA;
    const needA = cableNeedA(oneA, parallel, cable.fuseA);
    const { sectionMm2, mode, ambientC, circuitsTogether, fuseA } = cable;
    return atMost({
      value: needA,
      limit: mayA,
      working: () => [
        `I_z = ${sectionMm2} mm², ${mode}, ${ambientC} °C, ${circuitsTogether} together = ${fixed(mayA, 1)} A`,
        fuseA === null
          ? `max(1, N_p − 1) × 1.25 × g_b × I_sc, N_p = ${parallel}: ${fixed(needA, 2)} A`
          : `1.25 × g_b × I_sc = ${fixed(oneA, 2)} A, string fuse ${fuseA} A: ${fixed(needA, 2)} A`,
      ],
    });
  },
});
