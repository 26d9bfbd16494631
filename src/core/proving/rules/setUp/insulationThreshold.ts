import { published } from '../../../kernel/check';
import { atLeast } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { SetUpReading } from '../../readings/setUpReading';

/** Current to earth at which a unit must not start, A. */
const EARTH_A = 0.03;

/** The unit asks at least V_max / 30 mA of the insulation before it starts, kΩ. */
export const SET_UP_INSULATION = rule<SetUpReading>()({
  id: 'proving.set-up-insulation',
  title: 'Insulation asked before the start',
  unit: 'kΩ',
  basis: published('IEC 62109-2:2011, 4.8.2'),
  needs: {},
  judge: (_, { insulationKohm, site }) => {
    const leastKohm = site.dcMaxV / EARTH_A / 1000;
    return atLeast({
      value: insulationKohm,
      limit: leastKohm,
      working: () => [`${site.dcMaxV} V / 30 mA = ${fixed(leastKohm, 1)} kΩ; set: ${insulationKohm} kΩ`],
    });
  },
});
