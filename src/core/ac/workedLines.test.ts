import { describe, expect, it } from 'vitest';
import { nec } from '../conductor/schools';
import { equipmentEarthMm2, raisedEarthMm2 } from '../conductor/schools/nec/equipmentEarth';
import { acRun, necRun } from '../testing/subjects';
import { conductorKg, runCost } from './candidates/cableCost';
import { inSeries, transformerOhm, upstreamOhm, withstandMm2 } from './fault/network';
import { LOOP } from './rules/fault/loop';
import type { AcRun } from './part';
import type { RunResult } from './results';
import { voltageRiseV } from './voltage';

/**
 * Ten sites worked by hand, line by line: IEC 60364-5-52 and 5-54, IEC 60228, IEC 60909-0; NFPA 70, Tables 310.16, 9 and chapter 9, 1 to 5 (all
 * recalled). Each figure to its printed digits.
 */

/** To six digits as printed. */
const rel = (actual: number | null | undefined, wanted: number) =>
  expect(Math.abs((actual ?? NaN) / wanted - 1), `${actual} for ${wanted}`).toBeLessThan(1e-5);

interface Unit {
  readonly kva: number;
  readonly lineV: number;
  readonly sheetA: number;
  readonly breaker: Partial<AcRun>;
  readonly byPowerA: number;
  readonly ratio: number;
  readonly neededA: number;
}
const worked = (u: Unit, run: Partial<AcRun> = {}): RunResult =>
  acRun({
    type: {
      ratedW: 1000 * u.kva,
      maxApparentVa: 1000 * u.kva,
      nominalLineV: u.lineV,
      outputMaxA: u.sheetA,
      dcMaxW: null,
    },
    survey: { lineV: u.lineV },
    run: { breakerGroupFactor: 1, ...u.breaker, ...run },
  });

const mccb = (breakerAmbientC: number) => ({ breakerKind: 'moulded-case', breakerAmbientC }) as const;
const UNITS: readonly Unit[] = [
  {
    kva: 27.5,
    lineV: 400,
    sheetA: 40.1,
    breaker: { breakerKind: 'miniature', breakerAmbientC: 50 },
    byPowerA: 39.6928,
    ratio: 1.01026,
    neededA: 45.5682,
  },
  { kva: 55, lineV: 400, sheetA: 83.6, breaker: mccb(50), byPowerA: 79.3857, ratio: 1.05309, neededA: 88.9362 },
  { kva: 110, lineV: 400, sheetA: 160, breaker: mccb(55), byPowerA: 158.771, ratio: 1.00774, neededA: 175.824 },
  { kva: 121, lineV: 400, sheetA: 175.5, breaker: mccb(40), byPowerA: 174.648, ratio: 1.00488, neededA: 175.5 },
  { kva: 165, lineV: 690, sheetA: 144.3, breaker: mccb(45), byPowerA: 138.062, ratio: 1.04518, neededA: 148.763 },
  { kva: 255, lineV: 800, sheetA: 193, breaker: mccb(45), byPowerA: 184.03, ratio: 1.04874, neededA: 198.969 },
];
const [U27, U55, U110, U121, U165, U255] = UNITS as readonly [Unit, Unit, Unit, Unit, Unit, Unit];

describe('design current and breaker, by the IEC school', () => {
  it.each(UNITS)('$kva kVA at $lineV V', (u) => {
    const { designCurrent, breaker } = worked(u);
    rel(designCurrent.byPowerA, u.byPowerA);
    rel(designCurrent.ratio, u.ratio);
    rel(breaker.value?.neededA, u.neededA);
  });
});

const clipped = {
  metal: 'Cu',
  method: 'C',
  otherCircuits: 0,
  arrangement: 'single layer, wall or unperforated tray',
  ambientC: 35,
  lengthM: 35,
} as const;
const conduit = {
  metal: 'Cu',
  cores: '1-core',
  method: 'B1',
  arrangement: 'bunched',
  otherCircuits: 1,
  ambientC: 40,
  lengthM: 40,
} as const;
const tray = {
  metal: 'Al',
  method: 'E',
  arrangement: 'single layer, perforated tray',
  otherCircuits: 2,
  ambientC: 45,
  lengthM: 80,
} as const;
const duct = {
  metal: 'Cu',
  cores: '1-core',
  method: 'D1',
  arrangement: '0.25 m',
  otherCircuits: 1,
  ambientC: 25,
  soilKmPerW: 1.5,
  depthM: 1,
  ductDiameterMm: 110,
  lengthM: 60,
} as const;
const trefoil = {
  metal: 'Cu',
  cores: '1-core',
  method: 'E',
  arrangement: 'single layer, ladder or cleats',
  otherCircuits: 0,
  ambientC: 40,
  lengthM: 120,
} as const;
const ground = {
  metal: 'Al',
  method: 'D2',
  arrangement: 'touching',
  otherCircuits: 0,
  ambientC: 20,
  soilKmPerW: 1,
  depthM: 0.7,
  lengthM: 240,
} as const;

