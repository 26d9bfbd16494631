import { Readable } from 'node:stream';
import ExcelJS from 'exceljs';
import Papa from 'papaparse';
import { fromBufferPromise } from 'yauzl';
import type { SiteDesign } from '$core/design';
import type { ListAnswer } from '$core/strings/stringList';
import { LIST_COLUMNS, stringRows, stringsFromRows } from '$core/strings/stringList';
import { FLAWS_MOST, Problem } from '../problem';

/** Largest list taken, bytes: 5000 strings are a twentieth of it. */
export const LIST_MAX_BYTES = 8 * 1024 * 1024;
const MOST_ROWS = 20_000;

/** A name that a spreadsheet would take for a formula goes out behind an apostrophe, and comes back without it. */
export function listAsCsv(design: SiteDesign): string {
  return Papa.unparse(
    { fields: [...LIST_COLUMNS], data: stringRows(design) },
    { newline: '\r\n', escapeFormulae: true },
  );
}

export async function listAsXlsx(design: SiteDesign): Promise<Uint8Array> {
  const book = new ExcelJS.Workbook();
  const sheet = book.addWorksheet('Strings', { views: [{ state: 'frozen', ySplit: 1 }] });
  sheet.columns = LIST_COLUMNS.map((key) => ({ header: key, key, width: key === 'plane' ? 24 : 12 }));
  sheet.getRow(1).font = { bold: true };
  for (const row of stringRows(design)) sheet.addRow(row);
  return new Uint8Array(await book.xlsx.writeBuffer());
}

interface Table {
  readonly header: readonly string[];
  readonly rows: readonly (readonly string[])[];
  readonly rowOf: (index: number) => number;
}

/** Reads a string list, CSV (comma or semicolon) or XLSX by its first bytes, against a design. Nothing is written. */
export async function readList(design: SiteDesign, bytes: Uint8Array): Promise<ListAnswer> {
  const zipped = bytes[0] === 0x50 && bytes[1] === 0x4b;
  const { header, rows, rowOf } = zipped ? await xlsxTable(bytes) : csvTable(bytes);
  if (rows.length > MOST_ROWS) throw tooManyRows();
  return stringsFromRows(design, header, rows, rowOf);
}

const tooManyRows = (): Problem =>
  tooMuch('Too many rows', `The list has more than ${MOST_ROWS} rows: no more are read.`);

/** A list with rows that are wrong. */
export const refusedList = (errors: ListAnswer['errors']): Problem => {
  const found = errors.map((e) => ({
    pointer: `/rows/${e.row}${e.column ? `/${e.column}` : ''}`,
    detail: `Row ${e.row}${e.column ? `, ${e.column}` : ''}: ${e.text}`,
  }));
  const count = `${errors.length} ${errors.length === 1 ? 'row is' : 'rows are'} wrong; nothing was taken.`;
  return new Problem(422, 'Rows with errors', count, found.slice(0, FLAWS_MOST));
};

function csvTable(bytes: Uint8Array): Table {
  const text = new TextDecoder('utf-8').decode(bytes).replace(/^\uFEFF/, '');
  const parsed = Papa.parse<string[]>(text, { skipEmptyLines: false, preview: MOST_ROWS + 2 });
  const [header = [], ...rows] = parsed.data;
  return { header, rows, rowOf: (i) => i + 2 };
}

/** So wide a row may be, and so much a file may unpack to: a list of 5000 strings is 2 MB. */
const MOST_COLUMNS = 64;
const MOST_UNZIPPED_BYTES = 64 * 1024 * 1024;
const MOST_PARTS = 500;

const noSpreadsheet = (): Problem =>
  new Problem(422, 'No spreadsheet', 'The file begins like an XLSX file but cannot be read as one.', [
    { pointer: '', detail: 'must be a readable XLSX file, or CSV' },
  ]);
const tooMuch = (title: string, detail: string): Problem => new Problem(413, title, detail, [{ pointer: '', detail }]);

/** Looks at the table of contents of a zipped file before anything is unpacked. */
async function lookInside(bytes: Uint8Array): Promise<void> {
  const zip = await fromBufferPromise(Buffer.from(bytes)).catch(() => Promise.reject(noSpreadsheet()));
  let [unzipped, parts] = [0, 0];
  try {
    for await (const { uncompressedSize } of zip.eachEntry()) {
      unzipped += uncompressedSize;
      parts += 1;
      if (unzipped > MOST_UNZIPPED_BYTES || parts > MOST_PARTS)
        throw tooMuch(
          'Too large',
          `The file unpacks to more than ${MOST_UNZIPPED_BYTES / 1024 / 1024} MiB or ${MOST_PARTS} parts.`,
        );
    }
  } catch (cause) {
    throw cause instanceof Problem ? cause : noSpreadsheet();
  }
}

/** The first sheet, row by row as it is unpacked: one that is too long is left where it is. */
async function xlsxTable(bytes: Uint8Array): Promise<Table> {
  await lookInside(bytes);
  const lines: { at: number; cells: string[] }[] = [];
  let sheets = 0;
  try {
    const settings = { sharedStrings: 'cache', worksheets: 'emit', styles: 'ignore', hyperlinks: 'ignore' } as const;
    const book = new ExcelJS.stream.xlsx.WorkbookReader(Readable.from([Buffer.from(bytes)]), settings);
    for await (const sheet of book) {
      if (sheets++ > 0) break;
      for await (const row of sheet) {
        if (lines.length > MOST_ROWS) throw tooManyRows();
        if (row.cellCount > MOST_COLUMNS)
          throw tooMuch(
            'Too many columns',
            `Row ${row.number} has ${row.cellCount} columns; at most ${MOST_COLUMNS} are read.`,
          );
        const width = Math.max(row.cellCount, LIST_COLUMNS.length);
        lines.push({ at: row.number, cells: Array.from({ length: width }, (_, c) => row.getCell(c + 1).text.trim()) });
      }
    }
  } catch (cause) {
    throw cause instanceof Problem ? cause : noSpreadsheet();
  }
  if (!sheets)
    throw new Problem(422, 'No sheet', 'The XLSX file has no sheet.', [{ pointer: '', detail: 'must have a sheet' }]);
  const [head, ...rest] = lines;
  return { header: head?.cells ?? [], rows: rest.map((l) => l.cells), rowOf: (i) => rest[i]?.at ?? i + 2 };
}
