import { describe, expect, it } from 'vitest';
import { Crew } from '../../testing/crew';
import { siteOf, plane } from '../../testing/examples';
import { withStrings } from '../../strings/arrange';
import { legalLayout } from '../../strings/layout/legalLayout';
import type { Entry } from '../entry';
import { EntryIndex } from './entries';
import { Neighbours } from './neighbours';
import { Times } from './times';

/** Entries beside each other, in whatever order they come: by kind and time, corrections in the place of what they correct. */

const bare = siteOf(1, [plane('south', 72)]);
const crew = new Crew(withStrings(bare, legalLayout(bare).strings));
const STRING = { scope: 'string', id: crew.design.strings[0]?.id ?? '' } as const;
const START = Date.parse('2026-05-04T08:00:00Z');
const MINUTE = 60_000;
const values = (voltageV: number) => ({ voltageV, cellC: 25, irradianceWm2: 800, lightAt: null, currentA: null });
let made = 0;
/** A reading so many minutes after the start; `n` orders ids where times are equal. */
function reading(minutes: number, over: Partial<Entry> = {}, n = ++made): Entry {
  const entry = crew.add('string-test', STRING, values(1 + (n % 1400)), { role: 'electrician' });
  crew.entries.pop();
  const id = `01969a00-0000-7000-8000-${n.toString(16).padStart(12, '0')}`;
  return { ...entry, id, device: null, doneAt: new Date(START + minutes * MINUTE).toISOString(), ...over };
}
const times = new Times('UTC');
const among = (entries: readonly Entry[]) => new Neighbours(entries, EntryIndex.of(entries), times);
const ids = (entries: readonly Entry[]) => entries.map((e) => e.id);
const near = (n: Neighbours, minutes: number, within: number, kind = 'string-test') =>
  n.near(kind, START + minutes * MINUTE, within * MINUTE);

describe('entries beside a moment', () => {
  const [a, b, c, d] = [reading(0), reading(10), reading(20), reading(30)] as [Entry, Entry, Entry, Entry];
  it('are those of a kind within the time, both ends counted, the oldest first', () => {
    const of = among([d, b, a, c]);
    expect(ids(near(of, 15, 5))).toEqual(ids([b, c]));
    expect(ids(near(of, 10, 10))).toEqual(ids([a, b, c]));
    expect(ids(near(of, 15, 100))).toEqual(ids([a, b, c, d]));
    expect(near(of, 15, 4.9)).toEqual([]);
    expect(near(of, 40, 9.9)).toEqual([]);
    expect(ids(near(of, 40, 10))).toEqual(ids([d]));
    expect(near(of, 15, 100, 'thermal')).toEqual([]);
    // Asked again it says the same.
    expect(ids(near(of, 15, 5))).toEqual(ids([b, c]));
  });
  it('stand by their ids where they were made at the same moment', () => {
    const [first, second, third] = [reading(5, {}, 901), reading(5, {}, 902), reading(5, {}, 903)];
    for (const order of [
      [first, second, third],
      [third, second, first],
      [second, third, first],
    ])
      expect(ids(near(among(order), 5, 1))).toEqual(ids([first, second, third]));
  });
  it('are of their own kind alone', () => {
    const work = crew.add('work', STRING, { gate: 'D-VOC', doing: 'begins' }, { by: 'Ada' });
    crew.entries.pop();
    const beside = { ...work, device: null, doneAt: a.doneAt };
    expect(ids(near(among([beside, a]), 0, 1))).toEqual(ids([a]));
    expect(ids(near(among([beside, a]), 0, 1, 'work'))).toEqual(ids([beside]));
  });
});

describe('a correction', () => {
  const put = (target: Entry, minutes: number, over: Partial<Entry> = {}) =>
    reading(minutes, { corrects: target.id, reason: 'typed wrong', ...over });
  it('stands in the place and at the time of what it corrects, with what it says itself', () => {
    const wrong = reading(0);
    const right = put(wrong, 60);
    const [found, ...others] = near(among([wrong, right]), 0, 1);
    expect(others).toEqual([]);
    expect(found).toMatchObject({ id: wrong.id, doneAt: wrong.doneAt, values: right.values, corrects: wrong.id });
    expect(near(among([wrong, right]), 60, 1)).toEqual([]);
  });
  it('of a correction counts last, and of two of one entry the earlier made counts', () => {
    const wrong = reading(0);
    const right = put(wrong, 60);
    const better = put(right, 70);
    expect(near(among([better, right, wrong]), 0, 1)[0]?.values).toEqual(better.values);
    const rival = put(wrong, 50);
    expect(near(among([wrong, right, rival]), 0, 1)[0]?.values).toEqual(rival.values);
    const twin = [
      put(wrong, 40, { id: '01969a00-0000-7000-8000-00000000f001' }),
      put(wrong, 40, { id: '01969a00-0000-7000-8000-00000000f002' }),
    ];
    for (const order of [twin, [...twin].reverse()])
      expect(near(among([wrong, ...order]), 0, 1)[0]?.values).toEqual(twin[0]?.values);
  });
  it('without a reason, or of something that is not there, changes nothing', () => {
    const wrong = reading(0);
    expect(near(among([wrong, put(wrong, 60, { reason: ' ' })]), 0, 1)[0]).toBe(wrong);
    expect(near(among([wrong, put(reading(1), 60)]), 0, 1)[0]).toBe(wrong);
  });
  it('in a circle leaves everything as it is said', () => {
    const a = reading(0, { corrects: '01969a00-0000-7000-8000-00000000c002', reason: 'x y z' }, 0xc001);
    const b = reading(1, { corrects: a.id, reason: 'x y z' }, 0xc002);
    expect(near(among([a, b]), 0, 10)).toEqual([]);
    expect(among([a, b]).placeOf(a).id).toBe(b.id);
  });
  it('has the place of the first entry that its corrections name', () => {
    const wrong = reading(0);
    const right = put(wrong, 60);
    const better = put(right, 70);
    const of = among([wrong, right, better]);
    for (const e of [wrong, right, better]) expect(of.placeOf(e)).toBe(wrong);
    const lost = put(reading(3), 60);
    expect(among([lost]).placeOf(lost)).toBe(lost);
    expect([of.isOwn(wrong), of.isOwn({ ...wrong }), of.isOwn(reading(9))]).toEqual([true, false, false]);
  });
});

