import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Lock } from '../part';
import { withStrings } from '../arrange';
import type { SiteDesign } from '../../design';
import { newString, placeKey } from '../../site/parts';
import { M575, T100, plane, siteOf } from '../../testing/examples';
import { verifyLayout } from '../verify';
import { cutPlane, leastLeft, stringCounts } from './cut';
import { lockWords } from './explain';
import { cutWords, legalLayout, remainingOf } from './legalLayout';
import { BALANCE_BAND, compareObjectives, objectiveOf, ratiosOf } from './objective';
import { numberStrings, assignInputs } from './assignInputs';
import { shortestHandOut } from './handOut';
import { LAYOUT_MOST_UNITS } from './size';
import type { LayoutProblem } from './problem';
import { countsFit, layoutProblem } from './problem';
import { layoutProgram, unusedBound } from './program';
import { ExchangeSearch } from './exchangeSearch';
import { goodLayout, startLayout } from './start';

const anySite = fc
  .record({
    planes: fc.array(
      fc.record({
        count: fc.integer({ min: 0, max: 500 }),
        tilt: fc.constantFrom(5, 10, 30),
        azimuth: fc.constantFrom(90, 180, 270),
        x: fc.integer({ min: -50, max: 80 }),
      }),
      { minLength: 1, maxLength: 5 },
    ),
    units: fc.integer({ min: 1, max: 8 }),
    inputs: fc.integer({ min: 1, max: 3 }),
    ratedKw: fc.constantFrom(50, 100, 125),
  })
  .map(({ planes, units, inputs, ratedKw }) =>
    siteOf(
      units,
      planes.map((p, i) =>
        plane(`p${i}`, p.count, {
          tiltDeg: p.tilt,
          azimuthDeg: p.azimuth,
          position: { xM: p.x, yM: 12, zM: 5 },
          edgeM: 20,
          edgeDeg: 0,
        }),
      ),
      { ...T100, inputsPerTracker: inputs, ratedW: 1000 * ratedKw, maxApparentVa: 1100 * ratedKw },
    ),
  );
const problemOf = (d: SiteDesign): LayoutProblem => {
  const { problem } = layoutProblem(d, 'preferred');
  if (!problem) throw new Error('no problem');
  return problem;
};
const runs = { numRuns: 60, seed: 11 };

describe('cutting a plane', () => {
  const lengths = fc
    .integer({ min: 1, max: 25 })
    .chain((min) => fc.record({ min: fc.constant(min), max: fc.integer({ min, max: min + 8 }) }));
  it('keeps lengths in the window, never uses more modules than there are, and leaves what the closed form says', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 900 }), lengths, (modules, window) => {
        const cut = cutPlane(modules, window);
        const used = cut.reduce((a, b) => a + b, 0);
        expect(cut.every((n) => n >= window.min && n <= window.max)).toBe(true);
        expect(modules - used).toBe(modules === 0 ? 0 : leastLeft(modules, window));
        expect(Math.max(0, ...cut) - Math.min(...cut, Math.max(0, ...cut))).toBeLessThanOrEqual(1);
      }),
    );
  });
  it('leaves no fewer than any choice of lengths could (exhaustive search)', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 120 }), lengths, (modules, { min, max }) => {
        const reachable = new Set([0]);
        for (let total = 1; total <= modules; total++)
          for (let n = min; n <= max; n++) if (reachable.has(total - n)) reachable.add(total);
        expect(leastLeft(modules, { min, max })).toBe(modules - Math.max(...reachable));
      }),
    );
  });
  it('asks for a number of strings where it can be had', () => {
    expect(stringCounts(100, { min: 14, max: 19 })).toEqual({ fewest: 6, most: 7 });
    expect(cutPlane(100, { min: 14, max: 19 }, 7)).toEqual([15, 15, 14, 14, 14, 14, 14]);
    expect(cutPlane(100, { min: 14, max: 19 }, 99)).toHaveLength(7);
    expect(stringCounts(13, { min: 14, max: 19 })).toBeNull();
  });
  it('is explained in words a crew can check', () => {
    expect(cutWords(40, { min: 15, max: 19 })).toContain('2 strings take at most 38, 3 need 45');
    expect(cutWords(13, { min: 14, max: 19 })).toBe('13 modules are fewer than the shortest string of 14');
    expect(cutWords(25, { min: 15, max: 19 })).toContain('one string takes at most 19, 2 need 30');
  });
});

