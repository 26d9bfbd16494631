import { describe, expect, it } from 'vitest';
import type { Over } from '../../testing/crew';
import { Crew } from '../../testing/crew';
import { twoUnits } from '../../testing/handedOver';
import type { Entry } from '../entry';
import { EntryIndex } from './entries';
import type { Item } from './items';
import { chainsOf, namedBy } from './items';

const START = Date.parse('2026-05-04T07:00:00Z');
const UNIT = 'inv-1';
const crew = () => new Crew(twoUnits, new Date(START).toISOString());
/** A tick so many seconds after the start, by the clock of its device. */
const tick = (c: Crew, seconds: number, over: Over = {}) =>
  c.tick('I-MOUNT', UNIT, 'pass', { doneAt: new Date(START + 1000 * seconds).toISOString(), ...over });
const times = (items: readonly (Item | undefined)[]) =>
  items.map((i) => i && [(i.lo - START) / 1000, (i.hi - START) / 1000]);
const release = { letter: 'A', atMs: START - 60_000, design: twoUnits };

describe('times of entries', () => {
  it('are their clock’s, uncertain by a second at least and by half the round trip', () => {
    const c = crew();
    const entries = [
      tick(c, 10, { device: { id: 'a' } }),
      tick(c, 10, { device: { id: 'b', roundTripMs: 5000 } }),
      tick(c, 10, { device: { id: 'c', offsetMs: -4000 } }),
      tick(c, 10, { device: null }),
    ];
    const chains = chainsOf(entries, [release], [START + 5000]);
    // The server's chain, then entries without a device, then the devices by name.
    expect(chains.map((chain) => times(chain))).toEqual([
      [
        [-60, -60],
        [5, 5],
      ],
      [[9, 11]],
      [[9, 11]],
      [[7.5, 12.5]],
      [[5, 7]],
    ]);
  });
  it('keep the sequence of their device: no earlier than what came before, no later than what came after', () => {
    const c = crew();
    const entries = [
      tick(c, 10, { device: { id: 'a', seq: 1, roundTripMs: 6000 } }),
      tick(c, 12, { device: { id: 'a', seq: 2, roundTripMs: 20_000 } }),
      tick(c, 13, { device: { id: 'a', seq: 3 } }),
    ];
    // 10 ± 3, 12 ± 10, 13 ± 1: the second lies between the others, whatever order they came in.
    for (const arrived of [entries, [...entries].reverse()]) {
      const [, chain] = chainsOf(arrived, [], []);
      expect(chain?.map((i) => i.entry?.device?.seq)).toEqual([1, 2, 3]);
      expect(times(chain ?? [])).toEqual([
        [7, 13],
        [7, 14],
        [12, 14],
      ]);
      expect(chain?.map((i) => i.before)).toEqual([null, ...(chain ?? []).slice(0, 2)]);
    }
  });
  it('may lie anywhere between where the clock contradicts the sequence', () => {
    const c = crew();
    const entries = [
      tick(c, 100, { device: { id: 'a', seq: 1 } }),
      tick(c, 20, { device: { id: 'a', seq: 2 } }),
      tick(c, 200, { device: { id: 'a', seq: 3 } }),
    ];
    const [, chain] = chainsOf(entries, [], []);
    expect(times(chain ?? [])).toEqual([
      [21, 99],
      [21, 99],
      [199, 201],
    ]);
  });
  it('are no earlier than what they name: an entry, and their release', () => {
    const c = crew();
    const late = tick(c, 50, { device: { id: 'b' } });
    const right = tick(c, 10, { device: { id: 'a' }, corrects: late.id, reason: 'typed wrong' });
    const after = tick(c, 11, { device: { id: 'a' } });
    const [server, a, b] = chainsOf([late, right, after], [{ ...release, atMs: START + 30_000 }], []);
    expect(times(b ?? [])).toEqual([[49, 51]]);
    expect(times(a ?? [])).toEqual([
      [49, 49],
      [49, 49],
    ]);
    expect(a?.[0]?.after).toEqual([b?.[0], server?.[0]]);
    // One of the names alone is later than the clock says.
    const [, own] = chainsOf([late, right], [release], []);
    expect(times(own ?? [])).toEqual([[49, 49]]);
    // Where the names agree with the clocks nothing moves.
    const [, quiet] = chainsOf([tick(crew(), 10, { device: { id: 'a' } })], [release], []);
    expect(times(quiet ?? [])).toEqual([[9, 11]]);
  });
  it('of the server stand in their order, a release before a midnight of the same moment', () => {
    const at = (letter: string, seconds: number) => ({ ...release, letter, atMs: START + 1000 * seconds });
    const [server] = chainsOf([], [at('B', 50), at('A', 10)], [START + 50_000, START, START + 20_000]);
    expect(server?.map((i) => [i.release?.letter ?? 'midnight', (i.lo - START) / 1000])).toEqual([
      ['midnight', 0],
      ['A', 10],
      ['midnight', 20],
      ['B', 50],
      ['midnight', 50],
    ]);
  });
  it('that name another of the very same moment stay where they are', () => {
    const c = crew();
    const named = tick(c, 10, { device: { id: 'a' } });
    const naming = tick(c, 10, { device: { id: 'b' }, corrects: named.id, reason: 'typed wrong' });
    const [, a, b] = chainsOf([named, naming], [], []);
    expect([times(a ?? []), times(b ?? [])]).toEqual([[[9, 11]], [[9, 11]]]);
  });
  it('go on where a device stopped', () => {
    const entries = [tick(crew(), 10, { device: { id: 'a', roundTripMs: 8000 } })];
    const [, chain] = chainsOf(
      entries,
      [],
      [],
      new Map([
        ['a', START + 9000],
        ['b', START + 13_000],
      ]),
    );
    expect(times(chain ?? [])).toEqual([[9, 14]]);
  });
  it('of one sequence and one number are told apart by their ids', () => {
    const c = crew();
    const twins = [3, 1, 2].map((n) =>
      tick(c, 10, { device: { id: 'a', seq: 7 }, id: `01969a00-0000-7000-8000-00000000000${n}` }),
    );
    expect(chainsOf(twins, [], [])[1]?.map((i) => i.entry?.id.slice(-1))).toEqual(['1', '2', '3']);
    const alone = twins.map((e) => ({ ...e, device: null }));
    expect(
      chainsOf(alone, [], [])
        .slice(1)
        .map(([i]) => i?.entry?.id.slice(-1)),
    ).toEqual(['1', '2', '3']);
  });
});

