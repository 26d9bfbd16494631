import { dataSheet } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { HungUnit } from '../../results';
import { FLAT_ASKED_FROM_DEG, inclineVerdict } from '../../siting/incline';

/** How far a unit leans with its wall or frame: plumb to 15° back, flat where the sheet allows it, never forward. */
export const INCLINE = rule<HungUnit>()({
  id: 'mounting.incline',
  title: 'Upright enough',
  unit: '°',
  basis: dataSheet('incline; common practice to 15° back where the sheet is silent'),
  needs: {
    backDeg: { as: 'how far the wall leans', of: (h) => h.wall.backDeg },
    flatAllowed: {
      as: 'whether the unit may hang flat on its back',
      // Asked only where it leans so far that it matters.
      of: (h) => ((h.wall.backDeg ?? 0) < FLAT_ASKED_FROM_DEG ? false : h.type.body.flatAllowed),
      missing: (h) => [`whether ${h.type.name} may hang flat on its back`],
    },
  },
  judge: ({ backDeg, flatAllowed }) =>
    found(
      inclineVerdict({ backDeg, rollDeg: 0, flatAllowed }),
      () => [`${backDeg}° back from upright${flatAllowed ? ', flat allowed by the sheet' : ''}`],
      { value: backDeg, limit: null },
    ),
});