it('a window that is upside down holds no length: nothing is cut, everything stays over', () => {
  expect(cutPlane(100, { min: 19, max: 14 })).toEqual([]);
  expect(leastLeft(100, { min: 19, max: 14 })).toBe(100);
  expect(stringCounts(100, { min: 19, max: 14 })).toBeNull();
});

describe('the start and the exchanges', () => {
  it('keep every window, tracker and power limit, and lose no module on the way', () => {
    fc.assert(
      fc.property(anySite, (d) => {
        const problem = problemOf(d);
        for (const { counts } of [startLayout(problem), goodLayout(problem, () => true)]) {
          expect(countsFit(problem, counts)).toBe(true);
          const o = objectiveOf(problem, counts);
          const left = remainingOf(problem, counts).reduce((s, r) => s + r.modules, 0);
          expect(o.unused).toBe(left);
          expect(o.unused).toBeGreaterThanOrEqual(unusedBound(problem));
        }
      }),
      runs,
    );
  });
  it('evening out keeps the strings of every plane and length, and never raises the rated sum of squared ratios', () => {
    fc.assert(
      fc.property(anySite, (d) => {
        const problem = problemOf(d);
        const { counts } = startLayout(problem);
        // Everything the first unit can be spared from goes back to it: as uneven as the counts allow.
        const before = counts.map((c) => ({ ...c }));
        const after = new ExchangeSearch(problem, before).evenOut().counts();
        const sums = (list: readonly { plane: number; modules: number; strings: number }[]) => {
          const m = new Map<string, number>();
          for (const c of list) m.set(`${c.plane}|${c.modules}`, (m.get(`${c.plane}|${c.modules}`) ?? 0) + c.strings);
          return [...m].filter(([, n]) => n > 0).sort();
        };
        expect(sums(after)).toEqual(sums(before));
        const squares = (c: typeof counts) =>
          ratiosOf(problem, c).reduce((s, r, u) => s + (problem.units[u]?.ratedW ?? 0) * r * r, 0);
        expect(squares(after)).toBeLessThanOrEqual(squares(before) * (1 + 1e-9));
      }),
      runs,
    );
  });
  it('shortening never lengthens the home runs and never leaves the band', () => {
    fc.assert(
      fc.property(anySite, (d) => {
        const problem = problemOf(d);
        const { counts } = startLayout(problem);
        const before = objectiveOf(problem, counts);
        const band = (before.balanceBand + 1) * BALANCE_BAND;
        const after = objectiveOf(problem, new ExchangeSearch(problem, counts).shorten(band, () => true).counts());
        expect(after.homeRunM).toBeLessThanOrEqual(before.homeRunM + 1e-6);
        expect(after.balanceBand).toBeLessThanOrEqual(before.balanceBand);
        expect(after.unused).toBe(before.unused);
      }),
      runs,
    );
  });
  it('balance a fleet of two ratings at once: eight units of 100 and 125 kW inside one band', () => {
    const t125 = {
      ...T100,
      id: 't125',
      name: 'T125',
      ratedW: 125_000,
      maxApparentVa: 137_500,
      trackers: 12,
      dcMaxW: 187_500,
    };
    let d = siteOf(8, [plane('a', 816), plane('b', 612, { azimuthDeg: 0 }), plane('c', 304, { azimuthDeg: 270 })]);
    d = { ...d, equipment: { ...d.equipment, inverters: [...d.equipment.inverters, t125] } };
    d = { ...d, inverters: d.inverters.map((u, i) => (i > 5 ? { ...u, typeId: 't125' } : u)) };
    expect(objectiveOf(problemOf(d), startLayout(problemOf(d)).counts)).toMatchObject({ unused: 0, balanceBand: 0 });
  });
});

