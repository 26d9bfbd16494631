import { dataSheet } from '../../../kernel/check';
import type { Answer } from '../../../kernel/answer';
import { given, known, lacking } from '../../../kernel/answer';
import { atLeast, found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import { bracketInConcrete } from '../../fixing/bracketEdges';
import type { HungUnit } from '../../results';

interface Least {
  readonly edgeMm: number;
  readonly edgeLeastMm: number;
  /** Null where one anchor stands alone. */
  readonly spacingMm: number | null;
  readonly spacingLeastMm: number;
}

/** Edges and spacings of the bracket's anchors beside the least of their approval. */
function leastOf(h: HungUnit): Answer<Least | 'not concrete'> {
  const group = bracketInConcrete(h);
  if (group.value === null) return lacking(...group.missing);
  if (group.value === 'not concrete') return known(group.value);
  const g = group.value;
  const spacings = [...(g.columns > 1 ? [g.columnsMm] : []), ...(g.rows > 1 ? [g.rowsMm] : [])];
  return given(
    { 'least edge by the approval': h.wall.edgeLeastMm, 'least spacing by the approval': h.wall.spacingLeastMm },
    (k) => ({
      edgeMm: Math.min(g.leftMm, g.rightMm, g.bottomMm, g.topMm),
      edgeLeastMm: k['least edge by the approval'],
      spacingMm: spacings.length ? Math.min(...spacings) : null,
      spacingLeastMm: k['least spacing by the approval'],
    }),
  );
}

/** Nearest edge of the concrete and least spacing of the anchors, mm, against the approval: under either it is no anchorage at all. */
export const ANCHOR_EDGES = rule<HungUnit>()({
  id: 'mounting.anchor-edges',
  title: 'Anchors far enough from edges and each other',
  unit: 'mm',
  basis: dataSheet('approval of the anchor: least edge and spacing'),
  needs: {
    wall: { as: 'what the wall is made of', of: (h) => h.wall.material },
    least: { as: 'least edge by the approval', answer: leastOf },
  },
  judge: ({ wall, least }) => {
    if (least === 'not concrete')
      return found('holds', () => [`${wall}: edges are in the figures typed for this place`]);
    const { edgeMm, edgeLeastMm, spacingMm, spacingLeastMm } = least;
    const working = () => [
      `edge ${edgeMm} mm, ${edgeLeastMm} mm at least`,
      ...(spacingMm === null ? [] : [`spacing ${spacingMm} mm, ${spacingLeastMm} mm at least`]),
    ];
    if (spacingMm !== null && spacingMm < spacingLeastMm)
      return found('stop', working, { value: spacingMm, limit: spacingLeastMm });
    return edgeLeastMm > 0
      ? atLeast({ value: edgeMm, limit: edgeLeastMm, working })
      : found(edgeMm > 0 ? 'holds' : 'stop', working, { value: edgeMm, limit: 0 });
  },
});
