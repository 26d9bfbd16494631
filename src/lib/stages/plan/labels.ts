import type { Thing, ThingKind } from '$core/design/planThings';
import { bodyOf, middleOf, pointsOnScreen, stepOf } from './glyphs';
import type { PlanView } from './planView';

/** Where the names of things stand on the screen, so that none lies on another. */

export interface Label {
  readonly x: number;
  readonly y: number;
  readonly anchor: 'start' | 'middle' | 'end';
}
interface Box {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

/** Width of a letter and height of a line of the labels' type, px, on the safe side. */
const LETTER_PX = 6.6;
const LINE_PX = 14;
/** Depth of a unit off its wall, m, as it is drawn; no thinner than it can be hit, px. */
export const deepPx = (view: PlanView) => Math.max(9, 0.35 * view.k);

/** Length of the arrow that shows the way a plane faces, px. */
export const ARROW_PX = 26;

/** Who is named first where there is no room for all. */
const FIRST: readonly ThingKind[] = ['board', 'spot', 'wall', 'plane', 'device', 'room', 'tray'];

const apart = (a: Box, b: Box) => a.right < b.left || b.right < a.left || a.bottom < b.top || b.bottom < a.top;
const around = (points: readonly { readonly x: number; readonly y: number }[], by: number): Box => ({
  left: Math.min(...points.map((p) => p.x)) - by,
  right: Math.max(...points.map((p) => p.x)) + by,
  top: Math.min(...points.map((p) => p.y)) - by,
  bottom: Math.max(...points.map((p) => p.y)) + by,
});

function boxOf({ x, y, anchor }: Label, text: string): Box {
  const width = text.length * LETTER_PX;
  const left = anchor === 'start' ? x : anchor === 'end' ? x - width : x - width / 2;
  return { left, right: left + width, top: y - LINE_PX + 3, bottom: y + 3 };
}

/** Where a name may stand, best first: at a line beside its middle, in a room in its corners, at a point around it. */
function places(thing: Thing, view: PlanView): Label[] {
  const points = pointsOnScreen(view, thing, { xM: 0, yM: 0 });
  const m = middleOf(points);
  if (thing.kind === 'room') {
    const b = around(points, 0);
    return [
      { x: b.left + 5, y: b.top + 16, anchor: 'start' },
      { x: b.left + 5, y: b.bottom - 6, anchor: 'start' },
      { x: b.right - 5, y: b.bottom - 6, anchor: 'end' },
      { x: b.right - 5, y: b.top + 16, anchor: 'end' },
      { x: b.left, y: b.bottom + 15, anchor: 'start' },
      { x: b.right, y: b.bottom + 15, anchor: 'end' },
    ];
  }
  const beside = (p: { x: number; y: number }, off: number): Label[] => [
    { x: p.x, y: p.y - off, anchor: 'middle' },
    { x: p.x, y: p.y + off + 9, anchor: 'middle' },
    { x: p.x + off, y: p.y + 4, anchor: 'start' },
    { x: p.x - off, y: p.y + 4, anchor: 'end' },
  ];
  if (points.length < 2) return [13, 28, 44].flatMap((off) => beside(m, off));
  // Along a line: at the middle, then a quarter in, of each of its pieces.
  return points.slice(1).flatMap((b, i) => {
    const a = points[i] ?? b;
    return [0.5, 0.25, 0.75].flatMap((t) => beside({ x: a.x + (b.x - a.x) * t, y: a.y + (b.y - a.y) * t }, 12));
  });
}

/** What a thing covers itself, and the tag of a unit. */
function covered(thing: Thing, view: PlanView, tags: boolean): Box[] {
  const points = pointsOnScreen(view, thing, { xM: 0, yM: 0 });
  if (thing.kind === 'room') return [];
  if (thing.kind === 'unit') {
    const body = around(bodyOf(points, thing.facesDeg, deepPx(view)), 2);
    if (!tags || thing.facesDeg === null) return [body];
    const m = middleOf(points);
    const s = stepOf(thing.facesDeg);
    const long = thing.label.length * LETTER_PX + deepPx(view);
    return [body, around([m, { x: m.x + s.x * long, y: m.y + s.y * long }], 6)];
  }
  if (points.length === 1) return [around(points, 10)];
  if (thing.kind === 'plane' && thing.facesDeg !== null) {
    const m = middleOf(points);
    const s = stepOf(thing.facesDeg);
    const arrow = { x: m.x + s.x * ARROW_PX, y: m.y + s.y * ARROW_PX };
    return [around(points, 4), around([m, arrow], 6)];
  }
  return points.slice(1).map((b, i) => around([points[i] ?? b, b], 4));
}

/** The labels that have room, by the keys that `key` gives; the picked thing is named in any case. */
export function labelsOf(
  things: readonly Thing[],
  view: PlanView,
  key: (thing: Thing) => string,
  { picked, tags }: { readonly picked: string; readonly tags: boolean },
): ReadonlyMap<string, Label> {
  const taken = things.flatMap((t) => (t.shape.length ? covered(t, view, tags) : []));
  const rank = (t: Thing) => (key(t) === picked ? -1 : FIRST.indexOf(t.kind));
  const labels = new Map<string, Label>();
  const named = things.filter((t) => t.shape.length > 0 && (t.kind !== 'unit' || t.facesDeg === null));
  for (const thing of [...named].sort((a, b) => rank(a) - rank(b))) {
    const may = places(thing, view);
    const free = may.find((l) => taken.every((box) => apart(box, boxOf(l, thing.label))));
    const label = free ?? (key(thing) === picked ? may[0] : undefined);
    if (!label) continue;
    labels.set(key(thing), label);
    taken.push(boxOf(label, thing.label));
  }
  return labels;
}
