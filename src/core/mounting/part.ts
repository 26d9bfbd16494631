import { z } from 'zod';
import type { PartOf, Shape } from '../kernel/discipline';
import type { Flaw } from '../kernel/integrity';
import { dangling, repeated } from '../kernel/integrity';
import { enumOf, partId, partName, quantity } from '../kernel/schema';
import type { Base } from '../site/base';
import { MOST_INVERTERS } from '../site/parts';
import { positionSchema } from '../site/position';
import { BLANK_STAND, standSchema } from './fixing/frameStand';
import { BLANK_LIFT, liftWaySchema } from './lift/liftWay';
import { OBSTRUCTION_KINDS } from './tables/obstructions';
import type { ObstructionKind } from './tables/obstructions';
import { GAP_SCHOOLS } from './wall/problem';

const mm = (min: number, max: number, description: string) => quantity(min, max, 'mm', description);
/** Longest wall, mm. */
const MOST_MM = 200_000;

export const WALL_MATERIALS = [
  'concrete',
  'solid masonry',
  'hollow or unknown masonry',
  'steel frame',
  'timber',
] as const;

const obstructionSchema = z.object({
  id: partId,
  kind: enumOf(Object.keys(OBSTRUCTION_KINDS) as ObstructionKind[]).meta({ description: 'What stands there' }),
  xMm: mm(-MOST_MM, MOST_MM, 'From the left'),
  yMm: mm(-MOST_MM, MOST_MM, 'From below'),
  widthMm: mm(1, MOST_MM, 'Width'),
  heightMm: mm(1, MOST_MM, 'Height'),
  /** Null: what is usual for its kind. */
  marginMm: mm(0, 5000, 'Kept free, where not the usual').nullable(),
});

/** A wall or a frame with one face to hang units on. Seen from the front: x to the right, y up, from its lower left corner. */
export const wallSchema = z.object({
  id: partId,
  label: partName.meta({ description: 'Name of the wall' }),
  kind: z.enum(['wall', 'frame']).meta({ description: 'Wall or frame' }),
  material: z.enum(WALL_MATERIALS).nullable().meta({ description: 'Made of' }),
  thicknessMm: mm(10, 5000, 'Thickness').nullable(),
  widthMm: mm(200, MOST_MM, 'Width of the wall'),
  heightMm: mm(200, 50_000, 'Height of the wall'),
  leftOpen: z.boolean().meta({ description: 'Left end open' }),
  rightOpen: z.boolean().meta({ description: 'Right end open' }),
  floorMinMm: mm(0, 10_000, 'Lower edges no lower than').nullable(),
  waterMarkMm: mm(0, 10_000, 'Flood or snow mark; 0 where there is none').nullable(),
  topMostMm: mm(200, 50_000, 'Upper edges no higher than').nullable(),
  frontMm: mm(0, 50_000, 'Free before the wall').nullable(),
  frontWidthMm: mm(0, 50_000, 'Free width before a unit').nullable().default(null),
  headroomMm: mm(0, 50_000, 'Headroom before the wall').nullable().default(null),
  facing: z
    .enum(['1', '2', '3'])
    .nullable()
    .meta({ description: 'Opposite: 1 nothing, 2 grounded parts, 3 live parts' }),
  publicReach: z.boolean().nullable().meta({ description: 'Within reach of the public, no fence' }),
  flammables: z.boolean().nullable().meta({ description: 'Flammables stored near' }),
  gaps: z.enum(GAP_SCHOOLS).meta({ description: 'Gap of two units: the larger, or the sum' }),
  stacking: z.boolean().meta({ description: 'One unit over the other allowed' }),
  trayMm: mm(0, 50_000, 'Tray, from below').nullable(),
  boardXMm: mm(-MOST_MM, MOST_MM, 'Cables leave at, from the left').nullable(),
  boardYMm: mm(-MOST_MM, MOST_MM, 'Cables leave at, from below').nullable(),
  backDeg: quantity(-30, 90, '°', 'Leans back from upright').nullable(),
  neighbourM: quantity(0, 5000, 'm', 'To the nearest neighbour’s window; 0 where there is none').nullable(),
  soundLimitDb: quantity(0, 140, 'dB(A)', 'Sound limit there, by the local rule').nullable(),
  facesDeg: quantity(0, 359.999, '°', 'The way it faces, from north').nullable(),
  awningDepthM: quantity(0, 10, 'm', 'Depth of an awning; 0 where there is none').nullable(),
  awningYMm: mm(0, 50_000, 'Awning, from below').nullable(),
  pullTested: z.boolean().nullable().meta({ description: 'Anchors pulled on this wall' }),
  tensionCapacityN: quantity(
    0,
    1e6,
    'N',
    'Approved pull on one anchor, design; in concrete away from edges',
  ).nullable(),
  shearCapacityN: quantity(0, 1e6, 'N', 'Approved shear on one anchor, design').nullable(),
  anchorHoleMm: mm(3, 60, 'Hole for the anchor').nullable(),
  anchorDepthMm: mm(10, 500, 'Depth of that hole').nullable(),
  embedmentMm: mm(10, 500, 'Embedment of the anchor, in concrete').nullable().default(null),
  edgeLeastMm: mm(0, 2000, 'Least edge by the approval').nullable().default(null),
  spacingLeastMm: mm(0, 2000, 'Least spacing by the approval').nullable().default(null),
  /** Its lower left corner on the site; null: the units on it keep the places they were given. */
  origin: positionSchema.nullable(),
  lift: liftWaySchema.default(BLANK_LIFT),
  /** Of a frame alone. */
  stand: standSchema.default(BLANK_STAND),
  obstructions: z.array(obstructionSchema).max(100).meta({ description: 'Obstructions' }),
});
export type Wall = z.infer<typeof wallSchema>;

