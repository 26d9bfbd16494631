import type { Device, Entry } from '../entry';
import type { Release } from './log';
import { timeOf } from './times';

/** The place of an item that has none yet. */
export const UNPLACED = -1;

/** Something that moves the evidence on: an entry, a release, or a midnight at which something lapses. */
export class Item {
  /** Items that it names, and so came after. */
  after: readonly Item[] = NOTHING;
  /** The one before it in its chain. */
  before: Item | null = null;
  /** Its place in the one order that is walked. */
  place = UNPLACED;
  done = false;
  /** Earliest time by everything before it in its chain, ms. */
  earliestMs = -Infinity;

  constructor(
    readonly entry: Entry | null,
    readonly release: Release | null,
    /** For a midnight: its moment, ms. */
    readonly tickMs: number | null,
    /** Earliest and latest it can have been, ms. */
    public lo: number,
    public hi: number,
    /** By its own clock, ms, whatever its sequence says. */
    readonly atMs: number,
    readonly uncertainMs: number,
  ) {}
}
const NOTHING: readonly Item[] = [];

/** Items that keep an order of their own: those of one device, or of the server's clock. */
export type Chain = readonly Item[];

function entryItem(entry: Entry): Item {
  const [t, u] = timeOf(entry);
  return new Item(entry, null, null, t - u, t + u, t, u);
}
const releaseItem = (release: Release): Item =>
  new Item(null, release, null, release.atMs, release.atMs, release.atMs, 0);
const tickItem = (atMs: number): Item => new Item(null, null, atMs, atMs, atMs, atMs, 0);

/** Ids of entries that an entry names: the one it corrects, accepts or waives. */
export function namedBy({ corrects, values }: Entry): readonly string[] {
  const { entryId } = values as { readonly entryId?: unknown };
  if (typeof entryId !== 'string') return corrects === null ? NO_NAMES : [corrects];
  return corrects === null ? [entryId] : [corrects, entryId];
}
const NO_NAMES: readonly string[] = [];

/**
 * Items in chains. A device keeps its own sequence whatever its clock says: an entry was no earlier than those before it and no later than
 * those after it, and where the clock contradicts that, it may have been anywhere between. What names another entry came after it. The
 * server's chain is the first. `a` came before `b` of another chain where a.hi < b.lo.
 * `floors`: earliest time at which the chain of a device goes on, where it began before these entries.
 */
export function chainsOf(
  entries: readonly Entry[],
  releases: readonly Release[],
  ticksMs: readonly number[],
  floors: ReadonlyMap<string, number> = NO_FLOORS,
): readonly Chain[] {
  const devices = new Map<string, Item[]>();
  const alone: Item[] = [];
  const naming: Item[] = [];
  const names = new Map<string, Item | null>();
  for (const entry of entries) {
    const item = entryItem(entry);
    const { device } = entry;
    const chain = device && devices.get(device.id);
    if (chain) chain.push(item);
    else if (device) devices.set(device.id, [item]);
    else alone.push(item);
    const ids = namedBy(entry);
    if (ids.length) naming.push(item);
    for (const id of ids) names.set(id, null);
  }
  const own = [
    ...alone.sort(byId).map((i) => [i]),
    ...[...devices].sort(byName).map(([, chain]) => chain.sort(bySequence)),
  ];
  for (const item of names.size ? own.flat() : []) if (names.has(entryOf(item).id)) names.set(entryOf(item).id, item);
  const letters = new Map(releases.map((r) => [r.letter, [releaseItem(r)]]));
  const server = [...[...letters.values()].flat(), ...ticksMs.map(tickItem)].sort(
    (a, b) => a.lo - b.lo || (a.release ? -1 : 1),
  );
  const chains: Item[][] = [server, ...own];
  for (const chain of own) for (const item of chain) item.after = released(item, letters);
  for (const item of naming) item.after = [...named(item, names), ...item.after];
  const floorOf = ([first]: Chain) => floors.get(first?.entry?.device?.id ?? '') ?? -Infinity;
  settleTimes(chains, chains.map(floorOf));
  for (const chain of chains) {
    let before: Item | null = null;
    for (const i of chain) {
      i.before = before;
      before = i;
    }
  }
  return chains;
}
const NO_FLOORS: ReadonlyMap<string, number> = new Map();

const entryOf = (item: Item): Entry => item.entry as Entry;
const byId = (a: Item, b: Item): number => (entryOf(a).id < entryOf(b).id ? -1 : 1);
const byName = ([a]: readonly [string, unknown], [b]: readonly [string, unknown]): number => (a < b ? -1 : 1);
const seqOf = (item: Item): number => (entryOf(item).device as Device).seq;
const bySequence = (a: Item, b: Item): number => seqOf(a) - seqOf(b) || byId(a, b);

/** The release that an entry names, where it is among these; entries of one release share the list. */
const released = ({ entry }: Item, letters: ReadonlyMap<string, readonly Item[]>): readonly Item[] =>
  letters.get(entry?.release ?? '') ?? NOTHING;

/** The entries that one names, where they are there. */
const named = (item: Item, names: ReadonlyMap<string, Item | null>): Item[] =>
  namedBy(entryOf(item)).flatMap((id) => {
    const other = names.get(id);
    return other && other !== item ? [other] : [];
  });

/** Brings the times of chains in line with their sequence and with what names what. */
function settleTimes(chains: readonly Item[][], floors: readonly number[]): void {
  const inSequence = () => chains.forEach((chain, c) => sequenced(chain, floors[c] as number));
  inSequence();
  const naming = chains.flatMap((chain) => chain.filter((i) => i.after.some((a) => a.hi > i.lo)));
  // Naming moves few and little; a chain of names is as long as a chain of corrections.
  for (let round = 0; round < 50; round++) {
    let moved = false;
    for (const item of naming)
      for (const other of item.after)
        if (other.lo > item.lo) {
          item.lo = other.lo;
          item.hi = Math.max(item.hi, item.lo);
          moved = true;
        }
    if (!moved) return;
    inSequence();
  }
}

/** No item earlier than those before it and none later than those after it. */
function sequenced(chain: readonly Item[], floor: number): void {
  let lo = floor;
  for (const item of chain) item.earliestMs = lo = Math.max(lo, item.lo);
  let hi = Infinity;
  for (let i = chain.length - 1; i >= 0; i--) {
    const item = chain[i] as Item;
    hi = Math.min(hi, item.hi);
    item.lo = Math.min(item.earliestMs, hi);
    item.hi = Math.max(item.earliestMs, hi);
  }
}
