import type { InverterBody } from '../equipment/inverterBody';
import type { LiftWay } from '../mounting/lift/liftWay';
import type { HungUnit } from '../mounting/results';
import { hungUnit } from './subjects';

/** 112 kg on two M8 eye bolts 700 mm apart, hook 500 mm over them, on a hoist of 200 kg with 8 kg of rigging: the worked case of mount-worked (M11). */
export const hoisted = (
  lift: Partial<LiftWay> = {},
  body: Partial<InverterBody> = {},
  massKg: number | null = 112,
): HungUnit =>
  hungUnit({
    type: { massKg },
    body: { eyeThread: 'M8', eyeSpacingMm: 700, ...body },
    lift: {
      by: 'hoist',
      slung: 'eye bolts',
      hookMm: 500,
      rope: 'textile',
      breakingKn: 7,
      riggingKg: 8,
      ratedKg: 200,
      pulley: false,
      beamKn: 2,
      ...lift,
    },
  });
/** The same in slings. */
export const slung = (legs: number | null, leanDeg: number | null, breakingKn = 7) =>
  hoisted({ slung: 'slings', legs, leanDeg, breakingKn });

export const ENDS = [
  { xMm: 0, yMm: 100 },
  { xMm: 1050, yMm: 100 },
];
/** 95 kg with handles 1.05 m apart and its centre 0.20 m over their line: the worked case of mount-worked (M10). */
export const carried = (stairsDeg: number | null, centreXMm: number | null = 525, massKg: number | null = 95) =>
  hungUnit({ type: { massKg }, body: { handles: ENDS, centreXMm, centreYMm: 300 }, lift: { stairsDeg } });
