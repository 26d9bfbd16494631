import { z } from 'zod';
import { enumOf, quantity } from '../../kernel/schema';
import { ROPES } from './rigging';

/** How units get to a wall and up on it: said once for all that hang there. Null: nobody has said. */

export const LIFT_MEANS = ['hand', 'lift table', 'hoist'] as const;
export type LiftMeans = (typeof LIFT_MEANS)[number];
export const SLUNG = ['eye bolts', 'slings'] as const;

export const liftWaySchema = z.object({
  by: enumOf(LIFT_MEANS).nullable().meta({ description: 'Units go up by' }),
  people: quantity(1, 12, 'people', 'People at the unit').int().nullable(),
  slung: enumOf(SLUNG).nullable().meta({ description: 'On the hook by' }),
  hookMm: quantity(50, 5000, 'mm', 'Hook over the eye bolts').nullable(),
  legs: quantity(1, 3, 'legs', 'Legs of the sling').int().nullable(),
  leanDeg: quantity(0, 60, '°', 'Lean of a leg from plumb').nullable(),
  rope: enumOf(ROPES).nullable().meta({ description: 'Legs of' }),
  breakingKn: quantity(0.1, 1000, 'kN', 'Breaking load of a leg').nullable(),
  riggingKg: quantity(0, 500, 'kg', 'Mass of the rigging').nullable(),
  ratedKg: quantity(1, 10_000, 'kg', 'Rating of the hoist').nullable(),
  pulley: z.boolean().nullable().meta({ description: 'Over a fixed pulley' }),
  beamKn: quantity(0.1, 1000, 'kN', 'Load allowed where it hangs').nullable(),
  stairsDeg: quantity(0, 60, '°', 'Slope of stairs on the way; 0 where there are none').nullable(),
  onWheels: z.boolean().nullable().meta({ description: 'Moved on wheels' }),
  trolleyKg: quantity(0, 1000, 'kg', 'Mass of the trolley').nullable(),
  wheels: quantity(1, 12, 'wheels', 'Wheels that carry').int().nullable(),
  wheelMm2: quantity(10, 250_000, 'mm²', 'Area under a wheel').nullable(),
  floorKpa: quantity(0.1, 50_000, 'kPa', 'Pressure the floor may take').nullable(),
});
export type LiftWay = z.infer<typeof liftWaySchema>;

/** A way of which nothing is known yet. */
export const BLANK_LIFT: LiftWay = {
  by: null,
  people: null,
  slung: null,
  hookMm: null,
  legs: null,
  leanDeg: null,
  rope: null,
  breakingKn: null,
  riggingKg: null,
  ratedKg: null,
  pulley: null,
  beamKn: null,
  stairsDeg: null,
  onWheels: null,
  trolleyKg: null,
  wheels: null,
  wheelMm2: null,
  floorKpa: null,
};
