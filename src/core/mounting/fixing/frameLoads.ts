import type { Answer } from '../../kernel/answer';
import { given, known, lacking } from '../../kernel/answer';
import type { LoadedFrame } from '../results';
import { windForceN } from './wind';

/** What pushes a frame and what holds it down. */
export interface FrameLoads {
  /** Frame and units, kg, without ballast. */
  readonly massKg: number;
  readonly windN: number;
  readonly upliftN: number;
  readonly windArmM: number;
}

/** Mass of a frame with all its units, and the wind on it. */
export function frameLoads({ wall, types }: LoadedFrame): Answer<FrameLoads> {
  const { massKg, gustMs, areaM2, upliftN, windArmM } = wall.stand;
  const silent = [...new Set(types.filter((t) => t.massKg === null).map((t) => `mass of ${t.name}`))];
  const of = given(
    {
      'mass of the frame': massKg,
      'peak gust at the frame': gustMs,
      'area that the wind meets': areaM2,
      'uplift of the wind': upliftN,
      'height of the wind on the frame': windArmM,
    },
    (k) => ({
      massKg: types.reduce((sum, t) => sum + (t.massKg ?? 0), k['mass of the frame']),
      windN: windForceN(k['peak gust at the frame'], k['area that the wind meets']),
      upliftN: k['uplift of the wind'],
      windArmM: k['height of the wind on the frame'],
    }),
  );
  return of.value === null || silent.length ? lacking(...of.missing, ...silent) : known(of.value);
}
