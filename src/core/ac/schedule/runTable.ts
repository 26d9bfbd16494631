import { z } from 'zod';
import { lineOf } from '../../site/line';
import type { AcDesign, AcRun } from '../part';
import { acRunSchema, blankRun, resized } from '../part';

/** The schedule of runs as a table: what may be typed in a cell, and what a text in it means. Units stand in the names of the columns. */

type Path = Exclude<keyof AcRun, 'inverterId' | 'segments'>;

/** Columns of the table and of files, by the field each fills. */
export const RUN_COLUMNS = {
  length_m: 'lengthM',
  metal: 'metal',
  insulation: 'insulation',
  cores: 'cores',
  section_mm2: 'sectionMm2',
  parallel: 'parallel',
  method: 'method',
  arrangement: 'arrangement',
  other_circuits: 'otherCircuits',
  ambient_c: 'ambientC',
  sun: 'sunOnCable',
  soil_km_per_w: 'soilKmPerW',
  depth_m: 'depthM',
  duct_mm: 'ductDiameterMm',
  breaker_a: 'breakerA',
  breaker_kind: 'breakerKind',
  breaker_ambient_c: 'breakerAmbientC',
  breaker_group_factor: 'breakerGroupFactor',
  breaker_ue_v: 'breakerUeV',
  breaker_icu_ka: 'breakerIcuKa',
  breaker_trip: 'breakerTrip',
  magnetic_a: 'magneticA',
  clearing_s: 'clearingS',
  let_through_a2s: 'letThroughA2s',
  residual_fitted: 'residualFitted',
  residual_type: 'residualType',
  residual_ma: 'residualMa',
  third_harmonic_percent: 'thirdHarmonicPercent',
  full_rated: 'fullRated',
  raceway: 'raceway',
  raceway_size_in: 'racewaySize',
  raceway_per_set: 'racewayPerSet',
  roof_gap_mm: 'roofGapMm',
  insulation_c: 'insulationC',
  terminals_75: 'terminals75',
  pe_mm2: 'peMm2',
  pe_metal: 'peMetal',
  pe_in_cable: 'peInCable',
  earth_mm2: 'externalEarthMm2',
  earth_metal: 'externalEarthMetal',
  cable_mm: 'cableDiameterMm',
  palm_width_mm: 'palmWidthMm',
  palm_thickness_mm: 'palmThicknessMm',
  print_min_nm: 'printMinNm',
  print_max_nm: 'printMaxNm',
  lug_min_nm: 'lugMinNm',
  lug_max_nm: 'lugMaxNm',
  torque_by: 'torqueBy',
} as const satisfies Record<string, Path>;
export type RunColumn = keyof typeof RUN_COLUMNS;
export const RUN_COLUMN_NAMES = Object.keys(RUN_COLUMNS) as readonly RunColumn[];

/** The column a file names its runs by. */
const TAG = 'inverter';
export const RUN_FILE_COLUMNS = [TAG, ...RUN_COLUMN_NAMES] as const;

type Cell = string | number | null;

const YES_NO = new Map<string, boolean>([
  ['yes', true],
  ['y', true],
  ['true', true],
  ['1', true],
  ['no', false],
  ['n', false],
  ['false', false],
  ['0', false],
]);

/** The schema of a field without its null and default. */
function plainSchema(path: Path): z.ZodType {
  let inner: z.ZodType = acRunSchema.shape[path];
  while (inner instanceof z.ZodDefault || inner instanceof z.ZodNullable) inner = inner.unwrap() as z.ZodType;
  return inner;
}

/** What a field may be, where it is one of a few; empty where it is a number. */
export function choicesOf(column: RunColumn): readonly string[] {
  const schema = plainSchema(RUN_COLUMNS[column]);
  if (schema instanceof z.ZodBoolean) return ['yes', 'no'];
  if (schema instanceof z.ZodEnum) return schema.options.map(String);
  return schema instanceof z.ZodUnion ? schema.options.map((o) => String((o as z.ZodLiteral<number>).value)) : [];
}

