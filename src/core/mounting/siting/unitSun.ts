import type { Answer } from '../../kernel/answer';
import { known, lacking } from '../../kernel/answer';
import type { HungUnit } from '../results';
import type { UnderAwning } from './awning';

/** Solar hours that heat a unit most (common practice). */
export const CRITICAL_HOURS = { from: 11, to: 16 } as const;

/** Day of the summer solstice, by hemisphere. */
export const summerDay = (latitudeDeg: number): number => (latitudeDeg >= 0 ? 172 : 355);

/** A unit under the awning of its wall, or under the top of the wall where there is none; what it lacks. */
export function underAwning({ wall, type, survey, at }: HungUnit): Answer<Omit<UnderAwning, 'dayOfYear'>> {
  const { latitudeDeg } = survey;
  const { facesDeg, awningDepthM } = wall;
  const { depthMm } = type.body;
  const awningYMm = awningDepthM === 0 ? wall.heightMm : wall.awningYMm;
  if (latitudeDeg === null || facesDeg === null || depthMm === null || awningDepthM === null || awningYMm === null)
    return lacking(
      ...(latitudeDeg === null ? ['latitude'] : []),
      ...(facesDeg === null ? ['the way the wall faces'] : []),
      ...(depthMm === null ? [`depth of ${type.name}`] : []),
      ...(awningDepthM === null ? ['depth of an awning'] : []),
      ...(awningDepthM !== null && awningYMm === null ? ['height of an awning'] : []),
    );
  const dropM = Math.max(0, awningYMm - at.yMm) / 1000;
  return known({ latitudeDeg, wallAzimuthDeg: facesDeg, dropM, projectionM: depthMm / 1000 });
}
