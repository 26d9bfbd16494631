import { dataSheet } from '../../../kernel/check';
import { atMost } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { LoadedInverter } from '../../onInput';

/** DC power that hangs on an inverter, kW, against the most its maker allows. */
export const DC_POWER = rule<LoadedInverter>()({
  id: 'strings.dc-power',
  title: 'DC power on the inverter',
  unit: 'kW',
  basis: dataSheet('maximum DC power'),
  needs: {
    dcW: { as: 'strings', of: (u) => u.dcW },
    mostW: {
      as: 'maximum DC power of the inverter',
      of: (u) => u.type.dcMaxW,
      missing: (u) => [`maximum DC power of ${u.type.name}`],
    },
  },
  judge: ({ dcW, mostW }) =>
    atMost({
      value: dcW / 1000,
      limit: mostW / 1000,
      working: () => [`${fixed(dcW / 1000, 2)} kW on ${fixed(mostW / 1000, 1)} kW`],
    }),
});
