import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { given } from './answer';
import type { Check, Verdict } from './check';
import { VERDICT_ORDER, byUrgency, dataSheet, mostUrgent, practice, published, worstOf } from './check';
import { atLeast, atMost, counted, found, withVerdict } from './judgement';
import { Memo } from './memo';
import { MilpBuilder } from './milp';
import { atOrAbove, atOrAboveHeld, exactly, keysOf, publishedTable } from './publishedTable';
import { fixed, formatQuantity, short } from './quantity';
import { requirePositive, requireWithin } from './require';
import { ceiled, floored, within } from './rounding';
import { bracketedRoot } from './root';
import { median } from './statistics';

const plain: Check = {
  id: 'test.value',
  subject: { element: 'string', path: 'INV-01 / tracker 1' },
  title: 'A value',
  value: null,
  limit: null,
  unit: 'V',
  margin: null,
  verdict: 'holds',
  basis: dataSheet('maximum'),
  working: [],
};
const measured = (value: number, limit: number) => ({ value, limit, working: () => ['x'] });

describe('Check', () => {
  it.each([
    [90, 100, 5, 'holds', 10],
    [97, 100, 5, 'tight', 3],
    [100, 100, 0, 'holds', 0],
    [100, 100, 5, 'tight', 0],
    [100.1, 100, 0, 'stop', -0.1],
  ] as const)(
    'at most: %d against %d with %d %% reserve %s, margin %d %%',
    (value, limit, reserve, verdict, margin) => {
      const check = atMost(measured(value, limit), reserve);
      expect(check.verdict).toBe(verdict);
      expect(check.margin).toBeCloseTo(margin, 9);
    },
  );
  it('at least mirrors at most', () => {
    expect(atLeast(measured(110, 100)).margin).toBeCloseTo(10, 9);
    expect(atLeast(measured(99, 100)).verdict).toBe('stop');
  });
  it('a NaN stops and has no margin', () => {
    expect(atMost(measured(Number.NaN, 100))).toMatchObject({ verdict: 'stop', margin: null });
    expect(atLeast(measured(Number.NaN, 100))).toMatchObject({ verdict: 'stop', margin: null });
  });
  it('a value built to sit on its limit holds whatever the rounding', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60 }), fc.double({ min: 10, max: 80, noNaN: true }), (n, v) => {
        let sum = 0;
        for (let i = 0; i < n; i++) sum += v;
        expect(atMost(measured(sum, n * v)).verdict).toBe('holds');
      }),
    );
  });
  it('an answer names every input that is not there', () => {
    expect(given({ length: null, section: 6, metal: undefined }, () => 1)).toEqual({
      value: null,
      missing: ['length', 'metal'],
    });
    expect(given({ section: 6 }, (k) => k.section / 2)).toEqual({ value: 3, missing: [] });
  });
  it('a count holds up to its most', () => {
    expect(counted(2, 2, () => 'two').verdict).toBe('holds');
    expect(counted(3, 2, () => 'three')).toMatchObject({ verdict: 'stop', value: 3, limit: 2, margin: null });
  });
  it('a softened stop keeps no negative margin, a hardened one keeps its own', () => {
    const broken = atMost(measured(120, 100));
    expect(withVerdict(broken, 'tight', () => ['wished for'])).toMatchObject({ verdict: 'tight', margin: null });
    expect(withVerdict(broken, 'stop', () => ['still']).margin).toBeCloseTo(-20, 9);
  });
  it('a softened verdict keeps a margin of nought or more', () => {
    expect(withVerdict(atMost(measured(100, 100)), 'tight', () => []).margin).toBe(0);
    expect(withVerdict(atMost(measured(90, 100)), 'tight', () => ['so'])).toMatchObject({ margin: 10 });
    expect(withVerdict(atMost(measured(90, 100)), 'tight', () => ['so']).working()).toEqual(['x', 'so']);
    expect(
      withVerdict(
        found('holds', () => []),
        'tight',
        () => [],
      ).margin,
    ).toBeNull();
  });
  it('whole numbers a hair off are those numbers, and no others', () => {
    expect([floored(3 - 1e-12), floored(3), floored(2.999)]).toEqual([3, 3, 2]);
    expect([ceiled(3 + 1e-12), ceiled(3), ceiled(3.001)]).toEqual([3, 3, 4]);
    expect([within(100 + 1e-8, 100), within(100.1, 100), within(Number.NaN, 100), within(0, 0)]).toEqual([
      true,
      false,
      false,
      true,
    ]);
  });
  it('carries its basis: published values are recalled until somebody looks them up', () => {
    expect(published('IEC 60364')).toMatchObject({ kind: 'published', recalled: true });
    expect(published('read', false).recalled).toBe(false);
    expect(practice()).toMatchObject({ kind: 'practice', recalled: false });
  });
});

describe('urgency', () => {
  const anyCheck = fc
    .record({
      verdict: fc.constantFrom<Verdict>('holds', 'tight', 'stop', 'unknown'),
      margin: fc.option(fc.integer({ min: -50, max: 99 })),
    })
    .map(({ verdict, margin }): Check => ({ ...plain, verdict, margin }));
  it('puts what stops first, then unknown, then by margin', () => {
    const order = [...VERDICT_ORDER].map((verdict): Check => ({ ...plain, verdict }));
    expect(
      [...order]
        .reverse()
        .sort(byUrgency)
        .map((c) => c.verdict),
    ).toEqual(['stop', 'unknown', 'tight', 'holds']);
  });
  it('the most urgent are what sorting puts first', () => {
    fc.assert(
      fc.property(fc.array(anyCheck, { maxLength: 80 }), fc.integer({ min: 1, max: 40 }), (checks, count) => {
        const sorted = [...checks].sort(byUrgency).slice(0, count);
        expect(mostUrgent(checks, count).map((c) => [c.verdict, c.margin])).toEqual(
          sorted.map((c) => [c.verdict, c.margin]),
        );
      }),
    );
  });
  it('the worst of nothing is unknown', () => {
    expect(worstOf([])).toBe('unknown');
    expect(worstOf(['holds', 'tight'])).toBe('tight');
    expect(worstOf(['tight', 'unknown', 'holds'])).toBe('unknown');
  });
});

