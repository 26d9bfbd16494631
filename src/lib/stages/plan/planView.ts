import type { Thing } from '$core/design/planThings';
import type { Position } from '$core/site/position';

/** How the plan lies on the screen: px a metre, and where its origin is. The plan grows upwards, the screen downwards. */
export interface PlanView {
  readonly k: number;
  readonly x: number;
  readonly y: number;
}

/** Rules that rest on a length of the plan. */
export const LENGTH_RULES: readonly string[] = [
  'strings.home-run-drop',
  'ac.voltage-rise',
  'ac.terminal-voltage',
  'links.length',
];

type Flat = Pick<Position, 'xM' | 'yM'>;

export const toScreen = ({ k, x, y }: PlanView, p: Flat) => ({ x: x + k * p.xM, y: y - k * p.yM });
export const toPlan = ({ k, x, y }: PlanView, px: { readonly x: number; readonly y: number }): Flat => ({
  xM: (px.x - x) / k,
  yM: (y - px.y) / k,
});

/** Everything on screen with a margin, no closer than 60 px a metre; a plan with nothing on it shows 40 m. */
export function fitted(points: readonly Flat[], widthPx: number, heightPx: number): PlanView {
  const xs = points.map((p) => p.xM);
  const ys = points.map((p) => p.yM);
  const [left, right] = points.length ? [Math.min(...xs), Math.max(...xs)] : [-20, 20];
  const [low, high] = points.length ? [Math.min(...ys), Math.max(...ys)] : [-10, 10];
  const MARGIN_PX = 56;
  const k = Math.min(
    60,
    Math.max(1, widthPx - 2 * MARGIN_PX) / Math.max(right - left, 4),
    Math.max(1, heightPx - 2 * MARGIN_PX) / Math.max(high - low, 4),
  );
  return { k, x: widthPx / 2 - (k * (left + right)) / 2, y: heightPx / 2 + (k * (low + high)) / 2 };
}

/** A step of the arrow keys and of the pointer, m; with Shift a fine one. */
export const STEP_M = 0.1;
export const FINE_M = 0.01;
const KEY_STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** In whole millimetres: what is dragged or stepped has no dust behind it. */
const toMm = (m: number) => Math.round(m * 1000) / 1000;

/** Where an arrow key sends a place; null for other keys. */
export function keyed<P extends Flat>(key: string, fine: boolean, from: P): P | null {
  const step = KEY_STEPS[key];
  const m = fine ? FINE_M : STEP_M;
  return step ? { ...from, xM: toMm(from.xM + step[0] * m), yM: toMm(from.yM + step[1] * m) } : null;
}

/** A place on the grid of a step, or in line with another thing where it comes near; with the lines it was drawn to. */
export interface Snapped {
  readonly xM: number;
  readonly yM: number;
  readonly alongX: boolean;
  readonly alongY: boolean;
}
/** How near a thing in line has to be to draw, px. */
const DRAW_PX = 6;

export function snapped(view: PlanView, p: Flat, others: readonly Flat[], fine: boolean): Snapped {
  const within = DRAW_PX / view.k;
  const m = fine ? FINE_M : STEP_M;
  const drawn = (at: number, of: readonly number[]) =>
    fine
      ? null
      : of.reduce<number | null>(
          (best, o) =>
            Math.abs(o - at) <= within && (best === null || Math.abs(o - at) < Math.abs(best - at)) ? o : best,
          null,
        );
  const onGrid = (at: number) => toMm(Math.round(at / m) * m);
  const x = drawn(
    p.xM,
    others.map((o) => o.xM),
  );
  const y = drawn(
    p.yM,
    others.map((o) => o.yM),
  );
  return { xM: x ?? onGrid(p.xM), yM: y ?? onGrid(p.yM), alongX: x !== null, alongY: y !== null };
}

/** The longest round length, m, that a scale bar of at most so many px shows: 1, 2 or 5 times a power of ten. */
export function scaleBarM(k: number, mostPx: number): number {
  const most = mostPx / k;
  const tens = 10 ** Math.floor(Math.log10(most));
  return tens * ([5, 2, 1].find((n) => n * tens <= most) ?? 1);
}

/** Points of other things that one may be drawn in line with. */
export const pointsOf = (things: readonly Thing[], but: Thing | null): Flat[] =>
  things.filter((t) => t !== but && !(t.kind === but?.kind && t.id === but.id)).flatMap((t) => t.shape);
