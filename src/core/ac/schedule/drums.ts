import { requirePositive } from '../../kernel/require';

/** Cuts of one cable on drums: no joint in a run, and as few new drums as can be. */

export interface Cut {
  readonly tag: string;
  readonly lengthM: number;
}

/** One drum, new or a remainder out of the store, with what is cut off it. */
export interface Drum {
  readonly isNew: boolean;
  readonly lengthM: number;
  readonly cuts: readonly Cut[];
  readonly leftM: number;
}

export interface DrumPlan {
  readonly drums: readonly Drum[];
  readonly newDrums: number;
  /** No plan can do with fewer; equal to `newDrums` where that is proved. */
  readonly atLeast: number;
  readonly proved: boolean;
}

export interface DrumSearch {
  readonly timeLimitS: number;
  readonly nowS: () => number;
}

/** Room that rounding takes no cut over, m. */
const SLACK_M = 1e-9;

interface Bin {
  readonly capM: number;
  readonly isNew: boolean;
  leftM: number;
  readonly cuts: number[];
}

const sum = (xs: readonly number[]) => xs.reduce((a, b) => a + b, 0);

/** No plan needs fewer new drums: metres that the store cannot hold over the drum, and cuts over half a drum one each. */
function leastNewDrums(lengths: readonly number[], store: readonly number[], drumM: number): number {
  const byMetres = Math.ceil((sum(lengths) - sum(store)) / drumM - SLACK_M);
  const big = lengths.filter((l) => l > drumM / 2 + SLACK_M).length;
  const roomy = store.filter((s) => s > drumM / 2).reduce((n, s) => n + Math.ceil((2 * s) / drumM), 0);
  return Math.max(0, byMetres, big - roomy);
}

/** Every cut in the bin that it leaves the least of, the longest first; a new drum where none takes it. */
function bestFit(lengths: readonly number[], store: readonly number[], drumM: number): Bin[] {
  const bins: Bin[] = store.map((capM) => ({ capM, isNew: false, leftM: capM, cuts: [] }));
  lengths.forEach((l, i) => {
    const fits = bins.filter((b) => b.leftM + SLACK_M >= l).sort((a, b) => a.leftM - b.leftM);
    let bin = fits[0];
    if (!bin) bins.push((bin = { capM: drumM, isNew: true, leftM: drumM, cuts: [] }));
    bin.cuts.push(i);
    bin.leftM -= l;
  });
  return bins;
}

const copied = (bins: readonly Bin[]): Bin[] => bins.map((b) => ({ ...b, cuts: [...b.cuts] }));
const newOf = (bins: readonly Bin[]) => bins.filter((b) => b.isNew).length;

/** Depth first over the cuts, the longest first: each into every bin of another room, or a new drum, while fewer new drums are possible. */
class Search {
  best: Bin[];
  ended = false;
  private steps = 0;

  constructor(
    private readonly lengths: readonly number[],
    private readonly drumM: number,
    first: Bin[],
    private readonly enough: number,
    private readonly time: DrumSearch & { readonly untilS: number },
  ) {
    this.best = copied(first);
  }

  run(store: readonly number[]): void {
    const bins: Bin[] = store.map((capM) => ({ capM, isNew: false, leftM: capM, cuts: [] }));
    this.place(0, bins, sum(this.lengths));
  }

  private place(at: number, bins: Bin[], restM: number): void {
    if (this.ended || newOf(this.best) <= this.enough) return;
    if (++this.steps % 4096 === 0 && this.time.nowS() > this.time.untilS) {
      this.ended = true;
      return;
    }
    const length = this.lengths[at];
    if (length === undefined) {
      this.best = copied(bins);
      return;
    }
    const opened = newOf(bins);
    const freeM = sum(bins.map((b) => b.leftM));
    if (opened + Math.ceil((restM - freeM) / this.drumM - SLACK_M) >= newOf(this.best)) return;
    const tried = new Set<number>();
    for (const bin of [...bins].sort((a, b) => a.leftM - b.leftM)) {
      if (bin.leftM + SLACK_M < length || tried.has(bin.leftM)) continue;
      tried.add(bin.leftM);
      bin.leftM -= length;
      bin.cuts.push(at);
      this.place(at + 1, bins, restM - length);
      bin.cuts.pop();
      bin.leftM += length;
    }
    if (opened + 1 >= newOf(this.best)) return;
    bins.push({ capM: this.drumM, isNew: true, leftM: this.drumM - length, cuts: [at] });
    this.place(at + 1, bins, restM - length);
    bins.pop();
  }
}

/**
 * Cuts of one cable on remainders in store and new drums of one length, m, with as few new drums as can be: best fit of the longest first, then
 * a search that proves it or stops when its time is up. Remainders come in the order in which they were given, those not touched too. Throws RangeError on a length not above 0 and on a cut longer than a drum and every
 * remainder.
 */
export function drumPlan(cuts: readonly Cut[], drumM: number, store: readonly number[], time: DrumSearch): DrumPlan {
  requirePositive({ drumM }, 'drumM');
  for (const lengthM of store) requirePositive({ lengthM }, 'lengthM');
  const longestM = Math.max(drumM, ...store);
  for (const { tag, lengthM } of cuts) {
    requirePositive({ lengthM }, 'lengthM');
    if (lengthM > longestM + SLACK_M)
      throw new RangeError(`${tag} needs ${lengthM} m in one piece; the longest drum has ${longestM} m`);
    if (lengthM > drumM + SLACK_M && store.filter((s) => s + SLACK_M >= lengthM).length === 0)
      throw new RangeError(`${tag} needs ${lengthM} m in one piece; a new drum has ${drumM} m`);
  }
  const sorted = [...cuts].sort((a, b) => b.lengthM - a.lengthM);
  const lengths = sorted.map((c) => c.lengthM);
  const atLeast = leastNewDrums(lengths, store, drumM);
  const search = new Search(lengths, drumM, bestFit(lengths, store, drumM), atLeast, {
    ...time,
    untilS: time.nowS() + time.timeLimitS,
  });
  search.run(store);
  const newDrums = newOf(search.best);
  const proved = newDrums <= atLeast || !search.ended;
  return {
    drums: search.best
      .filter((b) => b.cuts.length > 0 || !b.isNew)
      .map((b) => ({
        isNew: b.isNew,
        lengthM: b.capM,
        cuts: b.cuts.flatMap((i) => sorted[i] ?? []),
        leftM: Math.max(0, b.leftM),
      })),
    newDrums,
    atLeast: proved ? newDrums : atLeast,
    proved,
  };
}
