import type { CableKind, Tray } from './plan';
import type { Position } from './position';
import { straightM, wayM } from './position';

/** The trays that carry one kind of cable, as a net: corners and joints, and what lies between them. */

/** Two trays are one way for a cable where they come as near as this, m (common practice: a cable is dressed over such a gap). */
export const JOINT_M = 0.3;

interface Leg {
  readonly tray: Tray;
  readonly a: Position;
  readonly b: Position;
}

/** A point of a leg: how far along it, 0…1. */
interface OnLeg {
  readonly leg: number;
  readonly t: number;
}

const between = (a: number, b: number, t: number) => a + (b - a) * t;
const clipped = (t: number) => Math.min(1, Math.max(0, t));
const at = ({ a, b }: Leg, t: number): Position => ({
  xM: between(a.xM, b.xM, t),
  yM: between(a.yM, b.yM, t),
  zM: between(a.zM, b.zM, t),
});
const AXES = ['xM', 'yM', 'zM'] as const;

/** Where a cable that turns square corners reaches a leg by the shortest way: the way is least at an end, or level with the point on one axis. */
function nearestOn(leg: Leg, p: Position): number {
  const level = AXES.flatMap((k) =>
    leg.a[k] === leg.b[k] ? [] : [clipped((p[k] - leg.a[k]) / (leg.b[k] - leg.a[k]))],
  );
  return [0, 1, ...level].reduce((best, t) => (wayM(p, at(leg, t)) < wayM(p, at(leg, best)) ? t : best), 0);
}

/**
 * The points of two legs that are nearest to each other. Two straight pieces are nearest at an end of one, or where both are inside:
 * the foot of the common perpendicular.
 */
function nearestPoints(p: Leg, q: Leg): readonly [number, number] {
  const d = (a: Position, b: Position) => ({ x: b.xM - a.xM, y: b.yM - a.yM, z: b.zM - a.zM });
  type V = ReturnType<typeof d>;
  const dot = (a: V, b: V) => a.x * b.x + a.y * b.y + a.z * b.z;
  const [u, v] = [d(p.a, p.b), d(q.a, q.b)];
  const w = d(q.a, p.a);
  const [uu, uv, vv, uw, vw] = [dot(u, u), dot(u, v), dot(v, v), dot(u, w), dot(v, w)];
  const foot = (leg: Leg, to: Position) => {
    const [along, off] = [d(leg.a, leg.b), d(leg.a, to)];
    return clipped(dot(along, off) / dot(along, along));
  };
  const ends: [number, number][] = [
    [0, foot(q, p.a)],
    [1, foot(q, p.b)],
    [foot(p, q.a), 0],
    [foot(p, q.b), 1],
  ];
  const across = uu * vv - uv * uv;
  if (across > 1e-12) {
    const [s, t] = [(uv * vw - vv * uw) / across, (uu * vw - uv * uw) / across];
    if (s >= 0 && s <= 1 && t >= 0 && t <= 1) ends.push([s, t]);
  }
  return ends.reduce((best, e) =>
    straightM(at(p, e[0]), at(q, e[1])) < straightM(at(p, best[0]), at(q, best[1])) ? e : best,
  );
}

interface Link {
  readonly to: number;
  readonly lengthM: number;
  readonly trayId: string | null;
}

/** Where a cable gets on or off the net. */
export interface Access extends OnLeg {
  readonly point: Position;
  /** From the thing to the tray, m, along the axes. */
  readonly offM: number;
}

/** What a way along the trays passes: points, ends included, and trays in order. */
export interface Passed {
  readonly points: readonly Position[];
  readonly trays: readonly string[];
}
/** A way along the trays. What it passes is looked up where somebody asks. */
export interface Along {
  readonly lengthM: number;
  readonly passed: () => Passed;
}

interface Step {
  readonly node: number;
  readonly trayId: string | null;
}
interface Shortest {
  readonly lengths: ReadonlyMap<number, number>;
  readonly before: ReadonlyMap<number, Step>;
}
/** So many things are remembered with where they get on the net. */
const KEPT = 10_000;

export class TrayNet {
  readonly #legs: readonly Leg[];
  readonly #points: Position[] = [];
  readonly #links: Link[][] = [];
  /** Joints and ends of each leg, in order along it. */
  readonly #onLeg: { readonly t: number; readonly node: number }[][];
  readonly #accesses = new Map<string, ReadonlyMap<number, Access>>();
  readonly #shortest = new Map<number, Shortest>();
  /** Which connected piece of the net a leg belongs to. */
  readonly #piece: readonly number[];

