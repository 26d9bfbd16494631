import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { fewestBuses } from './fewestBuses';
import type { Asking } from './serialLine';
import { characterS, cycleS, deadUnitS, scanS, silencesS, transactionS, unitS } from './serialLine';

/** Times follow from the bits of Modbus over Serial Line V1.02, 2.5.1 (recalled); a pause of 50 ms, a wait of 1 s and two retries are common practice. */
const asking = (bitRate: number, over: Partial<Asking> = {}): Asking => ({
  bitRate,
  characterBits: 11,
  turnaroundS: 0.05,
  timeoutS: 1,
  retries: 2,
  gapS: 0,
  ...over,
});

describe('characters and silences', () => {
  it.each([
    [1200, 9166.6667, 13750, 32083.3333],
    [9600, 1145.8333, 1718.75, 4010.4167],
    [19200, 572.9167, 859.375, 2005.2083],
    [38400, 286.4583, 750, 1750],
    [115200, 95.4861, 750, 1750],
  ])('at %s bit/s: %s, %s, %s µs', (bitRate, character, t15, t35) => {
    const line = asking(bitRate);
    expect(1e6 * characterS(line)).toBeCloseTo(character, 3);
    expect(1e6 * silencesS(line).t15).toBeCloseTo(t15, 3);
    expect(1e6 * silencesS(line).t35).toBeCloseTo(t35, 3);
  });
  it('are shorter by a bit without parity, and of a rate that ports have', () => {
    expect(characterS(asking(9600, { characterBits: 10 }))).toBeCloseTo(10 / 9600, 12);
    expect(() => characterS(asking(9601))).toThrow(/bitRate must be one of 1200.*got 9601/);
  });
});

describe('a read', () => {
  it.each([
    [9600, 10, 0.095833333],
    [9600, 60, 0.21041667],
    [9600, 125, 0.359375],
    [19200, 60, 0.13020833],
    [115200, 60, 0.066199653],
  ])('at %s bit/s of %s registers takes %s s', (bitRate, registers, s) =>
    expect(transactionS(asking(bitRate), registers)).toBeCloseTo(s, 8),
  );
  it('takes 1 to 125 registers at a time, more in blocks', () => {
    expect(() => transactionS(asking(9600), 126)).toThrow(/registers/);
    expect(() => transactionS(asking(9600), 0)).toThrow(/registers/);
    expect(unitS(asking(9600), 160)).toBeCloseTo(0.5125, 10);
    expect(unitS(asking(9600), 125)).toBe(transactionS(asking(9600), 125));
  });
  it.each([
    [9600, 0.01, 17],
    [9600, 0.05, 10],
    [115200, 0.01, 60],
    [115200, 0.05, 17],
  ])('of 10 registers at %s bit/s with a pause of %s s: %s units a second', (bitRate, turnaroundS, units) =>
    expect(Math.floor(1 / transactionS(asking(bitRate, { turnaroundS }), 10))).toBe(units),
  );
});

describe('a round', () => {
  const rows = readFileSync(new URL('./pollCases.csv', import.meta.url), 'utf8')
    .trim()
    .split('\n')
    .slice(1);
  it.each(rows.map((r) => r.split(',')))(
    '%s bit/s, %s units, %s registers',
    (rate, units, registers, unit, all, dead, slow) => {
      const line = asking(Number(rate));
      const n = Number(units);
      const count = (registers as string).split('+').reduce((sum, r) => sum + Number(r), 0);
      expect(unitS(line, count)).toBeCloseTo(Number(unit), 7);
      expect(cycleS(line, n, count) / Number(all)).toBeCloseTo(1, 6);
      expect(cycleS(line, n, count, 1) / Number(dead)).toBeCloseTo(1, 6);
      expect(cycleS(line, n, count, 1, 10) / Number(slow)).toBeCloseTo(1, 6);
    },
  );
  it.each([
    [9600, 3.0395313],
    [19200, 3.0197656],
    [115200, 3.0075417],
  ])('at %s bit/s loses %s s to a silent unit', (rate, s) => expect(deadUnitS(asking(rate))).toBeCloseTo(s, 6));
  it('has no more silent units than units', () => expect(() => cycleS(asking(9600), 2, 10, 3)).toThrow(/dead/));
});

it.each([
  [9600, 0.1, 27.95474],
  [9600, 0.2, 52.65474],
  [9600, 1, 250.25474],
  [19200, 0.2, 51.02737],
  [115200, 0.1, 25.320931],
])('asking all addresses at %s bit/s, %s s each, takes %s s', (rate, timeoutS, s) =>
  expect(scanS(asking(rate), timeoutS)).toBeCloseTo(s, 5),
);

describe('fewest buses', () => {
  const wanted = {
    units: 60,
    loggerUnitLoads: 1,
    unitLoads: 1,
    unitS: unitS(asking(9600), 60),
    needS: 5,
    leastCableM: 800,
    bitRate: 9600,
  };
  it('of 60 units of one load and a round of 5 s are 3, by the round: 2 by load', () => {
    expect(fewestBuses(wanted)).toEqual({
      buses: 3,
      binds: ['poll'],
      mostUnits: 23,
      by: { 'unit loads': 2, poll: 3, addresses: 1, length: 1 },
    });
  });
  it.each([
    [{ needS: 60, unitLoads: 0.1 }, 1, ['unit loads', 'poll', 'addresses', 'length']],
    [{ needS: 60, unitLoads: 4 }, 9, ['unit loads']],
    [{ needS: 600, unitLoads: 0.1, leastCableM: 1300 }, 2, ['length']],
    [{ needS: 600, unitLoads: 0.1, leastCableM: 870, bitRate: 115_200 }, 2, ['length']],
    [{ needS: 600, unitLoads: 0.1, units: 248 }, 2, ['addresses']],
  ] as const)('with %j are %s, by %j', (over, buses, binds) => {
    const found = fewestBuses({ ...wanted, ...over });
    expect(found.buses).toBe(buses);
    expect(found.binds).toEqual(binds);
  });
  it('are none where one unit is too much', () => {
    expect(() => fewestBuses({ ...wanted, unitLoads: 31.5 })).toThrow(/unitLoads/);
    expect(() => fewestBuses({ ...wanted, needS: 0.2 })).toThrow(/needS/);
  });
});
