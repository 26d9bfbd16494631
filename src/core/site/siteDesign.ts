import { z } from 'zod';
import { inverterTypeSchema } from '../equipment/inverterType';
import { moduleTypeSchema } from '../equipment/moduleType';
import { MOUNTING } from '../equipment/mounting';
import { partId, partName, quantity } from '../kernel/schema';
import {
  BLANK_DC_CABLE,
  BLANK_ENERGY,
  BUILDINGS,
  COLD_METHODS,
  dcCableSchema,
  energyInputsSchema,
  lockSchema,
} from './dcSide';

/** Version of the project file. A file with a newer version is refused whole. */
export const DESIGN_SCHEMA = 1;

/** Metres in the site's own frame: x right, y up the plan, z height. */
export const positionSchema = z.object({
  xM: quantity(-1e5, 1e5, 'm', 'To the right'),
  yM: quantity(-1e5, 1e5, 'm', 'Up the plan'),
  zM: quantity(-1e3, 1e4, 'm', 'Height'),
});

export const SERVICES = [
  'earthed wye with neutral (TN-S, TN-C-S)',
  'earthed wye, TT',
  'earthed wye, neutral not brought out',
  'IT wye, shared',
  'IT wye, dedicated transformer',
  'delta ungrounded, shared',
  'delta ungrounded, dedicated transformer',
  'corner-grounded delta',
  'high-leg delta',
] as const;

export const GRID_CODE_FAMILIES = [
  'EN 50549-1 first start',
  'EN 50549-1 after a trip',
  'VDE-AR-N 4105',
  'IEEE 1547 enter service',
  'generic 90',
] as const;

/** What the survey finds out. Null means: nobody has said yet. */
export const surveySchema = z.object({
  name: partName,
  place: z.string().trim().max(120),
  latitudeDeg: quantity(-90, 90, '°', 'Latitude, north positive').nullable(),
  longitudeDeg: quantity(-180, 180, '°', 'Longitude, east positive').nullable(),
  altitudeM: quantity(-400, 6000, 'm', 'Altitude').nullable(),
  coldestC: quantity(-60, 35, '°C', 'Lowest expected ambient at dawn').nullable(),
  hottestC: quantity(0, 60, '°C', 'Hot design ambient').nullable(),
  dcLegalMaxV: quantity(60, 1500, 'V', 'Legal DC limit at this place').nullable(),
  school: z.enum(['IEC', 'NEC', 'AU/NZ']).meta({ description: 'School of rules' }),
  building: z.enum(BUILDINGS).nullable().default(null).meta({ description: 'On a building' }),
  coldMethod: z.enum(COLD_METHODS).default('coefficient').meta({ description: 'Cold voltage by' }),
  engineeredDocument: z
    .string()
    .trim()
    .max(120)
    .default('')
    .meta({ description: 'Stamped document of the engineered cold voltage' }),
  lineV: quantity(200, 1000, 'V', 'Nominal line voltage').nullable(),
  frequencyHz: z
    .union([z.literal(50), z.literal(60)])
    .nullable()
    .meta({ unit: 'Hz', description: 'Frequency' }),
  service: z.enum(SERVICES).nullable().meta({ description: 'Supply and its earthing' }),
  transformerKva: quantity(10, 10000, 'kVA', 'Transformer rating').nullable(),
  transformerImpedancePercent: quantity(0.5, 20, '%', 'Transformer impedance').nullable(),
  boardHighestV: quantity(200, 1100, 'V', 'Highest board voltage, feeding').nullable(),
  gridCode: z.enum(GRID_CODE_FAMILIES).nullable().meta({ description: 'Grid code' }),
  /** Null keeps the gates of these devices in the way until somebody has looked. */
  rcdFitted: z.boolean().nullable().meta({ description: 'Residual-current devices fitted' }),
  stopFitted: z.boolean().nullable().meta({ description: 'Emergency stop fitted' }),
  contactsFitted: z.boolean().nullable().meta({ description: 'Dry contacts wired' }),
});

export const planeSchema = z.object({
  id: partId,
  label: partName.meta({ description: 'Name of the plane' }),
  tiltDeg: quantity(0, 90, '°', 'Tilt from flat'),
  azimuthDeg: quantity(0, 359.999, '°', 'Azimuth from north, clockwise'),
  moduleTypeId: partId.meta({ description: 'Module type' }),
  moduleCount: quantity(0, 20000, 'modules', 'Modules on the plane').int(),
  mounting: z
    .enum(Object.keys(MOUNTING) as [keyof typeof MOUNTING, ...(keyof typeof MOUNTING)[]])
    .meta({ description: 'How the modules are mounted' }),
  position: positionSchema.nullable(),
  /** Along which home runs leave, from the position to the right; the strings of the plane start evenly along it. */
  edgeM: quantity(0, 2000, 'm', 'Edge along which home runs leave').default(0),
  /** Used by the engineered method alone. */
  engineeredUocColdV: quantity(5, 300, 'V', 'Engineered cold voltage of one module').nullable().default(null),
});

