import type { SiteDesign } from '$core/design';
import type { ListAnswer } from '$core/strings/stringList';
import { LIST_COLUMNS, stringRows, stringsFromRows } from '$core/strings/stringList';
import type { Written } from './sheetFile';
import { readSheet } from './sheetFile';

/** The string list as a table for a file. */
export const stringSheet = (design: SiteDesign): Written => ({
  title: 'Strings',
  columns: LIST_COLUMNS,
  rows: stringRows(design).map((row) => LIST_COLUMNS.map((c) => row[c])),
});

/** Reads a string list against a design. Nothing is written. */
export async function readList(design: SiteDesign, bytes: Uint8Array): Promise<ListAnswer> {
  const { header, rows, rowOf } = await readSheet(bytes, LIST_COLUMNS.length);
  return stringsFromRows(design, header, rows, rowOf);
}
