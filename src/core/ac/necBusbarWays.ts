import { nec } from '../conductor/schools';
import type { Answer } from '../kernel/answer';
import { known, lacking } from '../kernel/answer';
import { fixed } from '../kernel/quantity';
import type { BoardLoad } from './boardLoad';

/** 705.12(B): with sources at the end opposite the main the busbar may see so much of its rating (recalled). */
const OPPOSITE_ENDS = 1.2;

/** One way by which a busbar may take sources: what it asks of how much, A. */
export interface BusbarWay {
  readonly askedA: number;
  readonly mostA: number;
  readonly words: string;
}

interface Ratings {
  readonly sumA: number;
  readonly mainA: number;
  readonly busbarA: number;
}

const leftOf = ({ askedA, mostA }: BusbarWay) => 1 - askedA / mostA;

/** The ways that can be reckoned, and what the others lack. */
function reckoned(b: BoardLoad, { sumA, mainA, busbarA }: Ratings) {
  const { sourcesFarEnd, loadBreakersA } = b.board;
  const withMainA = nec.CONTINUOUS * sumA + mainA;
  const ways: BusbarWay[] = [
    { askedA: withMainA, mostA: busbarA, words: `1.25·ΣI_b + main = ${fixed(withMainA, 0)} A on ${busbarA} A` },
  ];
  const missing: string[] = [];
  if (sourcesFarEnd === null) missing.push('whether the inverters stand opposite the main');
  if (sourcesFarEnd)
    ways.push({
      askedA: withMainA,
      mostA: OPPOSITE_ENDS * busbarA,
      words: `at opposite ends, labelled: ${fixed(withMainA, 0)} A on 120 % of ${busbarA} A`,
    });
  // The third leaves the main out, which then protects the busbar by itself.
  if (mainA > busbarA) return { ways, missing };
  if (b.breakersA.value === null || loadBreakersA === null)
    missing.push(...b.breakersA.missing, ...(loadBreakersA === null ? ['load breakers on the busbar'] : []));
  else {
    const askedA = b.breakersA.value + loadBreakersA;
    ways.push({ askedA, mostA: busbarA, words: `sum of all branch breakers ${fixed(askedA, 0)} A on ${busbarA} A` });
  }
  return { ways, missing };
}

/** The way with the most room; one that fails while another could not be reckoned is no answer. */
export function bestBusbarWay(
  b: BoardLoad,
  ratings: Ratings,
): Answer<BusbarWay & { readonly leftPercent: number; readonly all: readonly BusbarWay[] }> {
  const { ways, missing } = reckoned(b, ratings);
  const best = ways.reduce((a, w) => (leftOf(w) > leftOf(a) ? w : a));
  if (leftOf(best) < 0 && missing.length) return lacking(...missing);
  return known({ ...best, leftPercent: 100 * leftOf(best), all: ways });
}
