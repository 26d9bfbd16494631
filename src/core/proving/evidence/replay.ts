import type { Entry } from '../entry';
import { STEP } from '../kinds/step';
import { isOff } from '../tables/energiseOrders';
import type { Known } from './applied';
import { Application } from './apply';
import type { Item } from './items';
import { chainsOf } from './items';
import type { UnitsOf } from './ordering';
import { Touching, inOneOrder, precedes } from './ordering';
import { Moment } from './state';
import type { PartKey } from './state';
import { timeOf } from './times';
import { leaveOpen } from './withdraw';

/** Orders tried where clocks leave the order open; past this the gates concerned are taken as open until proved anew. */
const ORDERS_MOST = 4000;
/** States kept side by side; past this they are taken together as the worst of them. */
const STATES_MOST = 64;

const LEFT_OPEN = 'the clocks leave the order of the work open';

/** A place at which the replay can be taken up again: everything before it is done, and nothing after. */
interface Checkpoint {
  readonly at: number;
  /** Latest that anything before it can have been, ms. */
  readonly hi: number;
  readonly states: readonly Moment[];
  readonly apart: ReadonlySet<PartKey>;
  /** Earliest time at which each device goes on. */
  readonly floors: ReadonlyMap<string, number>;
}
/** Items between two checkpoints at the end of the log, where most news lands, and the share of what comes behind that they lie apart further back: each holds a copy of the site. */
export interface Spacing {
  readonly least: number;
  readonly share: number;
}
const SPACING: Spacing = { least: 128, share: 1 / 4 };

/** What came to be known since a replay. */
export interface News {
  readonly entries: readonly Entry[];
  /** Midnights at which something lapses that did not before, ms. */
  readonly ticksMs: readonly number[];
  /** Entries of before that say something else now. */
  readonly changed: readonly Entry[];
}

/** Items in one order that fits, with what else they allow. */
export class Replay {
  #states: Application[];
  /** Parts that differ between the states. */
  #apart: Set<PartKey>;
  #next: number;
  /** Last place of what is done. */
  #furthest: number;
  readonly #floors: Map<string, number>;
  /** So many items apart, and one behind the last item. */
  readonly #checkpoints: Checkpoint[];
  readonly #end: Checkpoint;
  readonly #touching: Touching;

  private constructor(
    readonly known: Known,
    private readonly unitsOf: UnitsOf,
    /** By earliest time; chains and names in their order. */
    readonly items: readonly Item[],
    from: Checkpoint,
    earlier: readonly Checkpoint[],
    private readonly spacing: Spacing,
  ) {
    this.#checkpoints = [...earlier];
    this.#touching = new Touching(unitsOf);
    this.#next = from.at;
    this.#furthest = from.at - 1;
    this.#states = from.states.map((s) => new Application(known, s.fork()));
    this.#apart = new Set(from.apart);
    this.#floors = new Map(from.floors);
    for (let i = from.at; i < items.length; i++) (items[i] as Item).place = i;
    this.#end = this.#run(from.hi);
  }

  /** From the first item on. */
  static whole(
    known: Known,
    entries: readonly Entry[],
    ticksMs: readonly number[],
    unitsOf: UnitsOf,
    spacing = SPACING,
  ): Replay {
    const items = inOneOrder(chainsOf(entries, known.releases, ticksMs));
    const start = { at: 0, hi: -Infinity, states: [Moment.blank()], apart: new Set<PartKey>(), floors: new Map() };
    return new Replay(known, unitsOf, items, start, [start], spacing);
  }

