import { computed } from '../../../kernel/check';
import { atMost, found, withVerdict } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { HungUnit } from '../../results';
import { AWNING_MOST_M, awningFor } from '../../siting/awning';

/** Days of the solstices in a year, by hemisphere, and the hours that heat a unit most (common practice). */
const SUMMER = { north: 172, south: 355 } as const;
const FROM_H = 11;
const TO_H = 16;

/** Depth of the awning over a unit, m, against the deepest that the summer sun asks for between 11 and 16 h solar. Sun costs power and years, not safety: never a stop. */
export const SUN = rule<HungUnit>()({
  id: 'mounting.sun',
  title: 'Shaded from the summer sun',
  unit: 'm',
  basis: computed('spherical astronomy, declination after Cooper 1969'),
  needs: {
    latitudeDeg: { as: 'latitude', of: (h) => h.survey.latitudeDeg },
    facesDeg: { as: 'the way the wall faces', of: (h) => h.wall.facesDeg },
    depthMm: { as: 'depth of the unit', of: (h) => h.type.body.depthMm, missing: (h) => [`depth of ${h.type.name}`] },
    awningM: { as: 'depth of an awning', of: (h) => h.wall.awningDepthM },
    awningYMm: {
      as: 'height of an awning',
      of: (h) => (h.wall.awningDepthM === 0 ? h.wall.heightMm : h.wall.awningYMm),
    },
  },
  judge: ({ latitudeDeg, facesDeg, depthMm, awningM, awningYMm }, { at }) => {
    const asked = awningFor(
      {
        latitudeDeg,
        dayOfYear: latitudeDeg >= 0 ? SUMMER.north : SUMMER.south,
        wallAzimuthDeg: facesDeg,
        dropM: Math.max(0, awningYMm - at.yMm) / 1000,
        projectionM: depthMm / 1000,
      },
      FROM_H,
      TO_H,
    );
    if (asked.answer === 'no sun')
      return found('holds', () => [`no summer sun on the wall from ${FROM_H} to ${TO_H} h solar`]);
    const words = `at ${asked.atSolarH} h solar an awning ${(Math.max(0, awningYMm - at.yMm) / 1000).toFixed(2)} m over the lower edge has to be ${asked.depthM.toFixed(2)} m deep; there is ${awningM} m`;
    const judged = atMost({ value: asked.depthM, limit: Math.max(awningM, 1e-9), working: () => [words] });
    if (judged.verdict !== 'stop') return judged;
    const advice =
      asked.depthM > AWNING_MOST_M
        ? 'no awning saves this wall: a ventilated screen, or another wall'
        : 'an awning, or count the derating';
    return withVerdict({ ...judged, limit: awningM }, 'tight', () => [advice]);
  },
});