/** Name and unit of a column, as the form has them. */
export function columnWords(column: RunColumn): { readonly name: string; readonly unit: string } {
  const path = RUN_COLUMNS[column];
  let schema: z.ZodType = acRunSchema.shape[path];
  let meta: { description?: string; unit?: string } = { ...schema.meta() };
  while (schema instanceof z.ZodDefault || schema instanceof z.ZodNullable) {
    schema = schema.unwrap() as z.ZodType;
    meta = { ...schema.meta(), ...meta };
  }
  const name = meta.description ?? `${path.charAt(0).toUpperCase()}${path.slice(1)}`;
  return { name, unit: meta.unit ?? '' };
}

/** What a cell shows. */
export function cellOf(run: AcRun, column: RunColumn): Cell {
  const value = run[RUN_COLUMNS[column]];
  return typeof value === 'boolean' ? (value ? 'yes' : 'no') : value;
}

/** A text taken into a cell, or what is wrong with it and what would be right. */
type Typed = { readonly value: AcRun[Path] } | { readonly wrong: string };

/** What a text in a cell means: nothing is not known; numbers with a point or a comma; choices in any capitals. */
export function typedCell(column: RunColumn, text: string): Typed {
  const typed = text.trim();
  if (typed === '' || typed === '–') return { value: null };
  const schema = plainSchema(RUN_COLUMNS[column]);
  const choices = choicesOf(column);
  if (choices.length) {
    if (schema instanceof z.ZodBoolean) {
      const yes = YES_NO.get(typed.toLowerCase());
      return yes === undefined ? { wrong: `must be yes or no (got ${typed})` } : { value: yes };
    }
    const choice = choices.find((c) => c.toLowerCase() === typed.toLowerCase());
    if (choice === undefined) return { wrong: `must be one of ${choices.join(', ')} (got ${typed})` };
    return { value: (schema instanceof z.ZodUnion ? Number(choice) : choice) as AcRun[Path] };
  }
  // 2.4 and 2,4; thousands are not set apart, for nobody can tell which of the two 1.234 is.
  const number = Number(typed.replace(',', '.'));
  if (!Number.isFinite(number)) return { wrong: `must be a number (got ${typed})` };
  const checked = schema.safeParse(number);
  if (checked.success) return { value: number };
  const { minValue, maxValue } = schema as z.ZodNumber;
  const { unit } = columnWords(column);
  const whole = Number.isInteger(number) || checked.error.issues.every((i) => i.code !== 'invalid_type');
  return {
    wrong: `must be ${whole ? '' : 'a whole number '}from ${minValue} to ${maxValue}${unit ? ` ${unit}` : ''} (got ${typed})`,
  };
}

/** A run with one cell changed; another section forgets what was measured on parts of the one before. */
export const withCell = (run: AcRun, column: RunColumn, value: AcRun[Path]): AcRun =>
  column === 'section_mm2' ? resized(run, value as number | null) : { ...run, [RUN_COLUMNS[column]]: value };

/** One thing wrong with a row: its number, the column and what would be right. */
export interface RunRowError {
  readonly row: number;
  readonly column: string;
  readonly text: string;
}

export interface RunsTyped {
  /** Runs that changed, whole. */
  readonly runs: readonly AcRun[];
  readonly errors: readonly RunRowError[];
}

/** Rows that are left alone for one wrong cell, and how many are told at most. */
const MOST_ERRORS = 200;

/** Every run of a design as a row of a file, in the order of the inverters. */
export function runRows(design: AcDesign): readonly (readonly Cell[])[] {
  const line = lineOf(design);
  return runsInOrder(design).map((run) => [line.tag(run.inverterId), ...RUN_COLUMN_NAMES.map((c) => cellOf(run, c))]);
}

/** Runs in the order of the inverters; a unit whose run nobody drew yet has a blank one. */
export function runsInOrder({ inverters, runs }: AcDesign): readonly AcRun[] {
  const own = new Map(runs.map((r) => [r.inverterId, r]));
  return inverters.map(({ id }) => own.get(id) ?? blankRun(id));
}

