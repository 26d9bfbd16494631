import { ROUNDING } from '../../kernel/rounding';
import { cutPlane, stringCounts } from './cut';
import type { Lengths } from './cut';
import type { Objective } from './objective';
import { BALANCE_BAND, compareObjectives, objectiveOf } from './objective';
import type { LayoutCount, LayoutProblem } from './problem';
import { ExchangeSearch } from './exchangeSearch';

/** One unit while it is being filled: strings by class and length, and the trackers they need. */
class Filling {
  dcW = 0;
  used = 0;
  private readonly groups = new Map<string, { strings: number; parallel: number; frozen: Set<number> }>();

  constructor(
    readonly trackers: number,
    readonly dcMaxW: number,
  ) {}

  private group(key: string, parallel: number) {
    const found = this.groups.get(key) ?? { strings: 0, parallel, frozen: new Set<number>() };
    this.groups.set(key, found);
    return found;
  }

  private static needed(g: { strings: number; parallel: number; frozen: Set<number> }): number {
    return Math.max(g.frozen.size, Math.ceil(g.strings / g.parallel));
  }

  /** Whether `strings` more of this kind find a tracker and leave the power below the maker's maximum. */
  takes(key: string, parallel: number, strings: number, stringW: number): boolean {
    const g = this.groups.get(key) ?? { strings: 0, parallel, frozen: new Set<number>() };
    const more = Filling.needed({ ...g, strings: g.strings + strings }) - Filling.needed(g);
    return this.used + more <= this.trackers && this.dcW + strings * stringW <= this.dcMaxW * (1 + ROUNDING);
  }

  add(key: string, parallel: number, strings: number, stringW: number, tracker?: number): void {
    const g = this.group(key, parallel);
    const before = Filling.needed(g);
    g.strings += strings;
    if (tracker !== undefined) g.frozen.add(tracker);
    this.used += Filling.needed(g) - before;
    this.dcW += strings * stringW;
  }
}

/** A legal layout by counts, and why modules of a plane hang on nothing. */
export interface Start {
  readonly counts: readonly LayoutCount[];
  readonly reasons: ReadonlyMap<number, string>;
}

/** Lengths legal on every unit that may take the plane; where those exclude each other, on the unit with the most of them. */
function commonLengths(problem: LayoutProblem, plane: number): Lengths | null {
  const windows = (problem.windows[plane] ?? []).flatMap((w, i) => (w && !problem.units[i]?.empty ? [w] : []));
  if (windows.length === 0) return null;
  const common = { min: Math.max(...windows.map((w) => w.min)), max: Math.min(...windows.map((w) => w.max)) };
  return common.min <= common.max ? common : windows.reduce((a, b) => (b.max - b.min > a.max - a.min ? b : a));
}

function fill(problem: LayoutProblem, atOnce: 'one' | 'tracker-ful', wanted: readonly (number | undefined)[]): Start {
  const fillings = problem.units.map((u) => new Filling(u.trackers, u.dcMaxW ?? Number.POSITIVE_INFINITY));
  const counts = new Map<string, { plane: number; unit: number; modules: number; strings: number }>();
  const reasons = new Map<number, string>();
  const count = (plane: number, unit: number, modules: number, strings: number) => {
    const key = `${plane}|${unit}|${modules}`;
    const found = counts.get(key) ?? { plane, unit, modules, strings: 0 };
    found.strings += strings;
    counts.set(key, found);
  };
  const groupKey = (plane: number, modules: number) => `${problem.planes[plane]?.classKey}|${modules}`;
  const left = problem.planes.map((p) => p.modules);
  for (const f of problem.frozen) {
    const w = f.modules * (problem.planes[f.plane]?.moduleW ?? 0);
    fillings[f.unit]?.add(
      groupKey(f.plane, f.modules),
      problem.windows[f.plane]?.[f.unit]?.parallel ?? 1,
      1,
      w,
      f.tracker,
    );
    count(f.plane, f.unit, f.modules, 1);
    left[f.plane] = (left[f.plane] ?? 0) - f.modules;
  }

  problem.planes.forEach((plane, p) => {
    const modules = left[p] ?? 0;
    if (modules <= 0) return;
    const lengths = commonLengths(problem, p);
    if (!lengths) {
      reasons.set(
        p,
        'no inverter takes a string of this plane: no length is legal, the current is too high, or a lock forbids it',
      );
      return;
    }
    const cut = cutPlane(modules, lengths, wanted[p]);
    if (cut.reduce((a, b) => a + b, 0) < modules)
      reasons.set(
        p,
        `${modules} modules cannot be cut into strings of ${lengths.min} to ${lengths.max} without a rest`,
      );
    let at = 0;
    while (at < cut.length) {
      const length = cut[at] ?? 0;
      const alike = cut.slice(at).filter((n) => n === length).length;
      const stringW = length * plane.moduleW;
      let best: { unit: number; strings: number; ratio: number; away: number } | null = null;
      problem.units.forEach((unit, u) => {
        const w = problem.windows[p]?.[u];
        const filling = fillings[u];
        if (!w || !filling || unit.empty || length < w.min || length > w.max) return;
        const strings = atOnce === 'one' ? 1 : Math.min(w.parallel, alike);
        if (!filling.takes(groupKey(p, length), w.parallel, strings, stringW)) return;
        const ratio = (filling.dcW + strings * stringW) / unit.ratedW;
        if (problem.ratioMax !== null && ratio > problem.ratioMax * (1 + ROUNDING)) return;
        const away = problem.wayM[p]?.[u] ?? 0;
        if (!best || ratio < best.ratio - ROUNDING || (Math.abs(ratio - best.ratio) <= ROUNDING && away < best.away))
          best = { unit: u, strings, ratio, away };
      });
      const found = best as { unit: number; strings: number } | null;
      if (found) {
        const parallel = problem.windows[p]?.[found.unit]?.parallel ?? 1;
        fillings[found.unit]?.add(groupKey(p, length), parallel, found.strings, stringW);
        count(p, found.unit, length, found.strings);
        at += found.strings;
      } else {
        reasons.set(p, whyFull(problem, fillings, p, length));
        at += alike;
      }
    }
  });
  return { counts: [...counts.values()], reasons };
}

