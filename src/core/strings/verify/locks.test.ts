import { describe, expect, it } from 'vitest';
import type { SiteDesign } from '../../design';
import { newString } from '../../site/parts';
import { plane, siteOf } from '../../testing/examples';
import { withStrings } from '../arrange';
import type { Lock } from '../part';
import { verifyLayout } from '.';

/** Two units; 17 + 17 modules of the south on two trackers of the first, 16 of the west on one of the second. */
const laid = withStrings(siteOf(2, [plane('south', 34), plane('west', 16, { azimuthDeg: 270 })]), [
  newString('a', 1, 'south', 17, { inverterId: 'inv-1', tracker: 1, input: 1, branch: 1 }),
  newString('b', 2, 'south', 17, { inverterId: 'inv-1', tracker: 2, input: 1, branch: 1 }),
  newString('c', 3, 'west', 16, { inverterId: 'inv-2', tracker: 1, input: 1, branch: 1 }),
]);
const under = (design: SiteDesign, ...locks: readonly Lock[]) =>
  verifyLayout({ ...design, locks: [...locks] }).map((v) => `${v.predicate} ${v.text}`);
const broken = (what: string) => `V08 The lock on ${what} was not kept.`;
const without = (...ids: readonly string[]): SiteDesign => ({
  ...laid,
  strings: laid.strings.map((s) => (ids.includes(s.id) ? { ...s, place: null } : s)),
});
const moved = (id: string, inverterId: string, tracker: number, input = 1): SiteDesign => ({
  ...laid,
  strings: laid.strings.map((s) => (s.id === id ? { ...s, place: { inverterId, tracker, input, branch: 1 } } : s)),
});

describe('a lock, kept and just not kept', () => {
  it('stands beside a layout that is legal without it', () => expect(under(laid)).toEqual([]));

  it('on the length of strings of a plane, of that plane alone', () => {
    expect(under(laid, { kind: 'plane-length', planeId: 'south', modules: 17 })).toEqual([]);
    expect(under(laid, { kind: 'plane-length', planeId: 'west', modules: 17 })).toEqual([
      broken('17 modules a string on west'),
    ]);
  });

  it('on the inverters of a plane: any of those named', () => {
    const first: Lock = { kind: 'plane-inverter', planeId: 'south', inverterId: 'inv-1' };
    const second: Lock = { kind: 'plane-inverter', planeId: 'south', inverterId: 'inv-2' };
    expect(under(laid, first)).toEqual([]);
    expect(under(laid, second)).toEqual([broken('south to INV-02')]);
    expect(under(moved('b', 'inv-2', 2), first, second)).toEqual([]);
    // A lock on another plane allows nothing here.
    expect(under(moved('b', 'inv-2', 2), first, { ...second, planeId: 'west' })).toEqual([broken('south to INV-01')]);
  });

  it('on an inverter that stays empty', () => {
    expect(under(laid, { kind: 'inverter-empty', inverterId: 'inv-2' })).toEqual([broken('INV-02 empty')]);
    expect(under(without('c'), { kind: 'inverter-empty', inverterId: 'inv-2' })).toEqual([]);
  });

  it('on trackers kept free: two of ten are used, so eight are free and not nine', () => {
    const free = (count: number): Lock => ({ kind: 'free-trackers', inverterId: 'inv-1', count });
    expect(under(laid, free(8))).toEqual([]);
    expect(under(laid, free(9))).toEqual([broken('9 free trackers of INV-01')]);
    // Two strings on one tracker use one.
    expect(under(moved('b', 'inv-1', 1, 2), free(9))).toEqual([]);
  });

  it('on one string a tracker: the same number on another unit is another tracker', () => {
    expect(under(laid, { kind: 'no-doubling' })).toEqual([]);
    expect(under(moved('b', 'inv-1', 1, 2), { kind: 'no-doubling' })).toEqual([broken('one string a tracker')]);
  });

  it('on the number of lengths: of each class by itself', () => {
    expect(under(laid, { kind: 'max-lengths', count: 2 })).toEqual([]);
    expect(under(laid, { kind: 'max-lengths', count: 1 })).toEqual([broken('at most 1 lengths')]);
    // South and west are two classes: one length each is two, though both are 16.
    const alike = { ...laid, strings: laid.strings.map((s) => ({ ...s, modules: 16 })) };
    expect(under(alike, { kind: 'max-lengths', count: 1 })).toEqual([broken('at most 1 lengths')]);
  });

  it('on the DC/AC ratio: 34 and 16 modules of 575 W on 100 kW are 19.55 % and 9.2 %', () => {
    const ratio = (minPercent: number | null, maxPercent: number | null): Lock => ({
      kind: 'ratio',
      minPercent,
      maxPercent,
    });
    expect(under(laid, ratio(9.2, 19.55))).toEqual([]);
    expect(under(laid, ratio(9.21, null))).toEqual([broken('the DC/AC ratio')]);
    expect(under(laid, ratio(null, 19.54))).toEqual([broken('the DC/AC ratio')]);
    expect(under(laid, ratio(null, null))).toEqual([]);
    // A unit that is to stay empty has no ratio to keep.
    expect(under(without('c'), ratio(9.2, null))).toEqual([broken('the DC/AC ratio')]);
    expect(under(without('c'), ratio(9.2, null), { kind: 'inverter-empty', inverterId: 'inv-2' })).toEqual([]);
  });

  it('on every module used: one left over, or one string off its input, breaks it', () => {
    expect(under(laid, { kind: 'use-all' })).toEqual([]);
    expect(under(without('c'), { kind: 'use-all' })).toEqual([broken('every module used')]);
    const oneMore = { ...laid, planes: laid.planes.map((p) => ({ ...p, moduleCount: p.moduleCount + 1 })) };
    expect(under(oneMore, { kind: 'use-all' })).toEqual([broken('every module used')]);
  });

  it('on a string that never said where: an input, whichever', () => {
    const lock: Lock = { kind: 'string', stringId: 'a', built: false, kept: null };
    expect(under(laid, lock)).toEqual([]);
    expect(under(without('a'), lock)).toEqual(['V08 String 1 is locked and hangs on no input.']);
    expect(under(laid, { ...lock, stringId: 'gone' })).toEqual(['V08 String gone is locked and was taken away.']);
  });

  it('on a branch of a Y: the other branch is another place', () => {
    const branch = (n: 1 | 2) => ({ inverterId: 'inv-1', tracker: 1, input: 1, branch: n });
    const lock: Lock = {
      kind: 'string',
      stringId: 'a',
      built: true,
      kept: { number: 1, planeId: 'south', modules: 17, place: branch(2) },
    };
    expect(under(laid, lock)).toEqual(['V08 String 1 is locked and hangs on INV-01.1.1 instead of INV-01.1.1 Y.']);
  });
});
