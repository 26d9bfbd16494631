import { describe, expect, it } from 'vitest';
import type { SiteDesign } from '../../design';
import { newString } from '../../site/parts';
import { plane, siteOf } from '../../testing/examples';
import { withStrings } from '../arrange';
import type { StatedLayout } from '.';
import { verifyLayout } from '.';

const on = (inverterId: string, tracker: number, input = 1) => ({ inverterId, tracker, input, branch: 1 as const });
/** 17, 16 and 17 modules of the south, two of them on one unit; 14 of the west on the other. */
const laid = withStrings(siteOf(2, [plane('south', 52, { edgeM: 4 }), plane('west', 14, { azimuthDeg: 270 })]), [
  newString('a', 1, 'south', 17, on('inv-1', 1)),
  newString('b', 2, 'south', 17, on('inv-1', 2)),
  newString('c', 3, 'south', 16, on('inv-1', 3)),
  newString('d', 4, 'west', 14, on('inv-2', 1)),
]);
/**
 * By hand: 2 modules of the south left over; 28.75 kW and 8.05 kW on 100 kW, 20.7 % apart, five bands of 5 % less the one that is free,
 * taken up to the next; 17, 16 and 14 are three lengths, 1 apart in the south; ways of 1 + 10 + 4.8 m and 6 + 10 + 4.8 m, there and back
 * with a tenth more; nothing doubled.
 */
const BY_HAND = {
  unused: 2,
  balanceBand: 4,
  distinctLengths: 3,
  homeRunM: 2.2 * (3 * 15.8 + 20.8),
  lengthSpread: 1,
  doubled: 0,
};
const stated = (over: Partial<StatedLayout> = {}): StatedLayout => ({
  objective: BY_HAND,
  bound: BY_HAND,
  proof: 'optimal',
  unused: { south: 2 },
  ...over,
});
const said = (layout: StatedLayout, design: SiteDesign = laid) =>
  verifyLayout(design, layout).map((v) => `${v.predicate} ${v.text}`);

describe('what a layout says of itself', () => {
  it('is believed where it recomputes, by hand too', () => expect(said(stated())).toEqual([]));

  it('is contradicted figure by figure', () => {
    const wrong = (level: keyof typeof BY_HAND, words: string) => {
      const off = { ...BY_HAND, [level]: BY_HAND[level] + 1 };
      expect(said(stated({ objective: off, bound: off }))).toEqual([
        `V09 The stated ${words} is ${off[level]}; it recomputes to ${BY_HAND[level]}.`,
      ]);
    };
    wrong('unused', 'number of modules left over');
    wrong('balanceBand', 'balance band');
    wrong('distinctLengths', 'number of lengths');
    wrong('homeRunM', 'length of home runs');
    wrong('lengthSpread', 'spread of lengths');
    wrong('doubled', 'number of doubled strings');
  });
  // 1 m up to a tray over the middle of the south, 10 along it, 1 and 5.8 off; from the west 2 and 1 up to it, 10 along, 4 and 5.8 off.
  it('goes by the trays that home runs lie on, and by no others', () => {
    const up = [2, 10, 7] as const;
    const points = [up, [2, 0, 7] as const].map(([xM, yM, zM]) => ({ xM, yM, zM }));
    const laidBy = (carries: 'dc' | 'ac'): SiteDesign => {
      const tray = {
        id: 't',
        label: 'T',
        carries: [carries],
        widthMm: null,
        depthMm: null,
        dcLeadMm: null,
        busCableMm: null,
        points,
      };
      return { ...laid, plan: { ...laid.plan, trays: [tray] } };
    };
    expect(said(stated(), laidBy('ac'))).toEqual([]);
    const byTray = { ...BY_HAND, homeRunM: 2.2 * (3 * 17.8 + 22.8) };
    expect(said(stated({ objective: byTray, bound: byTray }), laidBy('dc'))).toEqual([]);
    expect(said(stated(), laidBy('dc'))).toHaveLength(1);
  });
  it('is contradicted where a figure is left out', () => {
    const { doubled: _, ...rest } = BY_HAND;
    expect(said(stated({ objective: rest, bound: rest }))).toContain(
      'V09 The stated number of doubled strings is undefined; it recomputes to 0.',
    );
  });

  it('may not be called best where a bound is below or left out, nor called anything where a bound is above', () => {
    const bound = (homeRunM: number) => ({ ...BY_HAND, homeRunM });
    expect(said(stated({ bound: bound(BY_HAND.homeRunM - 1) }))).toEqual(['V10 Claimed best without proof.']);
    expect(said(stated({ bound: bound(BY_HAND.homeRunM - 1), proof: 'gap' }))).toEqual([]);
    expect(said(stated({ bound: bound(BY_HAND.homeRunM + 1), proof: 'gap' }))).toEqual([
      'V10 Claimed best without proof.',
    ]);
    const { unused: _, ...none } = BY_HAND;
    expect(said(stated({ bound: none }))).toEqual(['V10 Claimed best without proof.']);
    expect(said(stated({ bound: none, proof: 'gap' }))).toEqual([]);
  });

  it('counts a second string on a tracker as doubled, and one on trackers kept free', () => {
    const design = (trackers: number, free: number): SiteDesign => ({
      ...laid,
      equipment: { ...laid.equipment, inverters: laid.equipment.inverters.map((t) => ({ ...t, trackers })) },
      locks: free ? [{ kind: 'free-trackers', inverterId: 'inv-1', count: free }] : [],
    });
    const doubled = (d: SiteDesign) =>
      said(stated(), d)
        .filter((text) => text.includes('doubled'))
        .map((text) => text.split('recomputes to ')[1]);
    expect(doubled(design(3, 0))).toEqual([]);
    expect(doubled(design(2, 0))).toEqual(['1.']);
    expect(doubled(design(3, 1))).toEqual(['1.']);
  });

  it('measures no way where one end has no place', () => {
    const nowhere = { ...laid, inverters: laid.inverters.map((u) => ({ ...u, position: null })) };
    const none = { ...BY_HAND, homeRunM: 0 };
    expect(said(stated({ objective: none, bound: none }), nowhere)).toEqual([]);
  });

  it('says of every plane what is left over, one module either way', () => {
    const left = (south: number) => said(stated({ unused: { south } }));
    expect(left(1)).toEqual(['V01 south: 52 modules drawn, 51 accounted for.']);
    expect(left(3)).toEqual(['V01 south: 52 modules drawn, 53 accounted for.']);
    expect(said(stated({ unused: { south: 2, west: 1 } }))).toEqual(['V01 west: 14 modules drawn, 15 accounted for.']);
  });
});