export const siteInverterSchema = z.object({
  id: partId,
  tag: z
    .string()
    .trim()
    .regex(/^[A-Za-z0-9][A-Za-z0-9 ._-]{0,19}$/, 'Use letters, digits, space, dot and dash, at most 20.'),
  typeId: partId.meta({ description: 'Inverter type' }),
  position: positionSchema.nullable(),
});

export const placeSchema = z.object({
  inverterId: partId,
  tracker: z.number().int().min(1).max(24),
  input: z.number().int().min(1).max(24),
  /** 2: the second string of a Y-branch on this input. */
  branch: z.union([z.literal(1), z.literal(2)]).default(1),
});

export const pvStringSchema = z.object({
  id: partId,
  number: z.number().int().min(1).max(9999),
  planeId: partId,
  modules: quantity(1, 60, 'modules', 'Modules in series').int(),
  /** Null while the string hangs on no input. */
  place: placeSchema.nullable(),
  /** Where its home run leaves the roof; null: even along the edge of the plane. */
  start: z.object({ xM: positionSchema.shape.xM, yM: positionSchema.shape.yM }).nullable().default(null),
  /** Measured one-way length of the home run; null: reckoned from the places. */
  lengthM: quantity(0.1, 1000, 'm', 'Measured home run, one way').nullable().default(null),
});

export const METHODS = ['B1', 'B2', 'C', 'E', 'D1', 'D2'] as const;
export const ARRANGEMENTS_IN_AIR = [
  'bunched',
  'single layer, wall or unperforated tray',
  'single layer under ceiling',
  'single layer, perforated tray',
  'single layer, ladder or cleats',
] as const;
export const SPACINGS_IN_GROUND = ['touching', '0.25 m', '0.5 m'] as const;

/** The AC run from one inverter's studs to the site board. */
export const acRunSchema = z.object({
  inverterId: partId,
  metal: z.enum(['Cu', 'Al']).meta({ description: 'Metal of the lines' }),
  insulation: z.enum(['XLPE', 'PVC']),
  cores: z.enum(['4-core', '5-core', '1-core']),
  method: z.enum(METHODS).meta({ description: 'Installation method' }),
  arrangement: z
    .enum([...ARRANGEMENTS_IN_AIR, ...SPACINGS_IN_GROUND])
    .nullable()
    .meta({ description: 'How the circuits of the group lie' }),
  otherCircuits: quantity(0, 99, 'circuits', 'Other circuits in the same group').int().nullable(),
  sectionMm2: quantity(4, 630, 'mm²', 'Line conductor section').nullable(),
  parallel: quantity(1, 8, 'sets', 'Cables in parallel').int(),
  lengthM: quantity(0.5, 5000, 'm', 'One-way length').nullable(),
  ambientC: quantity(-25, 80, '°C', 'Ambient of air or ground').nullable(),
  sunOnCable: z.boolean().meta({ description: 'Sun on the cable' }),
  soilKmPerW: quantity(0.5, 3, 'K·m/W', 'Thermal resistivity of the soil').nullable(),
  depthM: quantity(0.3, 5, 'm', 'Depth of burial').nullable(),
  ductDiameterMm: quantity(20, 500, 'mm', 'Outer diameter of the duct').nullable(),
  breakerA: quantity(1, 4000, 'A', 'Breaker at the board').nullable(),
  breakerKind: z.enum(['moulded-case', 'miniature']).meta({ description: 'Kind of breaker' }),
  breakerAmbientC: quantity(-25, 80, '°C', 'Ambient at the breaker').nullable(),
  breakerGroupFactor: quantity(0.5, 1, '', 'Side-by-side factor, 1 if spaced').nullable(),
  peMm2: quantity(4, 630, 'mm²', 'PE section').nullable(),
  peMetal: z.enum(['Cu', 'Al']).meta({ description: 'Metal of the PE' }),
  externalEarthMm2: quantity(4, 630, 'mm²', 'External chassis earth').nullable(),
  externalEarthMetal: z.enum(['Cu', 'Al']).meta({ description: 'Metal of the external earth' }),
  cableDiameterMm: quantity(5, 150, 'mm', 'Measured cable diameter').nullable(),
  palmWidthMm: quantity(5, 100, 'mm', 'Measured lug palm width').nullable(),
  palmThicknessMm: quantity(1, 40, 'mm', 'Measured lug palm thickness').nullable(),
});