  /** Taken up again before the first item that the news concerns: what is surely before it neither moves nor is moved, whatever the clocks behind it say. */
  resumed(known: Known, news: News): Replay {
    const from = this.#concernedFrom(news);
    const start = [...this.#checkpoints, this.#end].findLast((c) => c.hi < from) as Checkpoint;
    const { at } = start;
    const tail = this.items.slice(at);
    const entries = [...tail.flatMap((i) => i.entry ?? []), ...news.entries];
    const ticks = new Set([...tail.flatMap((i) => i.tickMs ?? []), ...news.ticksMs]);
    const releases = tail.flatMap((i) => i.release ?? []);
    const after = inOneOrder(chainsOf(entries, releases, [...ticks], start.floors));
    for (const { id } of entries) known.notes.delete(id);
    const items = this.items.slice(0, at).concat(after);
    const earlier = this.#checkpoints.filter((c) => c.at <= at);
    return new Replay(known, this.unitsOf, items, start, earlier, this.spacing);
  }

  /** Earliest time that the news concerns, ms: what is surely before it stays as it is. */
  #concernedFrom({ entries, ticksMs, changed }: News): number {
    let from = Math.min(Infinity, ...ticksMs);
    // A device goes on where it stopped, unless mail came late: then what it wrote after is looked at again.
    const least = new Map<string, number>();
    for (const entry of entries) {
      const [atMs, uncertainMs] = timeOf(entry);
      from = Math.min(from, atMs - uncertainMs);
      const { device } = entry;
      if (device) least.set(device.id, Math.min(device.seq, least.get(device.id) ?? Infinity));
    }
    const wanted = new Set(changed.map((e) => e.id));
    for (const id of least.keys()) if (!this.#floors.has(id)) least.delete(id);
    for (let i = this.items.length - 1; i >= 0 && least.size + wanted.size > 0; i--) {
      const { entry, lo } = this.items[i] as Item;
      if (!entry) continue;
      if (wanted.delete(entry.id)) from = Math.min(from, lo);
      const { device } = entry;
      const seq = device ? least.get(device.id) : undefined;
      if (!device || seq === undefined) continue;
      if (device.seq >= seq) from = Math.min(from, lo);
      else least.delete(device.id);
    }
    return from;
  }

  /** Every state that some possible order leads to. */
  get states(): readonly Application[] {
    return this.#states;
  }

  #run(hi: number): Checkpoint {
    let latest = hi;
    for (; this.#next < this.items.length; this.#next++) {
      const last = this.#checkpoints.at(-1)?.at ?? 0;
      const { least, share } = this.spacing;
      const apart = Math.max(least, share * (this.items.length - this.#next));
      if (this.#next - last >= apart && this.#furthest < this.#next) this.#checkpoints.push(this.#here(latest));
      const item = this.items[this.#next] as Item;
      latest = Math.max(latest, item.hi);
      if (item.entry?.device) this.#floors.set(item.entry.device.id, item.earliestMs);
      if (item.done) continue;
      const open = this.#conflicts(item);
      if (open) this.#everyOrder(this.#closure([item, ...open]));
      else this.#apply(item);
    }
    return this.#here(latest);
  }

  #here(hi: number): Checkpoint {
    const states = this.#states.map((s) => s.moment.fork());
    return { at: this.#next, hi, states, apart: new Set(this.#apart), floors: new Map(this.#floors) };
  }

  /** Items that may have come before this one and do not commute with it. None of them is done: it would have taken this one along. */
  #conflicts(item: Item): Item[] | null {
    let found: Item[] | null = null;
    for (let i = this.#next; i < this.items.length; i++) {
      const other = this.items[i] as Item;
      if (other.lo > item.hi) break;
      if (other === item || !this.#touching.dependent(item, other)) continue;
      if (!precedes(item, other) && !precedes(other, item)) (found ??= []).push(other);
    }
    return found;
  }

  /** The conflict with everything that conflicts with it, and all that must come before any of it. */
  #closure(seed: readonly Item[]): Item[] {
    const all = new Set(seed);
    for (const item of all) {
      for (const other of this.#conflicts(item) ?? []) all.add(other);
      for (let i = this.#next; i < this.items.length; i++) {
        const other = this.items[i] as Item;
        if (other.lo > item.lo) break;
        if (!other.done && precedes(other, item)) all.add(other);
      }
    }
    return [...all].sort((a, b) => a.place - b.place);
  }

  /** Every order that a set of items allows, from every state so far. */
  #everyOrder(items: readonly Item[]): void {
    const before = items.map((b) => items.map((a) => a !== b && precedes(a, b)));
    const all = 2n ** BigInt(items.length) - 1n;
    let front = new Map<bigint, Application[]>([[0n, this.#states.map((s) => this.#watched(s))]]);
    let tried = 0;
    for (let count = 0; count < items.length; count++) {
      const next = new Map<bigint, Application[]>();
      for (const [done, states] of front) {
        const undone = items.map((_, i) => i).filter((i) => !(done & (1n << BigInt(i))));
        const ready = undone.filter((i) => !undone.some((j) => before[i]?.[j]));
        const alone = ready.find(
          (i) =>
            !undone.some(
              (j) => j !== i && !before[j]?.[i] && this.#touching.dependent(items[i] as Item, items[j] as Item),
            ),
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
    return [...new Map(states.map((s) => [s.moment.text(keys), s])).values()];
  }

  #settle(items: readonly Item[], states: readonly Application[]): void {
    for (const item of items) this.#done(item);
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
    leaveOpen(one, new Set(states.flatMap((s) => [...(s.moment.touched ?? [])])), LEFT_OPEN, live);
    return [one];
  }

  #apply(item: Item): void {
    for (const state of this.#states) state.item(item);
    this.#done(item);
    if (this.#states.length > 1) this.#settle([], this.#states);
  }

  #done(item: Item): void {
    item.done = true;
    this.#furthest = Math.max(this.#furthest, item.place);
  }

  /** Too many orders to try: one is taken, and what it touched is open until it is proved anew. */
  #givenUp(items: readonly Item[]): void {
    for (const state of this.#states) {
      state.moment.touched = new Set(this.#apart);
      for (const item of items) state.item(item);
      leaveOpen(state, state.moment.touched, LEFT_OPEN, switchedOn(items));
    }
    this.#settle(items, this.#states);
  }
}

/** Units at which some of these may have switched something on last. */
const switchedOn = (items: readonly Item[]): ReadonlySet<string> =>
  new Set(
    items.flatMap(({ entry }) => (entry && STEP.is(entry) && !isOff(entry.values.order) ? [entry.subject.id] : [])),
  );
