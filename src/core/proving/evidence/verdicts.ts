import type { SiteDesign } from '../../design';
import type { Entry } from '../entry';
import type { GateId } from '../gates/machine';
import type { Beside, Judgement, Result, Says } from '../kind';
import { SAYS_NOTHING } from '../kind';
import { kindOf } from '../kinds';
import type { Release } from './log';
import type { Neighbours } from './neighbours';
import type { Times } from './times';

/** What a judge asked of the entries beside. */
interface Asked {
  readonly kind: string;
  readonly atMs: number;
  readonly withinMs: number;
  readonly afterMs: number;
}

/** What an entry says; it stands as long as what is found beside it is the same. */
interface Said {
  readonly says: readonly Says[];
  /** Null where it looked at nothing beside. */
  readonly asked: readonly Asked[] | null;
  /** The neighbours among which it was last seen to stand. */
  among: Beside;
}

/** What entries said before, by design and entry, and which kinds look how far beside them: handed on from log to longer log. */
export interface Memory {
  readonly said: WeakMap<SiteDesign, Map<Entry, Said>>;
  /** By the kind that is looked for: the kinds that look, and how far at most, ms. */
  readonly looks: Map<string, Map<string, number>>;
}
export const blankMemory = (): Memory => ({ said: new WeakMap(), looks: new Map() });

/** What entries say, held against releases: each asked once. A kind never throws here: what cannot be judged proves nothing. */
export class Verdicts {
  constructor(
    private readonly neighbours: Neighbours,
    private readonly times: Times,
    private readonly memory: Memory,
  ) {}

  /** The same kept in mind, among other neighbours. */
  among(neighbours: Neighbours): Verdicts {
    return new Verdicts(neighbours, this.times, this.memory);
  }

  /** Everything an entry says, with its checks. */
  of(entry: Entry, release: Release): Judgement {
    return this.#judge(entry, release, this.neighbours);
  }

  /** What it says of one gate; null where it says nothing of it. `passing`: an entry made up for one question is not kept in mind. */
  says(entry: Entry, release: Release, gate: GateId, passing = false): Result {
    const says = passing ? this.of(entry, release).says : this.#kept(entry, release).says;
    for (const s of says) if (s.gate === gate) return s.result;
    return null;
  }

  /** Entries that say something else since others came to stand beside them: by what they said before these came. */
  changedBy(added: readonly Entry[], before: Verdicts, releases: readonly Release[]): Entry[] {
    const found = new Set<Entry>();
    for (const e of added) {
      const { atMs } = this.times.of(this.neighbours.placeOf(e));
      for (const [kind, withinMs] of this.memory.looks.get(e.kind) ?? [])
        for (const near of this.neighbours.near(kind, atMs, withinMs))
          if (near !== e && releases.some((r) => this.#differs(near, r, before))) found.add(near);
    }
    return [...found];
  }

  #differs(entry: Entry, release: Release, before: Verdicts): boolean {
    // One that stands in the place of what it corrects is nobody's own entry, and what it said is not kept.
    if (!this.neighbours.isOwn(entry)) return true;
    const known = this.memory.said.get(release.design)?.get(entry);
    if (!known || known.asked === null) return false;
    const was = JSON.stringify(before.#kept(entry, release).says);
    return JSON.stringify(this.#kept(entry, release).says) !== was;
  }

  #kept(entry: Entry, release: Release): Said {
    let of = this.memory.said.get(release.design);
    if (!of) this.memory.said.set(release.design, (of = new Map()));
    const known = of.get(entry);
    if (known && this.#stands(known)) return known;
    const noted = new Noted(this.neighbours);
    const { says } = this.#judge(entry, release, noted);
    if (noted.asked) this.#looks(entry.kind, noted.asked);
    const made: Said = { says, asked: noted.asked, among: this.neighbours };
    of.set(entry, made);
    return made;
  }

  #stands(said: Said): boolean {
    if (said.asked === null || said.among === this.neighbours) return true;
    const same = said.asked.every(({ kind, atMs, withinMs, afterMs }) => {
      const was = said.among.near(kind, atMs, withinMs, afterMs);
      const now = this.neighbours.near(kind, atMs, withinMs, afterMs);
      return now.length === was.length && now.every((e, i) => e === was[i]);
    });
    if (same) said.among = this.neighbours;
    return same;
  }

  /** Remembers that entries of a kind look so far beside them. */
  #looks(by: string, asked: readonly Asked[]): void {
    for (const { kind, withinMs, afterMs } of asked) {
      const looks = this.memory.looks.get(kind) ?? new Map<string, number>();
      this.memory.looks.set(kind, looks.set(by, Math.max(withinMs, afterMs, looks.get(by) ?? 0)));
    }
  }

  #judge(entry: Entry, { design }: Release, beside: Beside): Judgement {
    const { atMs, day } = this.times.of(entry);
    const { values, subject } = entry;
    const kind = kindOf(entry);
    try {
      return kind.judge({ values, subject, entry, atMs, design, beside, day } as never);
    } catch (cause) {
      if (!(cause instanceof RangeError)) throw cause;
      return { ...SAYS_NOTHING, says: kind.gates.map((gate) => ({ gate, result: null })) };
    }
  }
}

/** The neighbours, with a note of what is asked of them. */
class Noted implements Beside {
  asked: readonly Asked[] | null = null;

  constructor(private readonly neighbours: Neighbours) {}

  near(kind: string, atMs: number, withinMs: number, afterMs = withinMs): readonly Entry[] {
    const one = { kind, atMs, withinMs, afterMs };
    this.asked = this.asked ? this.asked.concat(one) : [one];
    return this.neighbours.near(kind, atMs, withinMs, afterMs);
  }
}
