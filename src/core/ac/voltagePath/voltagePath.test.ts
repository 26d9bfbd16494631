import { describe, expect, it } from 'vitest';
import { schoolOf } from '../../conductor/schools';
import { known, lacking } from '../../kernel/answer';
import { generator } from '../../kernel/generator';
import { BOARD, SURVEY, T100, runOf } from '../../testing/examples';
import type { Impedance } from '../fault/network';
import { inSeries, transformerOhm, upstreamOhm } from '../fault/network';
import { runResult } from '../results';
import { voltageRiseV } from '../voltage';
import { mends } from './mends';
import type { VoltagePath } from './path';
import { voltagePath } from './path';
import { ALL_FEEDING, pictureAt, restThatSurvives, shareUntilTrip, voltagePicture } from './picture';
import { radialVoltages } from './radial';
import type { Readings } from './readings';
import { readingChecks } from './readings';
import { resistanceByTwoReadings } from './twoReadings';

const rel = (value: number | null | undefined, wanted: number, within = 2e-6) =>
  expect(Math.abs((value ?? Number.NaN) / wanted - 1), `${value} against ${wanted}`).toBeLessThan(within);

/**
 * Four units of 100 kW on 630 kVA of 4 %, 6.5 kW, behind 100 MVA of X/R 5: main 140 m of 2 × 240 mm² aluminium, branches of 95 mm² copper, 20,
 * 45, 70 and 95 m, 424 V at rest. Worked by hand with IEC 60228 and IEC 60909-0 (recalled), each node by a second program.
 */
const survey = {
  ...SURVEY,
  transformerKva: 630,
  transformerImpedancePercent: 4,
  transformerLossKw: 6.5,
  upstreamMva: 100,
  upstreamXr: 5,
  restLineV: 424,
};
const board = {
  ...BOARD,
  mainMetal: 'Al' as const,
  mainInsulation: 'XLPE' as const,
  mainSectionMm2: 240,
  mainParallel: 2,
  mainLengthM: 140,
};
const T = { ...T100, maxApparentVa: 100_000, outputMaxA: 152 };
const school = schoolOf('IEC');
const runs = [20, 45, 70, 95].map((lengthM, i) =>
  runResult(
    runOf(`u${i + 1}`, { sectionMm2: 95, lengthM }),
    { id: `u${i + 1}`, tag: `U${i + 1}`, typeId: T.id, position: null },
    T,
    survey,
  ),
);
const path = voltagePath(survey, board, school, runs).value!;
const site = { path, survey, board, school, runs };

