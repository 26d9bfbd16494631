import type { Basis, Verdict } from './check';
import { ROUNDING } from './rounding';

/** What a rule may say; `unknown` is the kernel's word. */
export type Judged = Exclude<Verdict, 'unknown'>;

/** How a value that is known stands against its limit: what a rule says once its needs are there. */
export interface Judgement {
  readonly value: number | null;
  readonly limit: number | null;
  /** Percent of the limit left; below 0 is past it; null where there is no number. */
  readonly margin: number | null;
  /** Percent of the limit wanted in hand; undefined where none is. */
  readonly reserve?: number | undefined;
  readonly verdict: Judged;
  /** Written when somebody reads it: thousands of checks are made for every one that is opened. */
  readonly working: () => readonly string[];
  /** Where this answer rests on something narrower than its rule. */
  readonly basis?: Basis | undefined;
}

interface Measured {
  readonly value: number;
  readonly limit: number;
  readonly working: () => readonly string[];
  readonly basis?: Basis | undefined;
}

function against(m: Measured, distance: number, reservePercent: number): Judgement {
  const raw = (100 * distance) / Math.abs(m.limit);
  const margin = Math.abs(raw) < 100 * ROUNDING ? 0 : raw;
  const verdict: Judged = margin >= reservePercent ? 'holds' : margin >= 0 ? 'tight' : 'stop';
  const { value, limit, working, basis } = m;
  // Field by field: a spread costs ten times as much, and this runs for every check of a site.
  const reserve = reservePercent > 0 ? reservePercent : undefined;
  return { value, limit, margin: Number.isFinite(margin) ? margin : null, reserve, verdict, working, basis };
}

/** Holds at or under the limit with the wanted reserve (percent of the limit), tight inside it; a NaN stops. */
export function atMost(m: Measured, reservePercent = 0): Judgement {
  return against(m, m.limit - m.value, reservePercent);
}

/** Holds at or over the limit with the wanted reserve (percent of the limit), tight inside it; a NaN stops. */
export function atLeast(m: Measured, reservePercent = 0): Judgement {
  return against(m, m.value - m.limit, reservePercent);
}

/** Kept or broken, with whatever numbers there are to show. */
export function found(
  verdict: Judged,
  working: () => readonly string[],
  numbers: Partial<Pick<Judgement, 'value' | 'limit' | 'margin' | 'basis'>> = {},
): Judgement {
  const { value = null, limit = null, margin = null, basis } = numbers;
  return { value, limit, margin, verdict, working, basis };
}

/** A count that must not pass a count: kept or broken, with no margin to speak of. */
export function counted(value: number, most: number, working: () => string): Judgement {
  return found(value <= most ? 'holds' : 'stop', () => [working()], { value, limit: most });
}

/** The same, softened or hardened by what the number alone does not show. A limit that was only wished for leaves no negative margin. */
export function withVerdict(j: Judgement, verdict: Judged, why: () => readonly string[]): Judgement {
  const margin = verdict !== 'stop' && j.margin !== null && j.margin < 0 ? null : j.margin;
  return { ...j, margin, verdict, working: () => [...j.working(), ...why()] };
}
