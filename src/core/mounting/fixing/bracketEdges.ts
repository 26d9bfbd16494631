import type { Answer } from '../../kernel/answer';
import { given, known, lacking } from '../../kernel/answer';
import type { HungUnit } from '../results';
import type { ObstructionKind } from '../tables/obstructions';
import type { AnchorGroup } from './concreteCone';

/** What ends the concrete on a wall, beside its own four edges. */
const ENDS_CONCRETE: ReadonlySet<ObstructionKind> = new Set([
  'door or window',
  'expansion joint or crack',
  'wall corner or pilaster',
]);

type Box = HungUnit['wall']['obstructions'][number];

/** Least distance of two neighbours in a row of places, mm; of no account where there is one place. */
const leastGap = (places: readonly number[]): number => {
  const sorted = [...new Set(places)].sort((a, b) => a - b);
  return Math.min(...sorted.slice(1).map((p, i) => p - (sorted[i] ?? p)));
};

/**
 * The anchors of a bracket in concrete with their edges: the ends of the wall, openings, joints and corners in it. Where columns or rows stand
 * unevenly the least spacing counts for all. On walls that are not of concrete nothing is asked: there the figures typed are for the place.
 */
export function bracketInConcrete({ wall, at, type }: HungUnit): Answer<AnchorGroup | 'not concrete'> {
  if (wall.material !== 'concrete') return known('not concrete');
  if (type.body.bracketHoles.length === 0) return lacking(`holes of the bracket of ${type.name}`);
  const holes = type.body.bracketHoles.map((h) => ({ x: at.xMm + h.xMm, y: at.yMm + h.yMm }));
  const [xs, ys] = [holes.map((h) => h.x), holes.map((h) => h.y)];
  const [left, right, bottom, top] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const ends = wall.obstructions.filter((o) => ENDS_CONCRETE.has(o.kind));
  /** The nearest end on one side of the bracket; one at a corner counts by the larger of its two ways. */
  const nearest = (own: number, on: (end: Box) => boolean): number =>
    Math.min(
      own,
      ...ends.filter(on).map((o) => {
        const dx = Math.max(o.xMm - right, left - (o.xMm + o.widthMm), 0);
        const dy = Math.max(o.yMm - top, bottom - (o.yMm + o.heightMm), 0);
        return Math.max(dx, dy);
      }),
    );
  return given({ 'embedment of the anchor': wall.embedmentMm, 'hole for the anchor': wall.anchorHoleMm }, (k) => ({
    embedmentMm: k['embedment of the anchor'],
    columns: new Set(xs).size,
    rows: new Set(ys).size,
    columnsMm: leastGap(xs),
    rowsMm: leastGap(ys),
    leftMm: nearest(left, (o) => o.xMm + o.widthMm <= left),
    rightMm: nearest(wall.widthMm - right, (o) => o.xMm >= right),
    bottomMm: nearest(bottom, (o) => o.yMm + o.heightMm <= bottom),
    topMm: nearest(wall.heightMm - top, (o) => o.yMm >= top),
    edgeLeastMm: null,
    spacingLeastMm: null,
    // The hole is a little wider than its anchor: a little more is asked about than need be.
    diameterMm: k['hole for the anchor'],
  }));
}
