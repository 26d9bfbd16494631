import type { RunsTyped } from '$core/ac/schedule/runTable';
import { RUN_FILE_COLUMNS, runRows, runsFromRows } from '$core/ac/schedule/runTable';
import type { SiteDesign } from '$core/design';
import type { Written } from './sheetFile';
import { readSheet, refusedRows } from './sheetFile';

/** The schedule of AC runs as a table for a file. */
export const runSheet = (design: SiteDesign): Written => ({
  title: 'AC runs',
  columns: RUN_FILE_COLUMNS,
  rows: runRows(design),
});

/** Reads a list of runs against a design; rows that are wrong are told beside those that can be taken. Nothing is written. */
export async function readRuns(design: SiteDesign, bytes: Uint8Array): Promise<RunsTyped> {
  const { header, rows, rowOf } = await readSheet(bytes, RUN_FILE_COLUMNS.length);
  const typed = runsFromRows(design, header, rows, rowOf);
  if (typed.runs.length === 0) throw refusedRows(typed.errors);
  return typed;
}
