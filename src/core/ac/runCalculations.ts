import { z } from 'zod';
import { INSULATIONS, RACEWAYS } from '../conductor/laid';
import { schoolOf } from '../conductor/schools';
import { settledC } from '../conductor/settledC';
import { calculation } from '../kernel/discipline';
import { enumOf, figure, quantity } from '../kernel/schema';
import { lossKwhPerYear, runCost, runLossW } from './candidates/cableCost';
import { amps, answered, metal, mm, school, sectionMm2, volts } from './calculationFields';
import { designCurrent } from './designCurrent';
import { shortCircuitA, transformerOhm, withstandMm2 } from './fault/network';
import { acRunSchema, blankRun } from './part';
import { pullOf } from './schedule/pull';
import { drumPlan } from './schedule/drums';
import { sleeveFor } from './termination/sleeve';
import { terminalVoltageV, voltageRiseV } from './voltage';

/** A clock that moves with every look at it, each some milliseconds of search: the same cuts, the same answer, on any machine. */
const LOOKS_MOST = 200;
function looked() {
  let looks = 0;
  return { nowS: () => (looks += 1), timeLimitS: LOOKS_MOST };
}

/** What can be computed about one run without a site. */
export const runCalculations = {
  'ac-pull': calculation({
    summary: 'Tension and sidewall pressure of a pull',
    input: z.object({
      kgPerM: quantity(0.05, 200, 'kg/m', 'Mass of all cables pulled together'),
      friction: quantity(0.05, 1, '', 'Friction: rollers 0.2, greased duct 0.3, dry 0.5'),
      straightM: quantity(0, 5000, 'm', 'Straight before the bends'),
      riseM: quantity(-200, 200, 'm', 'Of it upwards, below 0 downwards'),
      bendsDeg: quantity(0, 1080, '°', 'Bends together'),
      radiusM: quantity(0.1, 10, 'm', 'Radius of the bends'),
      afterM: quantity(0, 5000, 'm', 'Straight behind them'),
    }),
    output: z.object({
      tensionN: figure('N', 'At the rope'),
      sidewallNPerM: figure('N/m', 'Against the inside of the bend'),
    }),
    run: (i) =>
      pullOf(
        [
          { alongM: i.straightM, upM: i.riseM, bendRad: (i.bendsDeg * Math.PI) / 180 },
          { alongM: i.afterM, upM: 0, bendRad: 0 },
        ],
        i.kgPerM,
        i.friction,
        i.radiusM,
      ),
  }),
  'ac-breaker': calculation({
    summary: 'Design current and the breaker it needs, by a school',
    input: z.object({
      school,
      apparentKva: quantity(1, 1000, 'kVA', 'Most apparent power'),
      lineV: volts('Nominal line voltage'),
      dataSheetA: amps('Output current of the sheet').nullable().default(null),
      breakerKind: z.enum(['moulded-case', 'miniature']).meta({ description: 'Kind of breaker' }),
      breakerAmbientC: quantity(-25, 80, '°C', 'Ambient at the breaker'),
      breakerGroupFactor: quantity(0.5, 1, '', 'Side-by-side factor, 1 if spaced'),
      fullRated: z.boolean().nullable().default(null).meta({ description: 'Assembly listed for 100 % (NEC)' }),
    }),
    output: z.object({
      currentA: figure('A', 'Design current'),
      neededA: figure('A', 'Breaker needed'),
      ratingA: figure('A', 'Next rating'),
    }),
    run: ({ school: name, apparentKva, lineV, dataSheetA, ...seat }) => {
      const own = schoolOf(name);
      const { currentA } = designCurrent(1000 * apparentKva, lineV, dataSheetA);
      const { neededA } = answered(own.breakerNeed(currentA, seat));
      return { currentA, neededA, ratingA: answered(own.nextBreakerA(neededA)) };
    },
  }),
  'ac-ampacity': calculation({
    summary: 'Current a cable may carry where it lies, and at what temperature it settles',
    input: z.object({
      school,
      ...acRunSchema.pick({
        method: true,
        arrangement: true,
        otherCircuits: true,
        ambientC: true,
        sunOnCable: true,
        soilKmPerW: true,
        depthM: true,
        ductDiameterMm: true,
        roofGapMm: true,
        metal: true,
        insulation: true,
        insulationC: true,
        cores: true,
        sectionMm2: true,
        parallel: true,
        cableDiameterMm: true,
        racewayPerSet: true,
        thirdHarmonicPercent: true,
      }).shape,
      currentA: amps('Design current'),
    }),
    output: z.object({
      izA: figure('A', 'Current it may carry'),
      settledC: figure('°C', 'Settles at').nullable(),
      working: z.array(z.string()).meta({ description: 'Worked' }),
    }),
    run: ({ school: name, currentA, ...cable }) => {
      const may = answered(schoolOf(name).ampacity({ ...blankRun(''), ...cable }));
      return { izA: may.izA, settledC: settledC(may, currentA), working: [...may.working()] };
    },
  }),
  'ac-rise': calculation({
    summary: 'Resistance, rise, loss and cost of a run',
    input: z.object({
      school,
      metal,
      insulation: z.enum(INSULATIONS).meta({ description: 'Insulation' }),
      raceway: z.enum(RACEWAYS).nullable().default(null).meta({ description: 'Raceway (NEC)' }),
      sectionMm2,
      parallel: quantity(1, 12, 'sets', 'Cables in parallel').int(),
      lengthM: quantity(0.5, 5000, 'm', 'One-way length'),
      currentA: amps('Design current'),
      lineV: volts('Nominal line voltage'),
      powerFactor: quantity(0.8, 1, '', 'Power factor'),
      reactive: enumOf(['supplies', 'absorbs']).meta({ description: 'Reactive power' }),
      fullLoadHours: quantity(0, 8784, 'h', 'Full-load hours a year'),
      pricePerKg: quantity(0.01, 1000, '1/kg', 'Price of the metal'),
    }),
    output: z.object({
      milliohm: figure('mΩ', 'R of one conductor'),
      riseV: figure('V', 'Rise, linear'),
      risePercent: figure('%', 'Rise of nominal'),
      exactV: figure('V', 'At the unit, the board at nominal, exact'),
      lossW: figure('W', 'Loss at this current'),
      lossKwh: figure('kWh', 'Loss a year'),
      cost: figure('', 'Cost of four cores and their lugs'),
    }),
    run: (i) => {
      const perM = answered(schoolOf(i.school).conductorOhmPerM(i, i.sectionMm2, i.school === 'NEC' ? 60 : 50));
      const share = i.lengthM / i.parallel;
      const z0 = { ohm: perM.ohmPerM * share, reactanceOhm: perM.reactanceOhmPerM * share };
      const sign = i.reactive === 'supplies' ? 1 : -1;
      const riseV = voltageRiseV(z0, i.currentA, i.powerFactor, sign);
      const apparentVa = Math.sqrt(3) * i.lineV * i.currentA;
      const reactiveVar = sign * apparentVa * Math.sqrt(1 - i.powerFactor ** 2);
      const exactV = terminalVoltageV(z0, i.lineV, apparentVa * i.powerFactor, reactiveVar);
      if (exactV === undefined)
        throw new RangeError('The run cannot carry this power: a larger section, or a shorter way');
      const lossW = runLossW(i.currentA, z0.ohm);
      return {
        milliohm: 1000 * z0.ohm,
        riseV,
        risePercent: (100 * riseV) / i.lineV,
        exactV,
        lossW,
        lossKwh: lossKwhPerYear(lossW, i.fullLoadHours),
        cost: runCost({ ...i, cores: 4 }, i.pricePerKg),
      };
    },
  }),
  'ac-short-circuit': calculation({
    summary: 'Short circuit behind a transformer, and the section that bears it',
    input: z.object({
      school,
      ratingKva: quantity(10, 10_000, 'kVA', 'Transformer'),
      impedancePercent: quantity(0.5, 20, '%', 'Its impedance'),
      lineV: volts('Nominal line voltage'),
      metal,
      insulation: z.enum(INSULATIONS).meta({ description: 'Insulation' }),
      clearingS: quantity(0.1, 5, 's', 'Cleared in'),
    }),
    output: z.object({
      currentA: figure('A', 'Short-circuit current, network infinite'),
      sectionMm2: figure('mm²', 'Section that bears it'),
    }),
    run: ({ school: name, metal: of, insulation, clearingS, ...t }) => {
      const own = schoolOf(name);
      const { voltageFactor, impedanceShare } = own.largestFault;
      const z0 = transformerOhm({ ...t, lossKw: 0, impedancePercent: t.impedancePercent * impedanceShare });
      const currentA = shortCircuitA(t.lineV, z0, voltageFactor);
      const k = answered(own.adiabaticK({ metal: of, insulation, sectionMm2: 95, place: 'core' }));
      return { currentA, sectionMm2: withstandMm2(currentA ** 2 * clearingS, k) };
    },
  }),
  'heat-shrink': calculation({
    summary: 'Heat-shrink for a lug: which, how long, before or after it',
    input: z.object({
      barrelOuterMm: mm('Barrel, outer'),
      barrelDepthMm: mm('Barrel, depth'),
      coreMm: mm('Core over its insulation'),
      palmWidthMm: mm('Palm, width'),
      palmThicknessMm: mm('Palm, thickness'),
    }),
    output: z.object({
      ratio: z.string().meta({ description: 'Ratio' }),
      suppliedMm: figure('mm', 'As supplied'),
      recoveredMm: figure('mm', 'Recovered'),
      overPalm: z.boolean().meta({ description: 'Slips over the palm' }),
      cutMm: figure('mm', 'Cut'),
    }),
    run: (lug) => {
      const sleeve = sleeveFor(lug);
      if (!sleeve) throw new RangeError('No sleeve of the table grips this core and slips over this barrel');
      return sleeve;
    },
  }),
  drums: calculation({
    summary: 'Cuts on drums with as few new drums as can be',
    input: z.object({
      drumM: quantity(1, 10_000, 'm', 'Length of a new drum'),
      cuts: z
        .array(z.object({ lengthM: quantity(0.1, 10_000, 'm', 'Cut') }))
        .min(1)
        .max(200)
        .meta({ description: 'Cuts' }),
      store: z
        .array(z.object({ lengthM: quantity(0.1, 10_000, 'm', 'Remainder') }))
        .max(50)
        .default([])
        .meta({ description: 'Remainders in store' }),
    }),
    output: z.object({
      newDrums: figure('', 'New drums'),
      atLeast: figure('', 'At least'),
      proved: z.boolean().meta({ description: 'Proved the fewest' }),
      leftM: z.array(z.number()).meta({ unit: 'm', description: 'Left on each' }),
    }),
    long: true,
    run: ({ drumM, cuts, store }) => {
      const named = cuts.map(({ lengthM }, i) => ({ tag: `cut ${i + 1}`, lengthM }));
      const { drums, ...plan } = drumPlan(
        named,
        drumM,
        store.map((s) => s.lengthM),
        looked(),
      );
      return { ...plan, leftM: drums.map((d) => d.leftM) };
    },
  }),
};
