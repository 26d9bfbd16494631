import type { Entry } from '../entry';
import { trueMs, uncertaintyMs } from '../entry';
import type { Release } from './log';

/** Something that moves the evidence on: an entry, a release, or a midnight at which something lapses. */
export interface Item {
  readonly id: string;
  readonly entry: Entry | null;
  readonly release: Release | null;
  /** For a midnight: its moment, ms. */
  readonly tickMs: number | null;
  /** Earliest and latest it can have been, ms. */
  lo: number;
  hi: number;
  /** Items that it names, and so came after. */
  readonly after: Item[];
  /** The one before it in its chain. */
  before: Item | null;
  /** Its chain, and its place in the one order that is walked. */
  chain: number;
  place: number;
  done: boolean;
}

/** Items that keep an order of their own: those of one device, or of the server's clock. */
export type Chain = readonly Item[];

const ENTRY_TIMES = new WeakMap<Entry, readonly [number, number]>();
/** True time and its uncertainty, ms; read off once. */
export function timeOf(entry: Entry): readonly [number, number] {
  const known = ENTRY_TIMES.get(entry) ?? ([trueMs(entry), uncertaintyMs(entry)] as const);
  ENTRY_TIMES.set(entry, known);
  return known;
}

const item = (id: string, lo: number, hi: number, over: Partial<Item>): Item => ({
  id,
  entry: null,
  release: null,
  tickMs: null,
  lo,
  hi,
  after: [],
  before: null,
  chain: 0,
  place: 0,
  done: false,
  ...over,
});
const entryItem = (entry: Entry): Item => {
  const [t, u] = timeOf(entry);
  return item(entry.id, t - u, t + u, { entry });
};
const releaseItem = (release: Release): Item =>
  item(`release ${release.letter}`, release.atMs, release.atMs, { release });
const tickItem = (atMs: number): Item => item(`midnight ${atMs}`, atMs, atMs, { tickMs: atMs });

/** Ids of entries that an entry names: the one it corrects, accepts or waives. */
function namedBy({ corrects, values }: Entry): string[] {
  const { entryId } = values as { readonly entryId?: unknown };
  return [...(corrects ? [corrects] : []), ...(typeof entryId === 'string' ? [entryId] : [])];
}

/**
 * Chains with what is known of their times. A device keeps its own sequence whatever its clock says: an entry was no earlier than those
 * before it and no later than those after it, and where the clock contradicts that, it may have been anywhere between. What names another
 * entry came after it. `a` came before `b` of another chain where a.hi < b.lo.
 */
export function chainsOf(entries: readonly Entry[], releases: readonly Release[], ticksMs: readonly number[]): Chain[] {
  const own = new Map<string, Item[]>();
  const byId = new Map<string, Item>();
  for (const entry of entries) {
    const item = entryItem(entry);
    byId.set(entry.id, item);
    const device = entry.device ? `device ${entry.device.id}` : `alone ${entry.id}`;
    const chain = own.get(device);
    if (chain) chain.push(item);
    else own.set(device, [item]);
  }
  for (const chain of own.values())
    if (chain.length > 1)
      chain.sort((a, b) => (a.entry?.device?.seq ?? 0) - (b.entry?.device?.seq ?? 0) || (a.id < b.id ? -1 : 1));
  const letters = new Map(releases.map((r) => [r.letter, releaseItem(r)]));
  const server = [...letters.values(), ...ticksMs.map(tickItem)].sort((a, b) => a.lo - b.lo || (a.release ? -1 : 1));
  const chains: Item[][] = [server, ...[...own.entries()].sort(([a], [b]) => (a < b ? -1 : 1)).map(([, c]) => c)];
  for (const item of byId.values()) {
    if (!item.entry) continue;
    const named = [...namedBy(item.entry).map((id) => byId.get(id)), letters.get(item.entry.release)];
    for (const other of named) if (other && other !== item) item.after.push(other);
  }
  settleTimes(chains, byId.values());
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

/** Brings the times of chains in line with their sequence and with what names what. */
function settleTimes(chains: readonly Item[][], items: Iterable<Item>): void {
  for (const chain of chains) inSequence(chain);
  const naming = [...items].filter((i) => i.after.some((a) => a.hi > i.lo));
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
    for (const chain of chains) inSequence(chain);
  }
}

function inSequence(chain: readonly Item[]): void {
  if (chain.length < 2) return;
  const los: number[] = [];
  let lo = -Infinity;
  for (const item of chain) los.push((lo = Math.max(lo, item.lo)));
  let hi = Infinity;
  for (let i = chain.length - 1; i >= 0; i--) {
    const item = chain[i] as Item;
    hi = Math.min(hi, item.hi);
    const earliest = los[i] as number;
    item.lo = Math.min(earliest, hi);
    item.hi = Math.max(earliest, hi);
  }
}
