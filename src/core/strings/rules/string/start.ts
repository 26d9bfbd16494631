import { dataSheet } from '../../../kernel/check';
import { atLeast } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { StringLength } from '../../onInput';

/** Open-circuit voltage in the heat, V: n · U_oc,hot reaches the start-up voltage, or the unit sleeps through a hot morning. */
export const START = rule<StringLength>()({
  id: 'strings.start',
  title: 'Starts in the heat',
  unit: 'V',
  basis: dataSheet('start-up voltage'),
  needs: {
    w: { as: 'the window of the string', answer: (s) => s.window },
    startV: {
      as: 'start-up voltage of the inverter',
      of: (s) => s.type.startV,
      missing: (s) => [`start-up voltage of ${s.type.name}`],
    },
  },
  judge: ({ w, startV }, { string: { modules: n } }) =>
    atLeast({
      value: n * w.uocHotV,
      limit: startV,
      working: () => [`n × U_oc,hot = ${n} × ${fixed(w.uocHotV, 2)} V = ${fixed(n * w.uocHotV, 1)} V ≥ ${startV} V`],
    }),
});
