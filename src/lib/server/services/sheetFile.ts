import { Readable } from 'node:stream';
import ExcelJS from 'exceljs';
import Papa from 'papaparse';
import { fromBufferPromise } from 'yauzl';
import { FLAWS_MOST, Problem } from '../problem';

/** Tables as files that spreadsheets read and write, CSV and XLSX: the one place that knows their packages. */

/** Largest file taken, bytes: 5000 strings are a twentieth of it. */
export const SHEET_MAX_BYTES = 8 * 1024 * 1024;
const MOST_ROWS = 20_000;

type Cell = string | number | null;
/** What goes out: the header and the rows under it. */
export interface Written {
  readonly title: string;
  readonly columns: readonly string[];
  readonly rows: readonly (readonly Cell[])[];
}
/** What came in, all of it as text; rows by their number in the file. */
export interface Table {
  readonly header: readonly string[];
  readonly rows: readonly (readonly string[])[];
  readonly rowOf: (index: number) => number;
}

/** A name that a spreadsheet would take for a formula goes out behind an apostrophe. */
export function sheetAsCsv({ columns, rows }: Written): string {
  const data = { fields: [...columns], data: rows.map((r) => [...r]) };
  return Papa.unparse(data, { newline: '\r\n', escapeFormulae: true });
}

/** Widths of columns in characters: of their names, and no less than a figure takes. */
const LEAST_WIDTH = 12;

export async function sheetAsXlsx({ title, columns, rows }: Written): Promise<Uint8Array> {
  const book = new ExcelJS.Workbook();
  const sheet = book.addWorksheet(title, { views: [{ state: 'frozen', ySplit: 1 }] });
  sheet.columns = columns.map((key) => ({ header: key, key, width: Math.max(LEAST_WIDTH, key.length + 2) }));
  sheet.getRow(1).font = { bold: true };
  for (const row of rows) sheet.addRow([...row]);
  return new Uint8Array(await book.xlsx.writeBuffer());
}

/** Reads a table, CSV (comma or semicolon) or XLSX by its first bytes; of an XLSX file the first sheet. */
export async function readSheet(bytes: Uint8Array, leastColumns: number): Promise<Table> {
  const zipped = bytes[0] === 0x50 && bytes[1] === 0x4b;
  const table = zipped ? await xlsxTable(bytes, leastColumns) : csvTable(bytes);
  if (table.rows.length > MOST_ROWS) throw tooManyRows();
  return table;
}

/** A table with rows that are wrong. */
export const refusedRows = (
  errors: readonly { readonly row: number; readonly column: string; readonly text: string }[],
): Problem => {
  const found = errors.map((e) => ({
    pointer: `/rows/${e.row}${e.column ? `/${e.column}` : ''}`,
    detail: `Row ${e.row}${e.column ? `, ${e.column}` : ''}: ${e.text}`,
  }));
  const count = `${errors.length} ${errors.length === 1 ? 'row is' : 'rows are'} wrong; nothing was taken.`;
  return new Problem(422, 'Rows with errors', count, found.slice(0, FLAWS_MOST));
};

const tooManyRows = (): Problem =>
  tooMuch('Too many rows', `The list has more than ${MOST_ROWS} rows: no more are read.`);

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
async function xlsxTable(bytes: Uint8Array, leastColumns: number): Promise<Table> {
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
        const width = Math.max(row.cellCount, leastColumns);
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
