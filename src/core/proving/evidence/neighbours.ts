import type { Entry } from '../entry';
import type { Beside } from '../kind';
import { correctionTrouble } from './corrections';
import type { EntryIndex } from './entries';
import type { Times } from './times';
import { timeOf } from './times';

/** An entry in its place of the work. */
interface Placed {
  readonly atMs: number;
  readonly entry: Entry;
}

/** Entries by kind and time, those that nothing corrects: what sisters are found among. A kind is sorted when it is first asked for. */
export class Neighbours implements Beside {
  readonly #byKind = new Map<string, readonly Placed[]>();

  constructor(
    private readonly entries: readonly Entry[],
    private readonly byId: EntryIndex,
    private readonly times: Times,
  ) {}

  near(kind: string, atMs: number, withinMs: number, afterMs = withinMs): readonly Entry[] {
    const of = this.#of(kind);
    const found: Entry[] = [];
    for (let i = lowerBound(of, atMs - withinMs); i < of.length; i++) {
      const placed = of[i] as Placed;
      if (placed.atMs > atMs + afterMs) break;
      found.push(placed.entry);
    }
    return found;
  }

  /** The same with some more entries, none of them named by one of before: only their kinds are looked at. */
  with(added: readonly Entry[], entries: readonly Entry[], byId: EntryIndex): Neighbours {
    const more = new Neighbours(entries, byId, this.times);
    for (const [kind, of] of this.#byKind) {
      const own = added.filter((e) => e.kind === kind);
      // A correction takes the place of another entry: then the kind is looked through again.
      if (own.some((e) => e.corrects !== null)) continue;
      more.#byKind.set(kind, own.reduce(inserted, of));
    }
    return more;
  }

  /** Whether an entry is one of the log, and not a correction in the place of another. */
  isOwn(entry: Entry): boolean {
    return this.byId.get(entry.id) === entry;
  }

  /** The entry in whose place one stands: the first that its corrections name. */
  placeOf(entry: Entry): Entry {
    const met = new Set<Entry>();
    let first = entry;
    for (let next: Entry | undefined = entry; next && !met.has(next);) {
      met.add((first = next));
      next = next.corrects === null ? undefined : this.byId.get(next.corrects);
    }
    return first;
  }

  #of(kind: string): readonly Placed[] {
    const known = this.#byKind.get(kind);
    if (known) return known;
    const made = this.#standing(kind)
      .map((entry): Placed => ({ atMs: timeOf(entry)[0], entry }))
      .sort(byTime);
    this.#byKind.set(kind, made);
    return made;
  }

  /** Entries of a kind that nothing puts right, and the newest correction of those that something does: in the place of what it corrects. */
  #standing(kind: string): Entry[] {
    const of = this.entries.filter((e) => e.kind === kind);
    const corrections = of.filter((e) => e.corrects !== null);
    if (corrections.length === 0) return of;
    const by = new Map<string, Entry>();
    for (const c of corrections.sort((a, b) => timeOf(a)[0] - timeOf(b)[0] || (a.id < b.id ? -1 : 1))) {
      const target = c.corrects === null ? undefined : this.byId.get(c.corrects);
      if (target && !by.has(target.id) && correctionTrouble(c, target, this.times.of(c).day) === null)
        by.set(target.id, c);
    }
    return of.flatMap((e): Entry[] => {
      if (e.corrects !== null) return [];
      let last = e;
      for (let next = by.get(last.id); next && next !== e; next = by.get(last.id)) last = next;
      return [last === e ? e : { ...last, id: e.id, doneAt: e.doneAt, device: e.device }];
    });
  }
}

const byTime = (a: Placed, b: Placed): number => a.atMs - b.atMs || (a.entry.id < b.entry.id ? -1 : 1);

function inserted(of: readonly Placed[], entry: Entry): readonly Placed[] {
  const placed = { atMs: timeOf(entry)[0], entry };
  let at = lowerBound(of, placed.atMs);
  while (at < of.length && byTime(of[at] as Placed, placed) < 0) at++;
  return [...of.slice(0, at), placed, ...of.slice(at)];
}

function lowerBound(of: readonly Placed[], at: number): number {
  let [lo, hi] = [0, of.length];
  while (lo < hi) {
    const mid = (lo + hi) >> 1;
    if ((of[mid] as Placed).atMs < at) lo = mid + 1;
    else hi = mid;
  }
  return lo;
}
