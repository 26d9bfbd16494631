import { describe, expect, it } from 'vitest';
import type { BusLine } from './busLine';
import { wholeChain } from '../../testing/chains';
import type { MeterSheet } from './meterSheet';
import { meterSheet, readingMeans } from './meterSheet';

const sheet = (
  units: number,
  lengthM: number,
  line: Partial<BusLine> = {},
  terminated?: readonly number[],
): MeterSheet => {
  const over = terminated ? (_: unknown, i: number) => ({ terminated: terminated.includes(i) }) : undefined;
  const { value, missing } = meterSheet(wholeChain(units, lengthM, line, over));
  if (!value) throw new Error(missing.join());
  return value;
};
/** 250 m of 0.5 mm² with eleven devices; 1200 m of 24 AWG with thirty-one. */
const S = sheet(11, 250);
const L = sheet(31, 1200, { areaMm2: (Math.PI / 4) * (0.127 * 92 ** ((36 - 24) / 39)) ** 2 });

describe('the ohm and volt sheet', () => {
  it('reads 120 Ω beside 120 Ω and the loop at the first device, half and half in the middle (Kirchhoff)', () => {
    expect(S.rows[0]?.bothOhm).toBeCloseTo(64.021365, 5);
    expect(S.rows[5]?.bothOhm).toBeCloseTo(64.31025, 5);
    expect(L.rows[0]?.bothOhm).toBeCloseTo(87.429049, 4);
    expect(L.rows[15]?.bothOhm).toBeCloseTo(110.52794, 4);
  });
  it('sees one terminator and the loop to it on either side of a device with a plug out', () => {
    const at = S.rows[4];
    expect(at?.backOhm).toBeCloseTo(120 + 100 * 0.068964, 6);
    expect(at?.onOhm).toBeCloseTo(120 + 150 * 0.068964, 6);
    expect(1 / (at?.backOhm ?? NaN) + 1 / (at?.onOhm ?? NaN)).toBeCloseTo(1 / (at?.bothOhm ?? NaN), 9);
    expect(S.rows[0]?.backOhm).toBeCloseTo(120, 9);
    expect(S.rows[10]?.onOhm).toBeCloseTo(120, 9);
  });
  it('is open where no terminator is on that side', () => {
    const far = sheet(4, 30, {}, [3]);
    expect(far.rows[2]?.backOhm).toBeNull();
    expect(far.rows[2]?.onOhm).toBeCloseTo(120 + 10 * 0.068964, 6);
    expect(sheet(4, 30, {}, []).rows.map((r) => r.bothOhm)).toEqual([null, null, null, null]);
  });
  it('falls from the first device to the last while the pair is idle, never under what two nodes say', () => {
    const mv = S.rows.map((r) => r.idleMv ?? NaN);
    for (let i = 1; i < mv.length; i++) expect(mv[i]).toBeLessThan(mv[i - 1] ?? NaN);
    const lumped = wholeChain(11, 250, {}, () => ({ unitLoads: 0.125 })).budget.idle.value;
    expect(mv[10]).toBeGreaterThanOrEqual(1000 * (lumped?.farV ?? NaN));
    expect(mv[10]).toBeCloseTo(1000 * (lumped?.farV ?? NaN), 0);
    expect(sheet(3, 30, { biasAt: 'nowhere' }).rows[0]?.idleMv).toBeNull();
    expect(sheet(3, 30, { biasV: null }).rows[0]?.idleMv).toBeNull();
  });
  it('names what it cannot do without', () =>
    expect(meterSheet(wholeChain(3, 30, { areaMm2: null, terminatorOhm: null })).missing).toEqual([
      'section of the bus conductors',
      'resistance of the terminators',
    ]));
});

describe('a reading at the first device', () => {
  it.each([
    [64, /^As planned: 64.0 Ω/],
    [67, /^As planned/],
    [120.5, /^The near terminator alone/],
    [42, /^Three terminators/],
    [47, /^Three terminators/],
    [9.5236, /^A short about 150 m along/],
    [0.4, /^Short at this device/],
    [31, /^Several terminators/],
    [80, /^None of the usual/],
    [1e6, /^Open/],
  ])('of %s Ω: %s', (ohm, says) => expect(readingMeans(S, ohm)).toMatch(says));
  it('of 60 Ω on 1200 m leaves two answers, and says both', () =>
    expect(readingMeans(L, 60)).toMatch(/^Three terminators.* Or: A short about 712 m along the cable\.$/));
  it('of 322 Ω on 1200 m is the far terminator alone', () =>
    expect(readingMeans(L, 322)).toMatch(/^The far terminator alone/));
});

describe('the meter sheet of terminators that block direct current', () => {
  const blocked = wholeChain(3, 60, { terminatorKind: 'resistor and capacitor', terminatorNf: 10 });
  const sheet = meterSheet(blocked).value;
  it('reads open everywhere, and the idle pair has nothing but its bias and receivers', () => {
    expect(sheet?.rows.flatMap((r) => [r.bothOhm, r.backOhm, r.onOhm])).toEqual(Array.from({ length: 9 }, () => null));
    expect(sheet?.rows[2]?.idleMv).toBeGreaterThan(4000);
    expect(blocked.budget.terminators.value).toEqual({ nearOhm: [], farOhm: [] });
    expect(blocked.budget.worst.value?.volt).toBeGreaterThan(wholeChain(3, 60).budget.worst.value?.volt ?? NaN);
  });
  it('says of a reading whether something passes', () => {
    expect(sheet && readingMeans(sheet, 1000)).toMatch(/^Open, as planned/);
    expect(sheet && readingMeans(sheet, 999)).toMatch(/^Something passes direct current/);
  });
});
