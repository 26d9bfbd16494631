/** A mixed-integer linear program as data, and what a solver says of it. The solver itself is passed in. */

export interface MilpColumn {
  readonly cost: number;
  readonly lower: number;
  readonly upper: number;
  readonly integer: boolean;
}

export interface MilpRow {
  readonly lower: number;
  readonly upper: number;
  /** Column and coefficient. */
  readonly terms: readonly (readonly [number, number])[];
}

/** Minimise Σ cost·x between the bounds of columns and rows. */
export interface Milp {
  readonly columns: readonly MilpColumn[];
  readonly rows: readonly MilpRow[];
}

export interface MilpOptions {
  readonly timeLimitS: number;
  /** A solution to start from; one that does not fit is ignored. */
  readonly start?: readonly number[];
  /** Called while the solver works: best objective and bound so far. */
  readonly onProgress?: (bestObjective: number, bound: number) => void;
}

export interface MilpAnswer {
  readonly status: 'optimal' | 'feasible' | 'infeasible' | 'unknown';
  readonly values: readonly number[] | null;
  /** Nothing is below this: the proved side of the gap. −∞ where nothing is proved. */
  readonly bound: number;
}

export type MilpSolver = (problem: Milp, options: MilpOptions) => MilpAnswer;

/** Collects columns and rows by name-free handles. */
export class MilpBuilder {
  private readonly columns: MilpColumn[] = [];
  private readonly rows: MilpRow[] = [];

  column(lower: number, upper: number, integer: boolean): number {
    this.columns.push({ cost: 0, lower, upper, integer });
    return this.columns.length - 1;
  }

  row(lower: number, upper: number, terms: readonly (readonly [number, number])[]): void {
    this.rows.push({ lower, upper, terms });
  }

  /** The program with this objective, and further rows behind the ones collected. */
  minimising(cost: ReadonlyMap<number, number>, more: readonly MilpRow[] = []): Milp {
    return {
      columns: this.columns.map((c, i) => ({ ...c, cost: cost.get(i) ?? 0 })),
      rows: [...this.rows, ...more],
    };
  }
}
