import highsLoader from 'highs';
import { describe, expect, it, vi } from 'vitest';
import type { MilpSolver } from '$core/kernel/milp';
import type { Lock } from '$core/strings/part';
import { withStrings } from '$core/strings/arrange';
import type { SiteDesign } from '$core/design';
import { explainConflict } from '$core/strings/layout/explain';
import { fleetsFor } from '$core/strings/layout/fleet';
import { assignInputs } from '$core/strings/layout/assignInputs';
import { layoutProblem } from '$core/strings/layout/problem';
import { bestLayout } from '$core/strings/layout/bestLayout';
import { verifyLayout } from '$core/strings/verify';
import { T100, plane, siteOf } from '$core/testing/examples';
import { highsSolver } from './highsSolver';

vi.setConfig({ testTimeout: 150_000 });
const solver = highsSolver(await highsLoader());
const solve = (d: SiteDesign) => bestLayout(d, solver, { timeLimitS: 90, nowS: () => performance.now() / 1000 });
const solved = (d: SiteDesign) => {
  const answer = solve(d);
  if (!answer.layout) throw new Error(JSON.stringify(answer));
  return answer.layout;
};
/** Tracking from 14, 15 … modules: 36.65306 V a module in the heat. */
const trackingFrom = (modules: number, over = {}) => ({
  ...T100,
  mpptMinV: Math.floor(36.65 * modules) - 3,
  fullPowerMinV: null,
  fullPowerMaxV: null,
  ...over,
});

const site = siteOf(3, [
  plane('south', 170, { edgeM: 30 }),
  plane('west', 96, { azimuthDeg: 270, position: { xM: 20, yM: 8, zM: 6 } }),
]);
const best = solved(site);
const laid = withStrings(site, best.strings);
const lockString = (stringId: string): Lock => ({ kind: 'string', stringId, built: false, kept: null });

describe('a solved design', () => {
  it('is proved best, verified, and numbered in the printed order of the inputs', () => {
    const layout = best;
    expect(layout.proof).toBe('optimal');
    expect(layout.violations).toEqual([]);
    const key = (s: (typeof layout.strings)[number]) =>
      [s.place!.inverterId, s.place!.tracker, s.place!.input].map((x) => String(x).padStart(6, '0')).join();
    const byNumber = [...layout.strings].sort((a, b) => a.number - b.number).map(key);
    expect(byNumber).toEqual([...byNumber].sort());
    expect(layout.strings.map((s) => s.number).sort((a, b) => a - b)).toEqual(layout.strings.map((_, i) => i + 1));
  });
  it('solved again moves nothing', () => {
    expect(solved(laid).strings).toEqual(laid.strings);
  });
  it('keeps a locked string on its input, and moves as few others as it can', () => {
    const s = laid.strings.find((x) => x.planeId === 'west')!;
    const other = laid.inverters.find((u) => u.id !== s.place!.inverterId)!;
    const used = new Set(laid.strings.filter((x) => x.place!.inverterId === other.id).map((x) => x.place!.tracker));
    const tracker = Array.from({ length: 10 }, (_, i) => i + 1).find((t) => !used.has(t))!;
    const moved = {
      ...laid,
      strings: laid.strings.map((x) =>
        x.id === s.id ? { ...x, place: { inverterId: other.id, tracker, input: 2, branch: 1 as const } } : x,
      ),
      locks: [lockString(s.id)],
    };
    const again = solved(moved);
    expect(again.violations).toEqual([]);
    expect(again.strings.find((x) => x.id === s.id)?.place).toEqual({
      inverterId: other.id,
      tracker,
      input: 2,
      branch: 1,
    });
    const elsewhere = again.strings.filter(
      (x) => laid.strings.find((y) => y.id === x.id)?.place?.inverterId !== x.place?.inverterId,
    );
    expect(elsewhere.length).toBeLessThanOrEqual(3);
  });
  it('keeps every kind of lock', () => {
    const locks: Lock[] = [
      { kind: 'plane-inverter', planeId: 'west', inverterId: 'inv-1' },
      { kind: 'inverter-empty', inverterId: 'inv-3' },
      { kind: 'free-trackers', inverterId: 'inv-2', count: 3 },
      { kind: 'plane-length', planeId: 'west', modules: 16 },
      { kind: 'max-lengths', count: 3 },
      { kind: 'ratio', minPercent: 50, maxPercent: 120 },
      { kind: 'use-all' },
    ];
    const layout = solved({ ...site, locks });
    expect(layout.violations).toEqual([]);
    expect(layout.objective.unused).toBe(0);
    expect(
      layout.strings
        .filter((s) => s.planeId === 'west')
        .every((s) => s.place!.inverterId === 'inv-1' && s.modules === 16),
    ).toBe(true);
  });
  it('is not called best by the verifier once a figure of it is changed by hand', () => {
    const layout = best;
    const stated = { objective: { ...layout.objective }, bound: { ...layout.bound }, proof: layout.proof, unused: {} };
    const hung = withStrings(site, layout.strings);
    expect(verifyLayout(hung, stated)).toEqual([]);
    expect(
      verifyLayout(hung, { ...stated, objective: { ...stated.objective, doubled: 7 } }).map((v) => v.predicate),
    ).toContain('V09');
    expect(verifyLayout(hung, { ...stated, bound: { ...stated.bound, homeRunM: 1 } }).map((v) => v.predicate)).toEqual([
      'V10',
    ]);
    expect(verifyLayout(hung, { ...stated, unused: { west: 1 } }).map((v) => v.predicate)).toEqual(['V01']);
    expect(
      verifyLayout({ ...hung, locks: [{ kind: 'inverter-empty', inverterId: 'inv-1' }] }).map((v) => v.predicate),
    ).toEqual(['V08']);
  });
});

