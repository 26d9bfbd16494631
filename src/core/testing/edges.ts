import { describe, expect, it } from 'vitest';
import type { Check } from '../kernel/check';
import type { Rule } from '../kernel/rule';

/** Parts of the line that a rule is asked about, by what it has to say of them. */
export interface Edges<S> {
  /** Just inside, and well inside. */
  readonly holds: readonly S[];
  readonly tight?: readonly S[];
  /** Just past the limit first. */
  readonly stops?: readonly S[];
  /** One for every need of the rule, by the name it asks for: the same part with that need missing. */
  readonly without: Readonly<Record<string, S>>;
  /** Values and limits that a handbook or a second path gives. */
  readonly numbers?: readonly (readonly [S, Partial<Pick<Check, 'value' | 'limit' | 'margin'>>])[];
  /** What the working tells, a line each in its order: its numbers, its advice, what it asks for. */
  readonly says?: readonly (readonly [S, ...RegExp[]])[];
}

const SUBJECT = { element: 'string', path: 'somewhere' } as const;

/**
 * Tests a rule at its edges: just holds, tight, stops, and unknown for each of its needs. A need without a case fails. The cases are made anew
 * in every test: what makes them is tested with the rule.
 */
export function edges<S>(rule: Rule<S>, cases: () => Edges<S>): void {
  const check = (about: S) => rule.check(about, SUBJECT);
  const given = cases();
  describe(rule.id, () => {
    it.each([
      ['holds', () => cases().holds],
      ['tight', () => cases().tight ?? []],
      ['stop', () => cases().stops ?? []],
    ] as const)('%s', (verdict, parts) => {
      for (const about of parts()) {
        const c = check(about);
        expect(c.verdict, c.working.join(' / ')).toBe(verdict);
        expect(c.working.length).toBeGreaterThan(0);
        if (c.margin !== null && verdict !== 'stop') expect(c.margin).toBeGreaterThanOrEqual(0);
      }
    });
    it('is unknown without any one of its needs, and names it', () => {
      const { without } = cases();
      expect(Object.keys(without).sort()).toEqual([...new Set(rule.asks)].sort());
      for (const [name, about] of Object.entries(without)) {
        const c = check(about);
        expect(c, name).toMatchObject({ verdict: 'unknown', value: null, limit: null, margin: null });
        expect(c.working[0]).toMatch(/^Missing: \S/);
      }
    });
    if (given.numbers)
      it('gives the worked numbers', () => {
        for (const [about, wanted] of cases().numbers ?? []) {
          const c = check(about);
          for (const [field, value] of Object.entries(wanted) as ['value', number][])
            expect(c[field], `${field}: ${c.working.join(' / ')}`).toBeCloseTo(value, 6);
        }
      });
    if (given.says)
      it('tells how, line by line', () => {
        for (const [about, ...lines] of cases().says ?? [])
          expect(check(about).working).toEqual(lines.map((line) => expect.stringMatching(line)));
      });
  });
}
