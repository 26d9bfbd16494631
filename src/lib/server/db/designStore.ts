import { and, eq, getTableColumns, inArray, lt, sql } from 'drizzle-orm';
import type { PgTable } from 'drizzle-orm/pg-core';
import type { SiteDesign } from '$core/site/siteDesign';
import type { Db, Tx } from './client';
import {
  acRun,
  chainDevice,
  designHistory,
  inverter,
  plane,
  pvString,
  site,
  siteInverterType,
  siteModuleType,
} from './schema';
import { summaryOf } from './summary';

/** A design with the row it stands in. */
export interface StoredDesign {
  readonly siteId: string;
  readonly revision: number;
  readonly design: SiteDesign;
  /** Whether there is a change to take back. */
  readonly canUndo: boolean;
}

/** How many changes can be taken back. */
const HISTORY_KEPT = 50;

/** Reads a whole design in ten queries, whatever its size. Null where there is no such site. */
export async function readDesign(db: Db | Tx, siteId: string): Promise<StoredDesign | null> {
  const [head] = await db.select().from(site).where(eq(site.id, siteId));
  if (!head) return null;
  const of = <
    T extends
      | typeof plane
      | typeof inverter
      | typeof pvString
      | typeof acRun
      | typeof chainDevice
      | typeof siteModuleType
      | typeof siteInverterType,
  >(
    table: T,
  ) => eq(table.siteId, siteId);
  const [modules, inverterTypes, planes, inverters, strings, runs, devices, history] = await Promise.all([
    db.select().from(siteModuleType).where(of(siteModuleType)).orderBy(siteModuleType.ord),
    db.select().from(siteInverterType).where(of(siteInverterType)).orderBy(siteInverterType.ord),
    db.select().from(plane).where(of(plane)).orderBy(plane.ord),
    db.select().from(inverter).where(of(inverter)).orderBy(inverter.ord),
    db.select().from(pvString).where(of(pvString)).orderBy(pvString.ord),
    db.select().from(acRun).where(of(acRun)).orderBy(acRun.ord),
    db.select().from(chainDevice).where(of(chainDevice)).orderBy(chainDevice.ord),
    db
      .select({ revision: designHistory.revision })
      .from(designHistory)
      .where(eq(designHistory.siteId, siteId))
      .limit(1),
  ]);
  const design: SiteDesign = {
    schema: 1,
    survey: head.survey,
    equipment: { modules: modules.map((m) => m.sheet), inverters: inverterTypes.map((t) => t.sheet) },
    planes: planes.map(({ siteId: _s, ord: _o, ...p }) => ({
      ...p,
      mounting: p.mounting as SiteDesign['planes'][number]['mounting'],
      position: p.position ?? null,
    })),
    inverters: inverters.map(({ siteId: _s, ord: _o, ...i }) => ({ ...i, position: i.position ?? null })),
    strings: strings.map((s) => ({
      id: s.id,
      number: s.number,
      planeId: s.planeId,
      modules: s.modules,
      place:
        s.inverterId !== null && s.tracker !== null && s.input !== null
          ? { inverterId: s.inverterId, tracker: s.tracker, input: s.input, branch: s.branch === 2 ? 2 : 1 }
          : null,
      start: s.start ?? null,
      lengthM: s.lengthM,
    })),
    dcCable: head.dcCable,
    locks: head.locks,
    energy: head.energy,
    board: head.board,
    runs: runs.map((r) => ({ inverterId: r.inverterId, ...r.run })),
    chain: {
      bitRate: head.chainBitRate as SiteDesign['chain']['bitRate'],
      devices: devices.map((d) => ({
        id: d.id,
        kind: d.kind,
        label: d.label,
        inverterId: d.inverterId,
        address: d.address,
        terminated: d.terminated,
        ...d.cable,
      })),
    },
  };
  return { siteId, revision: head.revision, design, canUndo: history.length > 0 };
}

/** The rows of a design, table by table, parents first. */
function rowsOf(siteId: string, d: SiteDesign) {
  return [
    {
      table: siteModuleType,
      key: 'id',
      rows: d.equipment.modules.map((sheet, ord) => ({ siteId, id: sheet.id, ord, sheet })),
    },
    {
      table: siteInverterType,
      key: 'id',
      rows: d.equipment.inverters.map((sheet, ord) => ({ siteId, id: sheet.id, ord, sheet })),
    },
    { table: plane, key: 'id', rows: d.planes.map((p, ord) => ({ siteId, ord, ...p })) },
    { table: inverter, key: 'id', rows: d.inverters.map((i, ord) => ({ siteId, ord, ...i })) },
    {
      table: pvString,
      key: 'id',
      rows: d.strings.map(({ place, ...s }, ord) => ({
        siteId,
        ord,
        ...s,
        inverterId: place?.inverterId ?? null,
        tracker: place?.tracker ?? null,
        input: place?.input ?? null,
        branch: place?.branch ?? null,
      })),
    },
    {
      table: acRun,
      key: 'inverterId',
      rows: d.runs.map(({ inverterId, ...run }, ord) => ({ siteId, inverterId, ord, run })),
    },
    {
      table: chainDevice,
      key: 'id',
      rows: d.chain.devices.map(({ unitLoads, position, entryM, hopM, ...c }, ord) => ({
        siteId,
        ord,
        ...c,
        cable: { unitLoads, position, entryM, hopM },
      })),
    },
  ] as const;
}

