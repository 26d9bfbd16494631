import type { Plan, Tray } from '../site/plan';
import type { Position } from '../site/position';
import { straightM } from '../site/position';
import type { Way } from '../site/way';
import type { Segment } from './part';

/** Two points are one where a drawing cannot tell them apart, m. */
const ONE_POINT_M = 1e-6;

const between = (p: Position, q: Position): Position => ({
  xM: (p.xM + q.xM) / 2,
  yM: (p.yM + q.yM) / 2,
  zM: (p.zM + q.zM) / 2,
});

/** Whether a point lies on a tray: on the straight way between two of its corners. */
const liesOn = ({ points }: Tray, p: Position): boolean =>
  points.slice(1).some((b, i) => {
    const a = points[i] as Position;
    return straightM(a, p) + straightM(p, b) - straightM(a, b) < ONE_POINT_M;
  });

/** Nothing is known yet of how a cable lies there. */
export const newSegment = (name: string, lengthM: number | null): Segment => ({
  name,
  lengthM,
  method: null,
  arrangement: null,
  otherCircuits: null,
  ambientC: null,
  sunOnCable: null,
  soilKmPerW: null,
  depthM: null,
  ductDiameterMm: null,
  roofGapMm: null,
});

/**
 * Pieces of a way, one a tray, with the metres along it as the plan has them; what is already known of a piece by its name stays. What lies
 * on no tray is the rest of the way.
 */
export function planSegments(plan: Pick<Plan, 'trays'>, way: Way, before: readonly Segment[]): Segment[] {
  const legs = way.points.slice(1).map((b, i) => ({ a: way.points[i] as Position, b }));
  return plan.trays
    .filter(({ id }) => way.trays.includes(id))
    .map((tray) => {
      const metres = legs
        .filter(({ a, b }) => liesOn(tray, between(a, b)))
        .reduce((m, { a, b }) => m + straightM(a, b), 0);
      const lengthM = Math.max(0.1, Math.round(10 * metres) / 10);
      const known = before.find((s) => s.name === tray.label);
      return known ? { ...known, lengthM } : newSegment(tray.label, lengthM);
    });
}
