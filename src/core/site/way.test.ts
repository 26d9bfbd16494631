import { describe, expect, it } from 'vitest';
import { generator } from '../kernel/generator';
import type { CableKind, Tray } from './plan';
import type { Position } from './position';
import { wayM } from './position';
import { JOINT_M } from './trayNet';
import { Ways } from './way';

const at = (xM: number, yM: number, zM = 0): Position => ({ xM, yM, zM });
const tray = (id: string, points: readonly Position[], carries: readonly CableKind[] = ['dc', 'ac', 'bus']): Tray => ({
  id,
  label: id,
  carries: [...carries],
  widthMm: null,
  depthMm: null,
  dcLeadMm: null,
  busCableMm: null,
  points: [...points],
});
const way = (trays: readonly Tray[], a: Position, b: Position, kind: CableKind = 'ac') =>
  new Ways({ trays: [...trays] }).between(kind, a, b);

describe('the way of a cable', () => {
  it('turns square corners where no tray carries its kind, and is none between things in one place', () => {
    const w = way([tray('t', [at(0, 0, 3), at(20, 0, 3)], ['dc'])], at(1, 2, 1), at(11, 5, 2));
    expect(w).toMatchObject({ lengthM: 14, trays: [] });
    expect(w?.points).toEqual([at(1, 2, 1), at(11, 2, 1), at(11, 5, 1), at(11, 5, 2)]);
    expect(way([], at(1, 1), at(1, 1))).toBeNull();
  });

  // |Δx| + |z_i − h| + |z_j − h|: the sum for a tray of height h over things along one wall (common practice).
  it('rises to the tray, runs along it and comes down', () => {
    const w = way([tray('t', [at(0, 0, 3), at(40, 0, 3)])], at(4, 0, 1.2), at(30, 0, 0.5));
    expect(w?.lengthM).toBeCloseTo(26 + 1.8 + 2.5, 9);
    expect(w?.trays).toEqual(['t']);
  });

  it('goes straight where it would run along no tray', () => {
    const beside = way([tray('t', [at(0, 0, 5), at(10, 0, 5)])], at(3, 0, 1), at(3, 1, 1));
    expect(beside).toMatchObject({ lengthM: 1, trays: [] });
    expect(way([tray('t', [at(0, 0, 5), at(10, 0, 5)])], at(12, 0, 1), at(15, 0, 1))).toMatchObject({ lengthM: 3 });
  });

  it('changes trays where they come as near as a joint, and no further apart', () => {
    const joined = (gap: number) =>
      way([tray('a', [at(0, 0), at(10, 0)]), tray('b', [at(5, gap), at(5, 20)])], at(0, 0), at(5, 20));
    expect(joined(JOINT_M)).toMatchObject({ trays: ['a', 'b'], lengthM: 25 });
    expect(joined(JOINT_M + 0.01)?.trays).toHaveLength(1);
  });

  it('joins crossing trays where they cross, and slanted ones', () => {
    const crossing = [tray('a', [at(0, 5), at(20, 5)]), tray('b', [at(10, 0), at(10, 30)])];
    expect(way(crossing, at(2, 5), at(10, 29))).toMatchObject({ lengthM: 32, trays: ['a', 'b'] });
    const slanted = [tray('a', [at(0, 0), at(3, 4)]), tray('b', [at(3, 0), at(0, 4)])];
    expect(way(slanted, at(0, 0), at(3, 0))?.lengthM).toBeCloseTo(5, 9);
  });

  it('takes the shorter side of a ring', () => {
    const ring = [tray('r', [at(0, 0), at(10, 0), at(10, 6), at(0, 6), at(0, 0)])];
    expect(way(ring, at(1, 0), at(8, 6))?.lengthM).toBeCloseTo(15, 9);
    expect(way(ring, at(1, 0), at(3, 6))?.lengthM).toBeCloseTo(10, 9);
    expect(way(ring, at(9, 0), at(7, 6))?.lengthM).toBeCloseTo(10, 9);
  });

  it('takes the net that makes it shortest where nets do not meet', () => {
    const nets = [tray('far', [at(0, 0, 30), at(50, 0, 30)]), tray('near', [at(0, 2, 3), at(50, 2, 3)])];
    expect(way(nets, at(0, 0), at(50, 0))).toMatchObject({ trays: ['near'], lengthM: 60 });
  });

  it('is as long one way as the other', () => {
    const net = [tray('a', [at(0, 5, 3), at(20, 5, 3), at(20, 15, 3)]), tray('b', [at(10, 0, 3), at(10, 30, 3)])];
    const [there, back] = [way(net, at(1, 2), at(25, 14)), way(net, at(25, 14), at(1, 2))];
    expect(there?.lengthM).toBeCloseTo(back?.lengthM ?? 0, 9);
    expect([...(back?.points ?? [])].reverse()[0]).toEqual(there?.points[0]);
  });

  it('agrees with every step of a lattice tried, on 400 random nets', () => {
    for (let seed = 1; seed <= 400; seed++) {
      const { trays, a, b } = randomNet(generator(seed));
      const lengthM = way(trays, a, b)?.lengthM ?? 0;
      const { may, most } = stepped(trays, a, b);
      expect(
        may.some((m) => Math.abs(m - lengthM) < 1e-9),
        `net ${seed}`,
      ).toBe(true);
      expect(lengthM, `net ${seed}`).toBeLessThanOrEqual(most + 1e-9);
    }
  });

  it('passes its points in one piece from end to end, never shorter than straight through the air', () => {
    for (let seed = 1; seed <= 200; seed++) {
      const { trays, a, b } = randomNet(generator(seed));
      const w = way(trays, a, b);
      if (!w) continue;
      expect([w.points[0], w.points.at(-1)]).toEqual([a, b]);
      const lattice = w.points.slice(1).reduce((sum, p, i) => sum + wayM(w.points[i] as Position, p), 0);
      expect(lattice).toBeCloseTo(w.lengthM, 9);
      expect(w.lengthM).toBeGreaterThanOrEqual(wayM(a, b) - 1e-9);
    }
  });
});