describe('four units on one transformer (worked case)', () => {
  it('has the impedances of network, transformer and main cable', () => {
    const [network, transformer, main] = path.trunk;
    rel(network?.ohm, 0.000313786);
    rel(network?.reactanceOhm, 0.00156893);
    rel(transformer?.ohm, 0.00262031);
    rel(transformer?.reactanceOhm, 0.00981498);
    rel(main?.ohm, 0.0112184, 5e-6);
    rel(main?.reactanceOhm, 0.0056);
  });
  it('lifts the board to 436.553 V and the units to 437.678, 439.075, 440.463 and 441.841 V: three and four trip at 440 V', () => {
    const picture = pictureAt(path, ALL_FEEDING)!;
    rel(picture.boardV, 436.553);
    [437.678, 439.075, 440.463, 441.841].forEach((v, i) => rel(picture.units[i]?.terminalV, v));
    // Left to 440 V, as printed.
    [2.32224, 0.925228, -0.462538, -1.84123].forEach((v, i) =>
      expect(440 - (picture.units[i]?.terminalV ?? NaN)).toBeCloseTo(v, 4),
    );
    expect(picture.units.map((u) => u.marginPercent > 0)).toEqual([true, true, false, false]);
    expect(picture.worst.tag).toBe('U4');
    rel(picture.worst.marginPercent, (100 * -1.84123) / 440, 1e-5);
    // The rises make up the whole, from rest to terminal.
    for (const u of picture.units)
      expect(424 + u.rises.reduce((sum, r) => sum + r.riseV, 0)).toBeCloseTo(u.terminalV, 9);
  });
  it('absorbing at 0.95 with the power held lifts unit four to 436.1 V, the board to 431.326 V', () => {
    const held = { activeW: 100_000, reactiveVar: -100_000 * Math.tan(Math.acos(0.95)) };
    const picture = voltagePicture(path, () => held)!;
    rel(picture.boardV, 431.326);
    [432.342, 433.604, 434.856, 436.1].forEach((v, i) => rel(picture.units[i]?.terminalV, v));
    [7.6579, 6.39616, 5.14364, 3.90017].forEach((v, i) =>
      expect(440 - (picture.units[i]?.terminalV ?? NaN)).toBeCloseTo(v, 4),
    );
  });
  it('has unit four at 432.637 V alone, trips from 0.891666 of power, and survives 422.086 V at rest', () => {
    const alone = voltagePicture(path, (_, i) => ({ activeW: i === 3 ? 100_000 : 0, reactiveVar: 0 }))!;
    rel(alone.units[3]?.terminalV, 432.637);
    rel(shareUntilTrip(path), 0.891666);
    rel(restThatSurvives(path), 422.086);
  });
  it('stays within 0.3 % of the linear sum: 442.865 V', () => {
    const trunk = inSeries(...path.trunk);
    const linearV =
      424 +
      voltageRiseV(trunk, (4 * 100_000) / (Math.sqrt(3) * 424)) +
      voltageRiseV(path.units[3]!.z, 100_000 / (Math.sqrt(3) * 424));
    rel(linearV, 442.865, 5e-5);
    expect(Math.abs(pictureAt(path, ALL_FEEDING)!.worst.terminalV / linearV - 1)).toBeLessThan(0.003);
  });
  it('never gives more than its apparent power: at 0.9 power factor 90 kW, whatever share is asked', () => {
    const at = (share: number) => pictureAt(path, { share, powerFactor: 0.9, reactive: 'supplies' })!.worst.terminalV;
    expect(at(1)).toBe(at(0.9));
    expect(at(0.89)).toBeLessThan(at(0.9));
  });
});

/** Gauss–Seidel on the admittance matrix: another method for the same network. */
function byAdmittances(sourceV: number, trunk: Impedance, units: readonly { z: Impedance; p: number; q: number }[]) {
  type C = [number, number];
  const mul = ([a, b]: C, [c, d]: C): C => [a * c - b * d, a * d + b * c];
  const inv = ([a, b]: C): C => [a / (a * a + b * b), -b / (a * a + b * b)];
  const add = (...xs: C[]): C => xs.reduce<C>(([a, b], [c, d]) => [a + c, b + d], [0, 0]);
  const y = (z: Impedance): C => inv([z.ohm, z.reactanceOhm]);
  let vb: C = [sourceV, 0];
  const v = units.map((): C => [sourceV, 0]);
  const sum = add(y(trunk), ...units.map((u) => y(u.z)));
  for (let round = 0; round < 20_000; round++) {
    // At a unit: y·(V − V_b) = conj(S)/conj(V), three-phase power and line voltages.
    units.forEach((u, k) => {
      const [re, im] = v[k]!;
      const current = mul([u.p, -u.q], inv([re, -im]));
      v[k] = add(vb, mul(current, inv(y(u.z))));
    });
    const into = add(mul(y(trunk), [sourceV, 0]), ...units.map((u, k) => mul(y(u.z), v[k]!)));
    vb = mul(into, inv(sum));
  }
  return { boardV: Math.hypot(...vb), unitV: v.map((x) => Math.hypot(...x)) };
}

