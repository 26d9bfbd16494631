import { describe, expect, it } from 'vitest';
import { generator } from '../../kernel/generator';
import { acRun } from '../../testing/subjects';
import { cableTotals } from './cableList';
import type { Cut, DrumPlan } from './drums';
import { drumPlan } from './drums';

const TIME = { timeLimitS: 5, nowS: () => performance.now() / 1000 };
const cutsOf = (...lengths: number[]): Cut[] => lengths.map((lengthM, i) => ({ tag: `C${i + 1}`, lengthM }));

/** Fewest new drums by trying every way to hand each cut to a remainder or to a drum: no bound, no order. */
function byHand(lengths: readonly number[], drumM: number, store: readonly number[]): number {
  const go = (i: number, left: number[], opened: number): number => {
    const l = lengths[i];
    if (l === undefined) return opened;
    let best = Infinity;
    left.forEach((room, k) => {
      if (room + 1e-9 >= l) best = Math.min(best, go(i + 1, left.with(k, room - l), opened));
    });
    return l <= drumM + 1e-9 ? Math.min(best, go(i + 1, [...left, drumM - l], opened + 1)) : best;
  };
  return go(0, [...store], 0);
}

/** Every cut lies on one drum, none holds more than it has, and what is left is what is left. */
function sound(plan: DrumPlan, cuts: readonly Cut[]) {
  expect(plan.drums.flatMap((d) => d.cuts.map((c) => c.tag)).sort()).toEqual(cuts.map((c) => c.tag).sort());
  for (const d of plan.drums) {
    const used = d.cuts.reduce((m, c) => m + c.lengthM, 0);
    expect(used).toBeLessThanOrEqual(d.lengthM + 1e-6);
    expect(d.leftM).toBeCloseTo(d.lengthM - used, 6);
  }
  expect(plan.drums.filter((d) => d.isNew)).toHaveLength(plan.newDrums);
}

describe('cuts on drums', () => {
  it('need as few new drums as trying everything finds, over random cuts and remainders', () => {
    for (let seed = 1; seed <= 60; seed++) {
      const next = generator(seed);
      const cuts = cutsOf(...Array.from({ length: 2 + Math.floor(6 * next()) }, () => 1 + Math.floor(70 * next())));
      const store = Array.from({ length: Math.floor(3 * next()) }, () => 5 + Math.floor(80 * next()));
      const plan = drumPlan(cuts, 100, store, TIME);
      sound(plan, cuts);
      expect(plan.proved, `seed ${seed}`).toBe(true);
      expect(plan.newDrums, `seed ${seed}`).toBe(
        byHand(
          cuts.map((c) => c.lengthM),
          100,
          store,
        ),
      );
      expect(plan.atLeast).toBe(plan.newDrums);
    }
  });
  it('beat the longest first, best fit, where that wastes a drum: 2 × (50 + 30 + 20) and not three', () => {
    // First-fit decreasing of 44, 24, 24, 22, 21, 17, 8, 8, 6, 6 on 60 opens four; three hold them: 180 m of 180.
    const cuts = cutsOf(44, 24, 24, 22, 21, 17, 8, 8, 6, 6);
    const plan = drumPlan(cuts, 60, [], TIME);
    sound(plan, cuts);
    expect(plan.newDrums).toBe(3);
  });
  it('use what is in store first, keep the rest of it there, and buy nothing that the store holds', () => {
    const plan = drumPlan(cutsOf(40, 30), 500, [45, 32, 12], TIME);
    expect([plan.newDrums, plan.proved]).toEqual([0, true]);
    expect(plan.drums.filter((d) => !d.isNew && d.cuts.length === 0).map((d) => d.lengthM)).toEqual([12]);
  });
  it('fit to the last millimetre, and not beyond', () => {
    expect(drumPlan(cutsOf(33.3, 33.3, 33.4), 100, [], TIME).newDrums).toBe(1);
    expect(drumPlan(cutsOf(33.3, 33.3, 33.41), 100, [], TIME).newDrums).toBe(2);
  });
  it('are refused where a run is longer than every drum: no joint in a run', () => {
    expect(() => drumPlan(cutsOf(101), 100, [], TIME)).toThrow(
      /C1 needs 101 m in one piece; the longest drum has 100 m/,
    );
    expect(() => drumPlan(cutsOf(0), 100, [], TIME)).toThrow(RangeError);
    expect(() => drumPlan(cutsOf(10), 0, [], TIME)).toThrow(RangeError);
    expect(drumPlan(cutsOf(101), 100, [120], TIME).newDrums).toBe(0);
  });
  it('say how far a plan may be from the best where time is up', () => {
    const next = generator(7);
    const cuts = cutsOf(...Array.from({ length: 200 }, () => Math.round(200 + 1400 * next()) / 10));
    let now = 0;
    const plan = drumPlan(cuts, 250, [], { timeLimitS: 1, nowS: () => (now += 2) });
    sound(plan, cuts);
    expect(plan.atLeast).toBeLessThanOrEqual(plan.newDrums);
    expect(plan.proved).toBe(plan.atLeast === plan.newDrums);
    expect(plan.newDrums / Math.max(1, plan.atLeast)).toBeLessThan(1.1);
  });
});

describe('what the runs of a site take', () => {
  it('is pieces by kind of cable, metal, lugs at both ends and glands', () => {
    const totals = cableTotals([
      acRun(),
      acRun({ run: { lengthM: 30 } }),
      acRun({ run: { metal: 'Al', sectionMm2: 150, parallel: 2, lengthM: 90 } }),
      acRun({ run: { cores: '1-core', lengthM: 10 } }),
    ]);
    expect(totals.kinds.map((k) => [k.name, k.cuts.length, k.metres])).toEqual([
      ['120 mm² Cu, 5-core XLPE', 2, 90],
      ['150 mm² Al, 5-core XLPE', 2, 180],
      ['120 mm² Cu, 1-core XLPE', 5, 50],
    ]);
    // Copper: 8.89 g/(m·mm²), five conductors of 120 mm² over 100 m; aluminium 2.7.
    expect(totals.copperKg).toBeCloseTo(8.89e-3 * 120 * 5 * 100, 6);
    expect(totals.aluminiumKg).toBeCloseTo(2.7e-3 * 150 * 5 * 2 * 90, 6);
    expect(totals.lugs).toBe(2 * 5 * (1 + 1 + 2 + 1));
    expect(totals.glands).toBe(1 + 1 + 2 + 5);
  });
  it('leaves out, by name, the runs of which not all is known', () => {
    const totals = cableTotals([acRun({ run: { sectionMm2: null, lengthM: null } })]);
    expect(totals.kinds).toEqual([]);
    expect(totals.without).toEqual([{ tag: 'INV-01', missing: ['section', 'length of the run'] }]);
  });
});