function whyFull(problem: LayoutProblem, fillings: readonly Filling[], plane: number, length: number): string {
  const able = problem.units.map((_, u) => u).filter((u) => problem.windows[plane]?.[u]);
  const free = able.some((u) => (fillings[u]?.used ?? 0) < (problem.units[u]?.trackers ?? 0));
  const stringW = length * (problem.planes[plane]?.moduleW ?? 0);
  const powered = able.some((u) => (fillings[u]?.dcW ?? 0) + stringW <= (fillings[u]?.dcMaxW ?? 0));
  if (!powered) return 'the inverters have reached their maximum DC power';
  if (!free) return 'every tracker is taken';
  return 'the inverters with a free tracker have reached their maximum DC power or the DC/AC ratio asked for';
}

/**
 * Numbers of strings a plane, for totals from the fewest strings to a few more for every unit: with the fewest, some units may be a
 * whole string behind, which no exchange evens out. Planes share a total by what each may have; largest remainders settle the rounding.
 */
function cutsInto(problem: LayoutProblem, totals: (fewest: number, most: number, units: number) => readonly number[]) {
  const units = problem.units.filter((u) => !u.empty).length;
  const can = problem.planes.map((plane, p) => {
    const lengths = commonLengths(problem, p);
    const frozen = problem.frozen.reduce((sum, f) => sum + (f.plane === p ? f.modules : 0), 0);
    return lengths && stringCounts(plane.modules - frozen, lengths);
  });
  const sum = (of: (c: { fewest: number; most: number }) => number) => can.reduce((s, c) => s + (c ? of(c) : 0), 0);
  const [fewest, most] = [sum((c) => c.fewest), sum((c) => c.most)];
  if (units < 2 || most <= fewest) return [];
  return [...new Set(totals(fewest, most, units))]
    .filter((total) => total > fewest && total <= most)
    .map((total): (number | undefined)[] => {
      const share = (total - fewest) / (most - fewest);
      const exact = can.map((c) => (c ? c.fewest + share * (c.most - c.fewest) : 0));
      const whole = exact.map(Math.floor);
      const byRest = exact.map((x, p) => ({ p, rest: x - Math.floor(x) })).sort((a, b) => b.rest - a.rest);
      let short = total - whole.reduce((a, b) => a + b, 0);
      for (const { p, rest } of byRest) if (short > 0 && rest > 0) [whole[p], short] = [(whole[p] ?? 0) + 1, short - 1];
      return can.map((c, p) => (c ? whole[p] : undefined));
    });
}

interface Worth extends Start {
  readonly objective: Objective;
}

function startsFrom(problem: LayoutProblem, wanted: readonly (number | undefined)[]): Worth[] {
  return (['one', 'tracker-ful'] as const).map((atOnce) => {
    const { counts, reasons } = fill(problem, atOnce, wanted);
    const even = new ExchangeSearch(problem, counts).evenOut().counts();
    return { counts: even, reasons, objective: objectiveOf(problem, even) };
  });
}

const better = (a: Worth, b: Worth) => (compareObjectives(b.objective, a.objective) < 0 ? b : a);

/**
 * A layout that is always legal: a tracker never mixes module type, tilt, azimuth or length, and no limit is passed.
 * Cut each plane into strings, then give each to the unit whose DC/AC ratio stays lowest, nearer first when equal: string by
 * string, and once more tracker-ful by tracker-ful, which packs tighter; the same with as many strings for every unit; all evened out;
 * the best of them. It proves nothing about being best.
 */
export function startLayout(problem: LayoutProblem): Start {
  const even = cutsInto(problem, (fewest, _most, units) => [Math.ceil(fewest / units) * units]);
  return [[], ...even].flatMap((wanted) => startsFrom(problem, wanted)).reduce(better);
}

/** Steps between the fewest strings and one more for every unit that are looked at when there is time. */
const STEPS = 8;

/** As the start, from more cuts, and with home runs shortened while the balance holds: what the solver begins with. */
export function goodLayout(problem: LayoutProblem, goOn: () => boolean): Start {
  const cuts = cutsInto(problem, (fewest, _most, units) => {
    const step = Math.max(1, Math.round(units / STEPS));
    return Array.from({ length: 2 * STEPS }, (_, i) => fewest + (i + 1) * step);
  });
  const starts: Worth[] = [];
  for (const wanted of [[], ...cuts]) {
    if (starts.length > 0 && !goOn()) break;
    starts.push(...startsFrom(problem, wanted));
  }
  const best = starts.reduce(better);
  const rivals = starts.filter(
    (s) => s.objective.unused === best.objective.unused && s.objective.balanceBand === best.objective.balanceBand,
  );
  return rivals
    .sort(
      (a, b) =>
        a.objective.distinctLengths - b.objective.distinctLengths || a.objective.homeRunM - b.objective.homeRunM,
    )
    .filter((s, i) => i === 0 || goOn())
    .map((s): Worth => {
      const counts = new ExchangeSearch(problem, s.counts)
        .shorten((s.objective.balanceBand + 1) * BALANCE_BAND, goOn)
        .counts();
      return { ...s, counts, objective: objectiveOf(problem, counts) };
    })
    .reduce(better);
}
