import { z } from 'zod';
import { verdictSchema } from '../../kernel/check';
import { calculation } from '../../kernel/discipline';
import { enumOf, figure, quantity } from '../../kernel/schema';
import { handleShares, stairShares } from './handles';
import { COUPLINGS, LIFT_HOURS, liftLimit } from './liftingEquation';
import {
  ROPES,
  breakingLoadKn,
  eyeBolts,
  hoistUse,
  pointLoad,
  pulleyBeamKn,
  slingLegKg,
  unequalLegsKg,
} from './rigging';
import { TEAM_SCHOOLS, crewFloor, teamLift } from './team';

const mass = quantity(0.1, 2000, 'kg', 'Mass');
const m = (description: string) => quantity(-20, 20, 'm', description);
const point = z.object({ xM: m('Right'), yM: m('Up') });

/** What can be computed about a lift without a site. */
export const liftCalculations = {
  'mounting-lift': calculation({
    summary: 'What one person may lift, by the revised lifting equation',
    input: z.object({
      horizontalCm: quantity(0, 200, 'cm', 'Hands before the ankles'),
      verticalCm: quantity(0, 300, 'cm', 'Hands over the floor'),
      travelCm: quantity(0, 300, 'cm', 'Way up or down'),
      twistDeg: quantity(0, 180, '°', 'Twist'),
      liftsPerMin: quantity(0, 100, '1/min', 'Lifts a minute'),
      hours: z.union(LIFT_HOURS.map((h) => z.literal(h))).meta({ unit: 'h', description: 'Hours a day, to' }),
      coupling: enumOf(COUPLINGS).meta({ description: 'Grip' }),
    }),
    output: z.object({
      hm: figure('', 'HM'),
      vm: figure('', 'VM'),
      dm: figure('', 'DM'),
      am: figure('', 'AM'),
      fm: figure('', 'FM'),
      cm: figure('', 'CM'),
      rwlKg: figure('kg', 'Recommended weight limit'),
    }),
    run: liftLimit,
  }),
  'mounting-team': calculation({
    summary: 'What a team may lift, and its lifting index',
    input: z.object({
      massKg: mass,
      people: z
        .array(z.object({ rwlKg: quantity(0.1, 23, 'kg', 'Limit of one') }))
        .min(1, 'Enter one person at least.')
        .max(12)
        .meta({ description: 'People' }),
      school: enumOf(TEAM_SCHOOLS).meta({ description: 'Teams by' }),
    }),
    output: z.object({
      factor: figure('', 'Share of the sum'),
      capacityKg: figure('kg', 'The team may lift'),
      index: figure('', 'Lifting index'),
      verdict: verdictSchema,
    }),
    run: ({ massKg, people, school }) =>
      teamLift(
        massKg,
        people.map((p) => p.rwlKg),
        school,
      ),
  }),
  'mounting-crew': calculation({
    summary: 'People and gear that the trade keeps as its floor',
    input: z.object({
      massKg: mass,
      fourHandles: z.boolean().meta({ description: 'Four handles' }),
      offMiddlePercent: quantity(0, 50, '%', 'Centre of gravity off the middle, of the length'),
      handsM: quantity(0, 5, 'm', 'Hands at the bracket over the floor'),
      gearOnly: z.boolean().meta({ description: 'The sheet says: by gear only' }),
    }),
    output: z.object({
      people: figure('people', 'People'),
      gear: z.enum(['none', 'advised', 'required']).meta({ description: 'Gear' }),
    }),
    run: crewFloor,
  }),
  'mounting-handles': calculation({
    summary: 'Load on two, three or four handles from where the centre of gravity is',
    input: z.object({
      massKg: mass,
      handles: z.array(point).min(2, 'Enter two to four handles.').max(4, 'Enter two to four handles.').meta({
        description: 'Handles',
      }),
      centreXM: m('Centre of gravity, right'),
      centreYM: m('Centre of gravity, up'),
    }),
    output: z.object({
      sharesKg: z.array(z.number()).readonly().meta({ unit: 'kg', description: 'By handle' }),
      worstKg: figure('kg', 'The most one may come to carry'),
      verdict: verdictSchema,
    }),
    run: ({ massKg, handles, centreXM, centreYM }) => handleShares(massKg, handles, { xM: centreXM, yM: centreYM }),
  }),
  'mounting-stairs': calculation({
    summary: 'What the upper and the lower carrier hold on stairs',
    input: z.object({
      massKg: mass,
      apartM: quantity(0.1, 5, 'm', 'Between the handles'),
      centreM: quantity(0, 5, 'm', 'Lower handle to centre of gravity'),
      aboveM: quantity(-2, 2, 'm', 'Centre of gravity over their line'),
      slopeDeg: quantity(0, 60, '°', 'Slope'),
    }),
    output: z.object({ upperKg: figure('kg', 'Upper'), lowerKg: figure('kg', 'Lower') }),
    run: stairShares,
  }),
  'mounting-sling': calculation({
    summary: 'Tension of sling legs, and the breaking load they need',
    input: z.object({
      massKg: mass,
      legs: quantity(1, 4, 'legs', 'Legs').int(),
      leanDeg: quantity(0, 90, '°', 'Lean of each from plumb'),
      rope: enumOf(ROPES).meta({ description: 'Of' }),
    }),
    output: z.object({ legKg: figure('kg', 'Each leg'), breakingKn: figure('kN', 'Breaks at, at least') }),
    run: ({ rope, ...q }) => {
      const legKg = slingLegKg(q);
      return { legKg, breakingKn: breakingLoadKn(legKg, rope) };
    },
  }),
  'mounting-two-legs': calculation({
    summary: 'Tensions of two legs that lean differently',
    input: z.object({
      massKg: mass,
      lean1Deg: quantity(0, 60, '°', 'Lean of the first'),
      lean2Deg: quantity(0, 60, '°', 'Lean of the second'),
    }),
    output: z.object({ firstKg: figure('kg', 'First'), secondKg: figure('kg', 'Second') }),
    run: ({ massKg, lean1Deg, lean2Deg }) => {
      const [firstKg, secondKg] = unequalLegsKg(massKg, lean1Deg, lean2Deg);
      return { firstKg, secondKg };
    },
  }),
  'mounting-eye-bolts': calculation({
    summary: 'Two eye bolts under one hook',
    input: z.object({
      thread: quantity(6, 24, 'M', 'Thread').int(),
      massKg: mass,
      spacingMm: quantity(0, 10_000, 'mm', 'Between the bolts'),
      hookMm: quantity(1, 10_000, 'mm', 'Hook over them'),
    }),
    output: z.object({
      leanDeg: figure('°', 'Lean'),
      legKg: figure('kg', 'Each leg'),
      limitKg: figure('kg', 'Rated').nullable(),
      use: figure('', 'Use of the rating').nullable(),
      verdict: verdictSchema,
    }),
    run: eyeBolts,
  }),
  'mounting-hoist': calculation({
    summary: 'Use of a hoist, and the load of one fixed pulley on its beam',
    input: z.object({
      massKg: mass,
      riggingKg: quantity(0, 1000, 'kg', 'Rigging'),
      ratedKg: quantity(1, 1e5, 'kg', 'Rated'),
    }),
    output: z.object({
      use: figure('', 'Use of the rating'),
      beamKn: figure('kN', 'One fixed pulley loads its beam with'),
      verdict: verdictSchema,
    }),
    run: ({ massKg, riggingKg, ratedKg }) => ({
      ...hoistUse(massKg, riggingKg, ratedKg),
      beamKn: pulleyBeamKn(massKg + riggingKg),
    }),
  }),
  'mounting-floor': calculation({
    summary: 'Pressure of a wheel or foot on the floor',
    input: z.object({
      massKg: mass,
      feet: quantity(1, 12, 'feet', 'Feet or wheels').int(),
      areaMm2: quantity(1, 1e6, 'mm²', 'Area of one'),
      limitKpa: quantity(0.1, 1e6, 'kPa', 'The floor bears').nullable(),
    }),
    output: z.object({
      forceN: figure('N', 'Each'),
      pressureKpa: figure('kPa', 'Pressure'),
      verdict: verdictSchema,
    }),
    run: ({ massKg, feet, areaMm2, limitKpa }) => {
      const load = pointLoad(massKg, feet, areaMm2);
      if (limitKpa === null) return { ...load, verdict: 'unknown' as const };
      return { ...load, verdict: load.pressureKpa <= limitKpa ? ('holds' as const) : ('stop' as const) };
    },
  }),
};
