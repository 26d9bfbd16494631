import type { Obstruction, WallProblem, WallUnit } from './problem';
import { cableMm } from './problem';

/** Every place of the grid where a unit may hang by itself, cheapest first; of equal ones the left, then the lower. */
export interface Candidates {
  readonly xMm: Float64Array;
  readonly yMm: Float64Array;
  readonly cost: Float64Array;
}

/** Where a unit may hang without the others: inside the wall, over the floor mark, under the top, clear of everything that stands there. */
export function candidatesFor(problem: WallProblem, unit: WallUnit): Candidates {
  const { face, gridMm } = problem;
  const left = face.leftOpen ? 0 : unit.leftMm;
  const right = face.widthMm - (face.rightOpen ? 0 : unit.rightMm) - unit.widthMm;
  const bottom = Math.max(unit.bottomMm, face.floorMinMm);
  const top = Math.min(face.heightMm - unit.topMm, face.topMostMm ?? Number.POSITIVE_INFINITY) - unit.heightMm;
  const kept = problem.obstructions.map((o) => keptFree(unit, o));
  const places: { x: number; y: number; cost: number }[] = [];
  for (let x = Math.ceil(left / gridMm) * gridMm; x <= right; x += gridMm)
    for (let y = Math.ceil(bottom / gridMm) * gridMm; y <= top; y += gridMm) {
      if (kept.some((k) => x > k.fromX && x < k.toX && y > k.fromY && y < k.toY)) continue;
      places.push({ x, y, cost: unit.cableWeight * cableMm(problem, unit, { xMm: x, yMm: y }) });
    }
  places.sort((a, b) => a.cost - b.cost || a.x - b.x || a.y - b.y);
  return {
    xMm: Float64Array.from(places, (p) => p.x),
    yMm: Float64Array.from(places, (p) => p.y),
    cost: Float64Array.from(places, (p) => p.cost),
  };
}

/** Corners of the unit strictly inside of these are too near the obstruction. */
function keptFree(unit: WallUnit, o: Obstruction) {
  const way = (clearanceMm: number) => (o.blocksAir ? Math.max(clearanceMm, o.marginMm) : o.marginMm);
  return {
    fromX: o.xMm - way(unit.rightMm) - unit.widthMm,
    toX: o.xMm + o.widthMm + way(unit.leftMm),
    fromY: o.yMm - way(unit.topMm) - unit.heightMm,
    toY: o.yMm + o.heightMm + way(unit.bottomMm),
  };
}
