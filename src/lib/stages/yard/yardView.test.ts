import { describe, expect, it } from 'vitest';
import type { Verdict } from '$core/kernel/check';
import type { ListedSite } from '$lib/schemas/site';
import type { YardView } from './yardView';
import { sitesInView, worstOfSite } from './yardView';

const site = (
  name: string,
  place: string,
  counts: Partial<Record<Verdict, number>>,
  more: Partial<ListedSite> = {},
): ListedSite => ({
  id: name,
  name,
  revision: 1,
  changedAt: '2026-05-01T08:00:00.000Z',
  standing: 'open',
  stage: 'design',
  summary: {
    place,
    inverters: 1,
    strings: 1,
    modules: 1,
    acKw: 100,
    dcKw: 120,
    counts: { stop: 0, unknown: 0, tight: 0, holds: 0, ...counts },
    line: [],
  },
  ...more,
});
const YARD = [
  site('Hall 10', 'Ulvaby', { holds: 3 }, { stage: 'released' }),
  site('Hall 9', 'Tarnholm', { stop: 1, holds: 9 }),
  site('Depot', 'Ulvaby', { tight: 1 }, { stage: 'on site' }),
  site('Old shed', 'Tarnholm', {}, { standing: 'archived' }),
];
const ALL: YardView = { find: '', standing: 'open', verdict: '', stage: '', sort: 'name', down: false };
const names = (view: Partial<YardView>) => sitesInView(YARD, { ...ALL, ...view }).map((s) => s.name);

describe('the yard in view', () => {
  it('holds open sites by name, numbers by their size', () => {
    expect(names({})).toEqual(['Depot', 'Hall 9', 'Hall 10']);
    expect(names({ down: true })).toEqual(['Hall 10', 'Hall 9', 'Depot']);
  });
  it('shows what is put aside where it is asked for, and nowhere else', () => {
    expect(names({ standing: 'archived' })).toEqual(['Old shed']);
    expect(names({ standing: 'deleted' })).toEqual([]);
  });
  it('keeps a site in sight where a unit has to be switched off', () => {
    const alarmed = { 'Old shed': 1 };
    expect(sitesInView(YARD, ALL, alarmed).map((s) => s.name)).toContain('Old shed');
    expect(sitesInView(YARD, { ...ALL, standing: 'deleted' }, alarmed)).toEqual([]);
  });
  it('is filtered by name and place, verdict and stage', () => {
    expect(names({ find: 'hall tarn' })).toEqual(['Hall 9']);
    expect(names({ verdict: 'stop' })).toEqual(['Hall 9']);
    expect(names({ stage: 'on site' })).toEqual(['Depot']);
    expect(names({ stage: 'on site', verdict: 'stop' })).toEqual([]);
  });
  it('is sorted by urgency and by how far the work is', () => {
    expect(names({ sort: 'verdict' })).toEqual(['Hall 9', 'Depot', 'Hall 10']);
    expect(names({ sort: 'stage', down: true })).toEqual(['Depot', 'Hall 10', 'Hall 9']);
  });
});

describe('the worst of a site', () => {
  it('is unknown where nothing was judged, and never holds while something is open', () => {
    expect(worstOfSite(site('a', '', {}))).toBe('unknown');
    expect(worstOfSite(site('a', '', { holds: 900, unknown: 1 }))).toBe('unknown');
    expect(worstOfSite(site('a', '', { tight: 1, unknown: 1, stop: 1 }))).toBe('stop');
    expect(worstOfSite(site('a', '', { holds: 1 }))).toBe('holds');
  });
});
