import type { Check, Verdict } from '$core/kernel/check';
import { byUrgency } from '$core/kernel/check';

/** All places that one rule was asked about: how many, how many of each verdict, and the most urgent. */
export interface RuleGroup {
  readonly id: string;
  readonly title: string;
  readonly checks: readonly Check[];
  readonly counts: Readonly<Record<Verdict, number>>;
  readonly worst: Check;
}

interface Growing {
  checks: Check[];
  counts: Record<Verdict, number>;
  worst: Check;
}

/** Checks gathered by their rule, the rule with the most urgent check first. */
export function groupedByRule(checks: readonly Check[]): RuleGroup[] {
  const groups = new Map<string, Growing>();
  for (const c of checks) {
    let own = groups.get(c.id);
    if (!own) groups.set(c.id, (own = { checks: [], counts: { holds: 0, tight: 0, stop: 0, unknown: 0 }, worst: c }));
    own.checks.push(c);
    own.counts[c.verdict] += 1;
    if (byUrgency(c, own.worst) < 0) own.worst = c;
  }
  return [...groups]
    .map(([id, g]) => ({ id, title: g.worst.title, ...g }))
    .sort((a, b) => byUrgency(a.worst, b.worst) || a.title.localeCompare(b.title));
}

/** Whether a check is meant by what somebody typed: every word stands in its rule, its place or its verdict. */
export function isMeant(check: Check, words: readonly string[]): boolean {
  if (words.length === 0) return true;
  const text = `${check.title} ${check.subject.path} ${check.id} ${check.verdict}`.toLowerCase();
  return words.every((w) => text.includes(w));
}
export const wordsOf = (typed: string): string[] => typed.trim().toLowerCase().split(/\s+/).filter(Boolean);
