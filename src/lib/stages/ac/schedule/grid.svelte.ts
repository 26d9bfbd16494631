import { createTable } from '@tanstack/svelte-table';
import Papa from 'papaparse';
import type { AcRun } from '$core/ac/part';
import type { RunColumn, RunsTyped } from '$core/ac/schedule/runTable';
import { RUN_COLUMNS, cellOf, columnWords, pasted, typedCell, withCell } from '$core/ac/schedule/runTable';
import { afterPaint } from '$lib/client/afterPaint';
import type { SiteState } from '$lib/client/siteState.svelte';
import type { RunRow } from './columns';
import { COLUMNS, FEATURES, MORE, typedIn } from './columns';

/** A cell that is being typed in. */
interface Editing {
  readonly rowId: string;
  readonly column: RunColumn;
  text: string;
  /** What is wrong with what was typed; it stays until it is right or left. */
  wrong: string;
}

/** Rows that came in, waiting for a word: some of them wrong. */
export interface Offer extends RunsTyped {
  readonly from: string;
}

const ALL_HIDDEN = Object.fromEntries(MORE.map((c) => [c, false]));

/** The schedule as a grid: what is sorted, found, selected and typed, and how it becomes one change of the design. */
export class RunGrid {
  readonly #site: SiteState;
  readonly #rows: () => readonly RunRow[];
  editing = $state<Editing | null>(null);
  offer = $state.raw<Offer | null>(null);
  all = $state(false);
  /** Runs as they were just typed, shown before what follows from them is worked out. */
  #typed = $state.raw<ReadonlyMap<string, AcRun>>(new Map());
  #workOut = () => {};
  readonly table;

  constructor(site: SiteState, rows: () => readonly RunRow[]) {
    this.#site = site;
    this.#rows = rows;
    this.table = createTable({
      features: FEATURES,
      columns: COLUMNS,
      get data() {
        return rows() as RunRow[];
      },
      getRowId: (row) => row.id,
      globalFilterFn: 'includesString',
      // Every change of the design makes new rows: what is selected stays.
      autoResetCellSelection: false,
      enableMultiCellRangeSelection: false,
      initialState: { columnVisibility: ALL_HIDDEN },
    });
  }

  showAll(all: boolean): void {
    this.all = all;
    this.table.setColumnVisibility(all ? {} : ALL_HIDDEN);
  }

  /** Runs on screen in their order, and the selected rectangle of cells that can be typed in. */
  #selected(): { readonly runs: readonly AcRun[]; readonly columns: readonly RunColumn[] } {
    const [bounds] = this.table.getCellSelectionBounds();
    if (!bounds) return { runs: [], columns: [] };
    return {
      runs: this.#runsShown(bounds.minRowIndex, bounds.maxRowIndex),
      columns: this.#columnsShown(bounds.minColumnIndex, bounds.maxColumnIndex),
    };
  }

  /** Runs by the places of their rows, each as it is now: the table itself follows a change only with the next drawing. */
  #runsShown(from: number, to = Infinity): readonly AcRun[] {
    const now = this.#runs();
    const rows = this.table.getRowModel().rows.slice(from, to + 1);
    return rows.flatMap((row) => now.get(row.id) ?? []);
  }

  #columnsShown(from: number, to = Infinity): readonly RunColumn[] {
    const columns = this.table.getVisibleLeafColumns().slice(from, to + 1);
    return columns.flatMap((c) => typedIn(c.id) ?? []);
  }

  #runs(): ReadonlyMap<string, AcRun> {
    return new Map(this.#rows().map((row) => [row.id, row.r.run]));
  }

  /** The run of a row as it was typed, until what follows from it is worked out. */
  typedRun(rowId: string): AcRun | undefined {
    return this.#typed.get(rowId);
  }

  /** What was typed is on screen with the next frame; the site is worked out behind that. */
  #take(runs: readonly AcRun[]): void {
    const before = this.#runs();
    const changed = runs.filter((r) => JSON.stringify(r) !== JSON.stringify(before.get(r.inverterId)));
    if (changed.length === 0) return;
    this.#typed = new Map(changed.map((r) => [r.inverterId, r]));
    this.#workOut = afterPaint(() => {
      void this.#site.apply({ kind: 'runs', runs: [...changed] });
      this.#typed = new Map();
    });
  }

  /** Works out at once what was typed last: whatever comes next begins from it. */
  settle(): void {
    this.#workOut();
  }

  /** Begins to type in the focused cell; with a text, in place of what stands there. */
  edit(text?: string): void {
    this.settle();
    const cell = this.table.getFocusedCell();
    const column = cell && typedIn(cell.column.id);
    const run = cell && this.#runs().get(cell.row.id);
    if (!run || !column) return;
    const value = cellOf(run, column);
    this.editing = { rowId: cell.row.id, column, text: text ?? String(value ?? ''), wrong: '' };
  }

  /** Takes what was typed: into the cell, or into the column of every selected row. False where it is wrong. */
  commit(everywhere: boolean): boolean {
    const { editing } = this;
    if (!editing) return true;
    this.settle();
    const typed = typedCell(editing.column, editing.text);
    if ('wrong' in typed) {
      editing.wrong = `${columnWords(editing.column).name}: ${typed.wrong}`;
      return false;
    }
    const own = this.#runs().get(editing.rowId);
    const runs = everywhere ? this.#selected().runs : own ? [own] : [];
    this.editing = null;
    this.#take(runs.map((run) => withCell(run, editing.column, typed.value)));
    return true;
  }

  cancel(): void {
    this.editing = null;
  }

  /** The first selected row into those under it. */
  fillDown(): void {
    this.settle();
    const { runs, columns } = this.#selected();
    const [first, ...others] = runs;
    if (!first) return;
    this.#take(others.map((run) => columns.reduce((r, c) => withCell(r, c, first[RUN_COLUMNS[c]]), run)));
  }

  /** What is selected is not known any more. */
  clear(): void {
    this.settle();
    const { runs, columns } = this.#selected();
    this.#take(runs.map((run) => columns.reduce((r, c) => withCell(r, c, null), run)));
  }

  /** The selected cells as a spreadsheet takes them. */
  copied(): string {
    this.settle();
    const { runs, columns } = this.#selected();
    return Papa.unparse(
      runs.map((run) => columns.map((c) => cellOf(run, c) ?? '')),
      { delimiter: '\t', newline: '\n' },
    );
  }

  /** Cells of a spreadsheet, from the top left of the selection on; one cell goes into all that is selected. Rows that are wrong are offered first. */
  paste(text: string): void {
    this.settle();
    const cells = Papa.parse<string[]>(text.replace(/\r?\n$/, ''), { delimiter: '\t' }).data;
    const { runs, columns } = this.#selected();
    const [from] = this.table.getCellSelectionBounds();
    if (!from || columns.length === 0 || cells.length === 0) return;
    const one = cells.length === 1 && cells[0]?.length === 1;
    const typed = one
      ? pasted(
          runs.map(() => columns.map(() => cells[0]?.[0] ?? '')),
          runs,
          columns,
        )
      : pasted(cells, this.#runsShown(from.minRowIndex), this.#columnsShown(from.minColumnIndex));
    if (typed.errors.length) this.offer = { ...typed, from: 'the clipboard' };
    else this.#take(typed.runs);
  }

  takeOffer(): void {
    this.settle();
    if (this.offer) this.#take(this.offer.runs);
    this.offer = null;
  }
}
