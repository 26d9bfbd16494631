import type { Thing } from '$core/design/planThings';
import type { PlanView } from './planView';
import { toScreen } from './planView';

type Px = ReturnType<typeof toScreen>;

/** The points of a thing on the screen, moved along with what is held. */
export const pointsOnScreen = (view: PlanView, thing: Thing, by: { xM: number; yM: number }): Px[] =>
  thing.shape.map((p) => toScreen(view, { xM: p.xM + by.xM, yM: p.yM + by.yM }));

export const pathOf = (points: readonly Px[], closed = false): string =>
  points.map((p, i) => `${i ? 'L' : 'M'}${p.x.toFixed(1)} ${p.y.toFixed(1)}`).join('') + (closed ? 'Z' : '');

/** A direction on the plan as a step on the screen: straight up is none to the right and one up. */
export function stepOf(facesDeg: number): Px {
  const a = (facesDeg * Math.PI) / 180;
  return { x: Math.sin(a), y: -Math.cos(a) };
}

/** The middle of a thing on the screen. */
export function middleOf(points: readonly Px[]): Px {
  const sum = points.reduce((s, p) => ({ x: s.x + p.x, y: s.y + p.y }), { x: 0, y: 0 });
  return { x: sum.x / Math.max(points.length, 1), y: sum.y / Math.max(points.length, 1) };
}

/** A body against the wall behind it: a rectangle along its points, `deep` px to the way it faces. */
export function bodyOf(points: readonly Px[], facesDeg: number | null, deep: number): Px[] {
  const [a, b] = points;
  if (!a) return [];
  if (!b || facesDeg === null) {
    const h = deep / 2;
    return [
      { x: a.x - h, y: a.y - h },
      { x: a.x + h, y: a.y - h },
      { x: a.x + h, y: a.y + h },
      { x: a.x - h, y: a.y + h },
    ];
  }
  const s = stepOf(facesDeg);
  const out = (p: Px) => ({ x: p.x + s.x * deep, y: p.y + s.y * deep });
  return [a, b, out(b), out(a)];
}
