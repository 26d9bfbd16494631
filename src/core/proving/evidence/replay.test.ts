import { afterEach, describe, expect, it, vi } from 'vitest';
import { withStrings } from '../../strings/arrange';
import { legalLayout } from '../../strings/layout/legalLayout';
import { Crew } from '../../testing/crew';
import { plane, siteOf } from '../../testing/examples';
import type { Entry } from '../entry';
import { evidence } from '../evidence';
import { Application } from './apply';
import type { Worked } from './worked';
import { workedThrough } from './worked';

/** How much of a log is gone through again, counted by the items that are applied, and what stands side by side where the order is open. */

const bare = siteOf(2, [plane('south', 18 * 8)]);
const design = withStrings(bare, legalLayout(bare).strings);
const releases = [{ letter: 'A', atMs: Date.parse('2026-05-01T08:00:00Z'), design }];
const strings = design.strings.map((s) => s.id);
const [UNIT, OTHER] = design.inverters.map((i) => i.id) as [string, string];

const NOW = Date.parse('2026-05-04T21:00:00Z');
const work = (entries: readonly Entry[], was: Worked | null = null) =>
  workedThrough({ releases, entries: [...entries] }, NOW, was);
const PARTS = ['S@site', `I@${UNIT}`, `I@${OTHER}`, ...strings.map((id) => `D@${id}`)];
const stateOf = ({ replay }: Worked) => replay.states.map((s) => s.moment.text(PARTS)).sort();

const look = (entries: readonly Entry[]) => evidence({ releases, entries }, NOW);

/** Items that are applied while something is worked through. */
function applied(run: () => Worked): { readonly count: number; readonly done: Worked } {
  const item = vi.spyOn(Application.prototype, 'item');
  const done = run();
  const count = item.mock.calls.length;
  item.mockRestore();
  return { count, done };
}
afterEach(() => void vi.restoreAllMocks());

/** A day of ticks on two units, a minute apart, on one phone. */
function day(count: number) {
  const crew = new Crew(design, '2026-05-04T06:00:00+02:00');
  crew.site();
  for (let n = 0; crew.entries.length < count; n++)
    crew.tick('I-MOUNT', n % 2 ? UNIT : OTHER, n % 3 ? 'pass' : 'fail', { minutes: 0.5 });
  return crew;
}

describe('a log that is taken up again', () => {
  it('is gone through once, and at its end only from the last place that was kept', () => {
    const crew = day(1000);
    const first = applied(() => work(crew.entries));
    // One for each entry, one for the release.
    expect(first.count).toBe(1001);
    const same = applied(() => work(crew.entries, first.done));
    expect(same.count).toBe(0);
    crew.prove('I-MOUNT', UNIT);
    const more = applied(() => work(crew.entries, first.done));
    expect(more.count).toBe(1);
    expect(stateOf(more.done)).toEqual(stateOf(work(crew.entries)));
  });
  it('is gone through from a little before where late mail belongs, however far back that is', () => {
    const crew = day(1000);
    for (const back of [1, 60, 200, 500, 900]) {
      const at = crew.entries.length - back;
      const late = crew.entries[at] as Entry;
      const others = crew.entries.filter((e) => e !== late);
      const before = work(others);
      const { count, done } = applied(() => work([...others, late], before));
      // What comes after it on its device has to be looked at again, and at most an eighth more than that, or 128 entries.
      expect(count).toBeGreaterThanOrEqual(back);
      expect(count).toBeLessThanOrEqual(back + Math.max(128, back / 8) + 10);
      expect(stateOf(done)).toEqual(stateOf(work(crew.entries)));
    }
  });
  it('of another device is gone through from its own time on, whatever was written before on others', () => {
    const crew = day(600);
    const mid = crew.entries[300] as Entry;
    const doneAt = new Date(Date.parse(mid.doneAt) + 15_000).toISOString();
    const before = work(crew.entries);
    const entry = { ...crew.tick('I-PE', UNIT, 'fail', { device: { id: 'p9' } }), doneAt } as Entry;
    const { count, done } = applied(() => work([...crew.entries], before));
    expect(entry.device?.id).toBe('p9');
    expect(count).toBe(1);
    expect(done.entries.length).toBe(crew.entries.length);
    const late = [...crew.entries.slice(0, -1), entry];
    const again = applied(() => work(late, before));
    expect(again.count).toBeGreaterThanOrEqual(300);
    expect(again.count).toBeLessThan(300 + 140);
    expect(stateOf(again.done)).toEqual(stateOf(work(late)));
  });
});

describe('midnights', () => {
  it('behind which nothing new lapses are not gone through again', () => {
    const crew = day(300);
    crew.wait(20 * 60);
    crew.prove('S-SAFE');
    for (let n = 0; n < 200; n++) crew.tick('I-MOUNT', UNIT, 'fail', { minutes: 0.5 });
    const at = (nowMs: number, was: Worked | null) =>
      workedThrough({ releases, entries: [...crew.entries] }, nowMs, was);
    const first = applied(() => at(crew.nowMs, null));
    // Every entry, the release, and the midnight between the days.
    expect(first.count).toBe(crew.entries.length + 2);
    crew.prove('I-MOUNT', OTHER);
    expect(applied(() => at(crew.nowMs, first.done)).count).toBe(1);
    // The next one ends the second safe day, and is gone through by itself.
    const tomorrow = applied(() => at(crew.nowMs + 24 * 3_600_000, first.done));
    expect(tomorrow.count).toBe(2);
  });
});

describe('an order that clocks leave open', () => {
  const beside = (id: string) => ({ device: { id }, minutes: 0.005 });
  it('is tried every way where it matters, and once where it does not', () => {
    const crew = day(20);
    crew.tick('I-MOUNT', UNIT, 'fail', { device: { id: 'p2' } });
    crew.prove('I-MOUNT', OTHER, beside('p3'));
    expect(work(crew.entries).replay.states).toHaveLength(1);
    crew.prove('I-MOUNT', UNIT, beside('p4'));
    expect(work(crew.entries).replay.states).toHaveLength(2);
    expect(look(crew.entries).gate('I-MOUNT', UNIT)?.state).toBe('failed');
    // Somebody looks again: what was open matters no more.
    crew.prove('I-MOUNT', UNIT);
    expect(look(crew.entries).gate('I-MOUNT', UNIT)?.state).toBe('passed');
  });
  it('keeps what was open through what concerns something else, and what comes on top of it is the same as the whole', () => {
    const crew = day(20);
    crew.tick('I-MOUNT', UNIT, 'fail', { device: { id: 'p2' } });
    crew.prove('I-MOUNT', UNIT, beside('p3'));
    const open = work(crew.entries);
    for (const id of strings.slice(0, 3)) crew.prove('D-ID', id);
    const after = work(crew.entries, open);
    expect(after.replay.states).toHaveLength(2);
    expect(stateOf(after)).toEqual(stateOf(work(crew.entries)));
  });
  it('of more orders than can be tried is given up: what it touches is open, and the rest stands', () => {
    const crew = day(20);
    for (let n = 0; n < 14; n++)
      crew.tick('I-PE', UNIT, n % 2 ? 'pass' : 'fail', { device: { id: `q${n}` }, minutes: 0.001 });
    const { replay, known } = work(crew.entries);
    expect(replay.states.length).toBeLessThanOrEqual(64);
    expect(look(crew.entries).closed('I-PE', UNIT)).toBe(false);
    expect(look(crew.entries).closed('S-SAFE', 'site')).toBe(true);
    expect([...known.notes.values()].join()).not.toContain('undefined');
  });
});
