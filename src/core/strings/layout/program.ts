import type { MilpRow } from '../../kernel/milp';
import { MilpBuilder } from '../../kernel/milp';
import { leastLeft } from './cut';
import type { Level } from './objective';
import { BALANCE_BAND } from './objective';
import type { LayoutCount, LayoutProblem } from './problem';
import { lengthsOn, parallelOn } from './problem';

/** The layout as a mixed-integer program, with handles to read and to weigh it. */
export interface LayoutProgram {
  readonly builder: MilpBuilder;
  /** Column of strings of plane, unit and length: whole numbers. */
  readonly strings: readonly {
    readonly plane: number;
    readonly unit: number;
    readonly modules: number;
    readonly column: number;
  }[];
  /** Strings that hang otherwise than before. */
  readonly moved: ReadonlyMap<number, number>;
  /** Cost of each level of the objective. */
  readonly cost: Readonly<Record<Level, ReadonlyMap<number, number>>>;
  /** The values of every column that go with counts: a start for the solver. */
  valuesOf(counts: readonly LayoutCount[]): number[];
  countsOf(values: readonly number[]): LayoutCount[];
}

const INFINITE = Number.POSITIVE_INFINITY;

/**
 * The program of the layout. Columns: strings x of plane, unit and length; trackers y of unit, class and length; modules unused u of a
 * plane; lengths in use z of a class; balance band B between the fullest and the emptiest unit; longest and shortest of a class; doubled d.
 *   Σ n·x + u = N · Σ_plane x ≤ K·y · Σ y ≤ T · Σ n·P·x ≤ P_dc,max · x ≤ ⌊N/n⌋·z · r_max − r_min ≤ 0.05(B + 1)
 * Rows that follow from the rest but tighten the relaxation: a plane needs at least ⌈(N − u)/n_max⌉ strings.
 */