describe('what a cable carries, by the IEC school', () => {
  it.each([
    [U27, clipped, 6, 1, 52, 49.92],
    [U27, clipped, 10, 1, 71, 68.16],
    [U55, conduit, 25, 1, 117, 85.176],
    [U55, conduit, 35, 1, 144, 104.832],
    [U110, tray, 120, 1, 263, 187.624],
    [U110, tray, 150, 1, 304, 216.874],
    [U121, duct, 120, 1, 223, 201.12],
    [U121, duct, 150, 1, 251, 226.372],
    [U165, trefoil, 35, 1, 169, 153.79],
    [U165, trefoil, 50, 1, 207, 188.37],
    [U255, ground, 240, 1, 290, 435],
    [U255, { ...ground, arrangement: '0.25 m' }, 95, 2, 172, 464.4],
  ] as const)('$0.kva kVA: %s', (u, way, sectionMm2, parallel, tableA, izA) => {
    const { value } = worked(u, { ...way, sectionMm2, parallel }).ampacity;
    rel(value?.izA, izA);
    expect(value?.working()[1]).toContain(`= ${parallel} × ${tableA} A × `);
  });
});

describe('resistance and rise of a run, by the IEC school', () => {
  it.each([
    [U27, clipped, 10, 1, 2.33343, 0.0816702, 5.67242, 1.41811],
    [U27, clipped, 16, 1, 1.46636, 0.0513228, 3.56464, 0.891159],
    [U55, conduit, 35, 1, 0.668152, 0.0267261, 3.86992, 0.967481],
    [U110, tray, 150, 1, 0.264113, 0.021129, 5.85544, 1.46386],
    [U110, tray, 240, 1, 0.160263, 0.012821, 3.55306, 0.888265],
    [U121, duct, 120, 1, 0.19509, 0.0117054, 3.55815, 0.889538],
    [U165, trefoil, 50, 1, 0.493464, 0.0592156, 14.8001, 2.14494],
    [U165, trefoil, 70, 1, 0.341727, 0.0410072, 10.2491, 1.48538],
    [U255, ground, 240, 1, 0.160263, 0.038463, 12.8576, 1.6072],
    [U255, ground, 95, 2, 0.410272, 0.0492326, 16.4578, 2.05722],
    [U255, ground, 150, 2, 0.264113, 0.0316935, 10.5947, 1.32434],
  ] as const)('$0.kva kVA: %s', (u, way, sectionMm2, parallel, milliohmPerM, ohm, riseV, percent) => {
    const { impedance, rise } = worked(u, { ...way, sectionMm2, parallel });
    rel((1000 * (impedance.value?.ohm ?? NaN) * parallel) / way.lengthM, milliohmPerM);
    rel(impedance.value?.ohm, ohm);
    rel(rise.value?.riseV, riseV);
    rel(rise.value?.percent, percent);
  });

  it('10 mm² reaches 24.6808 m at 1 %', () => {
    const { rise } = worked(U27, { ...clipped, sectionMm2: 10 });
    rel(clipped.lengthM / (rise.value?.percent ?? NaN), 24.6808);
  });
});

it('two of 150 mm² aluminium weigh 583.2 kg, one of 240 mm² 466.56 kg, and the metal between costs 503.885', () => {
  const lines = (sectionMm2: number, parallel: number) => ({
    metal: 'Al' as const,
    sectionMm2,
    parallel,
    cores: 3,
    lengthM: 240,
  });
  rel(conductorKg(lines(150, 2)), 583.2);
  rel(conductorKg(lines(240, 1)), 466.56);
  rel((conductorKg(lines(150, 2)) - conductorKg(lines(240, 1))) * 2.7 * 1.6, 503.885);
  // The cost of a run is that of its metal and of its lugs.
  rel(runCost(lines(150, 2), 2.7) - runCost(lines(240, 1), 2.7), 503.885 + 2 * 3 * 2 * (2 * 17 - 26));
});

it('four units of 100 kW lift the transformer, the main and the branch by 0.733523, 2.80459 and 1.46118 %', () => {
  const oneA = 100_000 / (Math.sqrt(3) * 400);
  const percent = (z: { ohm: number; reactanceOhm: number }, units: number) =>
    (100 * voltageRiseV(z, units * oneA)) / 400;
  const transformer = transformerOhm({ lineV: 400, ratingKva: 630, impedancePercent: 4, lossKw: 6.5 });
  const cable = (run: Partial<AcRun>) => worked(U110, run).impedance.value ?? { ohm: NaN, reactanceOhm: NaN };
  rel(percent(inSeries(transformer, upstreamOhm(100, 400, 5)), 4), 0.733523);
  rel(percent(cable({ metal: 'Al', sectionMm2: 240, parallel: 2, lengthM: 140 }), 4), 2.80459);
  rel(percent(cable({ metal: 'Cu', sectionMm2: 95, parallel: 1, lengthM: 95 }), 1), 1.46118);
});

