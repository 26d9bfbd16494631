/** In which order screws are tightened: crosswise, from the middle out. Passes at 30, 70 and 100 % and once round (ASME PCC-1; recalled). */

export const PASSES_PERCENT = [30, 70, 100] as const;
const MOST_SCREWS = 200;
/** After the passes: once round at the whole torque, in turn. */
const ROUND_PERCENT = 100;

function requireCount(n: number): void {
  if (!(Number.isInteger(n) && n >= 1 && n <= MOST_SCREWS))
    throw new RangeError(`screws must be 1 to ${MOST_SCREWS} (got ${n})`);
}

/**
 * Order round a ring of n screws, numbered clockwise from the top. Even: 1 and its opposite, then the one farthest from all that are tight (of equals the one
 * farthest from the last pair, then the lowest) and its opposite. Odd: every (n − 1)/2 th. Three in turn.
 */
export function ringOrder(n: number): number[] {
  requireCount(n);
  if (n % 2 === 1) {
    const step = n <= 3 ? 1 : (n - 1) / 2;
    return Array.from({ length: n }, (_, i) => ((i * step) % n) + 1);
  }
  const apart = (a: number, b: number) => Math.min((a - b + n) % n, (b - a + n) % n);
  const opposite = (a: number) => ((a - 1 + n / 2) % n) + 1;
  const order = [1, opposite(1)];
  while (order.length < n) {
    const free = Array.from({ length: n }, (_, i) => i + 1).filter((p) => !order.includes(p));
    const nearest = (p: number, to: readonly number[]) => Math.min(...to.map((q) => apart(p, q)));
    const next = free.reduce((best, p) => {
      const gain =
        nearest(p, order) - nearest(best, order) || nearest(p, order.slice(-2)) - nearest(best, order.slice(-2));
      return gain > 0 ? p : best;
    });
    order.push(next, opposite(next));
  }
  return order;
}

/** A screw of a plate, mm, y up. */
export interface ScrewPoint {
  readonly xMm: number;
  readonly yMm: number;
}

/**
 * Order over a plate, by number from 1: columns from the middle outward; in each the highest, of equals the left one, then the one nearest its image
 * through the middle, and so on.
 */
export function plateOrder(points: readonly ScrewPoint[]): number[] {
  requireCount(points.length);
  const [xs, ys] = [points.map((p) => p.xMm), points.map((p) => p.yMm)];
  const middle = { x: (Math.min(...xs) + Math.max(...xs)) / 2, y: (Math.min(...ys) + Math.max(...ys)) / 2 };
  const screws = points.map((p, i) => ({ number: i + 1, x: p.xMm - middle.x, y: p.yMm - middle.y }));
  const columns = [...new Set(screws.map((s) => Math.abs(s.x)))].sort((a, b) => a - b);
  return columns.flatMap((column) => {
    const left = screws.filter((s) => Math.abs(s.x) === column).sort((a, b) => b.y - a.y || a.x - b.x);
    const order: number[] = [];
    for (let first = left.shift(); first; first = left.shift()) {
      order.push(first.number);
      const image = { x: -first.x, y: -first.y };
      const away = (s: { x: number; y: number }) => Math.hypot(s.x - image.x, s.y - image.y);
      const [partner] = [...left].sort((a, b) => away(a) - away(b));
      if (!partner) continue;
      order.push(partner.number);
      left.splice(left.indexOf(partner), 1);
    }
    return order;
  });
}

export interface TighteningStep {
  /** From 1; the last one is the round. */
  readonly pass: number;
  /** Of the whole torque. */
  readonly percent: number;
  readonly round: boolean;
  /** Number of the screw, from 1. */
  readonly screw: number;
}

/** Every turn of the wrench over a plate, one after the other: the passes crosswise, then once round, clockwise from the upper left. */
export function tighteningSteps(points: readonly ScrewPoint[]): TighteningStep[] {
  const crosswise = plateOrder(points);
  const passes = PASSES_PERCENT.flatMap((percent, i) =>
    crosswise.map((screw): TighteningStep => ({ pass: i + 1, percent, round: false, screw })),
  );
  const last = { pass: PASSES_PERCENT.length + 1, percent: ROUND_PERCENT, round: true };
  return [...passes, ...clockwise(points).map((screw) => ({ ...last, screw }))];
}

/** Screws in turn, clockwise round their middle from the upper left, by number from 1. */
function clockwise(points: readonly ScrewPoint[]): number[] {
  const [xs, ys] = [points.map((p) => p.xMm), points.map((p) => p.yMm)];
  const middle = { x: (Math.min(...xs) + Math.max(...xs)) / 2, y: (Math.min(...ys) + Math.max(...ys)) / 2 };
  /** 0 straight left, rising clockwise. */
  const turn = (p: ScrewPoint) => (Math.atan2(p.yMm - middle.y, middle.x - p.xMm) + 2 * Math.PI) % (2 * Math.PI);
  return points
    .map((p, i) => ({ number: i + 1, at: turn(p) }))
    .sort((a, b) => a.at - b.at || a.number - b.number)
    .map((s) => s.number);
}
