import { z } from 'zod';
import {
  ARRANGEMENTS_IN_AIR,
  BREAKER_KINDS,
  CORES,
  INSULATIONS,
  METHODS,
  RACEWAYS,
  RACEWAY_SIZES,
  SPACINGS_IN_GROUND,
} from '../conductor/laid';
import type { PartOf, Shape } from '../kernel/discipline';
import type { Flaw } from '../kernel/integrity';
import { dangling, repeated } from '../kernel/integrity';
import { partId, partName, quantity } from '../kernel/schema';
import type { Base } from '../site/base';
import { MOST_INVERTERS } from '../site/parts';

/** How the cable lies: along the whole way, or along a piece of it. */
const LAID = {
  method: z.enum(METHODS).nullable().meta({ description: 'Installation method' }),
  arrangement: z
    .enum([...ARRANGEMENTS_IN_AIR, ...SPACINGS_IN_GROUND])
    .nullable()
    .meta({ description: 'How the circuits of the group lie' }),
  otherCircuits: quantity(0, 99, 'circuits', 'Other circuits in the same group').int().nullable(),
  ambientC: quantity(-25, 80, '°C', 'Ambient of air or ground').nullable(),
  sunOnCable: z.boolean().nullable().meta({ description: 'Sun on the cable' }),
  soilKmPerW: quantity(0.5, 3, 'K·m/W', 'Thermal resistivity of the soil').nullable(),
  depthM: quantity(0.3, 5, 'm', 'Depth of burial').nullable(),
  ductDiameterMm: quantity(20, 500, 'mm', 'Outer diameter of the duct').nullable(),
  roofGapMm: quantity(0, 5000, 'mm', 'Gap between raceway and roof').nullable().default(null),
};

/** A piece of the way along which the cable lies otherwise than along the rest. */
export const segmentSchema = z.object({
  name: partName.meta({ description: 'Piece of the way' }),
  lengthM: quantity(0.1, 5000, 'm', 'Length of the piece').nullable(),
  ...LAID,
});
export type Segment = z.infer<typeof segmentSchema>;

/** The AC run from one inverter's studs to the site board. */
export const acRunSchema = z.object({
  inverterId: partId,
  metal: z.enum(['Cu', 'Al']).nullable().meta({ description: 'Metal of the lines' }),
  insulation: z.enum(INSULATIONS).nullable(),
  cores: z.enum(CORES).nullable(),
  ...LAID,
  sectionMm2: quantity(4, 630, 'mm²', 'Line conductor section').nullable(),
  parallel: quantity(1, 8, 'sets', 'Cables in parallel').int().nullable(),
  lengthM: quantity(0.5, 5000, 'm', 'One-way length').nullable(),
  breakerA: quantity(1, 4000, 'A', 'Breaker at the board').nullable(),
  breakerKind: z.enum(BREAKER_KINDS).nullable().meta({ description: 'Kind of breaker' }),
  breakerUeV: quantity(100, 1500, 'V', 'Rated voltage of the breaker').nullable().default(null),
  breakerIcuKa: quantity(0.5, 200, 'kA', 'Breaking capacity at this voltage').nullable().default(null),
  breakerTrip: z
    .enum(['B', 'C', 'D', 'magnetic setting'])
    .nullable()
    .default(null)
    .meta({ description: 'Trips at once by' }),
  magneticA: quantity(10, 60_000, 'A', 'Magnetic setting').nullable().default(null),
  clearingS: quantity(0.001, 5, 's', 'Clears a short circuit in').nullable().default(null),
  letThroughA2s: quantity(100, 1e11, 'A²s', 'Let-through, where the maker gives it').nullable().default(null),
  residualType: z.enum(['A', 'B']).nullable().default(null).meta({ description: 'Type of that device' }),
  residualMa: quantity(6, 30_000, 'mA', 'Rating of that device').nullable().default(null),
  /** Null: as the survey says of the whole site. */
  residualFitted: z.boolean().nullable().default(null).meta({ description: 'Residual-current device in this run' }),
  breakerAmbientC: quantity(-25, 80, '°C', 'Ambient at the breaker').nullable(),
  breakerGroupFactor: quantity(0.5, 1, '', 'Side-by-side factor, 1 if spaced').nullable(),
  fullRated: z.boolean().nullable().default(null).meta({ description: 'Assembly listed for 100 % of its rating' }),
  raceway: z.enum(RACEWAYS).nullable().default(null).meta({ description: 'Raceway' }),
  racewaySize: z.enum(RACEWAY_SIZES).nullable().default(null).meta({ description: 'Trade size of the raceway, in' }),
  racewayPerSet: z.boolean().nullable().default(null).meta({ description: 'A raceway for every set' }),
  insulationC: z
    .union([z.literal(60), z.literal(75), z.literal(90)])
    .nullable()
    .default(null)
    .meta({ unit: '°C', description: 'Temperature rating of the insulation' }),
  terminals75: z.boolean().nullable().default(null).meta({ description: 'Lugs at both ends marked 75 °C' }),
  peMm2: quantity(4, 630, 'mm²', 'PE section').nullable(),
  peMetal: z.enum(['Cu', 'Al']).nullable().meta({ description: 'Metal of the PE' }),
  peInCable: z.boolean().nullable().default(null).meta({ description: 'The PE is a core of the cable' }),
  externalEarthMm2: quantity(4, 630, 'mm²', 'External chassis earth').nullable(),
  externalEarthMetal: z.enum(['Cu', 'Al']).nullable().meta({ description: 'Metal of the external earth' }),
  cableDiameterMm: quantity(5, 150, 'mm', 'Measured cable diameter').nullable(),
  palmWidthMm: quantity(5, 100, 'mm', 'Measured lug palm width').nullable(),
  palmThicknessMm: quantity(1, 40, 'mm', 'Measured lug palm thickness').nullable(),
  printMinNm: quantity(0.5, 200, 'N·m', 'Torque printed beside the stud, or its lower end').nullable().default(null),
  printMaxNm: quantity(0.5, 200, 'N·m', 'Upper end of that print').nullable().default(null),
  lugMinNm: quantity(0.5, 200, 'N·m', 'Torque on the lug or its sheet, or its lower end').nullable().default(null),
  lugMaxNm: quantity(0.5, 200, 'N·m', 'Upper end of that').nullable().default(null),
  torqueBy: z
    .enum(['data sheet', 'print beside the stud'])
    .nullable()
    .default(null)
    .meta({ description: 'Where sheet and print differ, the electrician takes' }),
  thirdHarmonicPercent: quantity(0, 100, '%', 'Third harmonic in the line current').nullable().default(null),
  segments: z.array(segmentSchema).max(8).default([]).meta({ description: 'Pieces of the way that lie otherwise' }),
});
export type AcRun = z.infer<typeof acRunSchema>;