it('the fault of 110 kVA at the end of its run: 3267.25 A through 0.0671492 Ω against 2400 A, to a ten-thousandth', () => {
  const r = acRun({
    run: { metal: 'Al', sectionMm2: 150, lengthM: 80, peMm2: 50, peMetal: 'Cu', peInCable: true, magneticA: 2000 },
    survey: { transformerKva: 630, transformerImpedancePercent: 4, transformerLossKw: 6.5, upstreamMva: 100_000 },
    // The board stands at the transformer.
    board: { mainLengthM: 1e-6 },
  });
  const { value, limit, working } = LOOP.check(r, { element: 'run', path: '' });
  expect(Math.abs((value ?? NaN) / 3267.25 - 1)).toBeLessThan(1e-4);
  expect(limit).toBe(2400);
  expect(Math.abs((value ?? NaN) / (limit ?? NaN) / 1.36135 - 1)).toBeLessThan(1e-4);
  expect(working[0]).toContain('0.0671 Ω');
  rel(r.impedance.value?.reactanceOhm, 0.0064);
  // 150 mm² of aluminium in XLPE, k 94: 1.9881e8 A²s.
  rel(
    withstandMm2(
      1.9881e8,
      r.school.adiabaticK({ metal: 'Al', insulation: 'XLPE', sectionMm2: 150, place: 'core' }).value ?? NaN,
    ),
    150,
  );
});

/** A circle of a thousandth of an inch across, times a thousand, mm². */
const MM2_PER_KCMIL = 0.506707;

describe('by the NEC school', () => {
  it('250 kVA at 800 V: 180.422 A by its power, 185 A by its sheet', () => {
    const { designCurrent } = necRun({
      type: { maxApparentVa: 250_000, nominalLineV: 800, outputMaxA: 185 },
      survey: { lineV: 800 },
    });
    rel(designCurrent.byPowerA, 180.422);
    rel(designCurrent.ratio, 1.02537);
  });
  it('66 and 125 kVA at 480 V: 1.00018 and 1.01096 of their power', () => {
    rel(necRun({ type: { maxApparentVa: 66_000, outputMaxA: 79.4 } }).designCurrent.ratio, 1.00018);
    rel(necRun().designCurrent.ratio, 1.01096);
  });
  it('36 kVA at 480 V wants 54.125 A; 8 AWG carries 50.05 A and 6 AWG 68.25 A at 38 °C', () => {
    const small = (sectionMm2: number) =>
      necRun({
        type: { maxApparentVa: 36_000, outputMaxA: 43.3 },
        run: { sectionMm2, breakerA: 60, ambientC: 38, sunOnCable: false, breakerAmbientC: 30 },
      });
    rel(small(8.37).designCurrent.byPowerA, 43.3013);
    rel(small(8.37).designCurrent.ratio, 0.999971);
    rel(small(8.37).breaker.value?.neededA, 54.125);
    rel(small(8.37).ampacity.value?.izA, 50.05);
    rel(small(13.3).ampacity.value?.izA, 68.25);
    // 10 AWG × (4 AWG over 6 AWG) is 16.5097 kcmil, by areas rounded to a hundredth of a mm²: 8 AWG.
    expect(raisedEarthMm2(5.26, 21.15, 13.3) / MM2_PER_KCMIL / 16.5097).toBeCloseTo(1, 3);
    expect(raisedEarthMm2(5.26, 8.37, 13.3)).toBe(5.26);
    expect(equipmentEarthMm2({ ...small(21.15).run }, 43.3).value).toBe(8.37);
  });
  it.each([
    [85.03, 15, 69, 0.58, 130.5],
    [107.22, 15, 69, 0.58, 150.8],
    [126.68, 15, 69, 0.58, 168.2],
    [152.01, 15, 69, 0.58, 185.6],
    [67.43, 25, 36, 0.91, 177.45],
    [85.03, 25, 36, 0.91, 204.75],
  ])(
    '%d mm² %d mm over a roof in the sun at 36 °C: %d °C, times %d, %d A',
    (sectionMm2, roofGapMm, thetaC, ct, izA) => {
      const { value } = necRun({ run: { sectionMm2, ambientC: 36, sunOnCable: true, roofGapMm } }).ampacity;
      rel(value?.izA, izA);
      expect(value?.working()[0]).toContain(`× ${ct} (${thetaC} °C) × 1 (3 current-carrying)`);
    },
  );
  it('four 3/0 with 6 AWG fill 2 in of EMT by 33.4416 %, four 300 kcmil 2-1/2 in by 32.3301 %', () => {
    const fill = (sectionMm2: number, racewaySize: AcRun['racewaySize']) =>
      nec.racewayFill(necRun({ run: { sectionMm2, racewaySize, raceway: 'EMT, steel' } }).run, 4).value;
    rel(fill(85.03, '2')?.percent, 33.4416);
    rel(fill(85.03, '2')?.wireIn2, 1.1223);
    rel(fill(152.01, '2-1/2')?.percent, 32.3301);
    rel(fill(152.01, '2-1/2')?.wireIn2, 1.8939);
  });
});
