import { asc } from 'drizzle-orm';
import type { PriceList } from '$core/ac/candidates/priceList';
import { priceListSchema } from '$core/ac/candidates/priceList';
import type { Instrument } from '$core/equipment/instrument';
import { instrumentSchema } from '$core/equipment/instrument';
import type { InverterType } from '$core/equipment/inverterType';
import { inverterTypeSchema } from '$core/equipment/inverterType';
import type { ModuleType } from '$core/equipment/moduleType';
import { moduleTypeSchema } from '$core/equipment/moduleType';
import type { Context } from './context';
import { shelfItem } from '../db/schema';

interface Shelf {
  readonly modules: ModuleType[];
  readonly inverters: InverterType[];
  readonly instruments: Instrument[];
  readonly prices: PriceList | null;
}

/** The company's equipment, instruments and prices. A site that uses a sheet takes a copy of it, and so does an entry of its instrument. */
export async function readShelf({ db }: Context): Promise<Shelf> {
  const rows = await db.select().from(shelfItem).orderBy(asc(shelfItem.id));
  return {
    modules: rows.filter((r) => r.kind === 'module').map((r) => r.sheet as ModuleType),
    inverters: rows.filter((r) => r.kind === 'inverter').map((r) => r.sheet as InverterType),
    instruments: rows.filter((r) => r.kind === 'instrument').map((r) => r.sheet as Instrument),
    prices: (rows.find((r) => r.kind === 'prices')?.sheet as PriceList | undefined) ?? null,
  };
}

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