it('hands five strings to two units over 167.2 m: 1 1 1 2 2 (one-dimensional transport)', () => {
  const d = siteOf(2, [plane('p', 85, { edgeM: 20, position: { xM: 0, yM: 10, zM: 0 } })]);
  const at = (x: number) => ({ xM: x, yM: 0, zM: 0 });
  const placed = { ...d, inverters: d.inverters.map((u, i) => ({ ...u, position: at(20 * i) })) };
  const { problem } = layoutProblem(placed, 'preferred');
  const counts = [
    { plane: 0, unit: 0, modules: 17, strings: 3 },
    { plane: 0, unit: 1, modules: 17, strings: 2 },
  ];
  const strings = assignInputs(problem!, counts);
  expect(strings.map((s) => s.place!.inverterId)).toEqual(['inv-1', 'inv-1', 'inv-1', 'inv-2', 'inv-2']);
  const metres = strings.reduce(
    (sum, s, k) => sum + 2.2 * (Math.abs(2 + 4 * k - (s.place!.inverterId === 'inv-1' ? 0 : 20)) + 10),
    0,
  );
  expect(metres).toBeCloseTo(167.2, 9);
});

describe('demands that contradict each other', () => {
  const conflictOf = (d: SiteDesign) =>
    explainConflict(d, solver, { nowS: () => performance.now() / 1000, timeLimitS: 60 });
  it('40 modules in strings of 15 to 19: every module, shortest and longest string', () => {
    const c = conflictOf(siteOf(1, [plane('roof', 40)], trackingFrom(15)))!;
    expect(c.demands).toEqual(['all_modules', 'n_min', 'n_max']);
    expect(c.sentence).toBe(
      'roof: 40 modules cannot be cut into strings of 15 to 19: 2 strings take at most 38, 3 need 45.',
    );
  });
  it('13 modules where the shortest string has 14', () => {
    expect(conflictOf(siteOf(1, [plane('roof', 13)], trackingFrom(14)))?.demands).toEqual(['all_modules', 'n_min']);
  });
  it('120 modules on six inputs of at most 19', () => {
    const type = trackingFrom(14, { trackers: 3, dcMaxW: null });
    expect(conflictOf(siteOf(1, [plane('roof', 120)], type))?.demands).toEqual(['all_modules', 'n_max', 'trackers']);
  });
  it('57.5 kW on 50 kW', () => {
    const type = trackingFrom(14, { dcMaxW: 50_000 });
    expect(conflictOf(siteOf(1, [plane('roof', 100)], type))?.demands).toEqual(['all_modules', 'pdc_max']);
  });
  it('a lock among them, with what letting go of it means', () => {
    const d = siteOf(1, [plane('roof', 100)], trackingFrom(14));
    const c = conflictOf({ ...d, locks: [{ kind: 'plane-length', planeId: 'roof', modules: 17 }] })!;
    expect(c.demands).toEqual(['all_modules', 'lock:plane-length']);
    expect(c.release[1]).toBe('Take off the lock: roof in strings of 17.');
  });
  it.each([
    [5, 'There was no time to narrow it down.', ['all_modules', 'pdc_max', 'lock:plane-length'], 0],
    [7.5, 'There was no time to try everything that might release it.', ['all_modules', 'lock:plane-length'], 1],
    [60, 'Dropping any one of them solves it.', ['all_modules', 'lock:plane-length'], 2],
  ])('say how far they were looked into in %s s, at a second a question', (timeLimitS, said, demands, releases) => {
    const d = siteOf(1, [plane('roof', 100)], trackingFrom(14));
    const locked: SiteDesign = { ...d, locks: [{ kind: 'plane-length', planeId: 'roof', modules: 17 }] };
    let asked = 0;
    const counting: typeof solver = (model, options) => ((asked += 1), solver(model, options));
    const c = explainConflict(locked, counting, { nowS: () => asked, timeLimitS })!;
    expect(c.sentence).toContain(said);
    expect(c.demands).toEqual(demands);
    expect(c.release).toHaveLength(releases);
  });
  it('are none where a layout exists', () => expect(conflictOf(site)).toBeNull());
});

