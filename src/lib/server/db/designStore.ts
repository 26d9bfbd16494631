import { createHash } from 'node:crypto';
import { and, eq, getTableColumns, getTableName, inArray, lt, sql } from 'drizzle-orm';
import type { SQL, SQLWrapper } from 'drizzle-orm';
import type { PgTable } from 'drizzle-orm/pg-core';
import type { Operation } from 'fast-json-patch';
import { z } from 'zod';
import type { SiteDesign } from '$core/design';
import { siteDesignSchema } from '$core/design';
import { openDesign } from '$core/design/edition';
import type { StoredDesign, Ways } from '$lib/schemas/site';
import type { Db, Tx } from './client';
import type { Row, StoredList } from './partStore';
import { PART_STORES } from './partStores';
import { designHistory, designPart, site } from './schema';

/** How many changes can be taken back. */
const HISTORY_KEPT = 50;

/** What the schema of a design looks like in this program: rows written by it need no second look. */
const SHAPE = createHash('sha256')
  .update(JSON.stringify(z.toJSONSchema(siteDesignSchema, { io: 'output', unrepresentable: 'any' })))
  .digest('hex')
  .slice(0, 16);

/** Designs opened from rows of another shape: their next write renews every row. */
const OPENED = new WeakSet<SiteDesign>();

/** `x.first_name` → what the schema calls it. */
const namesOf = new Map<PgTable, ReadonlyMap<string, string>>();
function columnNames(table: PgTable): ReadonlyMap<string, string> {
  const known = namesOf.get(table);
  if (known) return known;
  const names = new Map(Object.entries(getTableColumns(table)).map(([name, column]) => [column.name, name]));
  namesOf.set(table, names);
  return names;
}
const renamed = (table: PgTable, row: Row): Row => {
  const names = columnNames(table);
  return Object.fromEntries(Object.entries(row).map(([column, value]) => [names.get(column) ?? column, value]));
};

/** All rows of a table that belong to the site of the outer query, as one JSON value. */
const rowsOf = (table: PgTable): SQL =>
  sql`(select coalesce(json_agg(row_to_json(x) order by x.ord), '[]'::json) from ${table} x where x.site_id = s.id) as ${sql.identifier(getTableName(table))}`;

/** What moves with every change of a design. */
export interface DesignHead extends Ways {
  readonly revision: number;
}

/** The newest way of a site back, or on again, by what it would do. */
const newestWhat = (siteId: SQLWrapper, ahead: boolean) => sql<string | null>`(
  select h.what from ${designHistory} h where h.site_id = ${siteId} and h.ahead = ${ahead} order by h.revision desc limit 1)`;

/** Where a design stands, without its parts. Null where there is no such site. */
export async function readHead(db: Db | Tx, siteId: string): Promise<DesignHead | null> {
  const [head] = await db
    .select({
      revision: site.revision,
      undoes: newestWhat(site.id, false),
      redoes: newestWhat(site.id, true),
    })
    .from(site)
    .where(eq(site.id, siteId));
  return head ?? null;
}

interface SiteRow {
  readonly revision: number;
  readonly edition: number;
  readonly shape: string;
  readonly survey: SiteDesign['survey'];
  readonly board: SiteDesign['board'];
  readonly parts: readonly { readonly part: string; readonly value: Readonly<Record<string, unknown>> }[];
  readonly undoes: string | null;
  readonly redoes: string | null;
}

/**
 * Reads a whole design in one query and so at one moment, whatever its size. Null where there is no such site.
 * Rows of another shape than this program writes are upgraded, and fields they did not know become "not known".
 */