describe('numbers as people read them', () => {
  it.each([
    [1013.34, 'V', '1013.3 V'],
    [null, 'V', '–'],
    [Number.NaN, 'V', '–'],
    [0.12345, 'Ω', '0.123 Ω'],
    [17, 'modules', '17 modules'],
    [3.14159, 'K·m/W', '3.14 K·m/W'],
  ])('%s in %s reads %s', (value, unit, text) => expect(formatQuantity(value, unit)).toBe(text));
  it('have a true minus and no negative zero', () => {
    expect(fixed(-3.25, 1)).toBe('−3.3');
    expect(fixed(-0.004, 2)).toBe('0.00');
    expect(short(-0.0025100001)).toBe('−0.00251');
  });
});

describe('guards', () => {
  it('name field, value and range', () => {
    expect(() => requireWithin('tempC', 300, -40, 250, '°C')).toThrow('tempC must be -40 to 250 °C (got 300)');
    expect(() => requireWithin('tempC', Number.NaN, -40, 250)).toThrow(RangeError);
    expect(() => requirePositive({ lengthM: 0, areaMm2: 4 }, 'lengthM', 'areaMm2')).toThrow(
      'lengthM must be above 0 (got 0)',
    );
  });
});

describe('published tables', () => {
  const table = publishedTable({
    source: 'test',
    recalled: false,
    quantity: 'x',
    key: 'n',
    columns: ['a', 'b'],
    rows: [
      [1, 10, null],
      [2, 20, 200],
      [4, 40, 400],
    ],
  });
  it('read the row, the next larger row, or the last one held', () => {
    expect(exactly(table, 2, 'b')).toBe(200);
    expect(exactly(table, 3, 'a')).toBeUndefined();
    expect(atOrAbove(table, 3, 'a')).toBe(40);
    expect(atOrAbove(table, 1, 'b')).toBe(200);
    expect(atOrAbove(table, 5, 'a')).toBeUndefined();
    expect(atOrAboveHeld(table, 5, 'a')).toBe(40);
    expect(keysOf(table, 'b')).toEqual([2, 4]);
  });
  it('refuse rows of another width and keys that do not rise', () => {
    const bad = (rows: [number, ...(number | null)[]][]) => () =>
      publishedTable({ source: 't', recalled: false, quantity: '', key: '', columns: ['a'], rows });
    expect(bad([[1, 2, 3]])).toThrow(/row 1 has 3 cells/);
    expect(
      bad([
        [2, 1],
        [2, 1],
      ]),
    ).toThrow(/do not rise at 2/);
  });
});

describe('numeric methods', () => {
  it.each([
    ['cos', Math.cos, 0, 3, Math.PI / 2],
    ['x³ − 2', (x: number) => x ** 3 - 2, 0, 2, Math.cbrt(2)],
    ['exp(x) − 1e6', (x: number) => Math.exp(x) - 1e6, 0, 40, Math.log(1e6)],
    ['a steep tangent', (x: number) => Math.tan(x) - 1000, 0, 1.5707, Math.atan(1000)],
  ] as const)('bracket the root of %s', (_, f, lo, hi, root) => {
    expect(bracketedRoot(f, lo, hi, 1e-10)).toBeCloseTo(root, 8);
    expect(bracketedRoot(f, hi, lo, 1e-10)).toBeCloseTo(root, 8);
  });
  it('have no root where the ends agree, and take an end that is one', () => {
    expect(bracketedRoot((x) => x * x + 1, -1, 1, 1e-9)).toBeUndefined();
    expect(bracketedRoot((x) => x, 0, 1, 1e-9)).toBe(0);
    expect(bracketedRoot(() => Number.NaN, 0, 1, 1e-9)).toBeUndefined();
  });
  it('take the middle of an even and an odd count', () => {
    expect(median([3, 1, 2])).toBe(2);
    expect(median([4, 1, 3, 2])).toBe(2.5);
    expect(median([])).toBeNaN();
  });
});

it('a memo computes again exactly when a dependency is another object', () => {
  const memo = new Memo();
  let runs = 0;
  const [a, b] = [{}, {}];
  const ask = (on: unknown[]) => memo.keep('k', on, () => ++runs);
  expect([ask([a]), ask([a])]).toEqual([1, 2]);
  memo.settle();
  expect(ask([a])).toBe(2);
  memo.settle();
  expect(ask([b])).toBe(3);
  memo.settle();
  memo.settle();
  expect(ask([b])).toBe(4);
});

it('a program keeps its columns, costs and rows apart', () => {
  const b = new MilpBuilder();
  const [x, y] = [b.column(0, 5, true), b.column(-1, 1, false)];
  b.row(0, 3, [
    [x, 1],
    [y, 2],
  ]);
  const p = b.minimising(new Map([[y, 4]]), [{ lower: 1, upper: 1, terms: [[x, 1]] }]);
  expect(p.columns).toEqual([
    { cost: 0, lower: 0, upper: 5, integer: true },
    { cost: 4, lower: -1, upper: 1, integer: false },
  ]);
  expect(p.rows).toHaveLength(2);
});