  constructor(trays: readonly Tray[], kind: CableKind) {
    this.#legs = trays
      .filter((tray) => tray.carries.includes(kind))
      .flatMap((tray) =>
        tray.points.slice(1).flatMap((b, i): Leg[] => {
          const a = tray.points[i] as Position;
          return wayM(a, b) > 0 ? [{ tray, a, b }] : [];
        }),
      );
    this.#onLeg = this.#legs.map(() => []);
    this.#legs.forEach((leg, i) => {
      this.#put({ leg: i, t: 0 });
      this.#put({ leg: i, t: 1 });
      this.#legs.slice(0, i).forEach((other, j) => {
        const [t, s] = nearestPoints(leg, other);
        const gapM = straightM(at(leg, t), at(other, s));
        if (gapM > JOINT_M) return;
        this.#link(this.#put({ leg: i, t }), this.#put({ leg: j, t: s }), gapM, null);
      });
    });
    this.#onLeg.forEach((nodes, i) => {
      nodes.sort((a, b) => a.t - b.t);
      nodes.slice(1).forEach(({ node }, k) => {
        const before = nodes[k]?.node as number;
        const m = straightM(this.#points[before] as Position, this.#points[node] as Position);
        this.#link(before, node, m, this.#legs[i]?.tray.id ?? null);
      });
    });
    this.#piece = this.#legs.map((_, i) => Math.min(...this.#reached(this.#onLeg[i]?.[0]?.node as number)));
  }

  #put({ leg, t }: OnLeg): number {
    const known = this.#onLeg[leg]?.find((n) => n.t === t);
    if (known) return known.node;
    const node = this.#points.push(at(this.#legs[leg] as Leg, t)) - 1;
    this.#links.push([]);
    this.#onLeg[leg]?.push({ t, node });
    return node;
  }

  #link(a: number, b: number, lengthM: number, trayId: string | null): void {
    if (a === b) return;
    this.#links[a]?.push({ to: b, lengthM, trayId });
    this.#links[b]?.push({ to: a, lengthM, trayId });
  }

  #reached(from: number): ReadonlySet<number> {
    const seen = new Set([from]);
    for (const node of seen) for (const { to } of this.#links[node] ?? []) seen.add(to);
    return seen;
  }

  /** Where the way from a thing to each connected piece of the net is shortest. Kept: things stand still between two questions. */
  accesses(p: Position): ReadonlyMap<number, Access> {
    const key = `${p.xM} ${p.yM} ${p.zM}`;
    const known = this.#accesses.get(key);
    if (known) return known;
    const best = new Map<number, Access>();
    this.#legs.forEach((leg, i) => {
      const t = nearestOn(leg, p);
      const point = at(leg, t);
      const offM = wayM(p, point);
      const piece = this.#piece[i] as number;
      if (offM < (best.get(piece)?.offM ?? Infinity)) best.set(piece, { leg: i, t, point, offM });
    });
    if (this.#accesses.size >= KEPT) this.#accesses.clear();
    this.#accesses.set(key, best);
    return best;
  }

  /** The shortest way along the net between two points of one connected piece of it. */
  along(from: Access, to: Access): Along {
    const onOneM = from.leg === to.leg ? straightM(from.point, to.point) : Infinity;
    let best: { lengthM: number; first: number; last: number } | null = null;
    for (const first of this.#neighbours(from)) {
      const { lengths } = this.#shortestFrom(first.node);
      for (const last of this.#neighbours(to)) {
        const lengthM = first.m + (lengths.get(last.node) ?? Infinity) + last.m;
        if (!best || lengthM < best.lengthM) best = { lengthM, first: first.node, last: last.node };
      }
    }
    if (!best || onOneM <= best.lengthM)
      return { lengthM: onOneM, passed: () => ({ points: [from.point, to.point], trays: [this.#trayOf(from)] }) };
    const { lengthM, first, last } = best;
    return { lengthM, passed: () => this.#passed(from, first, last, to) };
  }

  #passed(from: Access, first: number, last: number, to: Access): Passed {
    const { before } = this.#shortestFrom(first);
    const points = [to.point];
    const trays = [this.#trayOf(to)];
    for (let node = last; ;) {
      points.unshift(this.#points[node] as Position);
      const step = before.get(node);
      if (!step) break;
      if (step.trayId !== null) trays.unshift(step.trayId);
      node = step.node;
    }
    return { points: [from.point, ...points], trays: [...new Set([this.#trayOf(from), ...trays])] };
  }

  #trayOf({ leg }: Access): string {
    return this.#legs[leg]?.tray.id ?? '';
  }

  /** The joints or ends before and after a point of a leg. */
  #neighbours({ leg, t, point }: Access): { readonly node: number; readonly m: number }[] {
    const nodes = this.#onLeg[leg] ?? [];
    const near = [nodes.filter((n) => n.t <= t).at(-1), nodes.find((n) => n.t >= t)].filter((n) => n !== undefined);
    return near.map(({ node }) => ({ node, m: straightM(point, this.#points[node] as Position) }));
  }

  /** Shortest lengths from a joint to all others it is joined with, and the step before each (Dijkstra). */
  #shortestFrom(from: number): Shortest {
    const known = this.#shortest.get(from);
    if (known) return known;
    const lengths = new Map<number, number>();
    const before = new Map<number, Step>();
    const open = new Map([[from, 0]]);
    while (open.size) {
      const [node, m] = [...open].reduce((a, b) => (b[1] < a[1] ? b : a));
      open.delete(node);
      lengths.set(node, m);
      for (const { to, lengthM, trayId } of this.#links[node] ?? []) {
        if (lengths.has(to) || (open.get(to) ?? Infinity) <= m + lengthM) continue;
        open.set(to, m + lengthM);
        before.set(to, { node, trayId });
      }
    }
    const found = { lengths, before };
    this.#shortest.set(from, found);
    return found;
  }
}
