import { published } from '../../../kernel/check';
import type { Answer } from '../../../kernel/answer';
import { known, lacking } from '../../../kernel/answer';
import { found } from '../../../kernel/judgement';
import { fixed } from '../../../kernel/quantity';
import { rule } from '../../../kernel/rule';
import type { AnchorRow } from '../../fixing/anchorLoads';
import { bracketInConcrete } from '../../fixing/bracketEdges';
import { coneShare } from '../../fixing/concreteCone';
import { DESIGN_FACTORS, anchorLoads } from '../../fixing/anchorLoads';
import { anchorUse } from '../../fixing/anchorUse';
import type { HungUnit } from '../../results';

/** Somebody leans on the unit and pulls at a tool, N (common practice). */
const LEAN_N = 500;
const PULL_N = 300;

interface Bracket {
  /** Over its lower edge. */
  readonly rows: readonly AnchorRow[];
  /** Between its outer columns. */
  readonly columnsMm: number;
  /** Weight beside the middle of those. */
  readonly besideMm: number;
}

/** The bracket's anchors, and how far beside their middle the weight hangs. */
function bracketOf({ type }: HungUnit): Answer<Bracket> {
  const { bracketHoles, bracketBottomMm, centreXMm } = type.body;
  if (bracketHoles.length === 0) return lacking(`holes of the bracket of ${type.name}`);
  if (bracketBottomMm === null) return lacking(`lower edge of the bracket of ${type.name}`);
  if (centreXMm === null) return lacking(`centre of gravity of ${type.name}`);
  const columns = bracketHoles.map((h) => h.xMm);
  const [left, right] = [Math.min(...columns), Math.max(...columns)];
  const heights = [...new Set(bracketHoles.map((h) => h.yMm))].sort((a, b) => a - b);
  const [columnsMm, besideMm] = [right - left, centreXMm - (left + right) / 2];
  if (besideMm !== 0 && Math.abs(besideMm) >= columnsMm / 2)
    return lacking(`holes of the bracket on both sides of the centre of gravity of ${type.name}`);
  return known({
    rows: heights.map((y) => ({
      heightMm: y - bracketBottomMm,
      anchors: bracketHoles.filter((h) => h.yMm === y).length,
    })),
    columnsMm,
    besideMm,
  });
}

/** Whether a figure of an approval stands for this wall: hollow or unknown masonry has none but from a pull test on it. */
function wallKnown({ wall }: HungUnit): Answer<true> {
  if (wall.material === null) return lacking('what the wall is made of');
  return wall.material === 'hollow or unknown masonry' && wall.pullTested !== true
    ? lacking('a pull test on this wall')
    : known(true);
}

/** Capacity of one anchor, N, as typed from its approval for the edges and spacings here. Zero is none. */
const capacity = (n: number | null): number | null => (n !== null && n > 0 ? n : null);

/** Use of the anchors' approved capacity in pull and shear together: β_N^1.5 + β_V^1.5 ≤ 1, design loads, unit, lean and pull. */
export const ANCHORS = rule<HungUnit>()({
  id: 'mounting.anchors',
  title: 'Anchors of the bracket',
  unit: '%',
  basis: published('EN 1990; EN 1992-4, 7.2.3'),
  needs: {
    massKg: { as: 'mass of the unit', of: (h) => h.type.massKg, missing: (h) => [`mass of ${h.type.name}`] },
    bracket: { as: 'holes of the bracket', answer: bracketOf },
    wallKnown: { as: 'what the wall is made of', answer: wallKnown },
    group: { as: 'embedment of the anchor', answer: bracketInConcrete },
    reachMm: {
      as: 'centre of gravity from the wall',
      of: (h) => h.type.body.centreZMm,
      missing: (h) => [`centre of gravity of ${h.type.name}`],
    },
    depthMm: { as: 'depth of the unit', of: (h) => h.type.body.depthMm, missing: (h) => [`depth of ${h.type.name}`] },
    tensionCapacityN: { as: 'approved pull on one anchor', of: (h) => capacity(h.wall.tensionCapacityN) },
    shearCapacityN: { as: 'approved shear on one anchor', of: (h) => capacity(h.wall.shearCapacityN) },
  },
  judge: ({
    massKg,
    bracket: { rows, columnsMm, besideMm },
    group,
    reachMm,
    depthMm,
    tensionCapacityN,
    shearCapacityN,
  }) => {
    const loads = anchorLoads({
      massKg,
      reachMm,
      rows,
      leanN: LEAN_N,
      leanAtMm: depthMm,
      pullN: PULL_N,
      pullAtMm: Math.max(...rows.map((r) => r.heightMm)),
      factors: DESIGN_FACTORS,
      besideMm,
      columnsMm,
    });
    if (group !== 'not concrete' && Math.min(group.leftMm, group.rightMm, group.bottomMm, group.topMm) <= 0)
      return found('stop', () => ['a hole of the bracket lies at the end of the concrete or past it']);
    const cones = group === 'not concrete' ? null : coneShare(group);
    const share = cones?.share ?? 1;
    const use = anchorUse({
      tensionN: loads.mostTensionN,
      shearN: loads.shearN,
      tensionCapacityN: share * tensionCapacityN,
      shearCapacityN,
    });
    const edge = cones?.edgeInShear === true;
    const two = rows.reduce((sum, r) => sum + r.anchors, 0) === 2;
    const verdict = use.verdict === 'holds' && (two || edge) ? 'tight' : use.verdict;
    return found(
      verdict,
      () => [
        `M = ${loads.momentNm.toFixed(1)} N·m; N = ${loads.mostTensionN.toFixed(0)} N, V = ${loads.shearN.toFixed(0)} N on the worst${besideMm === 0 ? '' : `; weight ${besideMm} mm beside the middle`}`,
        `β_N = ${use.tension.toFixed(3)}, β_V = ${use.shear.toFixed(3)}; β_N^1.5 + β_V^1.5 = ${use.power15.toFixed(3)} (sum ${use.sum.toFixed(3)})`,
        ...(share < 1
          ? [
              `edges and neighbours leave ${fixed(100 * share, 1)} % of the cones: N_Rd ${fixed(share * tensionCapacityN, 0)} N`,
            ]
          : []),
        ...(edge ? ['an edge is near: ask for the shear capacity at this edge'] : []),
        ...(use.askAboutPrying ? ['a bracket that bends adds to the pull: ask the anchor maker'] : []),
        ...(two ? ['two anchors only: one bad hole drops the unit'] : []),
      ],
      { value: 100 * use.power15, limit: 100, margin: 100 * (1 - use.power15) },
    );
  },
});