describe('with some more entries', () => {
  it('it is as if they had always been there, wherever they fall', () => {
    const old = [reading(0), reading(10), reading(20), reading(20), reading(30)];
    const [early, between, same, late] = [reading(-5), reading(15), reading(20), reading(40)];
    for (const added of [[early], [between], [same], [late], [late, early, same, between]] as Entry[][]) {
      const before = among(old);
      near(before, 0, 1000);
      const all = [...old, ...added];
      const after = before.with(added, all, EntryIndex.of(all));
      expect(ids(near(after, 0, 1000))).toEqual(ids(near(among(all), 0, 1000)));
      // What was there before is not told.
      expect(ids(near(before, 0, 1000))).toEqual(ids(near(among(old), 0, 1000)));
    }
  });
  it('a correction among them is looked for in its place', () => {
    const old = [reading(0), reading(10)] as [Entry, Entry];
    const right = reading(90, { corrects: old[1].id, reason: 'typed wrong' });
    const before = among(old);
    near(before, 0, 1000);
    const all = [...old, right];
    const after = before.with([right], all, EntryIndex.of(all));
    expect(near(after, 10, 1)[0]?.values).toEqual(right.values);
    expect(near(after, 90, 1)).toEqual([]);
  });
  it('those of another kind change nothing', () => {
    const old = [reading(0)];
    const before = among(old);
    near(before, 0, 1000);
    const work = crew.add('work', STRING, { gate: 'D-VOC', doing: 'begins' }, { by: 'Ada' });
    crew.entries.pop();
    expect(ids(near(before.with([work], [...old, work], EntryIndex.of([...old, work])), 0, 1e6))).toEqual(ids(old));
  });
});

describe('an index of entries', () => {
  const [a, b, c] = [reading(0), reading(1), reading(2)] as [Entry, Entry, Entry];
  it('has each once, the last said of one id, in the order in which they came', () => {
    const again = { ...a, by: 'again' };
    const index = EntryIndex.of([a, b, again]);
    expect(index.values()).toEqual([again, b]);
    expect([index.get(a.id), index.get(c.id)]).toEqual([again, undefined]);
  });
  it('takes more without telling the shorter log, and refuses what was there or was missed', () => {
    const index = EntryIndex.of([a]);
    const longer = index.with([b, c]);
    expect(longer?.values()).toEqual([a, b, c]);
    expect(index.get(b.id)).toBeUndefined();
    expect(index.with([a])).toBeNull();
    expect(longer?.with([b])).toBeNull();
    expect(index.with([b, { ...b }])).toBeNull();
    const naming = reading(5, { corrects: c.id, reason: 'typed wrong' });
    expect(EntryIndex.of([a, naming]).with([c])).toBeNull();
    expect(index.with([naming])?.with([c])).toBeNull();
    expect(index.with([naming, c])?.values()).toEqual([a, naming, c]);
    expect(longer?.with([naming])?.get(naming.id)).toBe(naming);
    // Named and there already: nothing is missed, and others may come.
    expect(longer?.with([naming])?.with([reading(6)])).not.toBeNull();
  });
  it('holds many more than its upper layer', () => {
    let index: EntryIndex | null = EntryIndex.of([a]);
    const more = Array.from({ length: 1100 }, (_, i) => reading(i));
    for (const e of more) index = index?.with([e]) ?? null;
    expect(index?.values()).toEqual([a, ...more]);
    expect(more.every((e) => index?.get(e.id) === e)).toBe(true);
    expect(index?.with([more[3] as Entry])).toBeNull();
  });
});

describe('the time of an entry', () => {
  it('is that of its clock put right, on the later day it can have been', () => {
    const device = { id: 'phone', seq: 1, offsetMs: 90_000, roundTripMs: 10_000 };
    const entry = reading(0, { device, doneAt: '2026-05-04T21:58:27.000Z' });
    const own = new Times('Europe/Oslo');
    // 23:59:57 in Oslo, five seconds either way: it may be tomorrow.
    expect(own.of(entry)).toEqual({ atMs: Date.parse('2026-05-04T21:59:57Z'), uncertainMs: 5000, day: '2026-05-05' });
    const sure = reading(0, { device: { ...device, roundTripMs: 0 }, doneAt: '2026-05-04T21:58:27.000Z' });
    expect(own.of(sure)).toMatchObject({ uncertainMs: 1000, day: '2026-05-04' });
    expect(own.of(entry).day).toBe('2026-05-05');
    expect(own.tell(sure, 5, 7)).toMatchObject({ atMs: 5, uncertainMs: 7, day: '1970-01-01' });
    expect(own.of(sure).atMs).toBe(5);
    expect(own.tell(sure, 6, 8).atMs).toBe(5);
  });
});
