import { computed } from '../../../kernel/check';
import { atMost, found, withVerdict } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { HungUnit } from '../../results';
import { AWNING_MOST_M, awningFor } from '../../siting/awning';
import { CRITICAL_HOURS, summerDay, underAwning } from '../../siting/unitSun';

/** Depth of the awning over a unit, m, against the deepest that the summer sun asks for between 11 and 16 h solar. Sun costs power and years, not safety: never a stop. */
export const SUN = rule<HungUnit>()({
  id: 'mounting.sun',
  title: 'Shaded from the summer sun',
  unit: 'm',
  basis: computed('spherical astronomy, declination after Cooper 1969'),
  needs: {
    place: { as: 'the wall and its awning', answer: underAwning },
    awningM: { as: 'depth of an awning', of: (h) => h.wall.awningDepthM },
  },
  judge: ({ place, awningM }) => {
    const { from, to } = CRITICAL_HOURS;
    const asked = awningFor({ ...place, dayOfYear: summerDay(place.latitudeDeg) }, from, to);
    if (asked.answer === 'no sun')
      return found('holds', () => [`no summer sun on the wall from ${from} to ${to} h solar`]);
    const words = `at ${asked.atSolarH} h solar an awning ${place.dropM.toFixed(2)} m over the lower edge has to be ${asked.depthM.toFixed(2)} m deep; there is ${awningM} m`;
    const judged = atMost({ value: asked.depthM, limit: Math.max(awningM, 1e-9), working: () => [words] });
    if (judged.verdict !== 'stop') return judged;
    const advice =
      asked.depthM > AWNING_MOST_M
        ? 'no awning saves this wall: a ventilated screen, or another wall'
        : 'an awning, or count the derating';
    return withVerdict({ ...judged, limit: awningM }, 'tight', () => [advice]);
  },
});
