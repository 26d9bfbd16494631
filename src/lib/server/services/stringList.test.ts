import { expect, it } from 'vitest';
import type { SiteDesign } from '$core/design';
import { twoUnits } from '$core/testing/handedOver';
import { sheetAsCsv, sheetAsXlsx } from './sheetFile';
import { readList, stringSheet } from './stringList';

/** Names that a spreadsheet would run, one of them beside its own escape. */
const named = (plane: string, tag: string): SiteDesign => ({
  ...twoUnits,
  planes: twoUnits.planes.map((p, i) => (i === 0 ? { ...p, label: plane } : p)),
  inverters: twoUnits.inverters.map((u, i) => (i === 0 ? { ...u, tag } : u)),
});

it.each([
  ['=HYPERLINK("http://elsewhere.example")', '-1'],
  ['+south', '@one'],
  ["'=south", "'+1"],
  ['south', 'INV-01'],
])('a list of plane %s and unit %s leaves no formula behind, and comes back as it went', async (plane, tag) => {
  const design = named(plane, tag);
  const csv = sheetAsCsv(stringSheet(design));
  const cells = csv.split('\r\n').flatMap((line) => line.split(','));
  expect(cells.filter((c) => /^"?[=+@-]/.test(c) && Number.isNaN(Number(c)))).toEqual([]);
  for (const bytes of [new TextEncoder().encode(csv), await sheetAsXlsx(stringSheet(design))])
    expect(await readList(design, bytes)).toMatchObject({
      errors: [],
      strings: design.strings.map(({ id, place }) => ({ id, place })),
    });
});
