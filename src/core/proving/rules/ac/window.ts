import { published } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { judgeAcWindow } from '../../acVoltages';
import type { AcReading } from '../../readings/acReading';

/** Line and phase voltages at rest inside the window of the grid code, V. */
export const AC_WINDOW = rule<AcReading>()({
  id: 'proving.ac-window',
  title: 'AC voltages inside the grid window',
  unit: 'V',
  basis: published('voltage window of the grid code; inner band common practice'),
  reads: 'AC voltage',
  needs: { window: { as: 'grid code', answer: (r) => r.window } },
  judge: ({ window }, { lineV, phaseV }) => {
    const { code, nominalV, minV, maxV } = window;
    const { verdict, worstPu } = judgeAcWindow(code, nominalV, lineV, phaseV);
    const worstV = worstPu * nominalV;
    return found(
      verdict,
      () => [
        `${lineV.map((x) => fixed(x, 1)).join(' / ')} V line to line; window ${fixed(minV, 1)} to ${fixed(maxV, 1)} V; furthest from nominal ${fixed(worstPu, 4)} pu`,
      ],
      {
        value: worstV,
        limit: worstPu >= 1 ? maxV : minV,
        margin: Math.min((100 * (maxV - worstV)) / maxV, (100 * (worstV - minV)) / minV),
        basis: published(`${code.source}; inner band common practice`),
      },
    );
  },
});