const UNMEASURED = { cableDiameterMm: null, palmWidthMm: null, palmThicknessMm: null } as const;

/** A copy of the run with lines of another section. Parts that were measured for the one before say nothing about this one. */
export function resized(run: AcRun, sectionMm2: number | null): AcRun {
  const { cableDiameterMm, palmWidthMm, palmThicknessMm } = run.sectionMm2 === sectionMm2 ? run : UNMEASURED;
  return { ...run, sectionMm2, cableDiameterMm, palmWidthMm, palmThicknessMm };
}

/** A run of which nothing is known yet: no metal, no method, no count of cables. A form's first choice is nobody's knowledge. */
export function blankRun(inverterId: string): AcRun {
  return {
    inverterId,
    metal: null,
    insulation: null,
    cores: null,
    method: null,
    arrangement: null,
    otherCircuits: null,
    sectionMm2: null,
    parallel: null,
    lengthM: null,
    ambientC: null,
    sunOnCable: null,
    soilKmPerW: null,
    depthM: null,
    ductDiameterMm: null,
    breakerA: null,
    breakerKind: null,
    residualFitted: null,
    breakerUeV: null,
    breakerIcuKa: null,
    breakerTrip: null,
    magneticA: null,
    clearingS: null,
    letThroughA2s: null,
    residualType: null,
    residualMa: null,
    breakerAmbientC: null,
    breakerGroupFactor: null,
    fullRated: null,
    raceway: null,
    racewaySize: null,
    racewayPerSet: null,
    roofGapMm: null,
    insulationC: null,
    terminals75: null,
    peMm2: null,
    peMetal: null,
    peInCable: null,
    externalEarthMm2: null,
    externalEarthMetal: null,
    cableDiameterMm: null,
    palmWidthMm: null,
    palmThicknessMm: null,
    printMinNm: null,
    printMaxNm: null,
    lugMinNm: null,
    lugMaxNm: null,
    torqueBy: null,
    thirdHarmonicPercent: null,
    segments: [],
  };
}

export const acShape = { runs: z.array(acRunSchema).max(MOST_INVERTERS).default([]) } as const satisfies Shape;

/** What the AC side works on: the base and its own part. */
export type AcDesign = Base & PartOf<typeof acShape>;

/** Two runs of one inverter, runs of no inverter, two pieces of a way with one name. */
export function acFlaws({ runs: items, inverters }: AcDesign): Flaw[] {
  const at = { items, list: 'runs', field: 'inverterId', key: (r: AcRun) => r.inverterId };
  return [
    ...repeated({ ...at, what: 'A run of inverter' }),
    ...dangling({ ...at, what: 'inverter' }, inverters),
    ...items.flatMap(({ segments }, i) =>
      repeated({
        items: segments,
        list: `runs.${i}.segments`,
        field: 'name',
        key: (s) => s.name,
        what: 'A piece called',
      }),
    ),
  ];
}
