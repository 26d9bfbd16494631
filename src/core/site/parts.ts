import { z } from 'zod';
import { INSULATIONS, RACEWAYS } from '../conductor/laid';
import { MODULE_MOUNTING } from '../equipment/moduleMounting';
import { partId, partName, quantity } from '../kernel/schema';
import type { Position } from './position';
import { positionSchema } from './position';

/** The parts of the base that every discipline shares: planes, inverters, the board, and what a string is. */

/** Inverters of one site. */
export const MOST_INVERTERS = 500;

export const planeSchema = z.object({
  id: partId,
  label: partName.meta({ description: 'Name of the plane' }),
  tiltDeg: quantity(0, 90, '°', 'Tilt from flat'),
  azimuthDeg: quantity(0, 359.999, '°', 'Azimuth from north, clockwise'),
  moduleTypeId: partId.meta({ description: 'Module type' }),
  moduleCount: quantity(0, 20000, 'modules', 'Modules on the plane').int(),
  mounting: z
    .enum(Object.keys(MODULE_MOUNTING) as [keyof typeof MODULE_MOUNTING, ...(keyof typeof MODULE_MOUNTING)[]])
    .meta({ description: 'How the modules are mounted' }),
  /** Light behind over light in front. Null: nobody has said, and what rests on it is unknown for modules that see behind. */
  rearShare: quantity(0, 0.3, '', 'Light on the rear over light in front').nullable().default(null),
  position: positionSchema.nullable(),
  /** Along which home runs leave, from the position on; the strings of the plane start evenly along it. */
  edgeM: quantity(0, 2000, 'm', 'Edge along which home runs leave').default(0),
  edgeDeg: quantity(-180, 360, '°', 'That edge on the plan: 0 to the right, 90 up').default(0),
  /** Used by the engineered method alone. */
  engineeredUocColdV: quantity(5, 300, 'V', 'Engineered cold voltage of one module').nullable().default(null),
});
export type Plane = z.infer<typeof planeSchema>;

/** A point on the edge of a plane along which home runs leave, 0…1 of it from its position; null while nobody said where the plane is. */
export function onEdge(plane: Pick<Plane, 'position' | 'edgeM' | 'edgeDeg'>, share: number): Position | null {
  const { position, edgeM, edgeDeg } = plane;
  if (!position) return null;
  const rad = (edgeDeg * Math.PI) / 180;
  return {
    xM: position.xM + edgeM * share * Math.cos(rad),
    yM: position.yM + edgeM * share * Math.sin(rad),
    zM: position.zM,
  };
}

/** Planes whose modules may share a tracker: one type, one tilt, one azimuth. */
export const sameClass = (a: Plane, b: Plane): boolean =>
  a === b || (a.moduleTypeId === b.moduleTypeId && a.tiltDeg === b.tiltDeg && a.azimuthDeg === b.azimuthDeg);

/** The same as a name. */
export function classOf(plane: Plane): string {
  return `${plane.moduleTypeId}|${plane.tiltDeg}|${plane.azimuthDeg}`;
}

export const siteInverterSchema = z.object({
  id: partId,
  tag: z
    .string()
    .trim()
    .regex(/^[A-Za-z0-9][A-Za-z0-9 ._-]{0,19}$/, 'Use letters, digits, space, dot and dash, at most 20.'),
  typeId: partId.meta({ description: 'Inverter type' }),
  position: positionSchema.nullable(),
});
export type SiteInverter = z.infer<typeof siteInverterSchema>;