describe('the radial network', () => {
  it('is met to 1e-9 by a Gauss–Seidel solution on admittances, over random networks', () => {
    for (let seed = 1; seed <= 12; seed++) {
      const next = generator(seed);
      const z = (most: number): Impedance => ({ ohm: most * (0.1 + next()), reactanceOhm: most * (0.1 + next()) });
      const trunk = [z(0.004), z(0.008)];
      const units = Array.from({ length: 1 + Math.floor(5 * next()) }, () => ({
        z: z(0.02),
        p: 120_000 * next(),
        q: 60_000 * (next() - 0.5),
      }));
      const solved = radialVoltages(
        400,
        trunk,
        units.map((u) => ({ z: u.z, activeW: u.p, reactiveVar: u.q })),
      )!;
      const other = byAdmittances(400, inSeries(...trunk), units);
      rel(solved.trunkV.at(-1), other.boardV, 1e-9);
      other.unitV.forEach((v, i) => rel(solved.unitV[i], v, 1e-9));
    }
  });
  it('has no voltages where the network cannot carry the power, and those of the source with nothing fed', () => {
    const weak = { ohm: 1, reactanceOhm: 2 };
    expect(radialVoltages(400, [weak], [{ z: weak, activeW: -500_000, reactiveVar: 0 }])).toBeUndefined();
    expect(radialVoltages(400, [weak], [{ z: weak, activeW: 0, reactiveVar: 0 }])).toEqual({
      trunkV: [400],
      unitV: [400],
    });
    expect(() => radialVoltages(0, [], [])).toThrow(RangeError);
  });
});

describe('the smallest change of each kind', () => {
  const found = mends(site);
  const of = (kind: string) => found.find((m) => m.kind === kind);
  it('is two tap steps (one keeps 1.9 %), a power factor, a heavier main cable and less power; runs alone cannot do it with the reserve', () => {
    expect(of('tap')?.words).toMatch(/^2 tap steps /);
    rel(of('tap')?.worstV, pictureAt({ ...path, restV: 424 * 0.95 }, ALL_FEEDING)!.worst.terminalV, 1e-12);
    const one = pictureAt({ ...path, restV: 424 * 0.975 }, ALL_FEEDING)!.worst;
    expect(one.marginPercent > 1.85 && one.marginPercent < 2).toBe(true);
    expect(of('power factor')?.marginPercent).toBeGreaterThanOrEqual(2);
    expect(of('main cable')?.words).toMatch(/in place of 2 × 240 mm² *$/);
    expect(of('less power')?.words).toMatch(/% of its power/);
    expect(found.map((m) => m.kind)).toEqual(['tap', 'power factor', 'main cable', 'runs', 'less power']);
    expect(of('runs')?.marginPercent).toBeGreaterThan(0);
    expect(of('runs')?.marginPercent).toBeLessThan(2);
    expect(of('runs')?.words).toMatch(/^heavier runs: U3 .*, U4 /);
  });
  it('is the smallest: one hundredth of power factor less, or the next lighter main cable, keeps less than the reserve', () => {
    const factor = Number(/power factor (\d\.\d+)/.exec(of('power factor')!.words)![1]);
    const less = pictureAt(path, { share: 1, powerFactor: factor + 0.01, reactive: 'absorbs' })!.worst;
    expect(less.marginPercent).toBeLessThan(2);
  });
  it('is not asked for where the reserve is there', () => {
    expect(mends({ ...site, path: { ...path, restV: 405 } })).toEqual([]);
  });
  it('takes no tap step that leaves the window at rest', () => {
    const high: VoltagePath = { ...path, restV: 345, tripV: 352 };
    expect(mends({ ...site, path: high }).some((m) => m.kind === 'tap')).toBe(false);
  });
});

describe('the path', () => {
  it('names everything it lacks, and takes no losses that the impedance has no room for', () => {
    const of = (over: Partial<typeof survey>) => voltagePath({ ...survey, ...over }, board, school, runs).missing;
    expect(of({ restLineV: null as never })).toEqual(['voltage at the board with nothing feeding']);
    expect(of({ upstreamMva: null as never })).toEqual(['short-circuit power of the network']);
    expect(of({ transformerLossKw: 40 })).toEqual([
      'load losses of the transformer that its impedance leaves room for',
    ]);
    expect(voltagePath(survey, { ...board, mainLengthM: null }, school, runs).missing).toEqual([
      'length of the main cable',
    ]);
    expect(voltagePath(survey, board, school, []).missing).toEqual(['inverters']);
  });
  it('takes the network as IEC 60909 has it where nobody gives X/R', () => {
    const { trunk } = voltagePath({ ...survey, upstreamXr: null }, board, school, runs).value!;
    expect(trunk[0]).toEqual(upstreamOhm(100, 400));
    expect(trunk[1]).toEqual(transformerOhm({ lineV: 400, ratingKva: 630, impedancePercent: 4, lossKw: 6.5 }));
  });
});

