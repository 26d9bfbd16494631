import { z } from 'zod';
import { verdictSchema } from '../../kernel/check';
import { calculation } from '../../kernel/discipline';
import { enumOf, figure, quantity } from '../../kernel/schema';
import { BOLT_CLASSES } from '../tables/metricThreads';
import { ALLOWABLE_FACTORS, DESIGN_FACTORS, anchorLoads } from './anchorLoads';
import { anchorUse } from './anchorUse';
import { FEET_FRICTION, ballast, footLoads, footPressureKpa } from './ballast';
import { FRICTION_ENDS, NUT_FRICTION, preload } from './bolts';
import { coneShare } from './concreteCone';
import { PASSES_PERCENT, plateOrder, ringOrder } from './tighteningOrder';
import { extendedSettingNm, toolFit } from './torqueTool';
import { windForceN } from './wind';

const mm = (min: number, max: number, description: string) => quantity(min, max, 'mm', description);
const force = (description: string) => quantity(0, 1e6, 'N', description);
const keysOf = <K extends string>(of: Readonly<Record<K, number>>) => Object.keys(of) as K[];
const LOAD_KINDS = ['design loads', 'allowable loads'] as const;

const passesPercent = z.array(z.number()).readonly().meta({ unit: '%', description: 'Passes, then once round' });

