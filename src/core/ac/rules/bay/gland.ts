import { dataSheet } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { clampRange, sealAdvice } from '../../gland';
import type { RunResult } from '../../results';

/** Diameter of the cable, mm, in the gland: holds when the whole range of a real cable fits, tight when only the nominal does. */
export const GLAND = rule<RunResult>()({
  id: 'ac.gland',
  title: 'Cable fits the gland',
  unit: 'mm',
  basis: dataSheet('clamping range of the gland'),
  needs: {
    d: { as: 'section or measured cable diameter', answer: (r) => r.diameter },
    clamp: {
      as: 'clamping range of the gland',
      of: (r) => clampRange(r.type.bay),
      missing: (r) => [`gland of ${r.type.name}`],
    },
  },
  judge: ({ d, clamp: { minMm: min, maxMm: max } }, { type }) => {
    const inside = (mm: number) => mm >= min && mm <= max;
    const verdict = inside(d.lowMm) && inside(d.highMm) ? 'holds' : inside(d.nominalMm) ? 'tight' : 'stop';
    const margin = Math.min((100 * (max - d.highMm)) / max, (100 * (d.lowMm - min)) / min);
    const range = () =>
      d.measured
        ? `${d.nominalMm} mm measured`
        : `${fixed(d.nominalMm, 1)} mm built up, a real cable ${fixed(d.lowMm, 1)} to ${fixed(d.highMm, 1)} mm`;
    return found(
      verdict,
      () => [
        `${range()} in a gland for ${min} to ${max} mm`,
        sealAdvice(d, type.bay.glandSealSplitMm),
        ...(verdict === 'tight' ? ['A real cable may lie outside: measure it before drilling.'] : []),
      ],
      { value: d.nominalMm, limit: d.nominalMm < min ? min : max, margin: verdict === 'tight' ? 0 : margin },
    );
  },
});