/** Trays along the axes with whole metres for corners, and two things. */
function randomNet(next: () => number) {
  const whole = (most: number) => Math.floor(next() * (most + 1));
  const trays = Array.from({ length: whole(3) + 1 }, (_, i) => {
    const points = [at(whole(8), whole(8), whole(2))];
    for (let k = whole(2) + 1; k > 0; k--) {
      const last = points.at(-1) as Position;
      const axis = (['xM', 'yM', 'zM'] as const)[whole(2)] ?? 'xM';
      points.push({ ...last, [axis]: last[axis] + 1 + whole(4) });
    }
    return tray(`t${i}`, points);
  });
  return { trays, a: at(whole(10), whole(10), whole(3)), b: at(whole(10), whole(10), whole(3)) };
}

/** Metre by metre over the lattice, every equally near point tried: lengths a cable may have, and the most that its shortest net lets it have. */
function stepped(trays: readonly Tray[], a: Position, b: Position): { may: number[]; most: number } {
  const key = (p: Position) => `${p.xM},${p.yM},${p.zM}`;
  const points = new Map<string, Position>();
  const beside = new Map<string, Set<string>>();
  const join = (p: Position, q: Position) => beside.set(key(p), (beside.get(key(p)) ?? new Set()).add(key(q)));
  for (const { points: corners } of trays)
    corners.slice(1).forEach((to, i) => {
      let here = corners[i] as Position;
      points.set(key(here), here);
      while (key(here) !== key(to)) {
        const step = (k: 'xM' | 'yM' | 'zM') => here[k] + Math.sign(to[k] - here[k]);
        const next = at(step('xM'), step('yM'), step('zM'));
        points.set(key(next), next);
        join(here, next);
        join(next, here);
        here = next;
      }
    });
  const stepsFrom = (from: string) => {
    const steps = new Map([[from, 0]]);
    for (const [node, n] of steps) for (const to of beside.get(node) ?? []) if (!steps.has(to)) steps.set(to, n + 1);
    return steps;
  };
  const nearest = (p: Position, of: readonly string[]) => {
    const off = (k: string) => wayM(p, points.get(k) as Position);
    const leastM = Math.min(...of.map(off));
    return of.filter((k) => off(k) === leastM).map((k) => ({ k, leastM }));
  };
  const straightM = wayM(a, b);
  const left = new Set(points.keys());
  const may: number[] = [];
  let most = Infinity;
  let everyMayPass = true;
  while (left.size) {
    const piece = [...stepsFrom([...left][0] as string).keys()];
    for (const k of piece) left.delete(k);
    const totals = nearest(a, piece).flatMap((on) => {
      const steps = stepsFrom(on.k);
      return nearest(b, piece).map((off) => {
        const n = steps.get(off.k) ?? 0;
        return n > 0 ? on.leastM + n + off.leastM : null;
      });
    });
    may.push(...totals.filter((m) => m !== null));
    if (totals.includes(null)) continue;
    everyMayPass = false;
    most = Math.min(most, Math.max(...totals.filter((m) => m !== null)));
  }
  return everyMayPass ? { may: [...may, straightM], most } : { may, most };
}
