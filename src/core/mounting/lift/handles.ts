import type { Judged } from '../../kernel/judgement';
import { requirePositive, requireWithin } from '../../kernel/require';
import { within } from '../../kernel/rounding';

/** What hangs on each handle of a unit, kg, from where its centre of gravity really is. Positions in metres, seen from the front. */

export interface Point {
  readonly xM: number;
  readonly yM: number;
}

/** On two handles the unit swings where its centre of gravity lies farther than this beside their line, m (common practice). */
const SWING_M = 0.005;
/** One hand's load: up to here it holds, up to the second it is tight (common practice). */
export const HANDLE_GOOD_KG = 25;
export const HANDLE_MOST_KG = 50;
/** Slack of floating point in a share, kg. */
const EPS_KG = 1e-9;

export interface HandleShares {
  /** By handle, in the order given; negative where that corner goes slack or would have to be held down. */
  readonly sharesKg: readonly number[];
  /** The most that one handle may come to carry: of four, the largest share of any split with no handle pushed down. */
  readonly worstKg: number;
  readonly verdict: Judged;
}

/**
 * Loads on two, three or four handles.
 *   two: R1 = m·(x2 − xg)/(x2 − x1) along their line · three: moments, exact · four: m·(1/4 + α·X + β·Y) about the mean, least norm.
 * Four handles are one too many for statics: a hand that gives way leaves its share to others, so the worst split decides. ≤ 25 kg holds,
 * ≤ 50 kg is tight. Throws RangeError on another count, handles in one place or one line, and where nothing but pushing down would balance it.
 */
export function handleShares(massKg: number, handles: readonly Point[], centre: Point): HandleShares {
  requirePositive({ massKg }, 'massKg');
  if (handles.length === 2) return judged(ofTwo(massKg, handles as [Point, Point], centre));
  if (handles.length === 3) return judged(ofThree(massKg, handles as [Point, Point, Point], centre));
  if (handles.length === 4) {
    const shares = ofFour(massKg, handles, centre);
    return judged(shares, worstOfFour(handles, shares));
  }
  throw new RangeError(`handles must be two, three or four (got ${handles.length})`);
}

function judged(sharesKg: readonly number[], worstKg = Math.max(...sharesKg)): HandleShares {
  const lifts = sharesKg.some((kg) => kg < -EPS_KG);
  const verdict =
    lifts || !within(worstKg, HANDLE_MOST_KG) ? 'stop' : within(worstKg, HANDLE_GOOD_KG) ? 'holds' : 'tight';
  return { sharesKg, worstKg, verdict };
}

function ofTwo(massKg: number, [a, b]: [Point, Point], g: Point): number[] {
  const [dx, dy] = [b.xM - a.xM, b.yM - a.yM];
  const length = Math.hypot(dx, dy);
  if (!(length > 0)) throw new RangeError('handles must be apart (got two in one place)');
  const beside = Math.abs(dx * (g.yM - a.yM) - dy * (g.xM - a.xM)) / length;
  if (beside > SWING_M)
    throw new RangeError(
      `centre must be within ${SWING_M * 1000} mm of the line of two handles, or the unit swings (got ${(beside * 1000).toFixed(0)} mm)`,
    );
  const along = (dx * (g.xM - a.xM) + dy * (g.yM - a.yM)) / length ** 2;
  return [massKg * (1 - along), massKg * along];
}

/** Areas of the triangles with the centre of gravity for a corner, over the whole. */
function ofThree(massKg: number, [a, b, c]: [Point, Point, Point], g: Point): number[] {
  const area = (p: Point, q: Point, r: Point) => (q.xM - p.xM) * (r.yM - p.yM) - (q.yM - p.yM) * (r.xM - p.xM);
  const whole = area(a, b, c);
  if (!(Math.abs(whole) > 1e-9)) throw new RangeError('handles must not stand in one line (got three in one)');
  return [area(g, b, c), area(a, g, c), area(a, b, g)].map((part) => (massKg * part) / whole);
}

function ofFour(massKg: number, handles: readonly Point[], g: Point): number[] {
  const mean = { xM: average(handles.map((h) => h.xM)), yM: average(handles.map((h) => h.yM)) };
  const off = handles.map((h) => ({ x: h.xM - mean.xM, y: h.yM - mean.yM }));
  const sum = (f: (p: { x: number; y: number }) => number) => off.reduce((total, p) => total + f(p), 0);
  const [xx, xy, yy] = [sum((p) => p.x * p.x), sum((p) => p.x * p.y), sum((p) => p.y * p.y)];
  const det = xx * yy - xy * xy;
  if (!(det > 1e-12)) throw new RangeError('handles must not stand in one line (got four in one)');
  const [gx, gy] = [g.xM - mean.xM, g.yM - mean.yM];
  const [alpha, beta] = [(gx * yy - gy * xy) / det, (gy * xx - gx * xy) / det];
  return off.map((p) => massKg * (1 / 4 + alpha * p.x + beta * p.y));
}

/** The largest share over all splits of the load with no handle pushed down: the ends of the way along what statics leaves open. */
function worstOfFour(handles: readonly Point[], shares: readonly number[]): number {
  const way = leftOpen(handles);
  let [from, to] = [Number.NEGATIVE_INFINITY, Number.POSITIVE_INFINITY];
  way.forEach((n, i) => {
    const end = -(shares[i] as number) / n;
    if (n > 0) from = Math.max(from, end);
    else if (n < 0) to = Math.min(to, end);
    else if ((shares[i] as number) < -EPS_KG) from = Number.POSITIVE_INFINITY;
  });
  if (!(from <= to + EPS_KG))
    throw new RangeError(
      'centre must lie between the handles: no split holds the unit without one of them pushed down',
    );
  return Math.max(...[from, to].flatMap((t) => way.map((n, i) => (shares[i] as number) + t * n)));
}

/** The one change of four loads that keeps their sum and both moments: signed areas of the triangles of the other three. */
function leftOpen(handles: readonly Point[]): number[] {
  return handles.map((_, i) => {
    const [p, q, r] = handles.filter((_h, j) => j !== i) as [Point, Point, Point];
    const area = (q.xM - p.xM) * (r.yM - p.yM) - (q.yM - p.yM) * (r.xM - p.xM);
    return i % 2 === 0 ? area : -area;
  });
}

const average = (values: readonly number[]): number => values.reduce((sum, v) => sum + v, 0) / values.length;

/**
 * Two carriers on stairs: what the upper and the lower one hold, kg. Upper = m·(a − e·tan θ)/L.
 * L between the handles, a from the lower one to the centre of gravity, e its height over their line, m; θ slope of the stairs, 0…60°.
 */
export function stairShares(q: {
  readonly massKg: number;
  readonly apartM: number;
  readonly centreM: number;
  readonly aboveM: number;
  readonly slopeDeg: number;
}): { upperKg: number; lowerKg: number } {
  requirePositive(q, 'massKg', 'apartM');
  requireWithin('centreM', q.centreM, 0, q.apartM, 'm');
  requireWithin('slopeDeg', q.slopeDeg, 0, 60, '°');
  const upperKg = (q.massKg * (q.centreM - q.aboveM * Math.tan((q.slopeDeg * Math.PI) / 180))) / q.apartM;
  return { upperKg, lowerKg: q.massKg - upperKg };
}
