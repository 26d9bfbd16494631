import { and, asc, eq, inArray } from 'drizzle-orm';
import type { PriceList } from '$core/ac/candidates/priceList';
import { priceListSchema } from '$core/ac/candidates/priceList';
import type { Remainder, StoreChange } from '$core/ac/schedule/cableStore';
import type { Instrument } from '$core/equipment/instrument';
import { instrumentSchema } from '$core/equipment/instrument';
import type { InverterType } from '$core/equipment/inverterType';
import { inverterTypeSchema } from '$core/equipment/inverterType';
import type { ModuleType } from '$core/equipment/moduleType';
import { moduleTypeSchema } from '$core/equipment/moduleType';
import type { Context } from './context';
import { shelfItem } from '../db/schema';
import type { Flaw } from '../problem';
import { Problem } from '../problem';

interface Shelf {
  readonly modules: ModuleType[];
  readonly inverters: InverterType[];
  readonly instruments: Instrument[];
  readonly prices: PriceList | null;
  readonly remainders: Remainder[];
}

/** The company's equipment, instruments and prices. A site that uses a sheet takes a copy of it, and so does an entry of its instrument. */
export async function readShelf({ db }: Context): Promise<Shelf> {
  const rows = await db.select().from(shelfItem).orderBy(asc(shelfItem.id));
  return {
    modules: rows.filter((r) => r.kind === 'module').map((r) => r.sheet as ModuleType),
    inverters: rows.filter((r) => r.kind === 'inverter').map((r) => r.sheet as InverterType),
    instruments: rows.filter((r) => r.kind === 'instrument').map((r) => r.sheet as Instrument),
    prices: (rows.find((r) => r.kind === 'prices')?.sheet as PriceList | undefined) ?? null,
    remainders: rows.filter((r) => r.kind === 'remainder').map((r) => r.sheet as Remainder),
  };
}

/** Sheets that are put there whole; remainders of cable come and go by `changeStore`. */
const SHELVES = {
  module: moduleTypeSchema,
  inverter: inverterTypeSchema,
  instrument: instrumentSchema,
  prices: priceListSchema,
} as const;
export type ShelfKind = keyof typeof SHELVES;
export type ShelfSheet = ModuleType | InverterType | Instrument | PriceList;

/** An instrument stands on the shelf under its serial number, a sheet under its id. */
export const shelfId = (sheet: ShelfSheet): string => ('serial' in sheet ? sheet.serial : sheet.id);

export async function putOnShelf({ db }: Context, kind: ShelfKind, sheet: ShelfSheet): Promise<void> {
  const valid: ShelfSheet = SHELVES[kind].parse(sheet);
  await db
    .insert(shelfItem)
    .values({ kind, id: shelfId(valid), sheet: valid })
    .onConflictDoUpdate({ target: [shelfItem.kind, shelfItem.id], set: { sheet: valid } });
}

/** Takes remainders out of the store of cable and puts others in, all of it or nothing: a length is cut once. */
export async function changeStore({ db }: Context, { take, put }: StoreChange): Promise<void> {
  await db.transaction(async (tx) => {
    const taken = await tx
      .delete(shelfItem)
      .where(and(eq(shelfItem.kind, 'remainder'), inArray(shelfItem.id, [...take])))
      .returning({ id: shelfItem.id });
    const gone = flawsAt('/take', take, taken, 'This remainder is not in the store any more.');
    if (gone.length) throw changedSince(gone);
    if (put.length === 0) return;
    const kept = await tx
      .insert(shelfItem)
      .values(put.map((sheet) => ({ kind: 'remainder' as const, id: sheet.id, sheet })))
      .onConflictDoNothing()
      .returning({ id: shelfItem.id });
    const twice = flawsAt(
      '/put',
      put.map((r) => r.id),
      kept,
      'A remainder of this id is in the store already.',
    );
    if (twice.length) throw changedSince(twice);
  });
}

/** What the database did nothing for, each with its place in the request. */
const flawsAt = (
  at: string,
  ids: readonly string[],
  done: readonly { readonly id: string }[],
  detail: string,
): Flaw[] => ids.flatMap((id, i) => (done.some((d) => d.id === id) ? [] : [{ pointer: `${at}/${i}`, detail }]));

const changedSince = (errors: readonly Flaw[]): Problem =>
  new Problem(
    409,
    'The store has changed',
    `${errors[0]?.detail ?? ''} Nothing was changed: look at the store and plan again.`,
    errors,
  );
