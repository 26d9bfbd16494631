import type { Entry, Scope } from '../entry';
import { HAPPENING } from '../kinds/happening';
import { happeningNamed } from '../tables/happenings';
import type { Chain, Item } from './items';
import { UNPLACED } from './items';

/** Which of two items came first, and whether it matters. */

/** Kinds that move no gate: they commute with everything. */
const SILENT: ReadonlySet<string> = new Set(['open-point', 'signature', 'work']);

/** What is said of the weather holds up work, and moves no gate either. */
const saysWeather = (entry: Entry): boolean =>
  HAPPENING.is(entry) && happeningNamed(entry.values.what).weather !== undefined;

/** What an item can touch: everything, a unit with its strings, or one string of a unit; two that share nothing commute. */
interface Touch {
  readonly everything: boolean;
  readonly units: readonly string[];
  readonly string: string | null;
}

/** The units that an entry about a part can touch. */
export type UnitsOf = (scope: Scope, id: string) => readonly string[];

/** What items can touch; each looked up once. */
export class Touching {
  readonly #touches = new Map<Item, Touch>();

  constructor(private readonly unitsOf: UnitsOf) {}

  #of(item: Item): Touch {
    const known = this.#touches.get(item) ?? touchOf(item.entry, this.unitsOf);
    this.#touches.set(item, known);
    return known;
  }

  /** Whether it matters which of two comes first. */
  dependent(a: Item, b: Item): boolean {
    const [x, y] = [this.#of(a), this.#of(b)];
    if (x.everything || y.everything)
      return (x.everything || x.units.length > 0) && (y.everything || y.units.length > 0);
    if (!x.units.some((u) => y.units.includes(u))) return false;
    return x.string === null || y.string === null || x.string === y.string;
  }
}

function touchOf(entry: Entry | null, unitsOf: UnitsOf): Touch {
  if (entry === null) return { everything: true, units: [], string: null };
  if (SILENT.has(entry.kind) || saysWeather(entry)) return { everything: false, units: [], string: null };
  const { scope, id } = entry.subject;
  if (scope === 'site') return { everything: true, units: [], string: null };
  return { everything: false, units: unitsOf(scope, id), string: scope === 'string' ? id : null };
}

/** Whether one item came before another: by time, by their chain, or by what names what. */
export function precedes(a: Item, b: Item): boolean {
  if (a.hi < b.lo) return true;
  if (a.lo > b.hi) return false;
  const look: Item[] = [b];
  const seen = new Set<Item>();
  while (look.length) {
    const item = look.pop() as Item;
    for (const p of [item.before, ...item.after])
      if (p && !seen.has(p) && p.place >= a.place) {
        if (p === a) return true;
        seen.add(p);
        look.push(p);
      }
  }
  return false;
}

/** One order that fits, each item with its place: by earliest time, of equals the chains in their sequence, and the named before what names them. */
export function inOneOrder(chains: readonly Chain[]): readonly Item[] {
  const out: Item[] = [];
  const place = (item: Item): void => {
    if (item.place !== UNPLACED) return;
    // A circle of names is cut where it is first met.
    item.place = out.length;
    if (item.before) place(item.before);
    for (const named of item.after) place(named);
    item.place = out.push(item) - 1;
  };
  for (const item of chains.flat().sort((a, b) => a.lo - b.lo)) place(item);
  return out;
}