describe('strings on trackers', () => {
  it('are legal for the verifier, numbered from 1 without a gap in the printed order, one string an input', () => {
    fc.assert(
      fc.property(anySite, (d) => {
        const problem = problemOf(d);
        const strings = assignInputs(problem, startLayout(problem).counts);
        expect(verifyLayout(withStrings(d, strings))).toEqual([]);
        expect(new Set(strings.map((s) => placeKey(s.place!))).size).toBe(strings.length);
        const at = new Map(d.inverters.map((u, i) => [u.id, i]));
        const rank = (s: (typeof strings)[number]) =>
          at.get(s.place!.inverterId)! * 1e6 + s.place!.tracker * 1e3 + s.place!.input;
        const ordered = [...strings].sort((a, b) => rank(a) - rank(b)).map((s) => s.number);
        expect(ordered).toEqual(strings.map((_, i) => i + 1));
      }),
      runs,
    );
  });
  it('stay where they hang when the same counts are placed again', () => {
    fc.assert(
      fc.property(anySite, (d) => {
        const problem = problemOf(d);
        const { counts } = startLayout(problem);
        const strings = assignInputs(problem, counts);
        expect(assignInputs(problem, counts, strings)).toEqual(strings);
      }),
      runs,
    );
  });
  it('spread before they double: spare trackers go to the fullest group', () => {
    const d = siteOf(1, [plane('a', 17 * 6), plane('b', 17 * 6, { azimuthDeg: 90 })]);
    const { strings } = legalLayout(d);
    const loads = new Map<number, number>();
    for (const s of strings) loads.set(s.place!.tracker, (loads.get(s.place!.tracker) ?? 0) + 1);
    expect(loads.size).toBe(10);
    expect(Math.max(...loads.values())).toBe(2);
  });
  it('number along the inputs again on demand, locked ones aside', () => {
    const d = siteOf(2, [plane('a', 17 * 8)]);
    const { strings } = legalLayout(d);
    const mixed = strings.map((s, i) => ({ ...s, number: 100 - i }));
    const units = d.inverters.map((u) => u.id);
    const sortedBack = (list: typeof mixed) => [...list].sort((a, b) => a.number - b.number).map((s) => s.id);
    expect(sortedBack(numberStrings(mixed, units))).toEqual(sortedBack([...strings]));
    const keep = new Set([mixed[0]!.id]);
    expect(numberStrings(mixed, units, keep).find((s) => s.id === mixed[0]!.id)?.number).toBe(100);
  });
});

describe('the program', () => {
  it('reads back the counts that were written into its columns, with costs that are their objective', () => {
    fc.assert(
      fc.property(anySite, (d) => {
        const problem = problemOf(d);
        const program = layoutProgram(problem);
        const { counts } = startLayout(problem);
        const values = program.valuesOf(counts);
        const key = (c: { plane: number; unit: number; modules: number; strings: number }) =>
          `${c.plane}|${c.unit}|${c.modules}|${c.strings}`;
        expect(program.countsOf(values).map(key).sort()).toEqual(
          counts
            .filter((c) => c.strings > 0)
            .map(key)
            .sort(),
        );
        const o = objectiveOf(problem, counts);
        for (const [level, cost] of Object.entries(program.cost)) {
          const worth = [...cost].reduce((s, [column, c]) => s + c * (values[column] ?? 0), 0);
          expect(worth, level).toBeCloseTo(o[level as keyof typeof o], 6);
        }
        // Every row of the program holds for a legal layout.
        for (const row of program.builder.minimising(new Map()).rows) {
          const sum = row.terms.reduce((s, [column, f]) => s + f * (values[column] ?? 0), 0);
          expect(sum).toBeGreaterThanOrEqual(row.lower - 1e-6);
          expect(sum).toBeLessThanOrEqual(row.upper + 1e-6);
        }
      }),
      runs,
    );
  });
});

