import { requirePositive, requireWithin } from '../../kernel/require';

const G = 9.80665;

/** A row of anchors: its height over the lower edge of the bracket, mm, and how many stand in it. */
export interface AnchorRow {
  readonly heightMm: number;
  readonly anchors: number;
}

/** Partial factors of EN 1990 (recalled): for strength. With recommended or allowable loads both are 1, and the capacity is of that kind too. */
export const DESIGN_FACTORS = { permanent: 1.35, variable: 1.5 } as const;
export const ALLOWABLE_FACTORS = { permanent: 1, variable: 1 } as const;

export interface AnchorCase {
  readonly massKg: number;
  /** Wall to centre of gravity, mm. */
  readonly reachMm: number;
  readonly rows: readonly AnchorRow[];
  /** Somebody leans on it: down at `leanAtMm` from the wall, and outward at `pullAtMm` over the lower edge (common practice: 500 N and 300 N). */
  readonly leanN: number;
  readonly leanAtMm: number;
  readonly pullN: number;
  readonly pullAtMm: number;
  readonly factors: { readonly permanent: number; readonly variable: number };
  /** Anchors that take shear: those in round holes. All where absent. */
  readonly shearAnchors?: number;
  /** Weight beside the middle of two columns, and the columns' spacing, mm. */
  readonly besideMm?: number;
  readonly columnsMm?: number;
}

export interface AnchorLoads {
  readonly momentNm: number;
  /** Pull on one anchor by row, N. */
  readonly tensionN: readonly number[];
  readonly mostTensionN: number;
  /** Shear on one anchor, N. */
  readonly shearN: number;
  /** Press of the lower edge on the wall, N; under 0 it lifts. */
  readonly edgeN: number;
  readonly model: 'pivot' | 'group';
}

/**
 * What a wall bracket's anchors carry. Prying of a bracket that bends is not in it.
 *   M = γ_G·m·g·e + γ_Q·(F_v·a_v + F_h·y_h) · N_i = M·y_i/Σ n_j·y_j² · V = (γ_G·m·g + γ_Q·F_v)/n · C = ΣN − γ_Q·F_h
 *   C < 0: the edge lifts, and the group turns about its middle: N_i = γ_Q·F_h/n + (M − γ_Q·F_h·ȳ)·(y_i − ȳ)/Σ n_j·(y_j − ȳ)².
 *   Weight beside the middle of two columns: N and V times 1 + 2·|x|/s.
 * Source: statics of a stiff plate; factors EN 1990 (recalled). Throws RangeError under two anchors, on one row that lifts, and on weight at or
 * past a column.
 */
export function anchorLoads(q: AnchorCase): AnchorLoads {
  requirePositive(q, 'massKg', 'reachMm');
  requireWithin('leanN', q.leanN, 0, 10_000, 'N');
  requireWithin('pullN', q.pullN, 0, 10_000, 'N');
  for (const row of q.rows) requirePositive({ ...row }, 'heightMm', 'anchors');
  const n = q.rows.reduce((sum, r) => sum + r.anchors, 0);
  if (n < 2) throw new RangeError(`rows must have two anchors at least (got ${n})`);
  const shearOn = q.shearAnchors ?? n;
  requireWithin('shearAnchors', shearOn, 1, n);
  const { permanent, variable } = q.factors;
  const [deadN, leanN, pullN] = [permanent * q.massKg * G, variable * q.leanN, variable * q.pullN];
  const momentNm = (deadN * q.reachMm + leanN * q.leanAtMm + pullN * q.pullAtMm) / 1000;
  const pivot = q.rows.map(
    (r) => (momentNm * 1000 * r.heightMm) / q.rows.reduce((sum, j) => sum + j.anchors * j.heightMm ** 2, 0),
  );
  const edgeN = q.rows.reduce((sum, r, i) => sum + r.anchors * (pivot[i] as number), 0) - pullN;
  const model = edgeN < 0 ? 'group' : 'pivot';
  const beside = sideFactor(q);
  const tensionN = (model === 'pivot' ? pivot : groupTensions(q.rows, n, momentNm * 1000, pullN)).map(
    (t) => t * beside,
  );
  return {
    momentNm,
    tensionN,
    mostTensionN: Math.max(...tensionN),
    shearN: ((deadN + leanN) / shearOn) * beside,
    edgeN,
    model,
  };
}

function groupTensions(rows: readonly AnchorRow[], n: number, momentNmm: number, pullN: number): number[] {
  const mean = rows.reduce((sum, r) => sum + r.anchors * r.heightMm, 0) / n;
  const second = rows.reduce((sum, r) => sum + r.anchors * (r.heightMm - mean) ** 2, 0);
  if (!(second > 0)) throw new RangeError('rows must be two where the lower edge lifts off the wall (got one)');
  return rows.map((r) => pullN / n + ((momentNmm - pullN * mean) * (r.heightMm - mean)) / second);
}

function sideFactor({ besideMm = 0, columnsMm }: AnchorCase): number {
  if (besideMm === 0) return 1;
  if (columnsMm === undefined) throw new RangeError('columnsMm must be given where the weight hangs beside the middle');
  requirePositive({ columnsMm }, 'columnsMm');
  if (!(Math.abs(besideMm) < columnsMm / 2))
    throw new RangeError(`besideMm must be under half of ${columnsMm} mm (got ${besideMm})`);
  return 1 + (2 * Math.abs(besideMm)) / columnsMm;
}