export function layoutProgram(problem: LayoutProblem): LayoutProgram {
  const b = new MilpBuilder();
  const { planes, units } = problem;
  const classes = [...new Set(planes.map((p) => p.classKey))];
  const classAt = planes.map((p) => classes.indexOf(p.classKey));
  const strings: { plane: number; unit: number; modules: number; column: number }[] = [];
  const trackers: { unit: number; cls: number; modules: number; column: number; parallel: number; frozen: number }[] =
    [];
  const lengths: { cls: number; modules: number; column: number }[] = [];
  const writers: ((values: number[], counts: readonly LayoutCount[]) => void)[] = [];
  const sum = (counts: readonly LayoutCount[], of: (c: LayoutCount) => number) => counts.reduce((s, c) => s + of(c), 0);

  const frozenCount = (p: number, u: number, n: number) =>
    problem.frozen.filter((f) => f.plane === p && f.unit === u && f.modules === n).length;

  planes.forEach((plane, p) =>
    units.forEach((unit, u) => {
      for (const n of lengthsOn(problem, p, u)) {
        const frozen = frozenCount(p, u, n);
        const inWindow = (() => {
          const w = problem.windows[p]?.[u];
          return w && !unit.empty && n >= w.min && n <= w.max;
        })();
        const most = inWindow ? Math.floor(plane.modules / n) : frozen;
        if (most < 1) continue;
        const column = b.column(frozen, Math.max(most, frozen), true);
        strings.push({ plane: p, unit: u, modules: n, column });
        writers.push((v, counts) => {
          v[column] = sum(counts, (c) => (c.plane === p && c.unit === u && c.modules === n ? c.strings : 0));
        });
      }
    }),
  );

  // Trackers of a unit by class and length.
  units.forEach((unit, u) => {
    const own: [number, number][] = [];
    classes.forEach((_, cls) => {
      const here = strings.filter((s) => s.unit === u && classAt[s.plane] === cls);
      for (const n of [...new Set(here.map((s) => s.modules))]) {
        const group = here.filter((s) => s.modules === n);
        const parallel = Math.min(...group.map((s) => parallelOn(problem, s.plane, u)));
        const frozen = new Set(
          problem.frozen
            .filter((f) => f.unit === u && f.modules === n && classAt[f.plane] === cls)
            .map((f) => f.tracker),
        ).size;
        const column = b.column(frozen, unit.trackers, true);
        trackers.push({ unit: u, cls, modules: n, column, parallel, frozen });
        own.push([column, 1]);
        b.row(-INFINITE, 0, [...group.map((s) => [s.column, 1] as const), [column, -parallel]]);
        writers.push((v) => {
          const strung = group.reduce((s, g) => s + (v[g.column] ?? 0), 0);
          v[column] = Math.max(frozen, Math.ceil(strung / parallel));
        });
      }
    });
    if (own.length) b.row(-INFINITE, unit.trackers, own);
    const watts = strings
      .filter((s) => s.unit === u)
      .map((s) => [s.column, (s.modules * (planes[s.plane]?.moduleW ?? 0)) / 1000] as const);
    if (unit.dcMaxW !== null && watts.length) b.row(-INFINITE, (unit.dcMaxW / 1000) * (1 + 1e-9), watts);
    const perRated = watts.map(([c, kw]) => [c, (1000 * kw) / unit.ratedW] as const);
    if (problem.ratioMax !== null && watts.length) b.row(-INFINITE, problem.ratioMax * (1 + 1e-9), perRated);
    if (problem.ratioMin !== null && !unit.empty) b.row(problem.ratioMin * (1 - 1e-9), INFINITE, perRated);
  });

  // Modules of a plane, and the strings it needs at the least.
  const unused = planes.map((plane, p) => {
    const column = b.column(0, problem.useAll ? 0 : plane.modules, true);
    const own = strings.filter((s) => s.plane === p);
    b.row(plane.modules, plane.modules, [...own.map((s) => [s.column, s.modules] as const), [column, 1]]);
    const longest = Math.max(0, ...own.map((s) => s.modules));
    if (longest > 0) {
      // With k modules left over at most ⌊k/n_max⌋ strings fewer are needed: exact where nothing is left, valid everywhere.
      b.row(Math.ceil(plane.modules / longest), INFINITE, [...own.map((s) => [s.column, 1] as const), [column, 1]]);
    }
    writers.push((v, counts) => {
      v[column] = plane.modules - sum(counts, (c) => (c.plane === p ? c.strings * c.modules : 0));
    });
    return column;
  });

  // Lengths in use of a class.
  classes.forEach((_, cls) => {
    for (const n of [...new Set(strings.filter((s) => classAt[s.plane] === cls).map((s) => s.modules))]) {
      const column = b.column(0, 1, true);
      lengths.push({ cls, modules: n, column });
      planes.forEach((plane, p) => {
        const own = strings.filter((s) => s.plane === p && s.modules === n && classAt[p] === cls);
        const most = Math.max(Math.floor(plane.modules / n), 1);
        if (own.length) b.row(-INFINITE, 0, [...own.map((s) => [s.column, 1] as const), [column, -most]]);
      });
      writers.push((v, counts) => {
        v[column] = counts.some((c) => c.strings > 0 && c.modules === n && classAt[c.plane] === cls) ? 1 : 0;
      });
    }
  });
  if (problem.maxLengths !== null)
    b.row(
      -INFINITE,
      problem.maxLengths,
      lengths.map((l) => [l.column, 1] as const),
    );

  // Balance between units.
  const ratioOf = (u: number) =>
    strings
      .filter((s) => s.unit === u)
      .map((s) => [s.column, (s.modules * (planes[s.plane]?.moduleW ?? 0)) / (units[u]?.ratedW ?? 1)] as const);
  const rMax = b.column(0, INFINITE, false);
  const rMin = b.column(0, INFINITE, false);
  const band = b.column(0, 1000, true);
  units.forEach((unit, u) => {
    if (unit.empty) return;
    b.row(-INFINITE, 0, [...ratioOf(u), [rMax, -1]]);
    b.row(0, INFINITE, [...ratioOf(u), [rMin, -1]]);
  });
  b.row(-INFINITE, BALANCE_BAND * (1 + 1e-9), [
    [rMax, 1],
    [rMin, -1],
    [band, -BALANCE_BAND],
  ]);
  writers.push((v) => {
    const ratios = units.flatMap((unit, u) =>
      unit.empty ? [] : [ratioOf(u).reduce((s, [c, k]) => s + (v[c] ?? 0) * k, 0)],
    );
    v[rMax] = Math.max(0, ...ratios);
    v[rMin] = ratios.length ? Math.min(...ratios) : 0;
    v[band] = Math.max(0, Math.ceil((v[rMax] - v[rMin]) / BALANCE_BAND - 1 - 1e-9));
  });

  // Longest and shortest of a class.
  const spread = new Map<number, number>();
  classes.forEach((_, cls) => {
    const own = lengths.filter((l) => l.cls === cls);
    if (own.length < 2) return;
    const top = Math.max(...own.map((l) => l.modules));
    const longest = b.column(0, top, false);
    const shortest = b.column(0, top, false);
    for (const l of own) {
      b.row(0, INFINITE, [
        [longest, 1],
        [l.column, -l.modules],
      ]);
      b.row(-INFINITE, top, [
        [shortest, 1],
        [l.column, top - l.modules],
      ]);
    }
    b.row(0, INFINITE, [
      [longest, 1],
      [shortest, -1],
    ]);
    spread.set(longest, 1);
    spread.set(shortest, -1);
    writers.push((v) => {
      const used = own.filter((l) => v[l.column] === 1).map((l) => l.modules);
      v[longest] = used.length ? Math.max(...used) : 0;
      v[shortest] = used.length ? Math.min(...used) : 0;
    });
  });

  // Strings beyond one a tracker.
  const doubled = units.map((unit, u) => {
    const column = b.column(0, INFINITE, false);
    const own = strings.filter((s) => s.unit === u);
    b.row(-INFINITE, unit.trackers, [...own.map((s) => [s.column, 1] as const), [column, -1]]);
    writers.push((v) => {
      v[column] = Math.max(0, own.reduce((s, x) => s + (v[x.column] ?? 0), 0) - unit.trackers);
    });
    return column;
  });

  // Strings taken from where they hang now.
  const moved = strings.flatMap(({ plane, unit, modules, column: own }) => {
    const was = problem.before.find((c) => c.plane === plane && c.unit === unit && c.modules === modules)?.strings ?? 0;
    if (was === 0) return [];
    const column = b.column(0, was, false);
    b.row(was, INFINITE, [
      [own, 1],
      [column, 1],
    ]);
    writers.push((v) => {
      v[column] = Math.max(0, was - (v[own] ?? 0));
    });
    return [column];
  });

  return {
    builder: b,
    strings,
    moved: new Map(moved.map((c) => [c, 1])),
    cost: {
      unused: new Map(unused.map((c) => [c, 1])),
      balanceBand: new Map([[band, 1]]),
      distinctLengths: new Map(lengths.map((l) => [l.column, 1])),
      homeRunM: new Map(strings.map((s) => [s.column, problem.wayM[s.plane]?.[s.unit] ?? 0])),
      lengthSpread: spread,
      doubled: new Map(doubled.map((c) => [c, 1])),
    },
    valuesOf(counts) {
      const values: number[] = [];
      for (const write of writers) write(values, counts);
      return values;
    },
    countsOf(values) {
      return strings.flatMap(({ plane, unit, modules, column }) => {
        const n = Math.round(values[column] ?? 0);
        return n > 0 ? [{ plane, unit, modules, strings: n }] : [];
      });
    },
  };
}

/** What no layout can beat, by closed forms alone: fewest modules left over, plane by plane. */
export function unusedBound(problem: LayoutProblem): number {
  return problem.planes.reduce((sum, plane, p) => {
    const lengths = problem.units.flatMap((u, i) => (u.empty ? [] : lengthsOn(problem, p, i)));
    if (lengths.length === 0) return sum + plane.modules;
    return sum + leastLeft(plane.modules, { min: Math.min(...lengths), max: Math.max(...lengths) });
  }, 0);
}

export const rowAtMost = (cost: ReadonlyMap<number, number>, upper: number): MilpRow => ({
  lower: -INFINITE,
  upper,
  terms: [...cost],
});