describe('entries by id', () => {
  const c = crew();
  const made = Array.from({ length: 6 }, (_, i) => tick(c, i));
  const [a, b, d, e] = made as [Entry, Entry, Entry, Entry];
  it('are there once, the last of a name', () => {
    const index = EntryIndex.of([a, b, { ...a, reason: 'again' }]);
    expect(index.values().map((x) => [x.id, x.reason])).toEqual([
      [a.id, 'again'],
      [b.id, null],
    ]);
    expect(index.get(d.id)).toBeUndefined();
  });
  it('grow by new ones, and an index knows nothing that came after it', () => {
    const first = EntryIndex.of([a]);
    const second = first.with([b, d]);
    const third = second?.with([e]);
    expect(third?.values()).toEqual([a, b, d, e]);
    expect([second?.get(e.id), first.get(b.id), third?.get(b.id)]).toEqual([undefined, undefined, b]);
    expect(first.with([])?.values()).toEqual([a]);
  });
  it('do not grow by one that is there, twice in what comes, or named by one that came before it', () => {
    const first = EntryIndex.of([a]);
    expect(first.with([{ ...a }])).toBeNull();
    expect(first.with([b, b])).toBeNull();
    expect(first.with([b])?.with([{ ...b }])).toBeNull();
    const naming = { ...d, corrects: e.id };
    expect(EntryIndex.of([a, naming]).with([e])).toBeNull();
    expect(first.with([naming])?.with([e])).toBeNull();
    expect(first.with([naming])?.with([b])?.with([e])).toBeNull();
    // What is named within what comes is there.
    expect(first.with([e, naming])?.with([b])?.values()).toEqual([a, e, naming, b]);
    expect(
      first
        .with([{ ...d, corrects: a.id }])
        ?.with([b])
        ?.values().length,
    ).toBe(3);
  });
  it('are kept apart however many come', () => {
    let index = EntryIndex.of([a]);
    const many = Array.from({ length: 1100 }, (_, i) => ({ ...b, id: `n-${i}` }));
    const half: EntryIndex[] = [];
    many.forEach((x, i) => {
      index = index.with([x]) as EntryIndex;
      if (i === 600) half.push(index);
    });
    expect(index.values().map((x) => x.id)).toEqual([a.id, ...many.map((x) => x.id)]);
    expect(half[0]?.get('n-601')).toBeUndefined();
    expect(half[0]?.get('n-600')).toBe(many[600]);
  });
  it('name what they correct and what they accept or waive', () => {
    const named = (corrects: string | null, values: object) => namedBy({ ...a, corrects, values: { ...values } });
    expect(named(null, {})).toEqual([]);
    expect(named('x', {})).toEqual(['x']);
    expect(named(null, { entryId: 'y' })).toEqual(['y']);
    expect(named('x', { entryId: 'y' })).toEqual(['x', 'y']);
    expect(named(null, { entryId: null })).toEqual([]);
  });
});
