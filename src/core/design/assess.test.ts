import { describe, expect, it } from 'vitest';
import { Memo } from '../kernel/memo';
import { withStrings } from '../strings/arrange';
import { legalLayout } from '../strings/layout/legalLayout';
import { plane, siteOf } from '../testing/examples';
import { applyEdit } from '.';
import { assessSite, madeAnew } from './assess';

const bare = siteOf(3, [plane('south', 108)]);
const design = withStrings(bare, legalLayout(bare).strings);

describe('checks made anew', () => {
  it('are all that differ between two assessments, and far from all there are', () => {
    const memo = new Memo();
    const before = assessSite(design, memo);
    const [string] = design.strings;
    const now = assessSite(applyEdit(design, { kind: 'hang-string', stringId: string?.id ?? '', place: null }), memo);
    const [old, own] = madeAnew(before, now);
    const [was, is] = [new Set(before.checks), new Set(now.checks)];
    expect(before.checks.filter((c) => !is.has(c)).every((c) => old.includes(c))).toBe(true);
    expect(now.checks.filter((c) => !was.has(c)).every((c) => own.includes(c))).toBe(true);
    expect(own.length).toBeGreaterThan(0);
    expect(own.length).toBeLessThan(now.checks.length / 2);
    expect(old.every((c) => was.has(c)) && own.every((c) => is.has(c))).toBe(true);
  });
  it('are few where nothing changed, and all where nothing is known of before', () => {
    const memo = new Memo();
    const first = assessSite(design, memo);
    const same = madeAnew(first, assessSite(design, memo)).map((checks) => checks.length);
    expect(same[0]).toBe(same[1]);
    expect(same[0]).toBeLessThan(first.checks.length / 2);
    expect(madeAnew(first, assessSite(design))[1]).toHaveLength(first.checks.length);
  });
});
