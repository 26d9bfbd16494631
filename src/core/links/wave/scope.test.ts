import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import type { Bus, Faults } from './bus';
import { networkOf, stepOf } from './bus';
import { Listener } from './heard';
import { busScope } from './scope';

/** A chain like to like: a logger and so many units, the same hop between all. */
const chain = (units: number, hopM: number, loopOhmPerM: number): Bus => ({
  impedanceOhm: 120,
  delayNsPerM: 6,
  loopOhmPerM,
  hopsM: Array.from({ length: units }, () => hopM),
  unitLoads: Array.from({ length: units + 1 }, () => 0.125),
  stubsM: Array.from({ length: units + 1 }, () => 0),
  terminated: Array.from({ length: units + 1 }, (_, i) => i === 0 || i === units),
  terminatorOhm: 120,
  terminatorNf: null,
  biasOhm: null,
  asker: 0,
});
const S = chain(10, 25, 0.07);
const L = chain(30, 40, 0.168426);
const all = (bus: Bus) => bus.unitLoads.map((_, i) => i);

const CASES: Readonly<Record<string, readonly [Bus, Faults]>> = {
  'S proper': [S, {}],
  'S no terminators': [S, { terminatedAt: [] }],
  'S far terminator missing': [S, { terminatedAt: [0] }],
  'S near terminator missing': [S, { terminatedAt: [10] }],
  'S terminators at 0 and 5': [S, { terminatedAt: [0, 5] }],
  'S star 3-3-2-2, terminator at hub only': [S, { terminatedAt: [0], star: [3, 3, 2, 2] }],
  'S star 3-3-2-2, all four ends': [S, { terminatedAt: [3, 6, 8, 10], star: [3, 3, 2, 2] }],
  'S stub 60 m at 5': [S, { stub: { at: 5, lengthM: 60 } }],
  'S stubs 5 m at 1..9': [{ ...S, stubsM: S.stubsM.map((_, i) => (i === 0 || i === 10 ? 0 : 5)) }, {}],
  'S terminators at all 11': [S, { terminatedAt: all(S) }],
  'S third terminator at 5': [S, { terminatedAt: [0, 5, 10] }],
  'S break between 5 and 6': [S, { openHop: 5 }],
  'S A/B swapped at 5 only': [S, { swappedAt: 5 }],
  'S pair crossed between 5 and 6': [S, { crossedHop: 5 }],
  'L proper': [L, {}],
  'L no terminators': [L, { terminatedAt: [] }],
  'L far terminator missing': [L, { terminatedAt: [0] }],
  'L terminators at 0 and 15': [L, { terminatedAt: [0, 15] }],
  'L terminators at all 31': [L, { terminatedAt: all(L) }],
};

type Row = Readonly<Record<string, string>>;
/** Cases worked beforehand by another program, all but the eyes by two methods: no published values. */
const ROWS = Papa.parse<Row>(readFileSync(new URL('./lineCases.csv', import.meta.url), 'utf8').trim(), {
  header: true,
}).data;

