import { describe, expect, it } from 'vitest';
import { withStringAt, withStrings } from './arrange';
import { M575, plane, siteOf } from '../testing/examples';
import { legalLayout } from './layout/legalLayout';
import { compareLayouts } from './layout/compare';
import { plugInSheets } from './plugInSheets';
import { LIST_COLUMNS, stringRows, stringsFromRows } from './stringList';

const bare = siteOf(2, [plane('south', 170, { edgeM: 30 }), plane('west', 96, { azimuthDeg: 270 })]);
const site = withStrings(bare, legalLayout(bare).strings);
const cells = (d = site) => stringRows(d).map((r) => LIST_COLUMNS.map((c) => (r[c] === null ? '' : String(r[c]))));
const header = [...LIST_COLUMNS];

describe('string list', () => {
  it('comes back as it went out, whatever the order of its rows', () => {
    const back = stringsFromRows(site, header, cells().reverse());
    expect(back.errors).toEqual([]);
    const sorted = (s: readonly { number: number }[] | null) => [...(s ?? [])].sort((a, b) => a.number - b.number);
    expect(sorted(back.strings)).toEqual(sorted(site.strings));
  });
  it('takes decimal commas and leaves a string without inverter on no input', () => {
    const row = ['7', 'SOUTH', '17', '', '', '', '', '3,5', '-2', '41,5'];
    expect(stringsFromRows(site, header, [row]).strings).toEqual([
      expect.objectContaining({ number: 7, planeId: 'south', place: null, start: { xM: 3.5, yM: -2 }, lengthM: 41.5 }),
    ]);
  });
  it.each([
    [['1', 'attic', '17', 'INV-01', '1', '1'], 'plane', 'is no plane of this site: south, west (got attic).'],
    [['1', 'south', '61', 'INV-01', '1', '1'], 'modules', 'must be a whole number from 1 to 60 (got 61).'],
    [['1', 'south', '17', 'INV-09', '1', '1'], 'inverter', 'is no inverter of this site (got INV-09).'],
    [['1', 'south', '17', 'INV-01', '11', '1'], 'tracker', 'must be a whole number from 1 to 10 (got 11).'],
    [['1', 'south', '17', 'INV-01', '1', ''], 'input', 'is missing for INV-01.'],
    [['', 'south', '17', 'INV-01', '1', '1'], 'string', 'is missing: give the string its number.'],
    [['1', 'south', '17', 'INV-01', '1', '1', '1', '4'], 'start_x_m', 'and start_y_m go together: give both or none.'],
  ])('says what is wrong in %j', (row, column, text) => {
    expect(stringsFromRows(site, header, [['2', 'south', '17'], row])).toEqual({
      strings: null,
      errors: [{ row: 3, column, text }],
    });
  });
  it('tells plane names apart as the site does: by their capitals too, and another writing only where one plane can be meant', () => {
    const twins = withStrings(siteOf(1, [plane('Roof', 40), plane('roof', 40), plane('west', 40)]), []);
    const plane3 = (name: string) => stringsFromRows(twins, header, [['1', name, '17']]);
    expect(plane3('Roof').strings?.[0]?.planeId).toBe('Roof');
    expect(plane3('roof').strings?.[0]?.planeId).toBe('roof');
    expect(plane3('WEST').strings?.[0]?.planeId).toBe('west');
    expect(plane3('ROOF').errors[0]?.text).toContain('is no plane of this site');
  });
  it('reads leads, the place of a Y, and a length as measured to the inverter of its row', () => {
    const row = ['7', 'south', '17', 'INV-01', '1', '1', '2', '', '', '41', '12,5', '3'];
    expect(stringsFromRows(site, header, [row]).strings).toEqual([
      expect.objectContaining({ lengthM: 41, lengthToId: 'inv-1', leadsM: 12.5, yM: 3 }),
    ]);
    expect(
      stringsFromRows(site, header, [['7', 'south', '17', '', '', '', '', '', '', '0']]).errors[0]?.text,
    ).toContain('0.1 to 1000 (got 0)');
  });
  it('says which rows share an input or a number, and keeps nothing', () => {
    const rows = [
      ['1', 'south', '17', 'INV-01', '1', '1'],
      ['1', 'south', '17', 'INV-01', '1', '1'],
    ];
    expect(stringsFromRows(site, header, rows).errors.map((e) => e.text)).toEqual([
      'String 1 stands in row 2 already.',
      'INV-01.1.1 stands in row 2 already.',
    ]);
  });
  it('names the columns when the header is another', () => {
    expect(stringsFromRows(site, ['nr', 'roof'], []).errors[0]?.text).toContain('no column string, plane, modules');
  });
});

it('plug-in sheets name every input once, as tag or as cap, with n · U_oc at 15, 25 and 35 °C (IEC 60891)', () => {
  const [first] = plugInSheets(site);
  expect(first!.rows.length + first!.caps.length).toBe(20);
  const row = first!.rows[0]!;
  expect(row.expectedV.map((v) => v.toFixed(3))).toEqual(
    [15, 25, 35].map((c) => (row.modules * M575.uocV * (1 - 0.00251 * (c - 25))).toFixed(3)),
  );
});

it('two layouts differ by what was moved, and by nothing else', () => {
  expect(compareLayouts(site, site.strings, site.strings)).toMatchObject({ units: [], strings: [] });
  const s = site.strings.find((x) => x.place?.inverterId === 'inv-1')!;
  const free = { inverterId: 'inv-2', tracker: 10, input: 2, branch: 1 as const };
  const moved = withStringAt(site, s.id, free);
  const d = compareLayouts(site, site.strings, moved.strings);
  expect(d.strings).toEqual([{ number: s.number, what: `INV-01.${s.place!.tracker}.${s.place!.input} → INV-02.10.2` }]);
  expect(d.units.map((u) => u.stringsB - u.stringsA)).toEqual([-1, 1]);
});
