import type { WallPlace, WallProblem, WallUnit } from './problem';
import type { SearchTime, WallLayout } from './layoutAnswer';
import { wallLayout } from './wallLayout';

/** A wall to hang units on, with nothing on it yet. */
export type EmptyWall = Omit<WallProblem, 'units'>;

export interface HungOn {
  /** Number of the wall in the list, from 0. */
  readonly wall: number;
  readonly at: WallPlace;
}

export interface WallsLayout {
  /** Where each unit hangs, in the order given; null where they do not all fit, or none was found in time. */
  readonly places: readonly HungOn[] | null;
  readonly cost: number;
  readonly bound: number;
  readonly proof: 'proved' | 'gap';
}

/** How many of each kind. */
type Counts = readonly number[];

interface Shared {
  readonly cost: number;
  readonly bound: number;
  /** What each wall so far takes. */
  readonly taken: readonly Counts[];
}
const NOTHING: Shared = { cost: 0, bound: 0, taken: [] };

/**
 * The cheapest way to share units among walls and to hang them there: each wall's layout for every number it might take, then the cheapest sum. Proved
 * where every wall's layout that it rests on is; otherwise with the sum of the bounds. `onWall` hears how many of the layouts are made.
 */
export function wallsLayout(
  walls: readonly EmptyWall[],
  units: readonly WallUnit[],
  time: SearchTime,
  onWall?: (done: number, of: number) => void,
): WallsLayout {
  const kinds = [...new Map(units.map((u) => [u.kind, u])).values()];
  const wanted: Counts = kinds.map((k) => units.filter((u) => u.kind === k.kind).length);
  const all = countsUpTo(wanted);
  const began = time.nowS();
  const jobs = walls.length * (all.length - 1);
  let done = 0;
  const layouts = walls.map((wall) => {
    const made = new Map<string, WallLayout>();
    for (const counts of all.filter((c) => c.some((n) => n > 0))) {
      const share = Math.max(0.01, (time.timeLimitS - (time.nowS() - began)) / Math.max(1, jobs - done));
      const own = counts.flatMap((n, k) => Array.from({ length: n }, () => kinds[k] as WallUnit));
      made.set(counts.join(), wallLayout({ ...wall, units: own }, { ...time, timeLimitS: share }));
      done += 1;
      onWall?.(done, jobs);
    }
    return made;
  });
  const best = shared(layouts, all, wanted);
  if (!best || !Number.isFinite(best.cost)) {
    const bound = best?.bound ?? Number.POSITIVE_INFINITY;
    return { places: null, cost: Number.POSITIVE_INFINITY, bound, proof: Number.isFinite(bound) ? 'gap' : 'proved' };
  }
  return {
    places: placesOf(units, kinds, best.taken, layouts),
    cost: best.cost,
    bound: best.bound,
    proof: best.bound >= best.cost - 1e-6 ? 'proved' : 'gap',
  };
}

/** Every count from none to all of each kind. */
const countsUpTo = (wanted: Counts): Counts[] =>
  wanted.reduce<Counts[]>((all, n) => all.flatMap((c) => Array.from({ length: n + 1 }, (_, i) => [...c, i])), [[]]);

/** The cheapest way to share what is wanted, wall by wall; the bound likewise, of whatever sharing is least. */
function shared(
  layouts: readonly ReadonlyMap<string, WallLayout>[],
  all: readonly Counts[],
  wanted: Counts,
): Shared | undefined {
  let before = new Map<string, Shared>([[wanted.map(() => 0).join(), NOTHING]]);
  for (const made of layouts) {
    const after = new Map<string, Shared>();
    for (const counts of all)
      for (const own of all) {
        const rest = before.get(counts.map((n, k) => n - (own[k] as number)).join());
        const layout = made.get(own.join());
        if (!rest || (!layout && own.some((n) => n > 0))) continue;
        const [cost, bound] = [rest.cost + (layout?.cost ?? 0), rest.bound + (layout?.bound ?? 0)];
        const known = after.get(counts.join());
        const cheaper = !known || cost < known.cost;
        after.set(counts.join(), {
          cost: cheaper ? cost : known.cost,
          taken: cheaper ? [...rest.taken, own] : known.taken,
          bound: Math.min(bound, known?.bound ?? Number.POSITIVE_INFINITY),
        });
      }
    before = after;
  }
  return before.get(wanted.join());
}

function placesOf(
  units: readonly WallUnit[],
  kinds: readonly WallUnit[],
  taken: readonly Counts[],
  layouts: readonly ReadonlyMap<string, WallLayout>[],
): HungOn[] {
  const places: HungOn[] = [];
  const waiting = kinds.map((kind) => units.flatMap((u, i) => (u.kind === kind.kind ? [i] : [])));
  taken.forEach((counts, wall) => {
    let nth = 0;
    counts.forEach((n, k) => {
      for (const unit of waiting[k]?.splice(0, n) ?? []) {
        places[unit] = { wall, at: layouts[wall]?.get(counts.join())?.places?.[nth++] as WallPlace };
      }
    });
  });
  return places;
}
