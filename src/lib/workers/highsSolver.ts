import type { Highs } from 'highs';
import type { Milp, MilpAnswer, MilpOptions, MilpSolver } from '$core/kernel/milp';

/** HiGHS as the solver that core's programs are handed to: rows as compressed sparse rows, a start if there is one, progress while it works. */
export function highsSolver(highs: Highs): MilpSolver {
  return (problem: Milp, options: MilpOptions): MilpAnswer => {
    return highs.withModel(modelOf(highs, problem), (model): MilpAnswer => {
      model.options.set({
        output_flag: false,
        time_limit: Math.max(0.05, options.timeLimitS),
        mip_rel_gap: 1e-7,
        mip_abs_gap: 1e-6,
      });
      if (options.start?.length === problem.columns.length)
        model.setSolution({ colValue: Float64Array.from(options.start) });
      const { mipLogging } = highs.constants.callbackType;
      if (options.onProgress) {
        const tell = options.onProgress;
        model.run({
          [mipLogging](event: { data: { mip_primal_bound?: number; mip_dual_bound?: number } }) {
            tell(event.data.mip_primal_bound ?? Infinity, event.data.mip_dual_bound ?? -Infinity);
          },
        });
      } else model.run();
      const status = model.getModelStatus();
      const known = highs.constants.modelStatus;
      if (status === known.infeasible) return { status: 'infeasible', values: null, bound: Infinity };
      const objective = model.getObjectiveValue();
      const solved = status === known.optimal;
      const feasible = solved || (Number(model.info.get('primal_solution_status')) === 2 && Number.isFinite(objective));
      const bound = Number(model.info.get('mip_dual_bound'));
      return {
        status: solved ? 'optimal' : feasible ? 'feasible' : 'unknown',
        values: feasible ? [...model.getSolution().colValue] : null,
        bound: solved && !Number.isFinite(bound) ? objective : bound,
      };
    });
  };
}

function modelOf(highs: Highs, problem: Milp) {
  const starts = [0];
  const indices: number[] = [];
  const values: number[] = [];
  for (const row of problem.rows) {
    const merged = new Map<number, number>();
    for (const [column, factor] of row.terms) merged.set(column, (merged.get(column) ?? 0) + factor);
    for (const [column, factor] of merged) {
      if (factor === 0) continue;
      indices.push(column);
      values.push(factor);
    }
    starts.push(indices.length);
  }
  const { integer, continuous } = highs.constants.variableType;
  const numbers = (of: readonly number[]) =>
    Float64Array.from(of, (x) => (Number.isFinite(x) ? x : Math.sign(x) * highs.infinity));
  return {
    numCols: problem.columns.length,
    numRows: problem.rows.length,
    colCost: numbers(problem.columns.map((c) => c.cost)),
    colLower: numbers(problem.columns.map((c) => c.lower)),
    colUpper: numbers(problem.columns.map((c) => c.upper)),
    rowLower: numbers(problem.rows.map((r) => r.lower)),
    rowUpper: numbers(problem.rows.map((r) => r.upper)),
    matrix: {
      format: 'csr' as const,
      numRows: problem.rows.length,
      numCols: problem.columns.length,
      starts: Int32Array.from(starts),
      indices: Int32Array.from(indices),
      values: Float64Array.from(values),
    },
    integrality: problem.columns.map((c) => (c.integer ? integer : continuous)),
  };
}
