import { z } from 'zod';
import { verdictSchema } from '../../kernel/check';
import { calculation } from '../../kernel/discipline';
import { enumOf, figure, quantity } from '../../kernel/schema';
import { AWNING_MOST_M, awningFor, dayLengthH, solarTime, sunOnWall } from './awning';
import { derating } from './derating';
import { inclineVerdict } from './incline';
import { louvreM2, roomAirflow, stackOpeningM2 } from './roomHeat';
import { SOUND_RESERVE_DB, SOUND_STANDS, distanceForM, levelAt1mDb, soundAtDb } from './sound';

const underAwning = {
  latitudeDeg: quantity(-90, 90, '°', 'Latitude, north positive'),
  dayOfYear: quantity(1, 366, '', 'Day of the year').int(),
  wallAzimuthDeg: quantity(0, 359.999, '°', 'The way the wall faces, from north'),
  dropM: quantity(0, 10, 'm', 'Awning down to the lower edge of the unit'),
  projectionM: quantity(0, 2, 'm', 'Wall to the front of the unit'),
};
const hour = (description: string) => quantity(0, 24, 'h', description);

/** What can be computed about a place for a unit without a site. */
export const sitingCalculations = {
  'mounting-sun': calculation({
    summary: 'Sun on a unit on a wall at one solar hour, and the awning that would shade it',
    input: z.object({ ...underAwning, solarH: hour('Solar hour') }),
    output: z.object({
      altitudeDeg: figure('°', 'Height of the sun'),
      azimuthDeg: figure('°', 'Azimuth of the sun'),
      cosIncidence: figure('', 'Cosine of the incidence on the wall'),
      lit: z.boolean().meta({ description: 'Sun on the wall' }),
      profileDeg: figure('°', 'Height of the sun seen along the wall').nullable(),
      depthM: figure('m', 'Depth of the awning'),
      sideM: figure('m', 'Past the unit, to the right'),
    }),
    run: ({ solarH, ...u }) => sunOnWall(u, solarH),
  }),
  'mounting-awning': calculation({
    summary: 'The awning that shades a unit over a window of solar hours',
    input: z.object({ ...underAwning, fromH: hour('From, solar'), toH: hour('To, solar') }),
    output: z.object({
      depthM: figure('m', 'Depth of the awning'),
      atSolarH: figure('h', 'Asked for at, solar').nullable(),
      rightM: figure('m', 'Past the unit to the right'),
      leftM: figure('m', 'Past the unit to the left'),
      answer: z
        .enum(['no sun', 'awning', 'screen or other wall'])
        .meta({ description: `Over ${AWNING_MOST_M} m no awning is built` }),
    }),
    run: ({ fromH, toH, ...u }) => awningFor(u, fromH, toH),
  }),
  'mounting-solar-time': calculation({
    summary: 'Solar time of a clock, and the length of the day',
    input: z.object({
      clockH: hour('Clock'),
      dayOfYear: underAwning.dayOfYear,
      latitudeDeg: underAwning.latitudeDeg,
      longitudeDeg: quantity(-180, 180, '°', 'Longitude, east positive'),
      utcOffsetH: quantity(-12, 14, 'h', 'Clock before UTC, summer time included'),
    }),
    output: z.object({
      equationOfTimeMin: figure('min', 'Equation of time'),
      solarH: figure('h', 'Solar time'),
      dayLengthH: figure('h', 'Sunrise to sunset'),
    }),
    run: (q) => ({ ...solarTime(q), dayLengthH: dayLengthH(q.latitudeDeg, q.dayOfYear) }),
  }),
  'mounting-room': calculation({
    summary: 'Heat of units in a room and the air that carries it out',
    input: z.object({
      units: quantity(1, 1000, 'units', 'Units').int(),
      acW: quantity(0, 1e7, 'W', 'AC power of one unit'),
      efficiency: quantity(0.8, 1, '', 'Efficiency at full load, as a fraction'),
      riseK: quantity(0.1, 40, 'K', 'Rise of the air through the room'),
      inletC: quantity(-40, 60, '°C', 'Air that comes in'),
      altitudeM: quantity(-400, 6000, 'm', 'Altitude'),
      heightM: quantity(0.1, 30, 'm', 'Between a low and a high opening'),
    }),
    output: z.object({
      heatW: figure('W', 'Heat'),
      airM3h: figure('m³/h', 'Air'),
      densityKgM3: figure('kg/m³', 'Density of the air'),
      outC: figure('°C', 'Air at the units'),
      openingM2: figure('m²', 'Each of two openings, no fan'),
      louvreM2: figure('m²', 'Louvre of a fan'),
    }),
    run: ({ heightM, ...q }) => {
      const air = roomAirflow(q);
      const openingM2 = air.airM3h > 0 ? stackOpeningM2({ ...q, heightM, airM3h: air.airM3h }) : 0;
      return { ...air, outC: q.inletC + q.riseK, openingM2, louvreM2: louvreM2(air.airM3h) };
    },
  }),
  'mounting-derating': calculation({
    summary: 'Power left in hot and in thin air, by the usual curves',
    input: z.object({
      tempC: quantity(-60, 100, '°C', 'Air at the unit'),
      altitudeM: quantity(-400, 6000, 'm', 'Altitude'),
    }),
    output: z.object({
      factor: figure('', 'Share of the rated power'),
      ofTemperature: figure('', 'Of temperature').nullable(),
      ofAltitude: figure('', 'Of altitude').nullable(),
      verdict: verdictSchema,
    }),
    run: ({ tempC, altitudeM }) => derating(tempC, altitudeM),
  }),
  'mounting-sound': calculation({
    summary: 'Sound of units at a neighbour’s window, free field',
    input: z.object({
      sources: z
        .array(
          z.object({
            levelDb: quantity(0, 140, 'dB(A)', 'Level'),
            referenceM: quantity(0.1, 100, 'm', 'at'),
            distanceM: quantity(0.1, 5000, 'm', 'Away'),
          }),
        )
        .min(1, 'Enter one unit at least.')
        .max(200)
        .meta({ description: 'Units' }),
      limitDb: quantity(0, 140, 'dB(A)', 'Limit of the local rule').nullable(),
    }),
    output: z.object({
      levelDb: figure('dB(A)', 'Level there'),
      quietAtM: figure('m', 'All of it as far as this').nullable(),
      verdict: verdictSchema,
    }),
    run: ({ sources, limitDb }) => {
      const levelDb = soundAtDb(sources);
      if (limitDb === null) return { levelDb, quietAtM: null, verdict: 'unknown' as const };
      const leftDb = limitDb - levelDb;
      const at1m = soundAtDb(sources.map((s) => ({ ...s, distanceM: 1 })));
      return {
        levelDb,
        quietAtM: distanceForM(Math.min(140, at1m), limitDb),
        verdict: leftDb < 0 ? ('stop' as const) : leftDb < SOUND_RESERVE_DB ? ('tight' as const) : ('holds' as const),
      };
    },
  }),
  'mounting-sound-power': calculation({
    summary: 'Sound pressure level at 1 m from a sound power level',
    input: z.object({
      powerLevelDb: quantity(0, 140, 'dB(A)', 'Sound power level'),
      stands: enumOf(SOUND_STANDS).meta({ description: 'Where it stands' }),
    }),
    output: z.object({ levelDb: figure('dB(A)', 'Level at 1 m') }),
    run: ({ powerLevelDb, stands }) => ({ levelDb: levelAt1mDb(powerLevelDb, stands) }),
  }),
  'mounting-incline': calculation({
    summary: 'Whether a unit may hang as it leans',
    input: z.object({
      backDeg: quantity(-180, 180, '°', 'Back from upright; forward negative'),
      rollDeg: quantity(-180, 180, '°', 'To the side').default(0),
      flatAllowed: z.boolean().default(false).meta({ description: 'The sheet allows it flat' }),
    }),
    output: z.object({ verdict: verdictSchema }),
    run: (q) => ({ verdict: inclineVerdict(q) }),
  }),
};
