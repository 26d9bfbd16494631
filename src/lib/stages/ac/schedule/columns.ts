import {
  cellSelectionFeature,
  columnFilteringFeature,
  columnVisibilityFeature,
  createColumnHelper,
  createFilteredRowModel,
  createSortedRowModel,
  filterFn_includesString,
  globalFilteringFeature,
  rowSortingFeature,
  sortFn_alphanumeric,
  sortFn_basic,
  tableFeatures,
} from '@tanstack/svelte-table';
import type { AcRun } from '$core/ac/part';
import type { RunResult } from '$core/ac/results';
import type { RunColumn } from '$core/ac/schedule/runTable';
import { RUN_COLUMN_NAMES, cellOf, choicesOf, columnWords } from '$core/ac/schedule/runTable';
import type { Verdict } from '$core/kernel/check';
import { VERDICT_ORDER } from '$core/kernel/check';
import { fixed } from '$core/kernel/quantity';

/** The columns of the schedule: what is typed, and what is reckoned beside it. */

export const FEATURES = tableFeatures({
  cellSelectionFeature,
  columnFilteringFeature,
  columnVisibilityFeature,
  globalFilteringFeature,
  rowSortingFeature,
  filteredRowModel: createFilteredRowModel(),
  sortedRowModel: createSortedRowModel(),
  filterFns: { includesString: filterFn_includesString },
  sortFns: { alphanumeric: sortFn_alphanumeric, basic: sortFn_basic },
});

export interface RunRow {
  readonly id: string;
  readonly tag: string;
  readonly r: RunResult;
  readonly verdict: Verdict;
}

/** What a cell shows where nothing is typed but something is known all the same; figures in a column of their own. */
interface Reckoned {
  readonly head: string;
  readonly unit: string;
  readonly value: (row: RunRow) => string | number | null;
  readonly words: (row: RunRow) => string;
}

const RECKONED: Readonly<Record<string, Reckoned>> = {
  ib: {
    head: 'I_b',
    unit: 'A',
    value: ({ r }) => r.designCurrent.currentA,
    words: ({ r }) => fixed(r.designCurrent.currentA, 1),
  },
  iz: {
    head: 'I_z',
    unit: 'A',
    value: ({ r }) => r.ampacity.value?.izA ?? null,
    words: ({ r: { ampacity } }) =>
      ampacity.value
        ? `${fixed(ampacity.value.izA, 0)}${ampacity.value.where ? ` (${ampacity.value.where})` : ''}`
        : '–',
  },
  rise: {
    head: 'Rise',
    unit: '%',
    value: ({ r }) => r.rise.value?.percent ?? null,
    words: ({ r }) => (r.rise.value ? fixed(r.rise.value.percent, 2) : '–'),
  },
  lug: {
    head: 'Lug',
    unit: '',
    value: ({ r }) => r.lug.value?.sectionMm2 ?? null,
    words: ({ r: { lug } }) => (lug.value ? `${lug.value.sectionMm2}-M${lug.value.studM}` : '–'),
  },
  torque: {
    head: 'Torque',
    unit: 'N·m',
    value: ({ r }) => r.torque?.setNm ?? null,
    words: ({ r: { torque } }) => (torque ? `${fixed(torque.lowNm, 0)}–${fixed(torque.highNm, 0)}` : '–'),
  },
};

/** Heads that are shorter than the words of the form. */
const SHORT: Partial<Record<RunColumn, string>> = {
  breaker_a: 'Breaker',
  length_m: 'Length',
  section_mm2: 'Section',
  parallel: 'Cables',
  method: 'Method',
  metal: 'Metal',
  ambient_c: 'Ambient',
  other_circuits: 'Others',
  pe_mm2: 'PE',
};

/** The order on screen: what a schedule is read by first; the rest is shown on demand. */
const FIRST = [
  'ib',
  'breaker_a',
  'section_mm2',
  'parallel',
  'metal',
  'length_m',
  'iz',
  'rise',
  'pe_mm2',
  'lug',
  'torque',
  'cores',
  'method',
  'ambient_c',
  'other_circuits',
] as const;

const helper = createColumnHelper<typeof FEATURES, RunRow>();
const isTyped = (id: string): id is RunColumn => (RUN_COLUMN_NAMES as readonly string[]).includes(id);

const typedColumn = (column: RunColumn) =>
  helper.accessor(({ r }) => cellOf(r.run, column) ?? undefined, {
    id: column,
    sortFn: choicesOf(column).length ? 'alphanumeric' : 'basic',
    sortUndefined: 'last',
    enableGlobalFilter: choicesOf(column).length > 0,
  });

const reckonedColumn = (id: string, { value }: Reckoned) =>
  helper.accessor((row) => value(row) ?? undefined, {
    id,
    sortFn: 'basic',
    sortUndefined: 'last',
    enableGlobalFilter: false,
  });

const column = (id: string) => {
  const own = RECKONED[id];
  return own ? reckonedColumn(id, own) : typedColumn(id as RunColumn);
};

/** Columns that are shown only where somebody asks for all. */
export const MORE: readonly RunColumn[] = RUN_COLUMN_NAMES.filter((c) => !(FIRST as readonly string[]).includes(c));

export const COLUMNS = helper.columns([
  helper.accessor('tag', { id: 'tag', sortFn: 'alphanumeric', enableCellSelection: false }),
  helper.accessor((row) => VERDICT_ORDER.indexOf(row.verdict), {
    id: 'verdict',
    sortFn: 'basic',
    enableGlobalFilter: false,
    enableCellSelection: false,
  }),
  ...[...FIRST, ...MORE].map(column),
]);

/** Head and unit of a column. */
export function headOf(id: string): { readonly name: string; readonly short: string; readonly unit: string } {
  const own = RECKONED[id];
  if (own) return { name: own.head, short: own.head, unit: own.unit };
  if (!isTyped(id))
    return { name: id === 'tag' ? 'Run' : 'Verdict', short: id === 'tag' ? 'Run' : 'Verdict', unit: '' };
  const { name, unit } = columnWords(id);
  return { name, short: SHORT[id] ?? name, unit };
}

/**
 * What stands in a cell. Sections by the names they are bought by; a length that nobody measured as the plan has it. `typed`: the run as it
 * was just typed, of which nothing is worked out yet.
 */
export function shownIn(
  row: RunRow,
  id: string,
  typed?: AcRun | null,
): { readonly text: string; readonly reckoned: boolean } {
  const own = RECKONED[id];
  if (own) return { text: own.words(row), reckoned: true };
  if (!isTyped(id)) return { text: '', reckoned: true };
  const { run, school, lengthM } = row.r;
  const value = cellOf(typed ?? run, id);
  if (id === 'length_m' && value === null && lengthM !== null && !typed)
    return { text: fixed(lengthM, 1), reckoned: true };
  if (value === null) return { text: '–', reckoned: false };
  const bySchool = school.name === 'NEC' && (id === 'section_mm2' || id === 'pe_mm2' || id === 'earth_mm2');
  return { text: bySchool ? school.sectionName(Number(value)) : String(value), reckoned: false };
}

/** The column to type in, or null where the value follows from others. */
export const typedIn = (id: string): RunColumn | null => (isTyped(id) ? id : null);
export const isFigure = (id: string): boolean =>
  id in RECKONED ? id !== 'lug' : isTyped(id) && choicesOf(id).length === 0;
