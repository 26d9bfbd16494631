import type { Entry } from '../entry';
import type { Release } from './log';
import { timeOf } from './times';

/** Something that moves the evidence on: an entry, a release, or a midnight at which something lapses. */
export class Item {
  /** Items that it names, and so came after. */
  after: readonly Item[] = NOTHING;
  /** The one before it in its chain. */
  before: Item | null = null;
  /** Its chain, and its place in the one order that is walked. */
  chain = 0;
  place = 0;
  done = false;
  /** Earliest time by everything before it in its chain, ms. */
  earliestMs = -Infinity;
  /** Its clock contradicts its sequence, or what it names. */
  contradicted = false;

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

/** The chain that an entry belongs to: its device's, or one of its own. */
const chainName = ({ device, id }: Entry): string => (device ? `device ${device.id}` : `alone ${id}`);

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
  const own = new Map<string, Item[]>();
  const byId = new Map<string, Item>();
  for (const entry of entries) {
    const item = entryItem(entry);
    byId.set(entry.id, item);
    const name = chainName(entry);
    const chain = own.get(name);
    if (chain) chain.push(item);
    else own.set(name, [item]);
  }
  for (const chain of own.values()) chain.sort(bySequence);
  const letters = new Map(releases.map((r) => [r.letter, releaseItem(r)]));
  const server = [...letters.values(), ...ticksMs.map(tickItem)].sort((a, b) => a.lo - b.lo || (a.release ? -1 : 1));
  const names = [...own.keys()].sort();
  const chains: Item[][] = [server, ...names.map((name) => own.get(name) ?? [])];
  for (const item of byId.values()) if (item.entry) item.after = named(item, item.entry, byId, letters);
  const floorOf = ([first]: Chain) => floors.get(first?.entry?.device?.id ?? '') ?? -Infinity;
  settleTimes(chains, chains.map(floorOf));
  chains.forEach((chain, c) => {
    let before: Item | null = null;
    for (const i of chain) {
      i.chain = c;
      i.before = before;
      before = i;
    }
  });
  return chains;
}
const NO_FLOORS: ReadonlyMap<string, number> = new Map();

const bySequence = (a: Item, b: Item): number =>
  (a.entry?.device?.seq ?? 0) - (b.entry?.device?.seq ?? 0) || ((a.entry?.id ?? '') < (b.entry?.id ?? '') ? -1 : 1);

/** Items that an entry names, its release with them. */
function named(
  item: Item,
  entry: Entry,
  byId: ReadonlyMap<string, Item>,
  letters: ReadonlyMap<string, Item>,
): readonly Item[] {
  const release = letters.get(entry.release);
  const ids = namedBy(entry);
  if (ids.length === 0 && !release) return NOTHING;
  const found: Item[] = [];
  for (const id of ids) {
    const other = byId.get(id);
    if (other && other !== item) found.push(other);
  }
  if (release) found.push(release);
  return found;
}

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
          item.contradicted = true;
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
    if (item.earliestMs > hi) item.contradicted = true;
    item.lo = Math.min(item.earliestMs, hi);
    item.hi = Math.max(item.earliestMs, hi);
  }
}
