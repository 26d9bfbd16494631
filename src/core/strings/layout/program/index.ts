import type { MilpRow } from '../../../kernel/milp';
import { MilpBuilder } from '../../../kernel/milp';
import { leastLeft } from '../cut';
import type { Level } from '../objective';
import type { LayoutCount, LayoutProblem } from '../problem';
import { lengthsOn } from '../problem';
import { balanceColumn } from './balanceColumns';
import { doubledColumns } from './doubledColumns';
import type { Building, StringColumn } from './family';
import { INFINITE } from './family';
import { lengthColumns } from './lengthColumns';
import { movedColumns } from './movedColumns';
import { spreadColumns } from './spreadColumns';
import { stringColumns } from './stringColumns';
import { trackerColumns } from './trackerColumns';
import { unusedColumns } from './unusedColumns';

/** The layout as a mixed-integer program, with handles to read and to weigh it. */
export interface LayoutProgram {
  readonly builder: MilpBuilder;
  readonly strings: readonly StringColumn[];
  /** Strings that hang otherwise than before. */
  readonly moved: ReadonlyMap<number, number>;
  /** Cost of each level of the objective. */
  readonly cost: Readonly<Record<Level, ReadonlyMap<number, number>>>;
  /** The values of every column that go with counts: a start for the solver. */
  valuesOf(counts: readonly LayoutCount[]): number[];
  countsOf(values: readonly number[]): LayoutCount[];
}

const each = (columns: readonly number[]) => new Map(columns.map((c) => [c, 1]));

/**
 * The program of the layout, a family of columns a file: strings x of plane, unit and length; trackers y of unit, class and length;
 * modules unused u of a plane; lengths in use z of a class; balance band B; longest and shortest of a class; doubled d; moved m.
 *   Σ n·x + u = N · Σ_plane x ≤ K·y · Σ y ≤ T · Σ n·P·x ≤ P_dc,max · x ≤ ⌊N/n⌋·z · r_max − r_min ≤ 0.05(B + 1)
 */
export function layoutProgram(problem: LayoutProblem): LayoutProgram {
  const classes = [...new Set(problem.planes.map((p) => p.classKey))];
  const building: Building = {
    problem,
    b: new MilpBuilder(),
    classes,
    classAt: problem.planes.map((p) => classes.indexOf(p.classKey)),
    strings: [],
    writers: [],
  };
  stringColumns(building);
  trackerColumns(building);
  const unused = unusedColumns(building);
  const lengths = lengthColumns(building);
  const band = balanceColumn(building);
  const spread = spreadColumns(building, lengths);
  const doubled = doubledColumns(building);
  const moved = movedColumns(building);
  const { b: builder, strings, writers } = building;
  // Strings that stay and break a wish by staying: there is no layout, and the program says so.
  if (!problem.frozenFit) builder.row(1, INFINITE, []);
  return {
    builder,
    strings,
    moved: each(moved),
    cost: {
      unused: each(unused),
      balanceBand: each([band]),
      distinctLengths: each(lengths.map((l) => l.column)),
      homeRunM: new Map(strings.map((s) => [s.column, problem.wayM[s.plane]?.[s.unit] ?? 0])),
      lengthSpread: spread,
      doubled: each(doubled),
    },
    valuesOf(counts) {
      const values: number[] = [];
      for (const write of writers) write(values, counts);
      return values;
    },
    countsOf: (values) =>
      strings.flatMap(({ plane, unit, modules, column }) => {
        const n = Math.round(values[column] ?? 0);
        return n > 0 ? [{ plane, unit, modules, strings: n }] : [];
      }),
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