/** A unit's place on a wall: its lower left corner. */
export const hungSchema = z.object({
  inverterId: partId,
  wallId: partId,
  xMm: mm(-MOST_MM, MOST_MM, 'From the left'),
  yMm: mm(-MOST_MM, MOST_MM, 'From below'),
});
export type Hung = z.infer<typeof hungSchema>;

export const mountingShape = {
  walls: z.array(wallSchema).max(60).default([]),
  hung: z.array(hungSchema).max(MOST_INVERTERS).default([]),
} as const satisfies Shape;

/** What mounting works on: the base and its own part. */
export type MountingDesign = Base & PartOf<typeof mountingShape>;

/** A wall of which only the size is known. */
export const newWall = (id: string, label: string, widthMm: number, heightMm: number): Wall => ({
  id,
  label,
  kind: 'wall',
  material: null,
  thicknessMm: null,
  widthMm,
  heightMm,
  leftOpen: false,
  rightOpen: false,
  floorMinMm: null,
  waterMarkMm: null,
  topMostMm: null,
  frontMm: null,
  frontWidthMm: null,
  headroomMm: null,
  facing: null,
  publicReach: null,
  flammables: null,
  gaps: 'larger',
  stacking: true,
  trayMm: null,
  boardXMm: null,
  boardYMm: null,
  backDeg: null,
  neighbourM: null,
  soundLimitDb: null,
  facesDeg: null,
  awningDepthM: null,
  awningYMm: null,
  pullTested: null,
  tensionCapacityN: null,
  shearCapacityN: null,
  anchorHoleMm: null,
  anchorDepthMm: null,
  embedmentMm: null,
  edgeLeastMm: null,
  spacingLeastMm: null,
  origin: null,
  lift: BLANK_LIFT,
  stand: BLANK_STAND,
  obstructions: [],
});

/** Walls that stand twice, units that hang twice or on nothing. */
export function mountingFlaws({ walls, hung, inverters }: MountingDesign): Flaw[] {
  return [
    ...repeated({ items: walls, list: 'walls', field: 'id', key: (w) => w.id, what: 'Wall' }),
    ...repeated({ items: walls, list: 'walls', field: 'label', key: (w) => w.label, what: 'Wall name' }),
    ...repeated({ items: hung, list: 'hung', field: 'inverterId', key: (h) => h.inverterId, what: 'Inverter' }),
    ...dangling({ items: hung, list: 'hung', field: 'wallId', key: (h) => h.wallId, what: 'wall' }, walls),
    ...dangling(
      { items: hung, list: 'hung', field: 'inverterId', key: (h) => h.inverterId, what: 'inverter' },
      inverters,
    ),
  ];
}