it('three fleets are ranked: every module used, fewest units, ratio nearest the wanted one', () => {
  const t50 = { ...T100, id: 't50', name: 'T50', ratedW: 50_000, dcMaxW: 75_000, trackers: 6 };
  const t690 = { ...T100, id: 't690', name: 'T690', nominalLineV: 690 };
  const d = siteOf(0, [plane('south', 340), plane('west', 170, { azimuthDeg: 270 })]);
  const fleets = fleetsFor(d, [t50, T100, t690]);
  expect(fleets).toHaveLength(3);
  expect(fleets.flatMap((f) => f.units.map((u) => u.type.id))).not.toContain('t690');
  expect(fleets[0]!.unusedModules).toBe(0);
  expect(fleets.map((f) => f.unusedModules)).toEqual([...fleets.map((f) => f.unusedModules)].sort((a, b) => a - b));
  expect(fleets[0]!.ratio).toBeGreaterThan(0.9);
  expect(fleets[0]!.ratio).toBeLessThan(1.5);
});

it('a grid of 415 V finds 400 V units where their window allows it, and no others', () => {
  const d = siteOf(0, [plane('south', 340)]);
  const narrow = { ...T100, id: 'narrow', name: 'Narrow', lineMinV: 380, lineMaxV: 410 };
  const silent = { ...T100, id: 'silent', name: 'Silent', lineMinV: null, lineMaxV: null };
  const at = (lineV: number) =>
    new Set(
      fleetsFor({ ...d, survey: { ...d.survey, lineV } }, [T100, narrow, silent]).flatMap((f) =>
        f.units.map((u) => u.type.id),
      ),
    );
  expect(at(415)).toEqual(new Set(['t100']));
  expect(at(400).size).toBeGreaterThan(1);
});

it('a layout keeps its time, the reasons it gives included', () => {
  const type = { ...T100, ratedW: 250_000, maxApparentVa: 255_000, dcMaxW: null, trackers: 12, inputsPerTracker: 2 };
  const d: SiteDesign = {
    ...siteOf(
      60,
      Array.from({ length: 6 }, (_, i) => plane(`p${i}`, 20_000, { azimuthDeg: 40 * i })),
      type,
    ),
    locks: [{ kind: 'max-lengths', count: 4 }, { kind: 'ratio', minPercent: 60, maxPercent: 140 }, { kind: 'use-all' }],
  };
  // A clock that counts what the solver was allowed, and a solver that always takes all of it: no wall clock decides this test.
  let spentS = 0;
  const slow: MilpSolver = (_, { timeLimitS }) => {
    spentS += timeLimitS;
    return { status: 'unknown', values: null, bound: -Infinity };
  };
  const tick = () => (spentS += 0.05);
  bestLayout(d, slow, { timeLimitS: 10, nowS: tick });
  expect(spentS).toBeLessThan(12);
  const never: MilpSolver = (_, { timeLimitS }) => {
    spentS += timeLimitS;
    return { status: 'infeasible', values: null, bound: Infinity };
  };
  spentS = 0;
  const { conflict } = bestLayout(d, never, { timeLimitS: 10, nowS: tick });
  expect(spentS).toBeLessThan(12);
  expect(conflict).not.toBeNull();
}, 60_000);
