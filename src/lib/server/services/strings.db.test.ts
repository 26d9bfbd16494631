import { sql } from 'drizzle-orm';
import ExcelJS from 'exceljs';
import { describe, expect, it } from 'vitest';
import { withStrings } from '$core/strings/arrange';
import type { SiteDesign } from '$core/design';
import { legalLayout } from '$core/strings/layout/legalLayout';
import { yearOfEnergy } from '$core/strings/year/yearOfEnergy';
import { plane, siteOf } from '$core/testing/examples';
import type { WeatherYear } from '$core/weather/weatherYear';
import { yearResultSchema } from '$core/strings/year/yearResult';
import { Problem } from '../problem';
import { localContext } from './context';
import { changeDesign, createSite, loadDesign, undoChange } from './designs';
import { newestYear, readWeather, writeWeather, writeYear } from './energy';
import { sheetAsCsv, sheetAsXlsx } from './sheetFile';
import { readList, stringSheet } from './stringList';

const context = localContext();
const bare = siteOf(2, [plane('south', 170, { edgeM: 30 }), plane('west', 96, { azimuthDeg: 270 })]);
const design: SiteDesign = {
  ...withStrings(bare, legalLayout(bare).strings),
  survey: { ...bare.survey, latitudeDeg: 48, longitudeDeg: 11 },
  energy: { ...bare.energy, monthlyMeanC: [0, 1, 5, 9, 14, 17, 19, 18, 14, 9, 4, 1] },
};
async function stored(d: SiteDesign = design): Promise<string> {
  const siteId = await createSite(context, 'strings');
  await changeDesign(context, siteId, 1, () => d);
  return siteId;
}
const weather = (label: string): WeatherYear => ({
  label,
  latitudeDeg: null,
  longitudeDeg: null,
  utcOffsetH: 1,
  coldestC: -3,
  notes: [],
  hours: Array.from({ length: 8760 }, (_, i) => ({
    midMs: Date.UTC(2025, 0, 1) + (i + 0.5) * 3_600_000,
    globalWm2: i % 24 > 7 && i % 24 < 15 ? 300 : 0,
    beamWm2: null,
    diffuseWm2: null,
    ambientC: 8,
  })),
});

describe('locks, cable and Y-branches in the database', () => {
  it('come back as they were written, and by undo', async () => {
    const [a, b] = design.strings;
    const full: SiteDesign = {
      ...design,
      strings: design.strings.map((s) =>
        s.id === b!.id
          ? {
              ...s,
              place: { ...a!.place!, branch: 2 as const },
              start: { xM: 1.5, yM: 2 },
              lengthM: 33.3,
              lengthToId: a!.place!.inverterId,
              leadsM: 21,
              yM: 4.5,
            }
          : s,
      ),
      locks: [
        {
          kind: 'string',
          stringId: a!.id,
          built: true,
          kept: { number: a!.number, planeId: a!.planeId, modules: a!.modules, place: a!.place },
        },
        { kind: 'max-lengths', count: 3 },
      ],
    };
    const siteId = await stored(full);
    expect((await loadDesign(context, siteId)).design).toEqual(full);
    await changeDesign(context, siteId, 2, (d) => ({ ...d, locks: [] }));
    await undoChange(context, siteId, { revision: 3 });
    expect((await loadDesign(context, siteId)).design).toEqual(full);
  });
});

describe('weather and years', () => {
  it('are kept by site, one weather at a time, and forgotten on demand', async () => {
    const siteId = await stored();
    const first = await writeWeather(context, siteId, weather('one'));
    const second = await writeWeather(context, siteId, weather('two'));
    expect(first.fingerprint).not.toBe(second.fingerprint);
    expect((await readWeather(context, siteId))?.weather.label).toBe('two');
    await writeWeather(context, siteId, null);
    expect(await readWeather(context, siteId)).toBeNull();
  });
  it('are held against the sun over the site', async () => {
    const siteId = await stored();
    const { hours } = weather('kW');
    const dim = { ...weather('kW'), hours: hours.map((h) => ({ ...h, globalWm2: h.globalWm2 / 1000 })) };
    await expect(writeWeather(context, siteId, dim)).rejects.toMatchObject({
      status: 422,
      errors: [{ pointer: '/weather/hours/8', detail: expect.stringContaining('not kW/m²') }],
    });
    const late = { ...weather('late'), hours: hours.map((h) => ({ ...h, midMs: h.midMs + 3_600_000 })) };
    await expect(writeWeather(context, siteId, late)).rejects.toMatchObject({ errors: [{ pointer: '/weather' }] });
    expect(await readWeather(context, siteId)).toBeNull();
  });
  it('are filed under the revision they were computed from, and a stale one is a conflict', async () => {
    const siteId = await stored();
    const { value: result } = yearOfEnergy(design, { year: 2025, weather: null });
    const made = { revision: 2, year: 2025, weather: 'clear sky', result: yearResultSchema.parse(result) };
    await writeYear(context, siteId, made);
    await writeYear(context, siteId, made);
    expect(await newestYear(context, siteId)).toEqual(made);
    await changeDesign(context, siteId, 2, (d) => ({ ...d, locks: [{ kind: 'use-all' }] }));
    await expect(writeYear(context, siteId, made)).rejects.toMatchObject({ status: 409 });
    expect((await newestYear(context, siteId))?.revision).toBe(2);
    // Made by other rules it is made again, not shown.
    await context.db.execute(sql`update energy_year set rules = 'of before' where site_id = ${siteId}`);
    expect(await newestYear(context, siteId)).toBeNull();
  });
});

describe('string lists as files', () => {
  const sorted = (strings: readonly { number: number }[] | null) =>
    [...(strings ?? [])].sort((x, y) => x.number - y.number);
  it('go out and come back as CSV and as XLSX', async () => {
    const csv = await readList(design, new TextEncoder().encode(sheetAsCsv(stringSheet(design))));
    const xlsx = await readList(design, await sheetAsXlsx(stringSheet(design)));
    expect(sorted(csv.strings)).toEqual(sorted(design.strings));
    expect(sorted(xlsx.strings)).toEqual(sorted(design.strings));
  });
  it('are refused with the row a spreadsheet shows', async () => {
    const book = new ExcelJS.Workbook();
    const sheet = book.addWorksheet('x');
    sheet.addRow(['string', 'plane', 'modules']);
    sheet.addRow([1, 'south', 17]);
    sheet.addRow([]);
    sheet.addRow([2, 'north', 17]);
    const { errors } = await readList(design, new Uint8Array(await book.xlsx.writeBuffer()));
    expect(errors).toEqual([expect.objectContaining({ row: 4, column: 'plane' })]);
  });
  it('take semicolons, and refuse what only begins like a spreadsheet', async () => {
    const text = 'string;plane;modules;length_m\n1;south;17;12,5\n';
    expect((await readList(design, new TextEncoder().encode(text))).strings?.[0]).toMatchObject({
      number: 1,
      lengthM: 12.5,
    });
    await expect(readList(design, new Uint8Array([0x50, 0x4b, 3, 4, 0, 0]))).rejects.toBeInstanceOf(Problem);
  });
});
