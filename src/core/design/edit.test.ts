import { describe, expect, it } from 'vitest';
import type { DesignEdit } from '.';
import { applyEdit, designEditSchema } from '.';
import { withStrings } from '../strings/arrange';
import { siteDesignSchema } from '.';
import { legalLayout } from '../strings/layout/legalLayout';
import { M575, T100, plane, runOf, siteOf } from '../testing/examples';

const bare = siteOf(2, [plane('south', 170), plane('west', 96, { azimuthDeg: 270 })]);
const site = withStrings(bare, legalLayout(bare).strings);
const first = site.strings[0]!;
/** Applies an edit as it comes over the wire, and checks that the result is a design. */
const edit = (e: DesignEdit, d = site) =>
  siteDesignSchema.parse(applyEdit(d, designEditSchema.parse(JSON.parse(JSON.stringify(e)))));

describe('edits as data', () => {
  it('survey, board, cable and energy replace their part and nothing else', () => {
    const survey = { ...site.survey, coldestC: -20 };
    expect(edit({ kind: 'survey', survey })).toEqual({ ...site, survey });
    const board = { ...site.board, busbarA: 1250 };
    expect(edit({ kind: 'board', board })).toEqual({ ...site, board });
    const dcCable = { ...site.dcCable, sectionMm2: 10 as const };
    expect(edit({ kind: 'dc-cable', dcCable })).toEqual({ ...site, dcCable });
    const energy = { ...site.energy, albedo: 0.3 };
    expect(edit({ kind: 'energy', energy })).toEqual({ ...site, energy });
  });
  it('a plane, an inverter, a type come, change and go with what belongs to them', () => {
    const more = edit({ kind: 'plane', plane: plane('north', 40, { azimuthDeg: 0 }) });
    expect(more.planes).toHaveLength(3);
    expect(edit({ kind: 'remove-plane', planeId: 'west' }).strings.every((s) => s.planeId === 'south')).toBe(true);
    const third = edit({ kind: 'inverter', inverter: { id: 'inv-3', tag: 'INV-03', typeId: T100.id, position: null } });
    expect([third.runs.length, third.chain.devices.length]).toEqual([3, 3]);
    expect(edit({ kind: 'remove-inverter', inverterId: 'inv-3' }, third)).toEqual(site);
    expect(edit({ kind: 'module-type', type: { ...M575, name: 'New' } }).equipment.modules[0]!.name).toBe('New');
    expect(edit({ kind: 'inverter-type', type: { ...T100, id: 'other' } }).equipment.inverters).toHaveLength(2);
  });
  it('a string comes, moves, changes places and goes', () => {
    const fresh = { ...first, id: 'new', number: 900, place: null };
    expect(edit({ kind: 'string', string: fresh }).strings).toHaveLength(site.strings.length + 1);
    const second = site.strings[1]!;
    const swapped = edit({ kind: 'hang-string', stringId: first.id, place: second.place });
    expect(swapped.strings.find((s) => s.id === second.id)?.place).toEqual(first.place);
    expect(
      edit({ kind: 'hang-string', stringId: first.id, place: null }).strings.find((s) => s.id === first.id)?.place,
    ).toBeNull();
    expect(edit({ kind: 'remove-string', stringId: first.id }).strings).toHaveLength(site.strings.length - 1);
  });
  it('the second string of a Y takes the input when the first one leaves', () => {
    const second = site.strings.find((s) => s.place!.tracker !== first.place!.tracker)!;
    const y = edit({ kind: 'hang-string', stringId: second.id, place: { ...first.place!, branch: 2 } });
    const left = edit({ kind: 'hang-string', stringId: first.id, place: null }, y);
    expect(left.strings.find((s) => s.id === second.id)?.place).toEqual({ ...first.place!, branch: 1 });
  });
  it('locks come once, are replaced by a later one on the same thing, and only a hand takes them off', () => {
    const one = edit({ kind: 'lock', lock: { kind: 'free-trackers', inverterId: 'inv-1', count: 2 } });
    const two = edit({ kind: 'lock', lock: { kind: 'free-trackers', inverterId: 'inv-1', count: 3 } }, one);
    expect(two.locks).toEqual([{ kind: 'free-trackers', inverterId: 'inv-1', count: 3 }]);
    expect(edit({ kind: 'remove-inverter', inverterId: 'inv-1' }, two).locks).toEqual(two.locks);
    const locked = edit({ kind: 'lock', lock: { kind: 'string', stringId: first.id, built: false, kept: null } });
    const { number, planeId, modules, place } = first;
    expect(locked.locks).toEqual([
      { kind: 'string', stringId: first.id, built: false, kept: { number, planeId, modules, place } },
    ]);
    expect(edit({ kind: 'remove-string', stringId: first.id }, locked).locks).toEqual(locked.locks);
    expect(
      edit({ kind: 'unlock', lock: { kind: 'string', stringId: first.id, built: true, kept: null } }, locked),
    ).toEqual(site);
  });
  it('a layout, a list and numbers take the place of all strings', () => {
    expect(edit({ kind: 'lay-out' }).strings).toEqual(site.strings);
    expect(edit({ kind: 'strings', strings: [first] }).strings).toEqual([first]);
    const mixed = withStrings(
      site,
      site.strings.map((s) => ({ ...s, number: 500 + s.number })),
    );
    expect(edit({ kind: 'number-strings' }, mixed).strings.map((s) => s.number)).toEqual(
      site.strings.map((s) => s.number),
    );
  });
  it('a fleet takes the place of the inverters, and leaves the strings on nothing', () => {
    const fleet = edit({ kind: 'fleet', units: [{ type: T100, count: 3 }] });
    expect(fleet.inverters.map((u) => u.tag)).toEqual(['INV-01', 'INV-02', 'INV-03']);
    expect(fleet.strings.every((s) => s.place === null)).toBe(true);
    expect(fleet.runs).toHaveLength(3);
    expect(fleet.chain.devices.filter((c) => c.kind === 'inverter')).toHaveLength(3);
  });
  it('runs and the chain', () => {
    const run = runOf('inv-1', { lengthM: 12 });
    expect(edit({ kind: 'run', run }).runs.find((r) => r.inverterId === 'inv-1')).toEqual(run);
    expect(edit({ kind: 'bit-rate', bitRate: 19200 }).chain.bitRate).toBe(19200);
    const ids = site.chain.devices.map((c) => c.id).reverse();
    expect(edit({ kind: 'chain-order', ids }).chain.devices.map((c) => c.id)).toEqual(ids);
    expect(edit({ kind: 'remove-chain-device', deviceId: ids[0]! }).chain.devices).toHaveLength(1);
    expect(edit({ kind: 'number-chain' }).chain.devices.map((c) => c.address)).toEqual([1, 2]);
  });
  it('refuse what names a part that is not there, or cannot be computed yet', () => {
    expect(() => applyEdit(site, { kind: 'hang-string', stringId: 'ghost', place: null })).toThrow(
      /stringId must name a string/,
    );
    expect(() => applyEdit(site, { kind: 'suggest-run', inverterId: 'ghost' })).toThrow(/inverterId must name/);
    expect(() => applyEdit({ ...site, survey: { ...site.survey, coldestC: null } }, { kind: 'lay-out' })).toThrow(
      /lowest design temperature/,
    );
    expect(designEditSchema.safeParse({ kind: 'explode' }).success).toBe(false);
  });
});

describe('an edit that nobody registered', () => {
  it('is a type error by kind and by field, and no change at all', () => {
    // @ts-expect-error no discipline has an edit of this kind
    const kind: DesignEdit = { kind: 'paint-string', stringId: first.id };
    // @ts-expect-error a string has an id, not a name
    const field: DesignEdit = { kind: 'remove-string', name: first.id };
    // @ts-expect-error a discipline's field has its own type
    const value: DesignEdit = { kind: 'survey', survey: { coldestC: 'frosty' } };
    expect(() => applyEdit(site, kind)).toThrow('edit.kind must be a registered edit (got paint-string)');
    for (const wrong of [kind, field, value]) expect(designEditSchema.safeParse(wrong).success).toBe(false);
  });
});