describe('locks', () => {
  const d = siteOf(2, [plane('south', 170), plane('west', 96, { azimuthDeg: 270 })]);
  const withLocks = (...locks: Lock[]) => ({ ...d, locks });
  it('narrow the problem', () => {
    expect(problemOf(withLocks({ kind: 'plane-length', planeId: 'west', modules: 16 })).windows[1]![0]).toMatchObject({
      min: 16,
      max: 16,
    });
    expect(
      problemOf(withLocks({ kind: 'plane-inverter', planeId: 'west', inverterId: 'inv-2' })).windows[1]!.map(
        (w) => w !== null,
      ),
    ).toEqual([false, true]);
    expect(problemOf(withLocks({ kind: 'inverter-empty', inverterId: 'inv-1' })).units[0]!.empty).toBe(true);
    expect(problemOf(withLocks({ kind: 'free-trackers', inverterId: 'inv-1', count: 4 })).units[0]!.trackers).toBe(6);
    expect(problemOf(withLocks({ kind: 'no-doubling' })).windows[0]![0]!.parallel).toBe(1);
    expect(problemOf(withLocks({ kind: 'max-lengths', count: 3 }, { kind: 'max-lengths', count: 2 })).maxLengths).toBe(
      2,
    );
    expect(problemOf(withLocks({ kind: 'ratio', minPercent: 80, maxPercent: 130 }))).toMatchObject({
      ratioMin: 0.8,
      ratioMax: 1.3,
    });
    expect(problemOf(withLocks({ kind: 'use-all' })).useAll).toBe(true);
  });
  it('a length no inverter takes leaves the plane without a window', () => {
    expect(problemOf(withLocks({ kind: 'plane-length', planeId: 'west', modules: 25 })).windows[1]).toEqual([
      null,
      null,
    ]);
  });
  it('are said as people say them', () => {
    const laid = withStrings(d, legalLayout(d).strings);
    const words = (lock: Lock) => lockWords(laid, lock);
    expect(words({ kind: 'string', stringId: laid.strings[0]!.id, built: true, kept: null })).toBe(
      `string ${laid.strings[0]!.number} is built and stays`,
    );
    expect(words({ kind: 'plane-inverter', planeId: 'west', inverterId: 'inv-2' })).toBe('west on INV-02');
    expect(words({ kind: 'free-trackers', inverterId: 'inv-1', count: 2 })).toBe('2 trackers of INV-01 stay free');
    expect(words({ kind: 'ratio', minPercent: 90, maxPercent: null })).toBe('DC/AC ratio from 90 % to – %');
  });
});

it('objectives compare level by level: one module used is worth any metres', () => {
  const o = { unused: 1, balanceBand: 0, distinctLengths: 2, homeRunM: 500, lengthSpread: 1, doubled: 3 };
  expect(compareObjectives(o, { ...o, unused: 2, homeRunM: 1 })).toBeLessThan(0);
  expect(compareObjectives({ ...o, doubled: 9 }, { ...o, homeRunM: 500.1 })).toBeLessThan(0);
  expect(compareObjectives(o, { ...o, homeRunM: 500 + 1e-6 })).toBe(0);
});

