import { describe, expect, it } from 'vitest';
import type { Over } from '../../testing/crew';
import { Crew } from '../../testing/crew';
import { twoUnits } from '../../testing/handedOver';
import type { Entry } from '../entry';
import type { Item } from './items';
import { chainsOf } from './items';
import { Touching, inOneOrder, precedes } from './ordering';

const START = Date.parse('2026-05-04T07:00:00Z');
const at = (seconds: number): Over => ({ doneAt: new Date(START + 1000 * seconds).toISOString() });
const crew = new Crew(twoUnits);
const on = (device: string, seconds: number, over: Over = {}) => ({
  ...at(seconds),
  ...over,
  device: { id: device, ...over.device },
});
const tick = (gate: 'S-DOC' | 'I-MOUNT' | 'D-ID', object: string, over: Over) => crew.tick(gate, object, 'pass', over);

/** Items in the order in which they are walked, each by the entry it stands for. */
function walked(entries: readonly Entry[]) {
  const items = inOneOrder(chainsOf(entries, [], []));
  const of = (e: Entry) => items.find((i) => i.entry === e) as Item;
  return { items, of };
}

describe('which of two came first', () => {
  it('matters where they touch the same part, and between a part and all that hangs on it', () => {
    const entries = {
      site: tick('S-DOC', 'site', on('a', 0)),
      one: tick('I-MOUNT', 'inv-1', on('b', 0)),
      two: tick('I-MOUNT', 'inv-2', on('c', 0)),
      first: tick('D-ID', 's-1', on('d', 0)),
      second: tick('D-ID', 's-2', on('e', 0)),
      again: tick('D-ID', 's-1', on('f', 0)),
      work: crew.add('work', { scope: 'site', id: 'site' }, { gate: 'S-DOC', doing: 'begins' }, on('g', 0)),
    };
    const { of } = walked(Object.values(entries));
    const hung = new Map([
      ['s-1', ['inv-1']],
      ['s-2', ['inv-1']],
    ]);
    const touching = new Touching((scope, id) => (scope === 'inverter' ? [id] : (hung.get(id) ?? [])));
    const matters = (a: keyof typeof entries, b: keyof typeof entries) => {
      const both = [
        touching.dependent(of(entries[a]), of(entries[b])),
        touching.dependent(of(entries[b]), of(entries[a])),
      ];
      expect(both[0]).toBe(both[1]);
      return both[0];
    };
    expect([matters('site', 'one'), matters('site', 'first'), matters('site', 'site')]).toEqual([true, true, true]);
    expect([matters('one', 'first'), matters('first', 'again'), matters('one', 'one')]).toEqual([true, true, true]);
    expect([matters('one', 'two'), matters('first', 'second'), matters('two', 'first')]).toEqual([false, false, false]);
    expect([matters('work', 'site'), matters('work', 'one'), matters('work', 'work')]).toEqual([false, false, false]);
    const [midnight] = chainsOf([], [], [START])[0] as readonly [Item];
    expect(touching.dependent(midnight, of(entries.first))).toBe(true);
    expect(touching.dependent(midnight, of(entries.work))).toBe(false);
  });

  it('is said by their times once they cannot overlap', () => {
    const [early, late, near] = [
      tick('I-MOUNT', 'inv-1', on('a', 0)),
      tick('I-MOUNT', 'inv-1', on('b', 2.001)),
      tick('I-MOUNT', 'inv-1', on('c', 2)),
    ];
    const { of } = walked([early, late, near]);
    expect([precedes(of(early), of(late)), precedes(of(late), of(early))]).toEqual([true, false]);
    expect([precedes(of(early), of(near)), precedes(of(near), of(early))]).toEqual([false, false]);
  });

  it('is said by the sequence of a device, by what names what, and by both in a row', () => {
    const first = tick('I-MOUNT', 'inv-1', on('a', 0, { device: { seq: 1 } }));
    const second = tick('I-MOUNT', 'inv-1', on('a', 0.2, { device: { seq: 2 } }));
    const right = tick(
      'I-MOUNT',
      'inv-1',
      on('b', 0.1, { corrects: second.id, reason: 'typed wrong', device: { seq: 1 } }),
    );
    const after = tick('I-MOUNT', 'inv-1', on('b', 0.3, { device: { seq: 2 } }));
    const other = tick('I-MOUNT', 'inv-1', on('c', 0.1));
    const { items, of } = walked([after, right, other, second, first]);
    const chain = [first, second, right, after].map(of);
    chain.forEach((a, i) => chain.forEach((b, j) => expect([i, j, precedes(a, b)]).toEqual([i, j, i < j])));
    for (const item of chain) expect([precedes(item, of(other)), precedes(of(other), item)]).toEqual([false, false]);
    // The walk has what is named before what names it, though its clock is behind.
    const places = chain.map((i) => items.indexOf(i));
    expect(places).toEqual([...places].sort((a, b) => a - b));
  });

  it('is kept among what is moved ahead of what names it', () => {
    const device = (seq: number) => ({ device: { seq } });
    const before = tick('I-MOUNT', 'inv-1', on('n', 9, device(1)));
    const named = tick('I-MOUNT', 'inv-1', on('n', 9, device(2)));
    const naming = tick('I-MOUNT', 'inv-1', on('m', 9, { corrects: named.id, reason: 'typed wrong', ...device(1) }));
    const { items } = walked([naming, named, before]);
    expect(items.map((i) => i.entry)).toEqual([before, named, naming]);
    expect(items.map((i) => i.place)).toEqual([0, 1, 2]);
  });

  it('is asked to no end where entries name each other', () => {
    const ids = ['01969a0f-0000-7000-8000-0000000000a1', '01969a0f-0000-7000-8000-0000000000a2'] as const;
    const circle = ids.map((id, i) =>
      tick('I-MOUNT', 'inv-1', on(`x${i}`, 0, { id, corrects: ids[1 - i] ?? '', reason: 'typed wrong' })),
    );
    expect(walked(circle).items.length).toBe(2);
  });
});