export const boardSchema = z.object({
  label: partName,
  position: positionSchema.nullable(),
  busbarA: quantity(10, 6300, 'A', 'Busbar rating').nullable(),
  mainBreakerA: quantity(10, 6300, 'A', 'Main breaker').nullable(),
  mainAmbientC: quantity(-25, 80, '°C', 'Ambient at the main breaker').nullable(),
});

export const BIT_RATES = [1200, 2400, 4800, 9600, 19200, 38400, 57600, 115200] as const;

export const chainDeviceSchema = z.object({
  id: partId,
  kind: z.enum(['logger', 'inverter', 'meter']),
  label: partName,
  inverterId: partId.nullable(),
  /** Null: still at the address it shipped with. A logger has none. */
  address: z.number().int().min(1, 'Addresses run from 1 to 247.').max(247, 'Addresses run from 1 to 247.').nullable(),
  terminated: z.boolean(),
  unitLoads: quantity(0.03125, 4, 'unit loads', 'Unit loads of a logger or meter').nullable(),
  position: positionSchema.nullable(),
  entryM: quantity(0, 50, 'm', 'Cable a landed end takes'),
  /** Measured route from the device before; null: reckoned from the positions. */
  hopM: quantity(0.1, 2000, 'm', 'Measured route from the device before').nullable(),
});

/** The RS-485 chain in order; the logger or lead unit first. */
export const chainSchema = z.object({
  bitRate: z
    .union(BIT_RATES.map((r) => z.literal(r)))
    .nullable()
    .meta({ unit: 'bit/s', description: 'Bit rate' }),
  devices: z.array(chainDeviceSchema).max(300),
});

export const siteDesignSchema = z
  .object({
    schema: z.literal(DESIGN_SCHEMA),
    survey: surveySchema,
    equipment: z.object({
      modules: z.array(moduleTypeSchema).max(100),
      inverters: z.array(inverterTypeSchema).max(100),
    }),
    planes: z.array(planeSchema).max(200),
    inverters: z.array(siteInverterSchema).max(200),
    strings: z.array(pvStringSchema).max(5000),
    dcCable: dcCableSchema.default(BLANK_DC_CABLE),
    locks: z.array(lockSchema).max(6000).default([]),
    energy: energyInputsSchema.default(BLANK_ENERGY),
    board: boardSchema,
    runs: z.array(acRunSchema).max(200),
    chain: chainSchema,
  })
  .superRefine((design, ctx) => {
    for (const flaw of integrityFlaws(design))
      ctx.addIssue({ code: 'custom', path: [...flaw.path], message: flaw.message });
  })
  .meta({ id: 'SiteDesign', description: 'One site from modules to grid, with everything it refers to.' });

export type Survey = z.infer<typeof surveySchema>;
export type Plane = z.infer<typeof planeSchema>;
export type SiteInverter = z.infer<typeof siteInverterSchema>;
export type Place = z.infer<typeof placeSchema>;
export type PvString = z.infer<typeof pvStringSchema>;
export type AcRun = z.infer<typeof acRunSchema>;
export type Board = z.infer<typeof boardSchema>;
export type ChainDevice = z.infer<typeof chainDeviceSchema>;
export type Chain = z.infer<typeof chainSchema>;
export type Position = z.infer<typeof positionSchema>;
export type SiteDesign = z.infer<typeof siteDesignSchema>;

interface Flaw {
  readonly path: readonly (string | number)[];
  readonly message: string;
}

function repeated<T>(
  items: readonly T[],
  list: string,
  field: string,
  key: (item: T) => string | null,
  what: string,
): Flaw[] {
  const seen = new Set<string>();
  return items.flatMap((item, at) => {
    const value = key(item);
    if (value === null) return [];
    if (seen.has(value)) return [{ path: [...list.split('.'), at, field], message: `${what} ${value} is used twice.` }];
    seen.add(value);
    return [];
  });
}

function dangling<T>(
  items: readonly T[],
  list: string,
  field: string,
  ref: (item: T) => string | null | undefined,
  known: ReadonlySet<string>,
  what: string,
): Flaw[] {
  return items.flatMap((item, at) => {
    const id = ref(item);
    return id === null || id === undefined || known.has(id)
      ? []
      : [{ path: [...list.split('.'), at, field], message: `There is no ${what} ${id}.` }];
  });
}

export const placeKey = (p: Place) => `${p.inverterId}/${p.tracker}/${p.input}/${p.branch}`;

