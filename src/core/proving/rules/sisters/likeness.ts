import { published } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import { median } from '../../../kernel/statistics';
import { likeness } from '../../likeness';
import type { StringReading } from '../../readings/stringReading';

/** How a string reads against the median of its sisters, V. */
export const LIKENESS = rule<StringReading>()({
  id: 'proving.likeness',
  title: 'Reads like its sisters',
  unit: 'V',
  basis: published('IEC 62446-1, 6.5; module arithmetic is common practice'),
  needs: {},
  judge: (_, { sistersV, modules, voltageV }) => {
    const reference = median(sistersV);
    const l = likeness(modules, voltageV, reference);
    return found(
      l.verdict,
      () => [
        `median of ${sistersV.length} sisters ${fixed(reference, 1)} V; ${fixed(l.deviationPercent, 2)} %`,
        `d = n·(1 − V/V_ref) = ${fixed(l.missingModules, 2)} modules: ${l.label}`,
      ],
      { value: voltageV, limit: reference },
    );
  },
});
