import { describe, expect, it } from 'vitest';
import { conductorOhmPerM } from '../../conductor/schools/iec/resistance';
import { schoolOf } from '../../conductor/schools';
import { known } from '../../kernel/answer';
import { BOARD, SURVEY } from '../../testing/examples';
import { boardSupply } from './boardSupply';
import { inSeries, magnitudeOhm, shortCircuitA, transformerOhm, upstreamOhm, withstandMm2 } from './network';

const rel = (value: number | null | undefined, wanted: number, within = 1e-5) =>
  expect(Math.abs((value ?? Number.NaN) / wanted - 1), `${value} against ${wanted}`).toBeLessThan(within);
const T630 = { ratingKva: 630, impedancePercent: 4, lossKw: 6.5, lineV: 400 };

describe('short circuit, by the hand method of IEC 60909-0', () => {
  it('is 23 869.8 A behind 630 kVA of 4 % at 400 V, and 9678.24 A after 80 m of 150 mm² aluminium, cold (worked case)', () => {
    const transformer = transformerOhm(T630);
    rel(shortCircuitA(400, transformer), 23_869.8);
    const cold = { ohm: (conductorOhmPerM('Al', 150, 20, 50) ?? 0) * 80, reactanceOhm: 0.08e-3 * 80 };
    rel(cold.ohm, 0.01648);
    rel(shortCircuitA(400, inSeries(transformer, cold)), 9678.24);
  });
  it('is c·S/(u_k·√3·U) of the transformer alone, whatever its losses (its rating and impedance define it)', () => {
    for (const [ratingKva, impedancePercent, lineV] of [
      [250, 4, 400],
      [1600, 6, 480],
      [2500, 7, 800],
    ] as const) {
      const wanted = (1.05 * ratingKva * 1000) / (Math.sqrt(3) * lineV * (impedancePercent / 100));
      for (const lossKw of [0, ratingKva / 100])
        rel(shortCircuitA(lineV, transformerOhm({ ratingKva, impedancePercent, lossKw, lineV })), wanted, 1e-12);
    }
  });
  it('has a network of 100 MVA at 400 V of 1.6 mΩ, nearly all reactance', () => {
    const z = upstreamOhm(100, 400);
    rel(magnitudeOhm(z), 0.0016, 1e-4);
    rel(z.ohm / z.reactanceOhm, 0.1, 1e-12);
  });
  it('asks 80.3011 mm² of aluminium in XLPE and 52.7853 mm² of copper for 23 869.8 A over 0.1 s (worked case)', () => {
    const a2s = 23_869.8 ** 2 * 0.1;
    rel(withstandMm2(a2s, 94), 80.3011);
    rel(withstandMm2(a2s, 143), 52.7853);
  });
  it('refuses losses that are more than the whole, and a way without impedance', () => {
    expect(() => transformerOhm({ ...T630, lossKw: 26 })).toThrow(/lossKw must be from 0 to 25\.2 kW \(got 26\)/);
    expect(() => transformerOhm({ ...T630, lossKw: Number.NaN })).toThrow(/lossKw/);
    expect(() => shortCircuitA(400, { ohm: 0, reactanceOhm: 0 })).toThrow(/ohm/);
  });
});

describe('what feeds the board', () => {
  const at = (survey = {}, board = {}) =>
    boardSupply({ ...SURVEY, ...survey }, { ...BOARD, ...board }, schoolOf('IEC'), known(480));
  it('is never less for knowing less: without losses, without the main cable', () => {
    const full = at().gridA.value ?? 0;
    expect(at({ transformerLossKw: null }).gridA.value).toBeGreaterThanOrEqual(full);
    expect(at({}, { mainSectionMm2: null }).gridA.value).toBeGreaterThan(full);
    expect((at().boardA.value ?? 0) - full).toBeCloseTo(1.2 * 480, 9);
  });
  it('has a loop in which line and PE of the main cable are hot, and the network as it is', () => {
    const loop = at().loop.value;
    const of = (mm2: number) => ((conductorOhmPerM('Cu', mm2, 90, 50) ?? 0) * 30) / 2;
    const transformer = transformerOhm({ ratingKva: 1250, impedancePercent: 6, lossKw: 13, lineV: 400 });
    rel(loop?.ohm, upstreamOhm(250, 400).ohm + transformer.ohm + of(240) + of(120), 1e-12);
    expect(at({ upstreamMva: null }).loop.missing).toEqual(['short-circuit power of the network']);
  });
  it('is not known without the transformer, nor of a school without its tables', () => {
    // Losses that no such transformer has are asked for again, and leave the largest current alone.
    const odd = at({ transformerLossKw: 80 });
    expect(odd.loop.missing).toEqual(['load losses of the transformer that its impedance leaves room for']);
    expect(odd.gridA.value).toBe(at({ transformerLossKw: null }).gridA.value);
    expect(at({ transformerKva: null }).boardA.missing).toEqual(['transformer rating']);
    const auNz = boardSupply({ ...SURVEY, school: 'AU/NZ' }, BOARD, schoolOf('AU/NZ'), known(480));
    expect(auNz.loop.missing[0]).toMatch(/AS\/NZS 3008/);
    expect(auNz.gridA.value).toBeGreaterThan(0);
    // By the NEC school a transformer may have a tenth less impedance than its plate says, and no voltage factor.
    const nec = boardSupply({ ...SURVEY, school: 'NEC' }, { ...BOARD, mainLengthM: null }, schoolOf('NEC'), known(480));
    rel(nec.gridA.value, (at({}, { mainLengthM: null }).gridA.value ?? 0) / 1.05 / 0.9, 1e-12);
  });
});