export const boardSchema = z.object({
  label: partName,
  position: positionSchema.nullable(),
  busbarA: quantity(10, 6300, 'A', 'Busbar rating').nullable(),
  mainBreakerA: quantity(10, 6300, 'A', 'Main breaker').nullable(),
  mainAmbientC: quantity(-25, 80, '°C', 'Ambient at the main breaker').nullable(),
  busbarIcwKa: quantity(1, 200, 'kA', 'Short-time withstand of the busbar').nullable().default(null),
  /** The cable from the transformer to the board. */
  mainMetal: z.enum(['Cu', 'Al']).nullable().default(null).meta({ description: 'Metal of the main cable' }),
  mainInsulation: z.enum(INSULATIONS).nullable().default(null).meta({ description: 'Insulation of the main cable' }),
  mainSectionMm2: quantity(4, 630, 'mm²', 'Section of the main cable').nullable().default(null),
  mainParallel: quantity(1, 12, 'sets', 'Main cables in parallel').int().nullable().default(null),
  mainLengthM: quantity(0.5, 5000, 'm', 'Length of the main cable').nullable().default(null),
  /** What the NEC school asks of the main cable and the board. */
  mainRaceway: z.enum(RACEWAYS).nullable().default(null).meta({ description: 'Raceway of the main cable' }),
  mainFullRated: z.boolean().nullable().default(null).meta({ description: 'Main assembly listed for 100 %' }),
  sourcesFarEnd: z.boolean().nullable().default(null).meta({ description: 'Inverters at the end opposite the main' }),
  loadBreakersA: quantity(0, 20_000, 'A', 'Sum of all load breakers on the busbar').nullable().default(null),
  mainPeMm2: quantity(4, 630, 'mm²', 'PE or PEN of each main cable').nullable().default(null),
  mainMagneticA: quantity(10, 100_000, 'A', 'Magnetic setting of the main breaker').nullable().default(null),
  mainDelayS: quantity(0, 5, 's', 'Short-time delay of the main breaker, 0 if none').nullable().default(null),
  mainInstantA: quantity(0, 200_000, 'A', 'Instantaneous override of a delayed main breaker, 0 if off')
    .nullable()
    .default(null),
  /** Where the makers' curves are at hand: of the main the edge that opens first, of the runs' breakers those that clear last. */
  mainCurve: z
    .array(
      z.object({
        currentA: quantity(1, 200_000, 'A', 'Current'),
        opensS: quantity(0.001, 10_000, 's', 'Opens no sooner than'),
      }),
    )
    .max(60)
    .default([])
    .meta({ description: 'Points of the main’s curve' }),
  branchCurves: z
    .array(
      z.object({
        breakerA: quantity(1, 4000, 'A', 'Breaker'),
        currentA: quantity(1, 200_000, 'A', 'Current'),
        clearsS: quantity(0.001, 10_000, 's', 'Cleared no later than'),
      }),
    )
    .max(300)
    .default([])
    .meta({ description: 'Points of the curves of the runs’ breakers' }),
});
export type Board = z.infer<typeof boardSchema>;
export const BLANK_BOARD: Board = {
  label: 'Site board',
  position: null,
  busbarA: null,
  mainBreakerA: null,
  mainAmbientC: null,
  busbarIcwKa: null,
  mainMetal: null,
  mainInsulation: null,
  mainSectionMm2: null,
  mainParallel: null,
  mainLengthM: null,
  mainRaceway: null,
  mainFullRated: null,
  sourcesFarEnd: null,
  loadBreakersA: null,
  mainPeMm2: null,
  mainMagneticA: null,
  mainDelayS: null,
  mainInstantA: null,
  mainCurve: [],
  branchCurves: [],
};

/** An input of a tracker of an inverter. */
export const placeSchema = z.object({
  inverterId: partId,
  tracker: z.number().int().min(1).max(24),
  input: z.number().int().min(1).max(24),
  /** 2: the second string of a Y-branch on this input. */
  branch: z.union([z.literal(1), z.literal(2)]).default(1),
});
export type Place = z.infer<typeof placeSchema>;
export const placeKey = (p: Place) => `${p.inverterId}/${p.tracker}/${p.input}/${p.branch}`;

export const pvStringSchema = z.object({
  id: partId,
  number: z.number().int().min(1).max(9999),
  planeId: partId,
  modules: quantity(1, 60, 'modules', 'Modules in series').int(),
  /** Null while the string hangs on no input. */
  place: placeSchema.nullable(),
  /** Where its home run leaves the roof; null: even along the edge of the plane. */
  start: z.object({ xM: positionSchema.shape.xM, yM: positionSchema.shape.yM }).nullable().default(null),
  /** Measured one-way length of the home run to `lengthToId`; null: reckoned from the places. */
  lengthM: quantity(0.1, 1000, 'm', 'Measured home run, one way').nullable().default(null),
  /** The inverter the home run was measured to: hung elsewhere, the string has no measured length. */
  lengthToId: partId.nullable().default(null),
  /** Cable between the modules and back to the start of the home run, counted where given. */
  leadsM: quantity(0.1, 500, 'm', 'Own leads and return of the string').nullable().default(null),
  /** Of the second string of a Y: where the two join, along the way to the input. 0: at the input. */
  yM: quantity(0, 1000, 'm', 'From the Y to the input, one way').nullable().default(null),
});
export type PvString = z.infer<typeof pvStringSchema>;

/** A string of which nothing is measured yet. */
export const newString = (
  id: string,
  number: number,
  planeId: string,
  modules: number,
  place: Place | null = null,
): PvString => ({
  id,
  number,
  planeId,
  modules,
  place,
  start: null,
  lengthM: null,
  lengthToId: null,
  leadsM: null,
  yM: null,
});
