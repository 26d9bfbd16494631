import { dataSheet } from '../../../kernel/check';
import { atMost } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { LoadedInverter } from '../../onInput';

/** Up to here a unit insulates and cools as its sheet says, m (IEC 62109-1 and IEC 60664-1; recalled). */
const FULL_INSULATION_M = 2000;

/** Altitude of the site, m, against the highest the unit is made for. Above 2000 m the thinner air takes from its voltages: by how much, its maker says. */
export const ALTITUDE = rule<LoadedInverter>()({
  id: 'strings.altitude',
  title: 'Altitude the inverter is made for',
  unit: 'm',
  basis: dataSheet('highest altitude; IEC 62109-1 to 2000 m'),
  needs: {
    altitudeM: { as: 'altitude', of: (u) => u.survey.altitudeM },
    mostM: {
      as: 'highest altitude of the inverter',
      of: (u) => u.type.altitudeMaxM,
      missing: (u) => [`highest altitude of ${u.type.name}`],
    },
    derated: {
      as: 'DC and AC voltages of the inverter above 2000 m',
      of: ({ survey: { altitudeM }, type: { altitudeMaxM } }) =>
        altitudeM === null || altitudeMaxM === null || altitudeM <= FULL_INSULATION_M || altitudeM > altitudeMaxM
          ? true
          : null,
      missing: (u) => [`DC and AC voltages of ${u.type.name} above 2000 m: thin air insulates less`],
    },
  },
  judge: ({ altitudeM, mostM }) =>
    atMost({ value: altitudeM, limit: mostM, working: () => [`${altitudeM} m on at most ${mostM} m`] }),
});
