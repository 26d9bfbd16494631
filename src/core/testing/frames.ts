import type { FrameStand } from '../mounting/fixing/frameStand';
import { BLANK_STAND } from '../mounting/fixing/frameStand';
import { newWall } from '../mounting/part';
import type { LoadedFrame } from '../mounting/results';
import { T100 } from './examples';

/**
 * The worked case of mount-worked (M18): 112 kg in all, rubber on bitumen (0.4), wind 620 N at 0.55 m, lift 250 N, edge at 0.40 m, centre at
 * 0.45 m. Wind by its area: 620 N of 0.625 · 30² · 1.8 a square metre.
 */
export const frame = (over: Partial<FrameStand> = {}, massKg: number | null = 62): LoadedFrame => ({
  wall: {
    ...newWall('frame', 'Roof frame', 3000, 1500),
    kind: 'frame',
    stand: {
      ...BLANK_STAND,
      held: 'by ballast',
      massKg: 50,
      surface: 'rubber on bitumen sheet',
      slopeDeg: 0,
      gustMs: 30,
      areaM2: 620 / (0.625 * 900 * 1.8),
      upliftN: 250,
      windArmM: 0.55,
      tipArmM: 0.4,
      centreHeightM: 0.45,
      betweenM: 0.8,
      footWidthMm: 100,
      footDepthMm: 100,
      spreadMm: 0,
      ballastKg: 200,
      roofKpa: 100,
      ...over,
    },
  },
  types: [{ ...T100, massKg }],
});
