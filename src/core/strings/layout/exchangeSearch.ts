import { ROUNDING } from '../../kernel/rounding';
import { ratiosOf } from './objective';
import type { LayoutCount, LayoutProblem } from './problem';

/** Strings of one plane and length. */
interface Kind {
  readonly plane: number;
  readonly modules: number;
  /** Class and length: what may share a tracker. */
  readonly group: number;
  readonly watts: number;
}

/** Strings exchanged at once: two where one alone would leave half a tracker behind. */
const AT_ONCE = [1, 2] as const;

/** Strings of `give` go from one unit to another and as many of `take` come back; −1: none does. */
interface Exchange {
  readonly times: (typeof AT_ONCE)[number];
  readonly from: number;
  readonly to: number;
  readonly give: number;
  readonly take: number;
}

/** A layout whose strings are moved about one by one, inside windows, trackers and power. Frozen strings stay. */
export class ExchangeSearch {
  readonly units: readonly number[];
  readonly ratios: number[];
  private readonly kinds: readonly Kind[];
  /** `strings[unit][kind]`, of which `frozen[unit][kind]` stay. */
  private readonly strings: number[][];
  private readonly frozen: number[][];
  private readonly groupStrings: number[][];
  private readonly groupFrozen: number[][];
  private readonly parallel: number[][];
  private readonly fits: boolean[][];
  private readonly trackers: number[];
  private readonly most: number[];

  constructor(
    private readonly problem: LayoutProblem,
    counts: readonly LayoutCount[],
  ) {
    const { planes, units } = problem;
    const keys = [...new Set(counts.map((c) => `${c.plane}|${c.modules}`))];
    const groups = [...new Set(counts.map((c) => `${planes[c.plane]?.classKey}|${c.modules}`))];
    this.kinds = keys.map((key): Kind => {
      const [plane, modules] = key.split('|').map(Number) as [number, number];
      const group = groups.indexOf(`${planes[plane]?.classKey}|${modules}`);
      return { plane, modules, group, watts: modules * (planes[plane]?.moduleW ?? 0) };
    });
    const table = (of: (unit: number, kind: Kind) => number) => units.map((_, u) => this.kinds.map((k) => of(u, k)));
    this.strings = table((u, k) =>
      counts.reduce((s, c) => s + (c.unit === u && c.plane === k.plane && c.modules === k.modules ? c.strings : 0), 0),
    );
    const frozenHere = (u: number, k: Kind) =>
      problem.frozen.filter((f) => f.unit === u && f.plane === k.plane && f.modules === k.modules);
    this.frozen = table((u, k) => frozenHere(u, k).length);
    this.fits = units.map((unit, u) =>
      this.kinds.map((k) => {
        const w = problem.windows[k.plane]?.[u];
        return Boolean(w && !unit.empty && k.modules >= w.min && k.modules <= w.max);
      }),
    );
    this.groupStrings = units.map((_, u) =>
      groups.map((_g, g) => this.kinds.reduce((s, k, i) => s + (k.group === g ? (this.strings[u]?.[i] ?? 0) : 0), 0)),
    );
    this.groupFrozen = units.map((_, u) =>
      groups.map(
        (_g, g) =>
          new Set(this.kinds.filter((k) => k.group === g).flatMap((k) => frozenHere(u, k).map((f) => f.tracker))).size,
      ),
    );
    this.parallel = units.map((_, u) =>
      groups.map((_g, g) => {
        const own = this.kinds.flatMap((k) => (k.group === g ? (problem.windows[k.plane]?.[u]?.parallel ?? []) : []));
        return own.length ? Math.min(...own) : 1;
      }),
    );
    this.trackers = units.map((_, u) => groups.reduce((s, _g, g) => s + this.needed(u, g, 0), 0));
    this.ratios = ratiosOf(problem, counts);
    this.units = units.flatMap((unit, u) => (unit.empty ? [] : [u]));
    this.most = units.map(
      (u) => Math.min(problem.ratioMax ?? Infinity, (u.dcMaxW ?? Infinity) / u.ratedW) * (1 + ROUNDING),
    );
  }

  private needed(unit: number, group: number, more: number): number {
    const strings = (this.groupStrings[unit]?.[group] ?? 0) + more;
    return Math.max(this.groupFrozen[unit]?.[group] ?? 0, Math.ceil(strings / (this.parallel[unit]?.[group] ?? 1)));
  }

  private step(kind: number, unit: number): number {
    return kind < 0 ? 0 : (this.kinds[kind]?.watts ?? 0) / (this.problem.units[unit]?.ratedW ?? 1);
  }

  /** Kinds of which a unit can spare so many strings. */
  private spare(unit: number, times: number): number[] {
    const [own, stay] = [this.strings[unit] ?? [], this.frozen[unit] ?? []];
    return own.flatMap((n, k) => (n - (stay[k] ?? 0) >= times ? [k] : []));
  }

  private trackersFit(unit: number, without: number, plus: number, times: number): boolean {
    const less = this.kinds[without]?.group ?? -1;
    const more = this.kinds[plus]?.group ?? -1;
    if (less === more) return true;
    let used = this.trackers[unit] ?? 0;
    if (less >= 0) used += this.needed(unit, less, -times) - this.needed(unit, less, 0);
    if (more >= 0) used += this.needed(unit, more, times) - this.needed(unit, more, 0);
    return used <= (this.problem.units[unit]?.trackers ?? 0);
  }

