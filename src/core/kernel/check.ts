/** How a value stands against its limit: the one shape every calculation hands to people. */

/** The line from module to grid, and the chain beside it. */
export const LINE_ELEMENTS = [
  'module',
  'string',
  'tracker',
  'inverter',
  'lug',
  'run',
  'board',
  'grid',
  'chain',
] as const;
export type LineElement = (typeof LINE_ELEMENTS)[number];

export type Verdict = 'holds' | 'tight' | 'stop' | 'unknown';

/** Worst last would hide trouble: this order puts what needs eyes first. */
export const VERDICT_ORDER: readonly Verdict[] = ['stop', 'unknown', 'tight', 'holds'];

export interface Basis {
  readonly kind: 'published' | 'data sheet' | 'practice' | 'computed';
  readonly source: string;
  /** True when the value was written down from memory and still wants a look at the source itself. */
  readonly recalled: boolean;
}

export interface Subject {
  readonly element: LineElement;
  /** Where on the line, as people say it: `INV-03 / tracker 2 / input 1`. */
  readonly path: string;
  /** Id of the part in the design, for screens that jump to it. */
  readonly id?: string;
}

export interface Check {
  /** Never renamed: reports, tests and the API hold on to it. */
  readonly id: string;
  readonly subject: Subject;
  readonly title: string;
  /** Null while unknown, and for rules that are kept or broken without a number. */
  readonly value: number | null;
  readonly limit: number | null;
  readonly unit: string;
  /** Percent of the limit left; below 0 is past it; null where there is no number. */
  readonly margin: number | null;
  readonly verdict: Verdict;
  readonly basis: Basis;
  /** Formula in symbols, then with numbers, then the result; for `unknown`, what is missing. */
  readonly working: readonly string[];
}

/** What stays the same whichever way a check comes out. */
export interface Question {
  readonly id: string;
  readonly subject: Subject;
  readonly title: string;
  readonly unit: string;
  readonly basis: Basis;
}

export interface Measured extends Question {
  readonly value: number;
  readonly limit: number;
  readonly working: readonly string[];
}

/** Slack for equality, so that a value built to sit on its limit holds (relative). */
const EQUAL = 1e-9;

function judged(c: Measured, distance: number, reservePercent: number): Check {
  const raw = (100 * distance) / Math.abs(c.limit);
  const margin = Math.abs(raw) < 100 * EQUAL ? 0 : raw;
  const verdict: Verdict = margin >= reservePercent ? 'holds' : margin >= 0 ? 'tight' : 'stop';
  return { ...c, margin: Number.isFinite(margin) ? margin : null, verdict };
}

/** Holds at or under the limit with the wanted reserve (percent of the limit), tight inside it; a NaN stops. */
export function atMost(c: Measured, reservePercent = 0): Check {
  return judged(c, c.limit - c.value, reservePercent);
}

/** Holds at or over the limit with the wanted reserve (percent of the limit), tight inside it; a NaN stops. */
export function atLeast(c: Measured, reservePercent = 0): Check {
  return judged(c, c.value - c.limit, reservePercent);
}

/** The same result, softened or hardened by a rule that the number alone does not show. A limit that was only wished for leaves no negative margin. */
export function withVerdict(c: Check, verdict: Verdict, ...why: string[]): Check {
  const margin = verdict !== 'stop' && c.margin !== null && c.margin < 0 ? null : c.margin;
  return { ...c, margin, verdict, working: [...c.working, ...why] };
}

/** A rule that is kept or broken, without a number. */
export function rule(q: Question, verdict: Exclude<Verdict, 'unknown'>, working: readonly string[]): Check {
  return { ...q, value: null, limit: null, margin: null, verdict, working };
}

/** A count that must not pass a count: kept or broken, with no margin to speak of. */
export function counted(q: Question, value: number, most: number, working: string): Check {
  return { ...rule(q, value <= most ? 'holds' : 'stop', [working]), value, limit: most };
}

/** No answer yet: the missing inputs by the names the forms use. Never shown as holding. */
export function unknown(q: Question, missing: readonly string[]): Check {
  return {
    ...q,
    value: null,
    limit: null,
    margin: null,
    verdict: 'unknown',
    working: [`Missing: ${missing.join(', ')}`],
  };
}

/** The names of the inputs that are null, in the order given. */
export function missingOf(inputs: Readonly<Record<string, unknown>>): string[] {
  return Object.entries(inputs)
    .filter(([, value]) => value === null || value === undefined)
    .map(([name]) => name);
}

export function published(source: string, recalled = true): Basis {
  return { kind: 'published', source, recalled };
}
export function practice(source = 'common practice, no published source'): Basis {
  return { kind: 'practice', source, recalled: false };
}
export function dataSheet(field: string): Basis {
  return { kind: 'data sheet', source: `data sheet: ${field}`, recalled: false };
}
export function computed(source: string): Basis {
  return { kind: 'computed', source, recalled: false };
}

/** Smallest margin first; what stops or is unknown comes before any number. */
export function byUrgency(a: Check, b: Check): number {
  const rank = VERDICT_ORDER.indexOf(a.verdict) - VERDICT_ORDER.indexOf(b.verdict);
  if (rank !== 0) return rank;
  return (a.margin ?? Number.POSITIVE_INFINITY) - (b.margin ?? Number.POSITIVE_INFINITY);
}

/** The worst verdict of many; `unknown` when there is nothing to judge. */
export function worstOf(verdicts: Iterable<Verdict>): Verdict {
  const seen = new Set(verdicts);
  return VERDICT_ORDER.find((v) => seen.has(v)) ?? 'unknown';
}

/** The most urgent of many checks, in order: without sorting those that nobody looks at. */
export function mostUrgent(checks: readonly Check[], count: number): Check[] {
  const top: Check[] = [];
  for (const c of checks) {
    const last = top[count - 1];
    if (last !== undefined && byUrgency(c, last) >= 0) continue;
    let at = Math.min(top.length, count - 1);
    while (at > 0 && byUrgency(c, top[at - 1] as Check) < 0) at--;
    top.splice(at, 0, c);
    if (top.length > count) top.pop();
  }
  return top;
}
