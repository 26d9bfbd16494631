import { describe, expect, it } from 'vitest';
import type { Remainder, StoredCable } from './cableStore';
import { afterCutting, inStore, remainderSchema, undone } from './cableStore';
import { drumPlan } from './drums';

const CABLE: StoredCable = { metal: 'Cu', insulation: 'XLPE', cores: '5-core', sectionMm2: 70 };
const rest = (id: string, lengthM: number, over: Partial<Remainder> = {}): Remainder => ({
  ...CABLE,
  id,
  lengthM,
  dated: '2026-03-02',
  where: 'Rack 2',
  ...over,
});
const cutsOf = (...lengths: number[]) => lengths.map((lengthM, i) => ({ tag: `C${i + 1}`, lengthM }));

describe('the store of cable', () => {
  it('gives what is the same cable in metal, insulation, cores and section, the longest first', () => {
    const others: Partial<Remainder>[] = [
      { metal: 'Al' },
      { insulation: 'PVC' },
      { cores: '1-core' },
      { sectionMm2: 95 },
    ];
    const store = [rest('a', 12), ...others.map((o, i) => rest(`o${i}`, 99, o)), rest('b', 40)];
    expect(inStore(store, CABLE).map((r) => r.id)).toEqual(['b', 'a']);
    // What nobody said of a run is no cable in the store.
    for (const key of ['metal', 'insulation', 'cores', 'sectionMm2'] as const)
      expect(inStore(store, { ...CABLE, [key]: null })).toEqual([]);
  });
  it('loses what was cut from, gains what is left and long enough, and neither for what lay untouched', () => {
    const store = [rest('a', 50), rest('b', 30), rest('c', 8)];
    const plan = drumPlan(
      cutsOf(45, 29.96, 60, 35),
      100,
      store.map((r) => r.lengthM),
      { timeLimitS: 5, nowS: () => 0 },
    );
    let n = 0;
    const left = { ...CABLE, dated: '2026-06-01', where: null, newId: () => `new-${++n}` };
    // 50 − 45 and 100 − 60 − 35 leave 5 m each; of 30 − 29.96 nothing is kept.
    const change = afterCutting(plan, store, { ...left, keepM: 5 });
    expect(change.take).toEqual(['a', 'b']);
    expect(change.put).toEqual([rest('new-1', 5, LEFT), rest('new-2', 5, LEFT)]);
    expect(afterCutting(plan, store, { ...left, keepM: 5.1 }).put).toEqual([]);
    expect(remainderSchema.safeParse(change.put[0]).success).toBe(true);
  });
  it('is told no longer remainder than there is: tenths of a metre, rounded down', () => {
    const store = [rest('a', 10)];
    const plan = drumPlan(cutsOf(3.33), 100, [10], { timeLimitS: 5, nowS: () => 0 });
    const change = afterCutting(plan, store, { ...CABLE, ...LEFT, keepM: 1, newId: () => 'new' });
    expect(change.put.map((r) => r.lengthM)).toEqual([6.6]);
  });
  it('is as before when a change is undone', () => {
    const store = [rest('a', 50), rest('b', 30)];
    const change = { take: ['b'], put: [rest('new', 5)] };
    expect(undone(change, store)).toEqual({ take: ['new'], put: [rest('b', 30)] });
  });
});
const LEFT = { dated: '2026-06-01', where: null };
