import type { PgTable } from 'drizzle-orm/pg-core';
import type { SiteDesign } from '$core/design';

/** Rows of a table as they are read: column names of the schema, JSON columns as values. */
export type Row = Readonly<Record<string, unknown>>;

/** A list of the design that stands in rows of its own table. */
export interface StoredList<P = never> {
  readonly table: PgTable;
  /** The column that names a row inside its site. */
  readonly key: string;
  readonly list: (design: SiteDesign) => readonly P[];
  /** The columns of a part, but for its site and its place in the list. */
  readonly row: (part: P) => Row;
}

/** How a discipline's part of the document is kept: in tables where constraints guard it, the rest as one value. */
export interface PartStore {
  /** Parents before what refers to them. */
  readonly lists: readonly StoredList[];
  /** What stands in no table. */
  readonly rest: (design: SiteDesign) => Readonly<Record<string, unknown>>;
  /** The part again, from the rows of its lists and the rest. */
  readonly part: (rows: readonly (readonly Row[])[], rest: Readonly<Record<string, unknown>>) => Partial<SiteDesign>;
}

/** A list with the type of its parts forgotten, so that lists of many kinds stand in one array. */
export const storedList = <P>(list: StoredList<P>): StoredList => list as unknown as StoredList;
