import type { Entry } from '../entry';
import { namedBy } from './items';

/** So many entries stand in the upper layer at most: it is copied with every entry that comes. */
const LAYER_MOST = 512;

/** Entries of a log by id. A longer log has an index of its own and shares the large layer below: nobody sees what came after. */
export class EntryIndex {
  private constructor(
    private readonly below: ReadonlyMap<string, Entry>,
    private readonly above: ReadonlyMap<string, Entry>,
    /** Every entry that another names. */
    private readonly named: ReadonlySet<string>,
  ) {}

  /** The last of entries with one id counts. */
  static of(entries: readonly Entry[]): EntryIndex {
    const below = new Map<string, Entry>();
    const named = new Set<string>();
    for (const e of entries) {
      below.set(e.id, e);
      for (const id of namedBy(e)) named.add(id);
    }
    return new EntryIndex(below, new Map(), named);
  }

  get(id: string): Entry | undefined {
    return this.above.get(id) ?? this.below.get(id);
  }

  /** Every entry once, in the order in which they came. */
  values(): readonly Entry[] {
    return [...this.below.values(), ...this.above.values()];
  }

  /** With some more; null where one is there already, or is named by one that came before it. */
  with(added: readonly Entry[]): EntryIndex | null {
    const above = new Map(this.above);
    for (const e of added) {
      if (this.get(e.id) || above.has(e.id) || this.named.has(e.id)) return null;
      above.set(e.id, e);
    }
    const names = added.flatMap(namedBy);
    const named = names.length ? new Set([...this.named, ...names]) : this.named;
    return above.size > LAYER_MOST
      ? new EntryIndex(new Map([...this.below, ...above]), new Map(), named)
      : new EntryIndex(this.below, above, named);
  }
}
