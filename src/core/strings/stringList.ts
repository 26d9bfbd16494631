import { lineOf } from '../site/line';
import type { PvString } from '../site/parts';
import { newString, placeKey } from '../site/parts';
import type { StringsDesign } from './part';

/** The columns of a string list, in files that go out and come in. Units are in the names. */
export const LIST_COLUMNS = [
  'string',
  'plane',
  'modules',
  'inverter',
  'tracker',
  'input',
  'branch',
  'start_x_m',
  'start_y_m',
  'length_m',
  'leads_m',
  'y_m',
] as const;
type Column = (typeof LIST_COLUMNS)[number];

export type ListCell = string | number | null;

/** One thing wrong with a row: its number as a spreadsheet shows it, the column and what would be right. */
export interface RowError {
  readonly row: number;
  readonly column: Column | '';
  readonly text: string;
}

export type ListAnswer =
  | { readonly strings: readonly PvString[]; readonly errors: readonly [] }
  | { readonly strings: null; readonly errors: readonly RowError[] };

/** Every string of a design as a row of the list, in the printed order of the inputs. */
export function stringRows(design: StringsDesign): Readonly<Record<Column, ListCell>>[] {
  const line = lineOf(design);
  return line.printedStrings.map((s) => ({
    string: s.number,
    plane: line.planeLabel(s.planeId),
    modules: s.modules,
    inverter: s.place ? line.tag(s.place.inverterId) : null,
    tracker: s.place?.tracker ?? null,
    input: s.place?.input ?? null,
    branch: s.place?.branch ?? null,
    start_x_m: s.start?.xM ?? null,
    start_y_m: s.start?.yM ?? null,
    length_m: s.lengthM,
    leads_m: s.leadsM,
    y_m: s.yM,
  }));
}

const MOST_ERRORS = 50;

/** Parts by name, as the site tells names apart; another writing of capitals is taken where only one part can be meant. */
function namedExactly<P>(parts: readonly P[], nameOf: (part: P) => string): (name: string) => P | undefined {
  const exact = new Map(parts.map((p) => [nameOf(p), p]));
  const loose = new Map<string, P | null>();
  for (const p of parts) {
    const key = nameOf(p).toLowerCase();
    loose.set(key, loose.has(key) ? null : p);
  }
  const named = (name: string) => exact.get(name) ?? loose.get(name.toLowerCase()) ?? undefined;
  // As it went out: behind an apostrophe where it could be taken for a formula.
  return (name) => named(name) ?? (/^'[=+\-@]/.test(name) ? named(name.slice(1)) : undefined);
}

/**
 * Strings from the rows of a table with a header. Planes and inverters go by their names; `branch` may be left out; a row without
 * inverter hangs on nothing. A string of a number that exists keeps its identity. Every error comes with its row, and none is let pass.
 */
export function stringsFromRows(
  design: StringsDesign,
  header: readonly string[],
  rows: readonly (readonly string[])[],
  rowOf: (index: number) => number = (i) => i + 2,
): ListAnswer {
  const at = new Map(LIST_COLUMNS.map((c) => [c, header.findIndex((h) => h.trim().toLowerCase() === c)]));
  const wanted = (['string', 'plane', 'modules'] as const).filter((c) => (at.get(c) ?? -1) < 0);
  if (wanted.length)
    return {
      strings: null,
      errors: [
        {
          row: 1,
          column: '',
          text: `The header has no column ${wanted.join(', ')}. Columns: ${LIST_COLUMNS.join(', ')}.`,
        },
      ],
    };
  const planes = namedExactly(design.planes, (p) => p.label);
  const units = namedExactly(design.inverters, (u) => u.tag);
  const line = lineOf(design);
  const byNumber = new Map(design.strings.map((s) => [s.number, s]));
  const errors: RowError[] = [];
  const seen = new Map<string, number>();
  const strings: PvString[] = [];

  rows.forEach((cells, i) => {
    if (errors.length >= MOST_ERRORS || cells.every((c) => c.trim() === '')) return;
    const row = rowOf(i);
    const before = errors.length;
    const text = (c: Column) => (cells[at.get(c) ?? -1] ?? '').trim();
    const wrong = (column: Column, what: string) => void errors.push({ row, column, text: what });
    const number = (column: Column, min: number, max: number, whole: boolean): number | null => {
      if (text(column) === '') return null;
      const v = Number(text(column).replace(',', '.'));
      if (!(v >= min && v <= max) || (whole && !Number.isInteger(v))) {
        wrong(column, `must be a ${whole ? 'whole ' : ''}number from ${min} to ${max} (got ${text(column)}).`);
        return null;
      }
      return v;
    };
    const once = (key: string, column: Column, what: string) => {
      const other = seen.get(key);
      if (other !== undefined) wrong(column, `${what} stands in row ${other} already.`);
      else seen.set(key, row);
    };

    const own = number('string', 1, 9999, true);
    if (own === null && text('string') === '') wrong('string', 'is missing: give the string its number.');
    const plane = planes(text('plane'));
    if (!plane)
      wrong(
        'plane',
        `is no plane of this site: ${design.planes.map((p) => p.label).join(', ')} (got ${text('plane') || 'nothing'}).`,
      );
    const modules = number('modules', 1, 60, true);
    if (modules === null && text('modules') === '') wrong('modules', 'is missing.');
    const unit = units(text('inverter'));
    if (text('inverter') && !unit) wrong('inverter', `is no inverter of this site (got ${text('inverter')}).`);
    const type = unit && line.inverterType(unit.typeId);
    const tracker = type ? number('tracker', 1, type.trackers, true) : null;
    const input = type ? number('input', 1, type.inputsPerTracker, true) : null;
    const branch = number('branch', 1, 2, true) ?? 1;
    if (unit && text('tracker') === '') wrong('tracker', `is missing for ${unit.tag}.`);
    if (unit && text('input') === '') wrong('input', `is missing for ${unit.tag}.`);
    const xM = number('start_x_m', -1e5, 1e5, false);
    const yM = number('start_y_m', -1e5, 1e5, false);
    if ((xM === null) !== (yM === null)) wrong('start_x_m', 'and start_y_m go together: give both or none.');
    const lengthM = number('length_m', 0.1, 1000, false);
    const leadsM = number('leads_m', 0.1, 500, false);
    const fromYM = number('y_m', 0, 1000, false);
    const place =
      unit && tracker !== null && input !== null
        ? { inverterId: unit.id, tracker, input, branch: branch === 2 ? (2 as const) : (1 as const) }
        : null;
    if (own !== null) once(`string ${own}`, 'string', `String ${own}`);
    if (place) once(placeKey(place), 'input', `${unit?.tag}.${tracker}.${input}`);
    if (errors.length > before || own === null || !plane || modules === null) return;
    strings.push({
      ...newString(byNumber.get(own)?.id ?? `l-${own}`, own, plane.id, modules, place),
      start: xM !== null && yM !== null ? { xM, yM } : null,
      lengthM,
      // A length in a row was measured to the inverter of that row.
      lengthToId: lengthM === null ? null : (place?.inverterId ?? null),
      leadsM,
      yM: fromYM,
    });
  });
  if (errors.length) return { strings: null, errors };
  if (strings.length === 0) return { strings: null, errors: [{ row: 2, column: '', text: 'The list has no rows.' }] };
  return { strings, errors: [] };
}