/** What can be computed about fixings without a site. */
export const fixingCalculations = {
  'mounting-anchors': calculation({
    summary: 'What the anchors of a wall bracket carry, and their use of an approved capacity',
    input: z.object({
      massKg: quantity(0.1, 2000, 'kg', 'Mass'),
      reachMm: mm(1, 3000, 'Wall to centre of gravity'),
      rows: z
        .array(
          z.object({
            heightMm: mm(1, 5000, 'Over the lower edge'),
            anchors: quantity(1, 20, 'anchors', 'Anchors').int(),
          }),
        )
        .min(1, 'Enter one row at least.')
        .max(10)
        .meta({ description: 'Rows of anchors' }),
      leanN: force('Somebody leans on it').default(500),
      leanAtMm: mm(0, 3000, 'at, from the wall'),
      pullN: force('and pulls outward').default(300),
      pullAtMm: mm(0, 5000, 'at, over the lower edge'),
      besideMm: mm(-2000, 2000, 'Weight beside the middle').default(0),
      columnsMm: mm(1, 5000, 'Between the columns').nullable(),
      loads: enumOf(LOAD_KINDS).meta({ description: 'Loads and capacities are' }),
      tensionCapacityN: force('Approved pull on one anchor').nullable(),
      shearCapacityN: force('Approved shear on one anchor').nullable(),
    }),
    output: z.object({
      momentNm: figure('N·m', 'Moment'),
      tensionN: z.array(z.number()).readonly().meta({ unit: 'N', description: 'Pull on one, by row' }),
      mostTensionN: figure('N', 'Most pull'),
      shearN: figure('N', 'Shear on one'),
      edgeN: figure('N', 'Press of the lower edge'),
      model: z.enum(['pivot', 'group']).meta({ description: 'Turns about' }),
      tension: figure('', 'Use in pull').nullable(),
      shear: figure('', 'Use in shear').nullable(),
      power15: figure('', 'Both, power 1.5: decides').nullable(),
      power53: figure('', 'Both, power 5/3').nullable(),
      sum: figure('', 'Both, plain sum, at most 1.2').nullable(),
      askAboutPrying: z.boolean().nullable().meta({ description: 'Ask the anchor maker about a bracket that bends' }),
      verdict: verdictSchema,
    }),
    run: ({ loads, tensionCapacityN, shearCapacityN, columnsMm, ...q }) => {
      const factors = loads === 'design loads' ? DESIGN_FACTORS : ALLOWABLE_FACTORS;
      const carried = anchorLoads({ ...q, factors, ...(columnsMm === null ? {} : { columnsMm }) });
      const none = { tension: null, shear: null, power15: null, power53: null, sum: null, askAboutPrying: null };
      if (!tensionCapacityN || !shearCapacityN) return { ...carried, ...none, verdict: 'unknown' as const };
      const use = anchorUse({
        tensionN: carried.mostTensionN,
        shearN: carried.shearN,
        tensionCapacityN,
        shearCapacityN,
      });
      return { ...carried, ...use };
    },
  }),
  'mounting-cone': calculation({
    summary: 'Share of the concrete’s pull that edges and neighbours leave an anchor group',
    input: z.object({
      embedmentMm: mm(10, 1000, 'Effective embedment'),
      columns: quantity(1, 10, 'columns', 'Columns').int(),
      columnsMm: mm(1, 5000, 'Between the columns'),
      rows: quantity(1, 10, 'rows', 'Rows').int(),
      rowsMm: mm(1, 5000, 'Between the rows'),
      leftMm: mm(1, 1e5, 'Edge to the left'),
      rightMm: mm(1, 1e5, 'Edge to the right'),
      bottomMm: mm(1, 1e5, 'Edge below'),
      topMm: mm(1, 1e5, 'Edge above'),
      edgeLeastMm: mm(1, 1000, 'Least edge, from the approval').nullable(),
      spacingLeastMm: mm(1, 1000, 'Least spacing, from the approval').nullable(),
      diameterMm: mm(4, 60, 'Diameter of the anchor').nullable(),
    }),
    output: z.object({
      share: figure('', 'Share of the full cones'),
      fullEdgeMm: figure('mm', 'Full from this edge'),
      fullSpacingMm: figure('mm', 'Full from this spacing'),
      edgeInShear: z.boolean().nullable().meta({ description: 'Shear may break the edge: ask for its capacity there' }),
    }),
    run: coneShare,
  }),
  'mounting-wind': calculation({
    summary: 'Wind on an exposed frame',
    input: z.object({
      gustMs: quantity(0, 90, 'm/s', 'Peak gust'),
      areaM2: quantity(0.01, 100, 'm²', 'Area'),
      forceFactor: quantity(0.5, 3, '', 'Force factor').default(1.8),
    }),
    output: z.object({ forceN: figure('N', 'Force') }),
    run: ({ gustMs, areaM2, forceFactor }) => ({ forceN: windForceN(gustMs, areaM2, forceFactor) }),
  }),
  'mounting-bolt': calculation({
    summary: 'Preload of a bolt from its torque, with both ends of friction',
    input: z.object({
      torqueNm: quantity(0.1, 2000, 'N·m', 'Torque'),
      thread: quantity(4, 30, 'M', 'Thread').int(),
      boltClass: enumOf(BOLT_CLASSES).meta({ description: 'Class' }),
      under: enumOf(keysOf(NUT_FRICTION)).meta({ description: 'Under the nut' }),
      friction: quantity(0.08, 0.35, '', 'Friction K, where it is known').nullable(),
    }),
    output: z.object({
      forceN: figure('N', 'Preload'),
      stressAreaMm2: figure('mm²', 'Stress area'),
      use: figure('', 'Of the proof load'),
      greasedUse: figure('', `the same at K ${FRICTION_ENDS[0]}, greased`),
      dryUse: figure('', `the same at K ${FRICTION_ENDS[1]}, dry`),
      verdict: verdictSchema,
    }),
    run: ({ under, friction, ...q }) => {
      const [greasedUse, dryUse] = FRICTION_ENDS.map((k) => preload({ ...q, friction: k }).use) as [number, number];
      return { ...preload({ ...q, friction: friction ?? NUT_FRICTION[under] }), greasedUse, dryUse };
    },
  }),
  'mounting-ring-order': calculation({
    summary: 'Order of tightening round a ring of screws',
    input: z.object({ screws: quantity(1, 200, 'screws', 'Screws').int() }),
    output: z.object({
      order: z.array(z.number()).readonly().meta({ description: 'Order, clockwise from the top' }),
      passesPercent,
    }),
    run: ({ screws }) => ({ order: ringOrder(screws), passesPercent: PASSES_PERCENT }),
  }),
  'mounting-plate-order': calculation({
    summary: 'Order of tightening over a plate, from the places of its screws',
    input: z.object({
      screws: z
        .array(z.object({ xMm: mm(-1e4, 1e4, 'Right'), yMm: mm(-1e4, 1e4, 'Up') }))
        .min(1, 'Enter one screw at least.')
        .max(200)
        .meta({ description: 'Screws' }),
    }),
    output: z.object({
      order: z.array(z.number()).readonly().meta({ description: 'Order, by number' }),
      passesPercent,
    }),
    run: ({ screws }) => ({ order: plateOrder(screws), passesPercent: PASSES_PERCENT }),
  }),
  'mounting-torque-tool': calculation({
    summary: 'Whether a torque tool serves a window, and its setting with an extension',
    input: z.object({
      leastNm: quantity(0.1, 1000, 'N·m', 'Torque, lower end'),
      mostNm: quantity(0.1, 1000, 'N·m', 'Torque, upper end'),
      toolMinNm: quantity(0, 1000, 'N·m', 'Tool from'),
      toolMaxNm: quantity(0.1, 2000, 'N·m', 'Tool to'),
      lengthMm: mm(10, 2000, 'Grip to square').nullable(),
      extensionMm: mm(0, 1000, 'Extension in line').nullable(),
    }),
    output: z.object({
      targetNm: figure('N·m', 'Set it to'),
      usableFromNm: figure('N·m', 'Usable from'),
      inRange: z.boolean().meta({ description: 'In its range' }),
      fromNm: figure('N·m', 'The joint gets from'),
      toNm: figure('N·m', 'to'),
      inside: z.boolean().meta({ description: 'All of it in the window' }),
      extendedNm: figure('N·m', 'With the extension set it to').nullable(),
    }),
    run: ({ lengthMm, extensionMm, ...q }) => {
      const fit = toolFit(q);
      const extended = lengthMm !== null && extensionMm !== null;
      return { ...fit, extendedNm: extended ? extendedSettingNm(fit.targetNm, lengthMm, extensionMm) : null };
    },
  }),
  'mounting-ballast': calculation({
    summary: 'Ballast of a stand on roof feet, and what its feet press',
    input: z.object({
      massKg: quantity(0.1, 5000, 'kg', 'Mass of stand and unit'),
      standsOn: enumOf(keysOf(FEET_FRICTION)).meta({ description: 'Pads on' }),
      friction: quantity(0.01, 1, '', 'Friction, from a pull on this roof').nullable(),
      slopeDeg: quantity(0, 30, '°', 'Slope'),
      windN: force('Wind sideways'),
      windArmM: quantity(0.01, 10, 'm', 'Wind over the roof'),
      upliftN: force('Wind upward'),
      tipArmM: quantity(0.01, 10, 'm', 'Centre of gravity to the edge it tips over'),
      centreHeightM: quantity(0.01, 10, 'm', 'Height of the centre of gravity'),
      betweenM: quantity(0.05, 10, 'm', 'Between the feet'),
      padMm: mm(10, 2000, 'Side of a square pad'),
      slabMm: mm(0, 1000, 'Thickness that spreads the load'),
      roofLimitKpa: quantity(0.1, 1e5, 'kPa', 'The roof bears').nullable(),
    }),
    output: z.object({
      againstSlidingKg: figure('kg', 'Mass that does not slide').nullable(),
      againstTippingKg: figure('kg', 'Mass that does not tip').nullable(),
      ballastKg: figure('kg', 'Ballast; none: fix it mechanically').nullable(),
      mostN: figure('N', 'Most on a foot').nullable(),
      leastN: figure('N', 'Least on a foot').nullable(),
      pressureKpa: figure('kPa', 'Pressure under the pad').nullable(),
      verdict: verdictSchema,
    }),
    run: ({ betweenM, padMm, slabMm, roofLimitKpa, standsOn, friction, ...q }) => {
      const need = ballast({ ...q, friction: friction ?? FEET_FRICTION[standsOn] });
      if (need.ballastKg === null)
        return { ...need, mostN: null, leastN: null, pressureKpa: null, verdict: 'stop' as const };
      const feet = footLoads({ ...q, ballastKg: need.ballastKg, betweenM });
      const pressureKpa = footPressureKpa(feet.mostN, padMm, padMm, slabMm);
      const stands = feet.leastN >= 0 && roofLimitKpa !== null && pressureKpa <= roofLimitKpa;
      const verdict = roofLimitKpa === null ? 'unknown' : !stands || need.ballastKg > 0 ? 'stop' : 'holds';
      return { ...need, ...feet, pressureKpa, verdict: verdict as 'unknown' | 'stop' | 'holds' };
    },
  }),
};