describe('two readings', () => {
  it('give 0.0336833 Ω from 1.70 and 6.40 V of rise at 30 and 90 kW and 430 V (worked case)', () => {
    const a = { nearV: 431.7, farV: 430, powerW: 30_000 };
    const b = { nearV: 436.4, farV: 430, powerW: 90_000 };
    rel(resistanceByTwoReadings(a, b), 0.0336833);
    rel(resistanceByTwoReadings(b, a), 0.0336833);
  });
  it('find the resistance of a network again, within some per cent', () => {
    const z = { ohm: 0.02, reactanceOhm: 0.006 };
    const at = (powerW: number) => ({
      nearV: radialVoltages(420, [], [{ z, activeW: powerW, reactiveVar: 0 }])!.unitV[0]!,
      farV: 420,
      powerW,
    });
    rel(resistanceByTwoReadings(at(0), at(100_000)), 0.02, 0.03);
  });
  it('want powers a kilowatt apart and voltages above 0', () => {
    const at = (powerW: number, nearV = 400) => ({ nearV, farV: 400, powerW });
    expect(() => resistanceByTwoReadings(at(1000), at(1999))).toThrow(/1000/);
    expect(() => resistanceByTwoReadings(at(0, 0), at(5000))).toThrow(RangeError);
  });
});

describe('readings at a unit and at the board', () => {
  const [run] = runs;
  /** What a meter would read with only this unit feeding, at two powers. */
  const readAt = (kw: number, looseOhm = 0) => {
    const z = { ...path.units[0]!.z, ohm: path.units[0]!.z.ohm + looseOhm };
    const own = { ...path, units: [{ ...path.units[0]!, z }] };
    const { boardV, worst } = voltagePicture(own, () => ({ activeW: 1000 * kw, reactiveVar: 0 }))!;
    return { unitV: worst.terminalV, boardV, kw };
  };
  const entered = (a: ReturnType<typeof readAt>, b: ReturnType<typeof readAt>): Readings => ({
    unitFirstV: a.unitV,
    boardFirstV: a.boardV,
    unitFirstKw: a.kw,
    siteFirstKw: a.kw,
    unitSecondV: b.unitV,
    boardSecondV: b.boardV,
    unitSecondKw: b.kw,
    siteSecondKw: b.kw,
  });
  it('explain a sound run and source by the design, and call a loose joint ours', () => {
    const sound = readingChecks(entered(readAt(0), readAt(80)), run!, known(path));
    expect(sound.map((c) => c.verdict)).toEqual(['holds', 'holds']);
    rel(sound[0]?.value, 1, 0.03);
    rel(sound[1]?.value, 1, 0.03);
    const loose = readingChecks(entered(readAt(0, 0.004), readAt(80, 0.004)), run!, known(path));
    expect(loose.map((c) => c.verdict)).toEqual(['stop', 'holds']);
  });
  it('are unknown while one is missing, or both are at one power', () => {
    const all = entered(readAt(0), readAt(80));
    const verdicts = (over: Partial<Readings>) =>
      readingChecks({ ...all, ...over }, run!, known(path)).map((c) => c.verdict);
    expect(verdicts({ unitFirstV: null })).toEqual(['unknown', 'holds']);
    expect(verdicts({ siteSecondKw: null })).toEqual(['holds', 'unknown']);
    expect(verdicts({ unitSecondKw: 0.5 })).toEqual(['unknown', 'holds']);
    expect(readingChecks(all, run!, lacking('frequency'))[1]?.working).toEqual(['Missing: frequency']);
  });
});
