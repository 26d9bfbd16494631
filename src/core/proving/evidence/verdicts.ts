import type { Entry } from '../entry';
import type { GateId } from '../gates/machine';
import type { Beside, Judgement, Result } from '../kind';
import { SAYS_NOTHING } from '../kind';
import { kindOf } from '../kinds';
import { timeOf } from './items';
import type { Release } from './log';
import { siteDay } from '../../kernel/siteDay';

/** The worse of two answers: a fail, then one that proves nothing, then a caution. */
const RANK: readonly Result[] = ['fail', null, 'caution', 'pass'];
export const worse = (a: Result, b: Result): Result => (RANK.indexOf(a) <= RANK.indexOf(b) ? a : b);

/** Entries by kind and time, those that nothing corrects: what sisters are found among. */
class Neighbours implements Beside {
  readonly #byKind = new Map<string, { readonly at: number; readonly entry: Entry }[]>();

  constructor(entries: Iterable<Entry>) {
    for (const entry of entries) {
      const of = this.#byKind.get(entry.kind) ?? [];
      this.#byKind.set(entry.kind, of);
      of.push({ at: timeOf(entry)[0], entry });
    }
    for (const of of this.#byKind.values()) of.sort((a, b) => a.at - b.at || (a.entry.id < b.entry.id ? -1 : 1));
  }

  near(kind: string, atMs: number, withinMs: number): readonly Entry[] {
    const of = this.#byKind.get(kind) ?? [];
    const from = lowerBound(of, atMs - withinMs);
    const found: Entry[] = [];
    for (let i = from; i < of.length && (of[i]?.at ?? Infinity) <= atMs + withinMs; i++)
      found.push((of[i] as { entry: Entry }).entry);
    return found;
  }
}

function lowerBound(of: readonly { readonly at: number }[], at: number): number {
  let [lo, hi] = [0, of.length];
  while (lo < hi) {
    const mid = (lo + hi) >> 1;
    if ((of[mid]?.at ?? Infinity) < at) lo = mid + 1;
    else hi = mid;
  }
  return lo;
}

/** What entries say, held against releases: each asked once. A kind never throws here: what cannot be judged proves nothing. */
export class Verdicts {
  readonly #beside: Beside;
  /** By release letter, then entry. */
  readonly #known = new Map<string, Map<Entry, Judgement>>();

  constructor(
    live: Iterable<Entry>,
    private readonly zone: string,
  ) {
    this.#beside = new Neighbours(live);
  }

  of(entry: Entry, release: Release): Judgement {
    let of = this.#known.get(release.letter);
    if (!of) this.#known.set(release.letter, (of = new Map()));
    const known = of.get(entry);
    if (known) return known;
    const made = this.#judge(entry, release);
    of.set(entry, made);
    return made;
  }

  /** What it says of one gate; null where it says nothing of it. */
  says(entry: Entry, release: Release, gate: GateId): Result {
    return this.of(entry, release).says.find((s) => s.gate === gate)?.result ?? null;
  }

  #judge(entry: Entry, { design }: Release): Judgement {
    const [t, u] = timeOf(entry);
    const about = {
      values: entry.values,
      subject: entry.subject,
      entry,
      design,
      beside: this.#beside,
      // Where the clock leaves the day open the later one counts: calibration and permission end.
      day: siteDay(t + u, this.zone),
    };
    try {
      return kindOf(entry).judge(about as never);
    } catch (cause) {
      if (!(cause instanceof RangeError)) throw cause;
      return { ...SAYS_NOTHING, says: kindOf(entry).gates.map((gate) => ({ gate, result: null })) };
    }
  }
}
