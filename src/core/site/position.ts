import { z } from 'zod';
import { quantity } from '../kernel/schema';

/** Metres in the site's own frame: x right, y up the plan, z height. */
export const positionSchema = z.object({
  xM: quantity(-1e5, 1e5, 'm', 'To the right'),
  yM: quantity(-1e5, 1e5, 'm', 'Up the plan'),
  zM: quantity(-1e3, 1e4, 'm', 'Height'),
});
export type Position = z.infer<typeof positionSchema>;

/** The way between two places, m; null where both are one place: two things do not stand in one another, somebody has yet to say where. */
export function reckonedM(a: Position, b: Position): number | null {
  const way = wayM(a, b);
  return way > 0 ? way : null;
}

/** Straight through the air between two places, m. */
export const straightM = (a: Position, b: Position): number => Math.hypot(a.xM - b.xM, a.yM - b.yM, a.zM - b.zM);

/** Way along walls and trays between two places, m: |Δx| + |Δy| + |Δz| (common practice: cable turns square corners). */
export function wayM(a: Position, b: Position): number {
  return Math.abs(a.xM - b.xM) + Math.abs(a.yM - b.yM) + Math.abs(a.zM - b.zM);
}
