import ExcelJS from 'exceljs';
import { v7 as uuidv7 } from 'uuid';
import { describe, expect, it } from 'vitest';
import { emptyDesign } from '$core/design';
import { plane, siteOf } from '$core/testing/examples';
import { inThread } from '../heavy/pool';
import type { Problem } from '../problem';
import { createSite } from '../services/designs';
import { localContext } from '../services/context';
import { readList } from '../services/stringList';

/** Input that is more than it looks, and work that does not end: each costs whoever sent it an answer, and nobody else anything. */

const problemOf = (work: Promise<unknown>): Promise<Pick<Problem, 'status' | 'title'>> =>
  work.then(
    () => Promise.reject(new Error('expected a problem')),
    ({ status, title }: Problem) => ({ status, title }),
  );
const spreadsheet = async (fill: (sheet: ExcelJS.Worksheet) => void): Promise<Uint8Array> => {
  const book = new ExcelJS.Workbook();
  fill(book.addWorksheet('strings'));
  return new Uint8Array(await book.xlsx.writeBuffer());
};
/** Some hundred kilobytes that unpack to eighty megabytes. */
const swollen = () =>
  spreadsheet((sheet) => {
    for (let i = 0; i < 2500; i++) sheet.addRow([`${i}${'A'.repeat(32_000)}`]);
  });
/** The same with a table of contents that says it is small. */
function lying(bytes: Uint8Array): Uint8Array {
  const out = Buffer.from(bytes);
  const entry = Buffer.from([0x50, 0x4b, 1, 2]);
  for (let at = out.indexOf(entry); at >= 0; at = out.indexOf(entry, at + 4)) out.writeUInt32LE(100, at + 24);
  return out;
}
const list = async (body: Uint8Array) => {
  const siteId = await createSite(localContext(), `list ${uuidv7()}`);
  return problemOf(inThread('readStringList', { siteId, body }));
};

describe('a spreadsheet', () => {
  it('that unpacks to more than any list is refused before it is unpacked', async () => {
    const file = await swollen();
    expect(file.length).toBeLessThan(1024 * 1024);
    expect(await list(file)).toEqual({ status: 413, title: 'Too large' });
  });
  it('that lies about it costs a thread at most', async () => {
    const { status } = await list(lying(await swollen()));
    expect([413, 422]).toContain(status);
    expect(JSON.parse(await inThread('calculate', { name: 'same-torques', body: torques() }))).toMatchObject({
      most: 2,
    });
  });
  it('has its rows and columns counted as they come', async () => {
    const design = emptyDesign('list');
    const long = await spreadsheet((sheet) => {
      for (let i = 0; i < 20_100; i++) sheet.addRow([i]);
    });
    expect(await problemOf(readList(design, long))).toEqual({ status: 413, title: 'Too many rows' });
    const wide = await spreadsheet((sheet) => sheet.addRow(Array.from({ length: 65 }, (_, i) => i)));
    expect(await problemOf(readList(design, wide))).toEqual({ status: 413, title: 'Too many columns' });
    const csv = new TextEncoder().encode('string\n'.repeat(20_100));
    expect(await problemOf(readList(design, csv))).toEqual({ status: 413, title: 'Too many rows' });
  });
});

const torques = () =>
  new TextEncoder().encode(JSON.stringify({ valuesNm: [30, 30], stepNm: 0.1, targetNm: 30, mode: 'click' }));

describe('a calculation', () => {
  const layout = () => {
    const planes = Array.from({ length: 12 }, (_, i) => plane(`p${i}`, 400, { azimuthDeg: 30 * i }));
    return { name: 'layout', body: new TextEncoder().encode(JSON.stringify({ design: siteOf(40, planes) })) };
  };
  it('ends with its limit, and the next one has its thread', async () => {
    expect(await problemOf(inThread('calculate', layout(), undefined, 20))).toEqual({
      status: 413,
      title: 'Too much at once',
    });
    expect(JSON.parse(await inThread('calculate', { name: 'same-torques', body: torques() }))).toMatchObject({
      count: 2,
    });
  });
  it('ends with whoever asked', async () => {
    const asker = new AbortController();
    const asked = inThread('calculate', layout(), asker.signal);
    setTimeout(() => asker.abort(), 20);
    expect(await problemOf(asked)).toEqual({ status: 503, title: 'Not now' });
  });
  it('leaves the requests of others alone meanwhile', async () => {
    let longestMs = 0;
    const began = performance.now();
    let last = began;
    const watch = setInterval(() => {
      longestMs = Math.max(longestMs, performance.now() - last);
      last = performance.now();
    }, 5);
    await inThread('calculate', layout());
    clearInterval(watch);
    // Work on the thread of the requests would hold up the watch for as long as it takes.
    expect(longestMs).toBeLessThan((last - began) / 2);
  });
});
