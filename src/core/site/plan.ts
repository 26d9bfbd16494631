import { z } from 'zod';
import { enumOf, partId, partName, quantity } from '../kernel/schema';
import type { Flaw } from '../kernel/integrity';
import { repeated } from '../kernel/integrity';
import type { Position } from './position';
import { positionSchema, straightM, wayM } from './position';

/** The plan of the site: what stands there beside planes, units and board, and what cables lie on. Its frame is that of every position. */

/** What lies on a tray: home runs, AC runs, the RS-485 bus. */
export const CABLE_KINDS = ['dc', 'ac', 'bus'] as const;
export type CableKind = (typeof CABLE_KINDS)[number];
export const CABLE_WORDS: Readonly<Record<CableKind, string>> = { dc: 'home runs', ac: 'AC runs', bus: 'RS-485' };

/** A tray, duct or ladder: cables of the kinds it carries lie along it. */
export const traySchema = z.object({
  id: partId,
  label: partName.meta({ description: 'Name of the tray' }),
  carries: z.array(enumOf(CABLE_KINDS)).min(1, 'Say what lies on it.').max(3).meta({ description: 'What lies on it' }),
  /** Null: its fill is unknown. */
  widthMm: quantity(20, 2000, 'mm', 'Inner width').nullable(),
  depthMm: quantity(10, 500, 'mm', 'Usable depth').nullable(),
  dcLeadMm: quantity(3, 20, 'mm', 'Diameter of a DC lead on it').nullable().default(null),
  busCableMm: quantity(3, 30, 'mm', 'Diameter of the RS-485 cable on it').nullable().default(null),
  points: z
    .array(positionSchema)
    .min(2, 'A tray has two ends at least.')
    .max(60)
    .meta({ description: 'Its corners, from end to end' }),
});
export type Tray = z.infer<typeof traySchema>;

/** Length of a tray along its corners, m. */
export const trayLengthM = ({ points }: Pick<Tray, 'points'>): number =>
  points.slice(1).reduce((sum, b, i) => sum + straightM(points[i] as Position, b), 0);

/** A room with upright walls along the axes of the plan; its lower left corner and its size. */
export const roomSchema = z.object({
  id: partId,
  label: partName.meta({ description: 'Name of the room' }),
  xM: positionSchema.shape.xM,
  yM: positionSchema.shape.yM,
  zM: positionSchema.shape.zM.meta({ unit: 'm', description: 'Floor' }),
  widthM: quantity(0.5, 1000, 'm', 'Width, to the right'),
  depthM: quantity(0.5, 1000, 'm', 'Depth, up the plan'),
  heightM: quantity(1.5, 50, 'm', 'Clear height').nullable(),
  /** Air that is moved through it; 0 where nothing moves any. Null: nobody has said. */
  airM3h: quantity(0, 1e6, 'm³/h', 'Air moved through it').nullable(),
  inletC: quantity(-40, 60, '°C', 'Warmest air that comes in').nullable(),
});
export type Room = z.infer<typeof roomSchema>;

export const SPOT_KINDS = ['transformer', 'meter', 'delivery', 'store', 'stop button', 'other'] as const;

/** Something that stands at one point. */
export const spotSchema = z.object({
  id: partId,
  label: partName.meta({ description: 'Name' }),
  kind: enumOf(SPOT_KINDS).meta({ description: 'What stands there' }),
  position: positionSchema,
});
export type Spot = z.infer<typeof spotSchema>;

const levelSchema = z.object({
  id: partId,
  label: partName.meta({ description: 'Name of the level' }),
  zM: positionSchema.shape.zM,
});

/** A picture or a drawing behind the plan to trace over, to scale. It is no part of the work: nothing is reckoned from it. */
export const backdropSchema = z.object({
  /** SHA-256 of its bytes, by which it is stored. */
  id: z.string().regex(/^[0-9a-f]{64}$/, 'Enter the SHA-256 of the picture in small letters.'),
  name: partName,
  widthM: quantity(1, 20_000, 'm', 'Width to scale'),
  heightM: quantity(1, 20_000, 'm', 'Height to scale'),
  xM: positionSchema.shape.xM,
  yM: positionSchema.shape.yM,
});
export type Backdrop = z.infer<typeof backdropSchema>;

export const planSchema = z.object({
  /** Where north points on the plan. */
  northDeg: quantity(0, 359.999, '°', 'North on the plan, clockwise from straight up').default(0),
  levels: z.array(levelSchema).max(20).default([]),
  rooms: z.array(roomSchema).max(60).default([]),
  trays: z.array(traySchema).max(60).default([]),
  spots: z.array(spotSchema).max(60).default([]),
  backdrop: backdropSchema.nullable().default(null),
});
export type Plan = z.infer<typeof planSchema>;
export const BLANK_PLAN: Plan = { northDeg: 0, levels: [], rooms: [], trays: [], spots: [], backdrop: null };

/** Things that stand twice, trays that go nowhere. */
export function planFlaws({ rooms, trays, spots, levels }: Plan): Flaw[] {
  const byId = { field: 'id', key: (x: { readonly id: string }) => x.id };
  return [
    ...repeated({ items: rooms, list: 'plan.rooms', what: 'Room', ...byId }),
    ...repeated({ items: trays, list: 'plan.trays', what: 'Tray', ...byId }),
    ...repeated({ items: spots, list: 'plan.spots', what: 'Place', ...byId }),
    ...repeated({ items: levels, list: 'plan.levels', what: 'Level', ...byId }),
    ...trays.flatMap(({ label, points: [first, ...rest] }, i) =>
      first && rest.every((p) => wayM(first, p) === 0)
        ? [{ path: ['plan', 'trays', i, 'points'], message: `Tray ${label} has no length: its corners are one point.` }]
        : [],
    ),
  ];
}

/** A compass direction on the plan: degrees clockwise from straight up. Both 0…360. */
export const onPlanDeg = (plan: Pick<Plan, 'northDeg'>, bearingDeg: number): number =>
  (bearingDeg + plan.northDeg) % 360;

/** Rooms are at least so high, m: the least clear height that can be entered. */
const ROOM_LEAST_M = 1.5;

/** Whether a point lies so high in a room of unknown height that it may be above it. */
export const maybeAbove = (r: Room, p: { readonly zM: number }): boolean =>
  r.heightM === null && p.zM > r.zM + ROOM_LEAST_M;

/** Whether a point lies in a room, its walls included: x and y alone, and z between floor and ceiling where that is known. */
export function inRoom(r: Room, p: { readonly xM: number; readonly yM: number; readonly zM: number }): boolean {
  return (
    p.xM >= r.xM &&
    p.xM <= r.xM + r.widthM &&
    p.yM >= r.yM &&
    p.yM <= r.yM + r.depthM &&
    p.zM >= r.zM &&
    (r.heightM === null || p.zM <= r.zM + r.heightM)
  );
}
