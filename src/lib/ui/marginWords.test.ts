import { describe, expect, it } from 'vitest';
import { marginWords } from './marginWords';

describe('the margin that made a verdict', () => {
  it('is what is left of the limit', () => {
    expect(marginWords({ margin: 12.34, verdict: 'holds' })).toBe('12.3 %');
    expect(marginWords({ margin: 12.34, verdict: 'holds' }, true)).toBe('12 %');
    expect(marginWords({ margin: 9.96, reserve: 5, verdict: 'holds' }, true)).toBe('10.0 %');
    expect(marginWords({ margin: -3.2, reserve: 5, verdict: 'stop' })).toBe('−3.2 %');
  });
  it('stands beside what should be in hand where there is less', () => {
    expect(marginWords({ margin: 34.27, reserve: 50, verdict: 'tight' })).toBe('34.3 of 50.0 %');
    expect(marginWords({ margin: 34.27, reserve: 50, verdict: 'tight' }, true)).toBe('34 of 50 %');
    expect(marginWords({ margin: 0, reserve: 1, verdict: 'tight' })).toBe('0.0 of 1.0 %');
  });
  it('is not given where something else made the verdict', () => {
    expect(marginWords({ margin: 34.27, verdict: 'tight' })).toBe('tight');
    expect(marginWords({ margin: 60, reserve: 50, verdict: 'tight' })).toBe('tight');
    expect(marginWords({ margin: 0, verdict: 'stop' })).toBe('stop');
    expect(marginWords({ margin: null, verdict: 'unknown' })).toBe('unknown');
  });
  it('says no digits far from the limit', () => {
    expect(marginWords({ margin: 999.1, verdict: 'holds' })).toBe('> 999 %');
  });
});
