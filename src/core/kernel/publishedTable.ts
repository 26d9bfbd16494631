/** Tables of published values: data with its source, and the few ways the trade reads them. */

export interface PublishedTable<Column extends string> {
  readonly source: string;
  /** True while the figures are written down from memory, not read from the document itself. */
  readonly recalled: boolean;
  readonly quantity: string;
  readonly key: string;
  readonly columns: readonly Column[];
  /** Key first, then one value a column; null where the standard prints none. Keys rise. */
  readonly rows: readonly (readonly [number, ...(number | null)[]])[];
}

/** Checks shape and order once, when the module loads, and freezes the rows. */
export function publishedTable<const Column extends string>(table: PublishedTable<Column>): PublishedTable<Column> {
  let last = Number.NEGATIVE_INFINITY;
  for (const row of table.rows) {
    if (row.length !== table.columns.length + 1)
      throw new RangeError(`${table.source}: row ${row[0]} has ${row.length} cells`);
    if (!(row[0] > last)) throw new RangeError(`${table.source}: keys do not rise at ${row[0]}`);
    last = row[0];
  }
  return Object.freeze(table);
}

type Row = PublishedTable<never>['rows'][number];

function valueIn<C extends string>(table: PublishedTable<C>, row: Row | undefined, column: C): number | undefined {
  const at = table.columns.indexOf(column);
  return at < 0 ? undefined : (row?.[at + 1] ?? undefined);
}

const FILLED = new WeakMap<object, Map<string, readonly Row[]>>();
/** Rows in which a column holds a value; looked for once. */
function filled<C extends string>(table: PublishedTable<C>, column: C): readonly Row[] {
  let columns = FILLED.get(table);
  if (!columns) FILLED.set(table, (columns = new Map()));
  let rows = columns.get(column);
  if (!rows) columns.set(column, (rows = table.rows.filter((row) => valueIn(table, row, column) !== undefined)));
  return rows;
}

/** The value of the row with this very key, or undefined. */
export function exactly<C extends string>(table: PublishedTable<C>, key: number, column: C): number | undefined {
  const row = table.rows.find((r) => r[0] === key);
  return valueIn(table, row, column);
}

/** The value of the first row at or above the key: between rows the next larger row counts. Undefined past the end. */
export function atOrAbove<C extends string>(table: PublishedTable<C>, key: number, column: C): number | undefined {
  const row = filled(table, column).find((r) => r[0] >= key);
  return valueIn(table, row, column);
}

/** As `atOrAbove`, but past the last row that row stays in force. Only where the standard itself says so. */
export function atOrAboveHeld<C extends string>(table: PublishedTable<C>, key: number, column: C): number | undefined {
  return atOrAbove(table, key, column) ?? valueIn(table, filled(table, column).at(-1), column);
}

/** The keys for which the column holds a value, in rising order. */
export function keysOf<C extends string>(table: PublishedTable<C>, column: C): number[] {
  return filled(table, column).map(([key]) => key);
}