type Row = Readonly<Record<string, unknown>>;
/** PostgreSQL takes 65535 parameters a statement; the widest row has thirteen. */
const CHUNK = 2000;

async function upsert(tx: Tx, table: PgTable, key: string, rows: readonly Row[]): Promise<void> {
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

/** Writes what differs between two designs: new and changed rows parents first, gone rows children first. */
async function writeRows(tx: Tx, siteId: string, before: SiteDesign | null, after: SiteDesign): Promise<void> {
  const old = new Map(
    (before ? rowsOf(siteId, before) : []).map(({ table, key, rows }) => [
      table as PgTable,
      new Map(rows.map((r: Row) => [r[key] as string, JSON.stringify(r)])),
    ]),
  );
  const tables = rowsOf(siteId, after);
  for (const { table, key, rows } of tables) {
    const known = old.get(table);
    const changed = rows.filter((r: Row) => known?.get(r[key] as string) !== JSON.stringify(r));
    if (changed.length) await upsert(tx, table, key, changed);
  }
  for (const { table, key, rows } of [...tables].reverse()) {
    const kept = new Set(rows.map((r: Row) => r[key] as string));
    const gone = [...(old.get(table)?.keys() ?? [])].filter((id) => !kept.has(id));
    const columns = getTableColumns(table as PgTable);
    const [siteColumn, keyColumn] = [columns['siteId'], columns[key]];
    if (gone.length && siteColumn && keyColumn)
      await tx.delete(table).where(and(eq(siteColumn, siteId), inArray(keyColumn, gone)));
  }
}

/** A new site, at revision 1. */
export async function insertDesign(tx: Tx, siteId: string, design: SiteDesign, revision = 1): Promise<void> {
  await tx.insert(site).values({
    id: siteId,
    name: design.survey.name,
    revision,
    survey: design.survey,
    board: design.board,
    dcCable: design.dcCable,
    locks: design.locks,
    energy: design.energy,
    chainBitRate: design.chain.bitRate,
    summary: summaryOf(design),
  });
  await writeRows(tx, siteId, null, design);
}

/** Takes the revision of a site for a write; false when somebody else has written since. Holds the row until commit. */
export async function claimRevision(tx: Tx, siteId: string, expected: number): Promise<boolean> {
  const taken = await tx
    .update(site)
    .set({ revision: expected + 1, changedAt: new Date() })
    .where(and(eq(site.id, siteId), eq(site.revision, expected)))
    .returning({ id: site.id });
  return taken.length === 1;
}

/** Writes a changed design under a revision already claimed; keeps what was there before for undo, unless this is an undo. */
export async function writeDesign(tx: Tx, before: StoredDesign, after: SiteDesign, keep: boolean): Promise<void> {
  const { siteId } = before;
  await tx
    .update(site)
    .set({
      name: after.survey.name,
      survey: after.survey,
      board: after.board,
      dcCable: after.dcCable,
      locks: after.locks,
      energy: after.energy,
      chainBitRate: after.chain.bitRate,
      summary: summaryOf(after),
    })
    .where(eq(site.id, siteId));
  await writeRows(tx, siteId, before.design, after);
  if (!keep) return;
  await tx.insert(designHistory).values({ siteId, revision: before.revision, design: before.design });
  await tx
    .delete(designHistory)
    .where(and(eq(designHistory.siteId, siteId), lt(designHistory.revision, before.revision - HISTORY_KEPT)));
}

/** The newest design to go back to, taken off the pile. */
export async function popHistory(tx: Tx, siteId: string): Promise<SiteDesign | null> {
  const newest = tx
    .select({ revision: sql`max(${designHistory.revision})` })
    .from(designHistory)
    .where(eq(designHistory.siteId, siteId));
  const [row] = await tx
    .delete(designHistory)
    .where(and(eq(designHistory.siteId, siteId), sql`${designHistory.revision} = (${newest})`))
    .returning({ design: designHistory.design });
  return row?.design ?? null;
}
