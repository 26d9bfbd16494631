import type { Entry } from '../entry';
import { trueMs } from '../entry';
import type { Beside } from '../kind';
import { correctionTrouble } from './corrections';
import type { EntryIndex } from './entries';
import type { Times } from './times';

/** Entries of a kind in the order of the work, and beside them their times, ms. */
interface InOrder {
  readonly entries: readonly Entry[];
  readonly atMs: readonly number[];
}

/** Entries by kind and time, those that nothing corrects: what sisters are found among. A kind is sorted when it is first asked for. */
export class Neighbours implements Beside {
  readonly #byKind = new Map<string, InOrder>();

  constructor(
    private readonly entries: readonly Entry[],
    private readonly byId: EntryIndex,
    private readonly times: Times,
  ) {}

  near(kind: string, atMs: number, withinMs: number, afterMs = withinMs): readonly Entry[] {
    const of = this.#of(kind);
    const from = firstFrom(of.atMs, atMs - withinMs);
    let to = from;
    while (to < of.atMs.length && (of.atMs[to] as number) <= atMs + afterMs) to++;
    return of.entries.slice(from, to);
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

  #of(kind: string): InOrder {
    const known = this.#byKind.get(kind);
    if (known) return known;
    const placed = this.#standing(kind).map((entry) => ({ atMs: trueMs(entry), entry }));
    placed.sort((a, b) => a.atMs - b.atMs || (a.entry.id < b.entry.id ? -1 : 1));
    const made = { entries: placed.map((p) => p.entry), atMs: placed.map((p) => p.atMs) };
    this.#byKind.set(kind, made);
    return made;
  }

  /** Entries of a kind that nothing puts right, and the newest correction of those that something does: in the place of what it corrects. */
  #standing(kind: string): Entry[] {
    const of = this.entries.filter((e) => e.kind === kind);
    const corrections = of.filter((e) => e.corrects !== null);
    if (corrections.length === 0) return of;
    const by = new Map<string, Entry>();
    for (const c of corrections.sort((a, b) => trueMs(a) - trueMs(b) || (a.id < b.id ? -1 : 1))) {
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

function inserted({ entries, atMs }: InOrder, entry: Entry): InOrder {
  const ms = trueMs(entry);
  let at = firstFrom(atMs, ms);
  while (atMs[at] === ms && (entries[at] as Entry).id < entry.id) at++;
  return { entries: entries.toSpliced(at, 0, entry), atMs: atMs.toSpliced(at, 0, ms) };
}

/** Place of the first of rising times that is not before a moment. */
function firstFrom(atMs: readonly number[], ms: number): number {
  let [lo, hi] = [0, atMs.length];
  while (lo < hi) {
    const mid = (lo + hi) >> 1;
    if ((atMs[mid] as number) < ms) lo = mid + 1;
    else hi = mid;
  }
  return lo;
}