/**
 * Cells of a spreadsheet laid over the schedule from one cell on: downwards over these runs in their order, to the right over these columns.
 * A row with one wrong cell is left as it was, and said; what lies beyond the table is wrong as well. Rows count from 1.
 */
export function pasted(
  cells: readonly (readonly string[])[],
  runs: readonly AcRun[],
  columns: readonly RunColumn[],
): RunsTyped {
  const errors: RunRowError[] = [];
  const changed: AcRun[] = [];
  cells.forEach((row, i) => {
    const run = runs[i];
    const wrong = (column: string, text: string) => void errors.push({ row: i + 1, column, text });
    if (!run) return wrong('', 'is below the last run');
    const before = errors.length;
    const next = row.reduce<AcRun>((r, text, k) => {
      const column = columns[k];
      if (!column) {
        if (text.trim() !== '') wrong('', `“${text.trim()}” is beyond the last column`);
        return r;
      }
      const typed = typedCell(column, text);
      if ('wrong' in typed) wrong(columnWords(column).name, typed.wrong);
      return 'wrong' in typed ? r : withCell(r, column, typed.value);
    }, run);
    if (errors.length === before) changed.push(next);
  });
  return { runs: changed, errors: errors.slice(0, MOST_ERRORS) };
}

/**
 * Runs from the rows of a file with a header: the inverter by its tag, any of the columns beside it; columns that are not there leave the run
 * as it is, an empty cell says that nobody knows. Rows with errors are named with the cell; the others can be taken.
 */
export function runsFromRows(
  design: AcDesign,
  header: readonly string[],
  rows: readonly (readonly string[])[],
  rowOf: (index: number) => number = (i) => i + 2,
): RunsTyped {
  const names = header.map((h) => h.trim().toLowerCase());
  const tagAt = names.indexOf(TAG);
  const columns = RUN_COLUMN_NAMES.map((column) => ({ column, at: names.indexOf(column) })).filter((c) => c.at >= 0);
  const strange = names.filter((n) => n !== '' && n !== TAG && !(n in RUN_COLUMNS));
  if (tagAt < 0 || columns.length === 0 || strange.length)
    return {
      runs: [],
      errors: [
        {
          row: 1,
          column: '',
          text: strange.length
            ? `The header has columns that no run has: ${strange.join(', ')}. Columns: ${RUN_FILE_COLUMNS.join(', ')}.`
            : `The header needs the column ${TAG} and one more at least. Columns: ${RUN_FILE_COLUMNS.join(', ')}.`,
        },
      ],
    };
  const byTag = new Map(design.inverters.map((u) => [u.tag.toLowerCase(), u]));
  const own = new Map(runsInOrder(design).map((r) => [r.inverterId, r]));
  const seen = new Map<string, number>();
  const errors: RunRowError[] = [];
  const runs: AcRun[] = [];
  rows.forEach((cells, i) => {
    if (cells.every((c) => c.trim() === '')) return;
    const row = rowOf(i);
    const wrong = (column: string, text: string) => void errors.push({ row, column, text });
    const tag = (cells[tagAt] ?? '').trim();
    const run = own.get(byTag.get(tag.toLowerCase())?.id ?? '');
    if (!run) return wrong(TAG, `is no inverter of this site (got ${tag || 'nothing'})`);
    const earlier = seen.get(run.inverterId);
    if (earlier !== undefined) return wrong(TAG, `${tag} stands in row ${earlier} already`);
    seen.set(run.inverterId, row);
    const before = errors.length;
    const next = columns.reduce<AcRun>((r, { column, at }) => {
      const typed = typedCell(column, cells[at] ?? '');
      if ('wrong' in typed) wrong(column, typed.wrong);
      return 'wrong' in typed ? r : withCell(r, column, typed.value);
    }, run);
    if (errors.length === before) runs.push(next);
  });
  if (runs.length === 0 && errors.length === 0) errors.push({ row: 2, column: '', text: 'The list has no rows.' });
  return { runs, errors: errors.slice(0, MOST_ERRORS) };
}
