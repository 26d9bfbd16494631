import { requirePositive } from '../../kernel/require';

/** Anchors in concrete near edges and near each other. */
export interface AnchorGroup {
  /** Effective embedment, mm. */
  readonly embedmentMm: number;
  /** Spacings of columns and rows, mm; of no account where there is one. */
  readonly columnsMm: number;
  readonly rowsMm: number;
  readonly columns: number;
  readonly rows: number;
  readonly leftMm: number;
  readonly rightMm: number;
  readonly bottomMm: number;
  readonly topMm: number;
  /** Under these the approval forbids it; null where it says nothing. */
  readonly edgeLeastMm: number | null;
  readonly spacingLeastMm: number | null;
  /** Diameter of the anchor, mm; null where not known: then nothing is said of the edge in shear. */
  readonly diameterMm: number | null;
}

export interface ConeShare {
  /** Share of the full cones' pull that is left. */
  readonly share: number;
  readonly fullEdgeMm: number;
  readonly fullSpacingMm: number;
  /** The concrete edge may break in shear: ask for the shear capacity at this edge. Null where the diameter is not known. */
  readonly edgeInShear: boolean | null;
}

/**
 * Share of the full concrete cones' pull that edges and neighbours leave: A/(n·s_cr²)·ψ.
 *   A = Π over both directions of min(c1, c_cr) + Σ min(s, s_cr) + min(c2, c_cr) · ψ = min(1, 0.7 + 0.3·c/c_cr) at the nearest edge
 *   s_cr = 3·h_ef, c_cr = 1.5·h_ef (EN 1992-4, 7.2.1.4; recalled). Edge within max(10·h_ef, 60·d): its shear is to be asked for (7.2.2.5).
 * Throws RangeError under the approval's least edge or spacing.
 */
export function coneShare(q: AnchorGroup): ConeShare {
  requirePositive(q, 'embedmentMm', 'columns', 'rows', 'leftMm', 'rightMm', 'bottomMm', 'topMm');
  if (q.columns > 1) requirePositive(q, 'columnsMm');
  if (q.rows > 1) requirePositive(q, 'rowsMm');
  const nearest = Math.min(q.leftMm, q.rightMm, q.bottomMm, q.topMm);
  if (q.edgeLeastMm !== null && nearest < q.edgeLeastMm)
    throw new RangeError(`edge must be ${q.edgeLeastMm} mm at least by the approval (got ${nearest})`);
  const spacings = [...(q.columns > 1 ? [q.columnsMm] : []), ...(q.rows > 1 ? [q.rowsMm] : [])];
  if (q.spacingLeastMm !== null && Math.min(...spacings) < q.spacingLeastMm)
    throw new RangeError(
      `spacing must be ${q.spacingLeastMm} mm at least by the approval (got ${Math.min(...spacings)})`,
    );
  const [fullSpacingMm, fullEdgeMm] = [3 * q.embedmentMm, 1.5 * q.embedmentMm];
  const side = (c1: number, c2: number, n: number, s: number) =>
    Math.min(c1, fullEdgeMm) + (n - 1) * Math.min(s, fullSpacingMm) + Math.min(c2, fullEdgeMm);
  const area = side(q.leftMm, q.rightMm, q.columns, q.columnsMm) * side(q.bottomMm, q.topMm, q.rows, q.rowsMm);
  const atEdge = Math.min(1, 0.7 + (0.3 * nearest) / fullEdgeMm);
  return {
    share: (area / (q.columns * q.rows * fullSpacingMm ** 2)) * atEdge,
    fullEdgeMm,
    fullSpacingMm,
    edgeInShear: q.diameterMm === null ? null : nearest < Math.max(10 * q.embedmentMm, 60 * q.diameterMm),
  };
}