  /** Ratios of the two units after an exchange, or null where windows, power or trackers forbid it. */
  private after(e: Exchange): readonly [number, number] | null {
    if (!this.fits[e.to]?.[e.give] || (e.take >= 0 && !this.fits[e.from]?.[e.take])) return null;
    const from = (this.ratios[e.from] ?? 0) + e.times * (this.step(e.take, e.from) - this.step(e.give, e.from));
    const to = (this.ratios[e.to] ?? 0) + e.times * (this.step(e.give, e.to) - this.step(e.take, e.to));
    if (from > (this.most[e.from] ?? Infinity) || to > (this.most[e.to] ?? Infinity)) return null;
    return this.trackersFit(e.from, e.give, e.take, e.times) && this.trackersFit(e.to, e.take, e.give, e.times)
      ? [from, to]
      : null;
  }

  private shift(unit: number, kind: number, by: number): void {
    const own = this.strings[unit];
    const group = this.kinds[kind]?.group ?? 0;
    const groups = this.groupStrings[unit];
    if (!own || !groups) return;
    const before = this.needed(unit, group, 0);
    own[kind] = (own[kind] ?? 0) + by;
    groups[group] = (groups[group] ?? 0) + by;
    this.trackers[unit] = (this.trackers[unit] ?? 0) + this.needed(unit, group, 0) - before;
    this.ratios[unit] = (this.ratios[unit] ?? 0) + by * this.step(kind, unit);
  }

  private apply(e: Exchange): void {
    this.shift(e.from, e.give, -e.times);
    this.shift(e.to, e.give, e.times);
    if (e.take < 0) return;
    this.shift(e.to, e.take, -e.times);
    this.shift(e.from, e.take, e.times);
  }

  /** The exchange between two units that takes most off the rated sum of their squared ratios, from the fuller one. */
  private evenest(a: number, b: number): { exchange: Exchange; gain: number } | null {
    const [from, to] = (this.ratios[a] ?? 0) >= (this.ratios[b] ?? 0) ? [a, b] : [b, a];
    const [rFrom, rTo] = [this.ratios[from] ?? 0, this.ratios[to] ?? 0];
    // Weighted by rating: the same watts move a small unit's ratio more than a large one's.
    const [wFrom, wTo] = [from, to].map((u) => (this.problem.units[u]?.ratedW ?? 0) / 1e5) as [number, number];
    let best: { exchange: Exchange; gain: number } | null = null;
    for (const times of AT_ONCE) {
      const back = [-1, ...this.spare(to, times)];
      for (const give of this.spare(from, times))
        for (const take of back) {
          const net = times * (this.step(give, from) - this.step(take, from));
          const gained = times * (this.step(give, to) - this.step(take, to));
          const gain = wFrom * (rFrom ** 2 - (rFrom - net) ** 2) + wTo * (rTo ** 2 - (rTo + gained) ** 2);
          if (gain <= (best?.gain ?? ROUNDING)) continue;
          const exchange = { from, to, give, take, times };
          if (this.after(exchange)) best = { exchange, gain };
        }
    }
    return best;
  }

  /**
   * Evens the DC/AC ratios out, each time between the fullest or emptiest unit and whichever other gains most.
   * Why not leave it to the program: bins of nearly equal fill are what branch and bound finds last.
   */
  evenOut(mostRounds = 3000): this {
    for (let round = 0; round < mostRounds; round++) {
      const byRatio = [...this.units].sort((x, y) => (this.ratios[y] ?? 0) - (this.ratios[x] ?? 0));
      const [fullest, emptiest] = [byRatio[0], byRatio.at(-1)];
      if (fullest === undefined || emptiest === undefined || fullest === emptiest) break;
      let best = this.evenest(fullest, emptiest);
      if (!best)
        for (const u of this.units)
          for (const end of [fullest, emptiest]) {
            const found = u === end ? null : this.evenest(end, u);
            if (found && found.gain > (best?.gain ?? 0)) best = found;
          }
      if (!best) break;
      this.apply(best.exchange);
    }
    return this;
  }

  /** Shortens home runs by exchanges that keep the ratios inside a band of this width, until none helps or the time is up. */
  shorten(band: number, goOn: () => boolean): this {
    const way = (kind: number, unit: number) =>
      kind < 0 ? 0 : (this.problem.wayM[this.kinds[kind]?.plane ?? 0]?.[unit] ?? 0);
    let improved = true;
    while (improved && goOn()) {
      improved = false;
      for (const a of this.units)
        for (const b of this.units) {
          if (a === b) continue;
          for (const times of AT_ONCE)
            for (const give of this.spare(a, times))
              for (const take of [-1, ...this.spare(b, times)]) {
                if (!this.spare(a, times).includes(give)) break;
                if (take >= 0 && !this.spare(b, times).includes(take)) continue;
                const saved = way(give, a) + way(take, b) - way(give, b) - way(take, a);
                if (saved <= 1e-6) continue;
                const exchange = { from: a, to: b, give, take, times };
                const ratios = this.after(exchange);
                if (!ratios || !this.staysInBand(a, b, ratios, band)) continue;
                this.apply(exchange);
                improved = true;
              }
        }
    }
    return this;
  }

  private staysInBand(a: number, b: number, [ra, rb]: readonly [number, number], band: number): boolean {
    let [low, high] = [Math.min(ra, rb), Math.max(ra, rb)];
    for (const u of this.units) {
      if (u === a || u === b) continue;
      const r = this.ratios[u] ?? 0;
      if (r < low) low = r;
      if (r > high) high = r;
    }
    return high - low <= band * (1 + ROUNDING);
  }

  counts(): LayoutCount[] {
    return this.strings.flatMap((own, unit) =>
      own.flatMap((strings, k) => {
        const kind = this.kinds[k];
        return kind && strings > 0 ? [{ plane: kind.plane, unit, modules: kind.modules, strings }] : [];
      }),
    );
  }
}
