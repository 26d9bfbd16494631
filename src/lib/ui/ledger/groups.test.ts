import { describe, expect, it } from 'vitest';
import type { Check, Verdict } from '$core/kernel/check';
import { practice } from '$core/kernel/check';
import { groupedByRule, isMeant, wordsOf } from './groups';

const check = (id: string, path: string, verdict: Verdict, margin: number | null): Check => ({
  id,
  subject: { element: 'string', path },
  title: `Title of ${id}`,
  value: null,
  limit: null,
  unit: 'V',
  margin,
  verdict,
  basis: practice(),
  working: [],
});
const CHECKS = [
  check('a', 'INV-01 / tracker 1', 'holds', 30),
  check('b', 'INV-01 / tracker 1', 'tight', 2),
  check('a', 'INV-02 / tracker 1', 'holds', 12),
  check('c', 'INV-01', 'unknown', null),
  check('b', 'INV-02 / tracker 1', 'stop', -1),
];

describe('checks gathered by their rule', () => {
  const groups = groupedByRule(CHECKS);
  it('stand once a rule, the most urgent first', () => {
    expect(groups.map((g) => g.id)).toEqual(['b', 'c', 'a']);
    expect(groups.map((g) => g.checks.length)).toEqual([2, 1, 2]);
  });
  it('show their worst, by verdict and then by margin', () => {
    expect(groups.map((g) => g.worst.subject.path)).toEqual(['INV-02 / tracker 1', 'INV-01', 'INV-02 / tracker 1']);
    expect(groups[0]?.counts).toEqual({ holds: 0, tight: 1, stop: 1, unknown: 0 });
  });
  it('keep every check', () => {
    expect(groups.flatMap((g) => g.checks)).toHaveLength(CHECKS.length);
    expect(groupedByRule([])).toEqual([]);
  });
});

describe('a search in checks', () => {
  const found = (typed: string) => CHECKS.filter((c) => isMeant(c, wordsOf(typed))).length;
  it('goes by rule, place and verdict, every word of it', () => {
    expect(found('')).toBe(5);
    expect(found(' inv-02 ')).toBe(2);
    expect(found('INV-02 stop')).toBe(1);
    expect(found('title of')).toBe(5);
    expect(found('inv-09')).toBe(0);
  });
});
