import type { Entry, Scope } from '../entry';
import type { Known } from './apply';
import { Application } from './apply';
import type { Chain, Item } from './items';
import { Moment } from './state';
import type { PartKey } from './state';

/** Kinds that move no gate: they commute with everything. */
const SILENT: ReadonlySet<string> = new Set(['open-point', 'signature', 'work']);

/** What an item can touch: everything, a unit with its strings, or one string of a unit; two that share nothing commute. */
interface Touch {
  readonly everything: boolean;
  readonly units: readonly string[];
  readonly string: string | null;
}

/** Orders tried where clocks leave the order open; past this the gates concerned are taken as open until proved anew. */
const ORDERS_MOST = 4000;
/** States kept side by side; past this they are taken together as the worst of them. */
const STATES_MOST = 64;

const LEFT_OPEN = 'the clocks leave the order of the work open';

/** Items in one order that fits, with what else they allow. */
export class Replay {
  /** By earliest time; chains and names in their order. */
  readonly items: readonly Item[];
  #states: Application[];
  /** Parts that differ between the states. */
  #apart = new Set<PartKey>();
  #next = 0;

  constructor(
    readonly known: Known,
    chains: readonly Chain[],
    private readonly unitsOf: (scope: Scope, id: string) => readonly string[],
  ) {
    this.items = inOneOrder(chains);
    this.items.forEach((item, i) => (item.place = i));
    this.#states = [new Application(known, Moment.blank())];
  }

  /** Every state that some possible order leads to. */
  run(): readonly Application[] {
    for (; this.#next < this.items.length; this.#next++) {
      const item = this.items[this.#next] as Item;
      if (item.done) continue;
      const open = this.#conflicts(item);
      if (open) this.#everyOrder(this.#closure([item, ...open]));
      else this.#apply(item);
    }
    return this.#states;
  }

  readonly #touches = new Map<Item, Touch>();
  #touch(item: Item): Touch {
    const known = this.#touches.get(item) ?? touchOf(item.entry, this.unitsOf);
    this.#touches.set(item, known);
    return known;
  }

  /** Items not done that may have come before this one and do not commute with it. */
  #conflicts(item: Item): Item[] | null {
    let found: Item[] | null = null;
    for (let i = this.#next; i < this.items.length; i++) {
      const other = this.items[i] as Item;
      if (other.lo > item.hi) break;
      if (other === item || other.done || other.chain === item.chain || !this.#dependent(item, other)) continue;
      if (!this.#ordered(item, other)) (found ??= []).push(other);
    }
    return found;
  }

  #dependent(a: Item, b: Item): boolean {
    const [x, y] = [this.#touch(a), this.#touch(b)];
    if (x.everything || y.everything)
      return (x.everything || x.units.length > 0) && (y.everything || y.units.length > 0);
    if (!x.units.some((u) => y.units.includes(u))) return false;
    return x.string === null || y.string === null || x.string === y.string;
  }

  /** Whether two items have an order by their chain, or by what names what, or by time. */
  #ordered(a: Item, b: Item): boolean {
    return this.#precedes(a, b) || this.#precedes(b, a);
  }