describe('handing strings out by place', () => {
  const ways = fc.array(fc.array(fc.integer({ min: 0, max: 60 }), { minLength: 3, maxLength: 3 }), {
    minLength: 1,
    maxLength: 6,
  });
  it('is the shortest there is (every way of handing out tried)', () => {
    fc.assert(
      fc.property(ways, fc.array(fc.integer({ min: 0, max: 3 }), { minLength: 3, maxLength: 3 }), (table, extra) => {
        const room = extra.map(
          (n, u) => n + (u === 0 ? Math.max(0, table.length - extra.reduce((a, b) => a + b, 0)) : 0),
        );
        const total = (at: readonly number[]) => at.reduce((sum, u, i) => sum + (table[i]?.[u] ?? 0), 0);
        let best = Infinity;
        const walk = (i: number, left: number[], sum: number): void => {
          if (i === table.length) best = Math.min(best, sum);
          else
            left.forEach((n, u) => {
              if (n > 0)
                walk(
                  i + 1,
                  left.map((x, v) => (v === u ? x - 1 : x)),
                  sum + (table[i]?.[u] ?? 0),
                );
            });
        };
        walk(0, room, 0);
        const handed = shortestHandOut(table, room);
        expect(total(handed)).toBe(best);
        room.forEach((n, u) => expect(handed.filter((x) => x === u).length).toBeLessThanOrEqual(n));
      }),
      { numRuns: 400, seed: 5 },
    );
  });
  it('refuses more strings than there is room for', () =>
    expect(() => shortestHandOut([[1], [2]], [1])).toThrow(/room must hold 2 strings \(got 1\)/));
  it('takes typed starts for the places they are, in whatever order strings are listed', () => {
    const d = siteOf(2, [plane('p', 68, { edgeM: 0, position: { xM: 0, yM: 10, zM: 6 } })]);
    const ends = { ...d, inverters: d.inverters.map((u, i) => ({ ...u, position: { xM: 40 * i, yM: 0, zM: 1 } })) };
    // Listed from far to near: the order along the edge would cross every home run.
    const strings = [39, 2, 37, 1].map((xM, i) => ({ ...newString(`s${i}`, i + 1, 'p', 17), start: { xM, yM: 10 } }));
    const problem = problemOf({ ...ends, strings });
    const counts = [0, 1].map((unit) => ({ plane: 0, unit, modules: 17, strings: 2 }));
    const placed = assignInputs(problem, counts, strings);
    const unitOf = new Map(placed.map((s) => [s.id, s.place?.inverterId]));
    expect(['s0', 's1', 's2', 's3'].map((id) => unitOf.get(id))).toEqual(['inv-2', 'inv-1', 'inv-2', 'inv-1']);
  });
});

describe('the size of a layout', () => {
  const large = (n: number) => siteOf(n, [plane('p', 34)], { ...T100, dcMaxW: null });
  it('is one stated number, asked at the door of every layout', () => {
    const wanted = [`a site of at most ${LAYOUT_MOST_UNITS} inverters (61 are here): lay it out in parts`];
    expect(layoutProblem(large(LAYOUT_MOST_UNITS + 1), 'legal').missing).toEqual(wanted);
    expect(legalLayout(large(LAYOUT_MOST_UNITS + 1)).missing).toEqual(wanted);
    expect(layoutProblem(large(LAYOUT_MOST_UNITS), 'legal').missing).toEqual([]);
  });
});

describe('only a fuse that protects makes strings fused', () => {
  const three = { ...T100, inputsPerTracker: 3, trackerShortCircuitMaxA: 70 };
  const parallel = (fuseA: number | null, module: Partial<typeof M575> = {}) => {
    const d = siteOf(1, [plane('p', 51)], three);
    const equipment = { ...d.equipment, modules: [{ ...M575, ...module }] };
    return problemOf({ ...d, equipment, dcCable: { ...d.dcCable, fuseA } }).windows[0]?.[0]?.parallel;
  };
  it('for the solver: three in parallel with 25 A, two without one, with one too small, too large, or of no rating made', () => {
    expect([parallel(25), parallel(null), parallel(20), parallel(30), parallel(24)]).toEqual([3, 2, 2, 2, 2]);
  });
});
