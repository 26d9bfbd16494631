import { z } from 'zod';
import { enumOf, quantity } from '../../kernel/schema';
import type { FeetSurface } from './ballast';
import { FEET_FRICTION } from './ballast';

/** How a frame stands on its roof or ground. Null: nobody has said. */

export const standSchema = z.object({
  held: z.enum(['fixed mechanically', 'by ballast']).nullable().meta({ description: 'The frame is held' }),
  massKg: quantity(1, 20_000, 'kg', 'Mass of the frame without units').nullable(),
  surface: enumOf(Object.keys(FEET_FRICTION) as FeetSurface[])
    .nullable()
    .meta({ description: 'Feet on' }),
  slopeDeg: quantity(0, 30, '°', 'Slope of the roof').nullable(),
  gustMs: quantity(0, 90, 'm/s', 'Peak gust').nullable(),
  areaM2: quantity(0.01, 500, 'm²', 'Area that the wind meets').nullable(),
  upliftN: quantity(0, 100_000, 'N', 'Uplift of the wind').nullable(),
  windArmM: quantity(0.01, 10, 'm', 'Middle of that area over the roof').nullable(),
  tipArmM: quantity(0.01, 10, 'm', 'Centre of gravity to the edge it would tip over').nullable(),
  centreHeightM: quantity(0.01, 10, 'm', 'Centre of gravity over the roof').nullable(),
  betweenM: quantity(0.1, 20, 'm', 'Between its feet').nullable(),
  footWidthMm: quantity(10, 2000, 'mm', 'Width of a foot or pad').nullable(),
  footDepthMm: quantity(10, 2000, 'mm', 'Depth of a foot or pad').nullable(),
  spreadMm: quantity(0, 500, 'mm', 'Slab under it that spreads the load').nullable(),
  ballastKg: quantity(0, 20_000, 'kg', 'Ballast laid').nullable(),
  roofKpa: quantity(0.1, 10_000, 'kPa', 'Pressure the roof may take').nullable(),
});
export type FrameStand = z.infer<typeof standSchema>;

/** A stand of which nothing is known yet. */
export const BLANK_STAND: FrameStand = {
  held: null,
  massKg: null,
  surface: null,
  slopeDeg: null,
  gustMs: null,
  areaM2: null,
  upliftN: null,
  windArmM: null,
  tipArmM: null,
  centreHeightM: null,
  betweenM: null,
  footWidthMm: null,
  footDepthMm: null,
  spreadMm: null,
  ballastKg: null,
  roofKpa: null,
};