describe('the bus through a scope agrees with what another program worked out', () => {
  it('of every case there is', () => expect([...new Set(ROWS.map((r) => r.case))]).toEqual(Object.keys(CASES)));

  it.each(Object.keys(CASES))('%s', (name) => {
    const [bus, faults] = CASES[name] as readonly [Bus, Faults];
    const long = bus === L;
    const stepNs = long ? 20 : 5;
    const ways = long ? 'out' : 'both';
    const slow = busScope(bus, faults, 9600, { ways, stepNs });
    const fast = busScope(bus, faults, 115_200, { ways, stepNs });
    const volts = (a: number, b: number) =>
      expect(Math.abs(a - b), `${a} for ${b} V`).toBeLessThan(0.005 * Math.abs(b) + 2e-3);
    const micros = (a: number, b: number) =>
      expect(Math.abs(a - b), `${a} for ${b} µs`).toBeLessThan(0.05 * b + (1.5 * stepNs) / 1000);
    for (const row of ROWS.filter((r) => r.case === name)) {
      const figure = (column: string) => Number(row[column]);
      const seen = slow.out[row.driver as 'weak'][figure('unit')] as Float64Array;
      const listener = new Listener(seen, stepNs);
      const [at9600, at115200] = [listener.at(9600), listener.at(115_200)];
      volts(at9600.finalV, figure('v_final_V'));
      volts(at9600.peakV, Math.abs(figure('peak_V')));
      if (row.t_settle_10pct_us) micros(at9600.settleUs, figure('t_settle_10pct_us'));
      if (row.t_valid_us) micros(at9600.validUs, figure('t_valid_us'));
      if (row.t_settle_10pct_us) {
        volts(at9600.eyeV, Math.abs(figure('eye_9600_V')));
        if (figure('eye_115200_V') * figure('v_final_V') > 0) volts(at115200.eyeV, Math.abs(figure('eye_115200_V')));
      }
      expect(slow.passesTo ?? 0).toBe(figure('highest_rate_all_pass'));
      const [said9600, said115200] = (row.verdict_chain ?? '').split('; ');
      expect(said9600).toBe(`9600 ${slow.verdict === 'pass' ? 'pass' : `fail: ${slow.verdict}`}`);
      expect(said115200).toBe(`115200 ${fast.verdict === 'pass' ? 'pass' : `fail: ${fast.verdict}`}`);
    }
  });
});

describe('a fault', () => {
  it('of a missing near terminator is heard in the answers, not in the questions', () => {
    const { devices, verdict } = busScope(S, { terminatedAt: [10] }, 115_200, { stepNs: 5 });
    expect(verdict).toBe('eye');
    expect(devices.filter((d) => d.heard.verdict === 'eye').every((d) => d.way === 'back')).toBe(true);
    expect(busScope(S, { terminatedAt: [10] }, 115_200, { stepNs: 5, ways: 'out' }).verdict).toBe('pass');
  });
  it('at one unit turns that unit alone; in a hop all beyond', () => {
    const inverted = (faults: Faults) =>
      busScope(S, faults, 9600, { stepNs: 5 }).devices.flatMap((d) =>
        d.heard.verdict === 'inverted' ? [d.device] : [],
      );
    expect(inverted({ swappedAt: 5 })).toEqual([5]);
    expect(inverted({ crossedHop: 5 })).toEqual([6, 7, 8, 9, 10]);
    expect(inverted({ swappedAt: 0 })).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10]);
  });
  it('of an open hop silences all beyond', () => {
    const { devices } = busScope(S, { openHop: 0 }, 9600, { stepNs: 5 });
    expect(devices.map((d) => d.heard.verdict)).toEqual(Array.from({ length: 10 }, () => 'no signal'));
  });
  it('of more bias loads the pair', () => {
    const biased = { ...S, biasOhm: 900 };
    const level = (n: number) =>
      busScope(biased, { biased: n }, 9600, { stepNs: 5, ways: 'out' }).out.weak[10]?.at(-1) ?? NaN;
    expect(level(2)).toBeLessThan(level(1) - 0.02);
    expect(level(1)).toBeLessThan(1.3947 - 0.02);
  });
});

it('a logger in the middle has two arms, and terminators at both outer ends', () => {
  const { verdict, devices } = busScope({ ...S, asker: 4 }, {}, 115_200, { stepNs: 5 });
  expect(verdict).toBe('pass');
  expect(devices.map((d) => d.device)).toEqual([0, 1, 2, 3, 5, 6, 7, 8, 9, 10]);
});

describe('steps of time', () => {
  it('are three hundred along the bus, from 1 to 20 ns', () => {
    expect(stepOf(S)).toBe(5);
    expect(stepOf(L)).toBe(20);
    expect(stepOf(chain(2, 1, 0.07))).toBe(1);
  });
  it('leave out a stub that is shorter than half of one, and no other', () => {
    const stubs = (lengthM: number) =>
      networkOf({ ...S, stubsM: S.stubsM.map((_, i) => (i === 3 ? lengthM : 0)) }, {}, 5).network;
    expect(stubs(0.41).sections).toHaveLength(10);
    expect(stubs(0.42).sections).toHaveLength(11);
  });
});