/** What makes a document no design at all: repeated keys, references to nothing, inputs that do not exist. */
export function integrityFlaws(d: Omit<SiteDesign, 'schema'>): Flaw[] {
  const ids = (items: readonly { id: string }[]) => new Set(items.map((i) => i.id));
  const inverterIds = ids(d.inverters);
  const types = new Map(d.equipment.inverters.map((t) => [t.id, t]));
  const typeOf = new Map(d.inverters.map((i) => [i.id, types.get(i.typeId)]));
  const offPeg = d.strings.flatMap((s, at): Flaw[] => {
    const type = s.place && typeOf.get(s.place.inverterId);
    if (!s.place || !type) return [];
    const exists = s.place.tracker <= type.trackers && s.place.input <= type.inputsPerTracker;
    return exists
      ? []
      : [
          {
            path: ['strings', at, 'place'],
            message: `${type.name} has no tracker ${s.place.tracker} input ${s.place.input}.`,
          },
        ];
  });
  return [
    ...repeated(d.equipment.modules, 'equipment.modules', 'id', (m) => m.id, 'Module type'),
    ...repeated(d.equipment.inverters, 'equipment.inverters', 'id', (m) => m.id, 'Inverter type'),
    ...repeated(d.planes, 'planes', 'id', (p) => p.id, 'Plane'),
    ...repeated(d.planes, 'planes', 'label', (p) => p.label, 'Plane name'),
    ...repeated(d.inverters, 'inverters', 'id', (i) => i.id, 'Inverter'),
    ...repeated(d.inverters, 'inverters', 'tag', (i) => i.tag, 'Tag'),
    ...repeated(d.strings, 'strings', 'id', (s) => s.id, 'String'),
    ...repeated(d.strings, 'strings', 'number', (s) => String(s.number), 'String number'),
    ...repeated(d.strings, 'strings', 'place', (s) => s.place && placeKey(s.place), 'Input'),
    ...repeated(d.runs, 'runs', 'inverterId', (r) => r.inverterId, 'A run of inverter'),
    ...repeated(d.chain.devices, 'chain.devices', 'id', (c) => c.id, 'Chain device'),
    ...repeated(d.chain.devices, 'chain.devices', 'inverterId', (c) => c.inverterId, 'Inverter'),
    ...repeated(
      d.chain.devices,
      'chain.devices',
      'address',
      (c) => (c.address === null ? null : String(c.address)),
      'Address',
    ),
    ...dangling(d.planes, 'planes', 'moduleTypeId', (p) => p.moduleTypeId, ids(d.equipment.modules), 'module type'),
    ...dangling(d.inverters, 'inverters', 'typeId', (i) => i.typeId, ids(d.equipment.inverters), 'inverter type'),
    ...dangling(d.strings, 'strings', 'planeId', (s) => s.planeId, ids(d.planes), 'plane'),
    ...dangling(d.strings, 'strings', 'place', (s) => s.place?.inverterId, inverterIds, 'inverter'),
    ...dangling(d.runs, 'runs', 'inverterId', (r) => r.inverterId, inverterIds, 'inverter'),
    ...dangling(d.chain.devices, 'chain.devices', 'inverterId', (c) => c.inverterId, inverterIds, 'inverter'),
    ...dangling(
      d.locks,
      'locks',
      'stringId',
      (l) => (l.kind === 'string' ? l.stringId : null),
      ids(d.strings),
      'string',
    ),
    ...dangling(d.locks, 'locks', 'planeId', (l) => ('planeId' in l ? l.planeId : null), ids(d.planes), 'plane'),
    ...dangling(
      d.locks,
      'locks',
      'inverterId',
      (l) => ('inverterId' in l ? l.inverterId : null),
      inverterIds,
      'inverter',
    ),
    ...offPeg,
  ];
}

/** A site about which nothing is known yet but its name. */
export function emptyDesign(name: string): SiteDesign {
  return {
    schema: DESIGN_SCHEMA,
    survey: {
      name,
      place: '',
      latitudeDeg: null,
      longitudeDeg: null,
      altitudeM: null,
      coldestC: null,
      hottestC: null,
      dcLegalMaxV: null,
      school: 'IEC',
      building: null,
      coldMethod: 'coefficient',
      engineeredDocument: '',
      lineV: null,
      frequencyHz: null,
      service: null,
      transformerKva: null,
      transformerImpedancePercent: null,
      boardHighestV: null,
      gridCode: null,
      rcdFitted: null,
      stopFitted: null,
      contactsFitted: null,
    },
    equipment: { modules: [], inverters: [] },
    planes: [],
    inverters: [],
    strings: [],
    dcCable: BLANK_DC_CABLE,
    locks: [],
    energy: BLANK_ENERGY,
    board: { label: 'Site board', position: null, busbarA: null, mainBreakerA: null, mainAmbientC: null },
    runs: [],
    chain: { bitRate: null, devices: [] },
  };
}
