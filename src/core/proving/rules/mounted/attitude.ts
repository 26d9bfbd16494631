import { dataSheet } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import { FLAT_ASKED_FROM_DEG, inclineVerdict } from '../../../mounting/siting/incline';
import type { MountedReading } from '../../readings/mountedReading';

/** How the unit hangs by the level: plumb and square, or leaning no further than its sheet allows. */
export const ATTITUDE = rule<MountedReading>()({
  id: 'proving.attitude',
  title: 'Hangs upright enough',
  unit: '°',
  basis: dataSheet('incline; common practice to 15° back and 2° to the side where the sheet is silent'),
  needs: {
    flatAllowed: {
      as: 'whether the unit may hang flat on its back',
      of: ({ backDeg, type }) => (backDeg < FLAT_ASKED_FROM_DEG ? false : type.body.flatAllowed),
      missing: ({ type }) => [`whether ${type.name} may hang flat on its back`],
    },
  },
  judge: ({ flatAllowed }, { backDeg, rollDeg }) =>
    found(inclineVerdict({ backDeg, rollDeg, flatAllowed }), () => [`${backDeg}° back, ${rollDeg}° to the side`], {
      value: Math.max(Math.abs(rollDeg), Math.abs(backDeg)),
    }),
});