export async function readDesign(db: Db | Tx, siteId: string): Promise<StoredDesign | null> {
  const tables = PART_STORES.flatMap(({ store }) => store.lists.map((l) => l.table));
  const {
    rows: [row],
  } = await db.execute<Record<string, unknown>>(sql`
    select s.revision, s.edition, s.shape, s.survey, s.board,
      (select coalesce(json_agg(row_to_json(p)), '[]'::json) from ${designPart} p where p.site_id = s.id) as parts,
      ${newestWhat(sql`s.id`, false)} as undoes, ${newestWhat(sql`s.id`, true)} as redoes,
      ${sql.join(tables.map(rowsOf), sql`, `)}
    from ${site} s where s.id = ${siteId}`);
  if (!row) return null;
  const head = row as unknown as SiteRow;
  const document = PART_STORES.reduce<Record<string, unknown>>(
    (d, { name, store }) => {
      const rows = store.lists.map(({ table }) => (row[getTableName(table)] as Row[]).map((r) => renamed(table, r)));
      return { ...d, ...store.part(rows, head.parts.find((p) => p.part === name)?.value ?? {}) };
    },
    { schema: head.edition, survey: head.survey, board: head.board },
  );
  const design = head.shape === SHAPE ? (document as unknown as SiteDesign) : openDesign(document);
  if (head.shape !== SHAPE) OPENED.add(design);
  return { siteId, revision: head.revision, design, undoes: head.undoes, redoes: head.redoes };
}

/** PostgreSQL takes 65535 parameters a statement; the widest row has thirteen. */
const CHUNK = 2000;

async function upsert(tx: Tx, { table, key }: StoredList, rows: readonly Row[]): Promise<void> {
  const columns = getTableColumns(table);
  const set = Object.fromEntries(
    Object.entries(columns)
      .filter(([name]) => name !== 'siteId' && name !== key)
      .map(([name, column]) => [name, sql.raw(`excluded."${column.name}"`)]),
  );
  const target = [columns['siteId'], columns[key]].filter((c) => c !== undefined);
  for (let at = 0; at < rows.length; at += CHUNK) {
    await tx
      .insert(table)
      .values(rows.slice(at, at + CHUNK) as Record<string, unknown>[])
      .onConflictDoUpdate({ target, set });
  }
}

/** Parts of a list with their places, by their key. A part that is the very same object needs no comparing. */
function placed(list: StoredList, design: SiteDesign | null) {
  const parts = design ? (list.list(design) as readonly Record<string, unknown>[]) : [];
  return new Map(parts.map((part, ord) => [part[list.key] as string, { part, ord }]));
}

async function writeList(tx: Tx, siteId: string, list: StoredList, before: SiteDesign | null, after: SiteDesign) {
  const [old, now] = [placed(list, before), placed(list, after)];
  const renew = before !== null && OPENED.has(before);
  const changed = [...now].flatMap(([key, { part, ord }]): Row[] => {
    const was = old.get(key);
    if (was && !renew && was.part === part && was.ord === ord) return [];
    const row = list.row(part as never);
    const same = !renew && was?.ord === ord && JSON.stringify(list.row(was.part as never)) === JSON.stringify(row);
    return same ? [] : [{ siteId, ord, ...row }];
  });
  if (changed.length) await upsert(tx, list, changed);
  return [...old.keys()].filter((key) => !now.has(key));
}

async function deleteRows(tx: Tx, siteId: string, { table, key }: StoredList, gone: readonly string[]) {
  const columns = getTableColumns(table);
  const [siteColumn, keyColumn] = [columns['siteId'], columns[key]];
  if (gone.length && siteColumn && keyColumn)
    await tx.delete(table).where(and(eq(siteColumn, siteId), inArray(keyColumn, [...gone])));
}

/** Writes what differs between two designs: new and changed rows parents first, gone rows children first. */
async function writeParts(tx: Tx, siteId: string, before: SiteDesign | null, after: SiteDesign): Promise<void> {
  const gone: { list: StoredList; keys: string[] }[] = [];
  for (const { store } of PART_STORES)
    for (const list of store.lists)
      if (!before || OPENED.has(before) || list.list(before) !== list.list(after))
        gone.unshift({ list, keys: await writeList(tx, siteId, list, before, after) });
  for (const { list, keys } of gone) await deleteRows(tx, siteId, list, keys);
  for (const { name, store } of PART_STORES) {
    const value = store.rest(after);
    const same = before && !OPENED.has(before) && JSON.stringify(store.rest(before)) === JSON.stringify(value);
    if (same || Object.keys(value).length === 0) continue;
    const row = { siteId, part: name, edition: after.schema, value };
    await tx
      .insert(designPart)
      .values(row)
      .onConflictDoUpdate({ target: [designPart.siteId, designPart.part], set: { edition: row.edition, value } });
  }
}

