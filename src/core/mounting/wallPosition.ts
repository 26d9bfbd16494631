import { onPlanDeg } from '../site/plan';
import type { Plan } from '../site/plan';
import type { Position } from '../site/position';
import type { MountingDesign, Wall } from './part';

/**
 * A point of a wall on the site, m: x along the wall to the right as one stands before it, y up.
 * A wall that faces a, clockwise from straight up the plan, runs to the right along (−cos a, sin a). Null where nobody said where the wall stands.
 */
export function onSite(plan: Pick<Plan, 'northDeg'>, wall: Wall, xMm: number, yMm: number): Position | null {
  if (wall.origin === null || wall.facesDeg === null) return null;
  const a = (onPlanDeg(plan, wall.facesDeg) * Math.PI) / 180;
  const rounded = (m: number) => Math.round(m * 1000) / 1000;
  return {
    xM: rounded(wall.origin.xM - (Math.cos(a) * xMm) / 1000),
    yM: rounded(wall.origin.yM + (Math.sin(a) * xMm) / 1000),
    zM: rounded(wall.origin.zM + yMm / 1000),
  };
}

/** The design with every hung unit where its wall puts it: its terminals, at the middle of its lower edge. Lengths of every discipline follow. */
export function withPositions<D extends MountingDesign>(design: D): D {
  const places = new Map(design.hung.map((h) => [h.inverterId, h]));
  const walls = new Map(design.walls.map((w) => [w.id, w]));
  const types = new Map(design.equipment.inverters.map((t) => [t.id, t]));
  const inverters = design.inverters.map((unit) => {
    const hung = places.get(unit.id);
    const wall = hung && walls.get(hung.wallId);
    const position =
      wall && onSite(design.plan, wall, hung.xMm + (types.get(unit.typeId)?.body.widthMm ?? 0) / 2, hung.yMm);
    return position ? { ...unit, position } : unit;
  });
  return { ...design, inverters };
}
