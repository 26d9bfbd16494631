import { z } from 'zod';
import { enumOf, quantity } from '../kernel/schema';

/** The body of an inverter as it hangs: sizes, what it keeps free, where it is carried and where it is fixed. Null where the data sheet is silent. */

const mm = (min: number, max: number, description: string) => quantity(min, max, 'mm', description);

/** From the lower left corner of the unit, seen from the front, mm. */
const bodyPointSchema = z.object({ xMm: mm(-500, 4000, 'From the left'), yMm: mm(-1000, 4000, 'From below') });

const AIR_SIDES = ['top', 'bottom', 'left', 'right', 'both sides'] as const;
export type AirSide = (typeof AIR_SIDES)[number];
const airSide = (description: string) => enumOf(AIR_SIDES).nullable().default(null).meta({ description });

/** A line of the packing list: so many of a thing in the box of one unit. */
const packedSchema = z.object({
  item: z.string().trim().min(1, 'Name the thing.').max(60).meta({ description: 'Thing' }),
  perUnit: quantity(1, 999, '', 'In each box').int(),
});
export type Packed = z.infer<typeof packedSchema>;

export const inverterBodySchema = z.object({
  widthMm: mm(100, 4000, 'Width of the unit').nullable(),
  heightMm: mm(100, 4000, 'Height of the unit').nullable(),
  depthMm: mm(50, 2000, 'Depth of the unit').nullable(),
  leftMm: mm(0, 3000, 'Free to the left').nullable(),
  rightMm: mm(0, 3000, 'Free to the right').nullable(),
  topMm: mm(0, 3000, 'Free above').nullable(),
  bottomMm: mm(0, 3000, 'Free below').nullable(),
  frontMm: mm(0, 5000, 'Free in front').nullable(),
  besideMm: mm(0, 3000, 'Gap of two side by side').nullable(),
  stackedMm: mm(0, 3000, 'Gap of two one over the other').nullable(),
  centreXMm: mm(0, 4000, 'Centre of gravity, from the left').nullable(),
  centreYMm: mm(0, 4000, 'Centre of gravity, from below').nullable(),
  centreZMm: mm(0, 2000, 'Centre of gravity, from the wall').nullable(),
  bracketBottomMm: mm(-500, 4000, 'Lower edge of the bracket, from below').nullable(),
  slotMm: mm(3, 60, 'Slot or hole of the bracket').nullable(),
  boltMm: mm(3, 60, 'Bolt in it').nullable(),
  efficiencyPercent: quantity(80, 100, '%', 'Efficiency at full load').nullable().default(null),
  soundDb: quantity(0, 140, 'dB(A)', 'Sound at 1 m').nullable(),
  flatAllowed: z.boolean().nullable().meta({ description: 'May hang flat on its back' }),
  gearOnly: z.boolean().nullable().meta({ description: 'To be lifted by gear only' }),
  eyeThread: z.enum(['M8', 'M10', 'M12', 'M16']).nullable().default(null).meta({ description: 'Eye bolts' }),
  eyeSpacingMm: mm(50, 4000, 'Eye bolts apart').nullable().default(null),
  airIn: airSide('Air goes in at'),
  airOut: airSide('Warm air comes out at'),
  handles: z.array(bodyPointSchema).max(4).meta({ description: 'Handles' }),
  bracketHoles: z.array(bodyPointSchema).max(24).meta({ description: 'Holes of the bracket' }),
  safetyHoles: z.array(bodyPointSchema).max(8).meta({ description: 'Holes of the safety screws' }),
  packing: z.array(packedSchema).max(40).default([]).meta({ description: 'Packing list' }),
});
export type InverterBody = z.infer<typeof inverterBodySchema>;

/** A body of which the sheet says nothing. */
export const BLANK_BODY: InverterBody = {
  widthMm: null,
  heightMm: null,
  depthMm: null,
  leftMm: null,
  rightMm: null,
  topMm: null,
  bottomMm: null,
  frontMm: null,
  besideMm: null,
  stackedMm: null,
  centreXMm: null,
  centreYMm: null,
  centreZMm: null,
  bracketBottomMm: null,
  slotMm: null,
  boltMm: null,
  efficiencyPercent: null,
  soundDb: null,
  flatAllowed: null,
  gearOnly: null,
  eyeThread: null,
  eyeSpacingMm: null,
  airIn: null,
  airOut: null,
  handles: [],
  bracketHoles: [],
  safetyHoles: [],
  packing: [],
};