const headOf = (design: SiteDesign) => ({
  name: design.survey.name,
  survey: design.survey,
  board: design.board,
  edition: design.schema,
  shape: SHAPE,
});

/** A new site, at revision 1. */
export async function insertDesign(tx: Tx, siteId: string, design: SiteDesign, revision = 1): Promise<void> {
  await tx.insert(site).values({ id: siteId, revision, ...headOf(design) });
  await writeParts(tx, siteId, null, design);
}

/** Takes the revision of a site for a write; false when somebody else has written since. Holds the row until commit. */
export async function claimRevision(tx: Tx, siteId: string, expected: number, at: Date): Promise<boolean> {
  const taken = await tx
    .update(site)
    .set({ revision: expected + 1, changedAt: at })
    .where(and(eq(site.id, siteId), eq(site.revision, expected)))
    .returning({ id: site.id });
  return taken.length === 1;
}

/** Writes a changed design under a revision already claimed. */
export async function writeDesign(tx: Tx, siteId: string, before: SiteDesign, after: SiteDesign): Promise<void> {
  if (OPENED.has(before) || before.survey !== after.survey || before.board !== after.board)
    await tx.update(site).set(headOf(after)).where(eq(site.id, siteId));
  await writeParts(tx, siteId, before, after);
}

/** The way from one design to another, as a pile keeps it. */
export interface Way {
  readonly patch: Operation[] | null;
  /** The whole design, of an older program's row. */
  readonly design: SiteDesign | null;
  /** The change it takes back or makes again, in words. */
  readonly what: string;
}

const ofPile = (siteId: string, ahead: boolean) =>
  and(eq(designHistory.siteId, siteId), eq(designHistory.ahead, ahead));

/** Keeps a way back from a change, or on again from an undo; what lies too far back is forgotten. */
export async function keepWay(
  tx: Tx,
  siteId: string,
  revision: number,
  { patch, what, ahead }: { readonly patch: Operation[]; readonly what: string; readonly ahead: boolean },
): Promise<void> {
  await tx.insert(designHistory).values({ siteId, revision, back: patch, what, ahead });
  if (revision % 10 === 0)
    await tx
      .delete(designHistory)
      .where(and(eq(designHistory.siteId, siteId), lt(designHistory.revision, revision - HISTORY_KEPT)));
}

/** The newest way of a pile, taken off it. */
export async function popWay(tx: Tx, siteId: string, ahead: boolean): Promise<Way | null> {
  const newest = tx
    .select({ revision: sql`max(${designHistory.revision})` })
    .from(designHistory)
    .where(ofPile(siteId, ahead));
  const [row] = await tx
    .delete(designHistory)
    .where(and(ofPile(siteId, ahead), sql`${designHistory.revision} = (${newest})`))
    .returning({ patch: designHistory.back, design: designHistory.design, what: designHistory.what });
  return row ? { ...row, design: row.design === null ? null : openDesign(row.design) } : null;
}

/** A new change is made: what was taken back before it does not come again. */
export async function forgetAhead(tx: Tx, siteId: string): Promise<void> {
  await tx.delete(designHistory).where(ofPile(siteId, true));
}

/** What undo and redo would do next. */
export async function readWays(tx: Tx, siteId: string): Promise<Ways> {
  const [row] = await tx
    .select({ undoes: newestWhat(site.id, false), redoes: newestWhat(site.id, true) })
    .from(site)
    .where(eq(site.id, siteId));
  return row ?? { undoes: null, redoes: null };
}