  #precedes(a: Item, b: Item): boolean {
    if (a.hi < b.lo) return true;
    if (a.lo > b.hi) return false;
    const look: Item[] = [b];
    const seen = new Set<Item>();
    while (look.length) {
      const item = look.pop() as Item;
      for (const p of [item.before, ...item.after])
        if (p && !seen.has(p) && p.place >= a.place) {
          if (p === a || a.hi < p.lo) return true;
          seen.add(p);
          look.push(p);
        }
    }
    return false;
  }

  /** The conflict with everything that conflicts with it, and all that must come before any of it. */
  #closure(seed: readonly Item[]): Item[] {
    const all = new Set(seed);
    for (const item of all) {
      for (const other of this.#conflicts(item) ?? []) all.add(other);
      for (let i = this.#next; i < this.items.length; i++) {
        const other = this.items[i] as Item;
        if (other.lo > item.lo) break;
        if (!other.done && this.#precedes(other, item)) all.add(other);
      }
    }
    return [...all].sort((a, b) => a.place - b.place);
  }

  /** Every order that a set of items allows, from every state so far. */
  #everyOrder(items: readonly Item[]): void {
    const precedes = items.map((b) => items.map((a) => a !== b && this.#precedes(a, b)));
    const all = 2n ** BigInt(items.length) - 1n;
    let front = new Map<bigint, Application[]>([[0n, this.#states.map((s) => this.#watched(s))]]);
    let tried = 0;
    for (let count = 0; count < items.length; count++) {
      const next = new Map<bigint, Application[]>();
      for (const [done, states] of front) {
        const undone = items.map((_, i) => i).filter((i) => !(done & (1n << BigInt(i))));
        const ready = undone.filter((i) => !undone.some((j) => precedes[i]?.[j]));
        const alone = ready.find(
          (i) =>
            !undone.some((j) => j !== i && !precedes[j]?.[i] && this.#dependent(items[i] as Item, items[j] as Item)),
        );
        for (const i of alone === undefined ? ready : [alone]) {
          const key = done | (1n << BigInt(i));
          const into = next.get(key) ?? [];
          next.set(key, into);
          for (const state of states) {
            if (++tried > ORDERS_MOST) return this.#givenUp(items);
            const moved = state.fork();
            moved.item(items[i] as Item);
            into.push(moved);
          }
        }
      }
      front = new Map([...next].map(([key, states]) => [key, this.#distinct(states)]));
    }
    this.#settle(items, front.get(all) ?? []);
  }

  #watched(state: Application): Application {
    const twin = state.fork();
    twin.moment.touched = new Set(this.#apart);
    return twin;
  }

  #distinct(states: readonly Application[]): Application[] {
    if (states.length < 2) return [...states];
    const keys = new Set(states.flatMap((s) => [...(s.moment.touched ?? [])]));
    const found = new Map<string, Application>();
    for (const s of states) {
      const text = s.moment.text(keys);
      if (!found.has(text)) found.set(text, s);
    }
    return [...found.values()];
  }

  #settle(items: readonly Item[], states: readonly Application[]): void {
    for (const item of items) item.done = true;
    this.#states = this.#together(this.#distinct(states));
    this.#apart =
      this.#states.length > 1 ? new Set(this.#states.flatMap((s) => [...(s.moment.touched ?? [])])) : new Set();
    for (const s of this.#states) s.moment.touched = this.#states.length > 1 ? new Set(this.#apart) : null;
  }

  /** Too many states to keep: one of them, with everything open in which they differ. */
  #together(states: readonly Application[]): Application[] {
    const [first] = states;
    if (!first || states.length <= STATES_MOST) return [...states];
    const one = first.fork();
    const live = new Set(states.flatMap((s) => s.moment.liveUnits(s.moment.touched ?? [])));
    one.leaveOpen(new Set(states.flatMap((s) => [...(s.moment.touched ?? [])])), LEFT_OPEN, live);
    return [one];
  }

  #apply(item: Item): void {
    for (const state of this.#states) state.item(item);
    item.done = true;
    if (this.#states.length > 1) this.#settle([], this.#states);
  }

  /** Too many orders to try: one is taken, and what it touched is open until it is proved anew. */
  #givenUp(items: readonly Item[]): void {
    for (const state of this.#states) {
      state.moment.touched = new Set(this.#apart);
      for (const item of items) state.item(item);
      state.leaveOpen(state.moment.touched, LEFT_OPEN, new Set());
    }
    this.#settle(items, this.#states);
  }
}

function touchOf(entry: Entry | null, unitsOf: (scope: Scope, id: string) => readonly string[]): Touch {
  if (entry === null) return { everything: true, units: [], string: null };
  if (SILENT.has(entry.kind)) return { everything: false, units: [], string: null };
  const { scope, id } = entry.subject;
  if (scope === 'site') return { everything: true, units: [], string: null };
  return { everything: false, units: unitsOf(scope, id), string: scope === 'string' ? id : null };
}

/** One order that fits: by earliest time, and of equals the chains in their sequence and the named before what names them. */
function inOneOrder(chains: readonly Chain[]): Item[] {
  const at = new Map<Item, number>();
  const all: Item[] = [];
  for (const chain of chains) for (const item of chain) at.set(item, all.push(item));
  all.sort((a, b) => a.lo - b.lo || a.chain - b.chain || (at.get(a) ?? 0) - (at.get(b) ?? 0));
  return all.some((i) => i.after.length > 0 || i.lo === i.before?.lo) ? namedFirst(all) : all;
}

/** Moves an item behind what it names where both have the same earliest time; a circle of names is cut where it is first met. */
function namedFirst(sorted: readonly Item[]): Item[] {
  const out: Item[] = [];
  const met = new Set<Item>();
  const place = (item: Item): void => {
    if (met.has(item)) return;
    met.add(item);
    if (item.before) place(item.before);
    for (const named of item.after) place(named);
    out.push(item);
  };
  for (const item of sorted) place(item);
  return out;
}
