import { dataSheet } from '../../../kernel/check';
import { atLeast } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { StringLength } from '../../onInput';

/** Working voltage in the heat, V: n · U_mp,hot stays inside the tracking range. */
export const HOT_VOLTAGE = rule<StringLength>()({
  id: 'strings.ump-hot',
  title: 'Tracks in the heat',
  unit: 'V',
  basis: dataSheet('lower end of the tracking range'),
  needs: { w: { as: 'the window of the string', answer: (s) => s.window } },
  judge: ({ w }, { string: { modules: n }, type }) =>
    atLeast({
      value: n * w.umpHotV,
      limit: type.mpptMinV,
      working: () => [
        `n × U_mp,hot = ${n} × ${fixed(w.umpHotV, 2)} V = ${fixed(n * w.umpHotV, 1)} V ≥ ${type.mpptMinV} V`,
      ],
    }),
});
