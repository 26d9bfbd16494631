import type { CableKind, Plan } from './plan';
import { CABLE_KINDS } from './plan';
import type { Position } from './position';
import { reckonedM } from './position';
import type { Access, Along, Passed } from './trayNet';
import { TrayNet } from './trayNet';

/** The way of a cable from one place to another: its length before any slack, and the points it passes. */
export interface Way {
  readonly lengthM: number;
  readonly points: readonly Position[];
  /** Trays it lies on, in order; none: straight along the axes. */
  readonly trays: readonly string[];
}

/** A way over trays. Its points and trays are looked up where it is drawn: of two thousand ways one is. */
class TrayWay implements Way {
  readonly lengthM: number;
  #passed: Passed | null = null;

  constructor(
    private readonly from: Position,
    private readonly on: Access,
    private readonly along: Along,
    private readonly off: Access,
    private readonly to: Position,
  ) {
    this.lengthM = on.offM + along.lengthM + off.offM;
  }

  get points(): readonly Position[] {
    return [...corners(this.from, this.on.point), ...this.#found.points, ...corners(this.off.point, this.to)];
  }

  get trays(): readonly string[] {
    return this.#found.trays;
  }

  get #found(): Passed {
    return (this.#passed ??= this.along.passed());
  }
}

/** Square corners between two places, seen from above: to the side first, then up the plan, then up or down. */
function corners(a: Position, b: Position): Position[] {
  return [a, { ...a, xM: b.xM }, { ...b, zM: a.zM }, b];
}

/**
 * Ways on one plan. A cable goes by the trays that carry its kind: from where it stands to the nearest point of them, the shortest way
 * along them, off at the point nearest to where it ends; of several nets that do not meet, by the one that makes it shortest. Where no tray
 * carries its kind, or it would run along none, it goes straight: |Δx| + |Δy| + |Δz| (common practice: cable turns square corners).
 */
export class Ways {
  readonly #nets: Readonly<Record<CableKind, TrayNet>>;

  constructor(plan: Pick<Plan, 'trays'>) {
    const nets = CABLE_KINDS.map((kind) => [kind, new TrayNet(plan.trays, kind)] as const);
    this.#nets = Object.fromEntries(nets) as Record<CableKind, TrayNet>;
  }

  /** Null where both are one place: two things do not stand in one another, somebody has yet to say where. */
  between(kind: CableKind, a: Position, b: Position): Way | null {
    const straightM = reckonedM(a, b);
    if (straightM === null) return null;
    return this.#byTray(this.#nets[kind], a, b) ?? { lengthM: straightM, points: corners(a, b), trays: [] };
  }

  #byTray(net: TrayNet, a: Position, b: Position): Way | null {
    const off = net.accesses(b);
    const ways = [...net.accesses(a)].flatMap(([piece, on]): Way[] => {
      const leave = off.get(piece);
      const along = leave && net.along(on, leave);
      return along && along.lengthM > 0 ? [new TrayWay(a, on, along, leave, b)] : [];
    });
    return ways.reduce<Way | null>((best, w) => (best && best.lengthM <= w.lengthM ? best : w), null);
  }
}

const WAYS = new WeakMap<object, Ways>();

/** The ways of a plan, made once: plans are never changed in place. They rest on its trays alone. */
export function waysOf({ trays }: Pick<Plan, 'trays'>): Ways {
  const known = WAYS.get(trays);
  if (known) return known;
  const ways = new Ways({ trays });
  WAYS.set(trays, ways);
  return ways;
}
