import ExcelJS from 'exceljs';
import Papa from 'papaparse';
import type { SiteDesign } from '$core/design';
import type { ListAnswer } from '$core/strings/stringList';
import { LIST_COLUMNS, stringRows, stringsFromRows } from '$core/strings/stringList';
import { Problem } from '../problem';

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
  if (rows.length > MOST_ROWS)
    throw new Problem(413, 'Too many rows', `The list has ${rows.length} rows; at most ${MOST_ROWS} are read.`, [
      { pointer: '', detail: `must have ${MOST_ROWS} rows at most` },
    ]);
  return stringsFromRows(design, header, rows, rowOf);
}

function csvTable(bytes: Uint8Array): Table {
  const text = new TextDecoder('utf-8').decode(bytes).replace(/^\uFEFF/, '');
  const parsed = Papa.parse<string[]>(text, { skipEmptyLines: false });
  const [header = [], ...rows] = parsed.data;
  return { header, rows, rowOf: (i) => i + 2 };
}

async function xlsxTable(bytes: Uint8Array): Promise<Table> {
  const book = new ExcelJS.Workbook();
  try {
    await book.xlsx.load(bytes.buffer as ArrayBuffer);
  } catch {
    throw new Problem(422, 'No spreadsheet', 'The file begins like an XLSX file but cannot be read as one.', [
      { pointer: '', detail: 'must be a readable XLSX file, or CSV' },
    ]);
  }
  const sheet = book.worksheets[0];
  if (!sheet)
    throw new Problem(422, 'No sheet', 'The XLSX file has no sheet.', [{ pointer: '', detail: 'must have a sheet' }]);
  const lines: { at: number; cells: string[] }[] = [];
  sheet.eachRow((row, at) => {
    const width = Math.max(row.cellCount, LIST_COLUMNS.length);
    lines.push({ at, cells: Array.from({ length: width }, (_, c) => row.getCell(c + 1).text.trim()) });
  });
  const [head, ...rest] = lines;
  return { header: head?.cells ?? [], rows: rest.map((l) => l.cells), rowOf: (i) => rest[i]?.at ?? i + 2 };
}
