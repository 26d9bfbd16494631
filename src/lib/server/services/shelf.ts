import { asc } from 'drizzle-orm';
import type { InverterType } from '$core/equipment/inverterType';
import { inverterTypeSchema } from '$core/equipment/inverterType';
import type { ModuleType } from '$core/equipment/moduleType';
import { moduleTypeSchema } from '$core/equipment/moduleType';
import type { Context } from './context';
import { shelfItem } from '../db/schema';

/** The company's equipment. A site that uses an item takes a copy of its sheet. */
export async function readShelf({ db }: Context): Promise<{ modules: ModuleType[]; inverters: InverterType[] }> {
  const rows = await db.select().from(shelfItem).orderBy(asc(shelfItem.id));
  return {
    modules: rows.filter((r) => r.kind === 'module').map((r) => r.sheet as ModuleType),
    inverters: rows.filter((r) => r.kind === 'inverter').map((r) => r.sheet as InverterType),
  };
}

export async function putOnShelf(
  { db }: Context,
  kind: 'module' | 'inverter',
  sheet: ModuleType | InverterType,
): Promise<void> {
  const valid = kind === 'module' ? moduleTypeSchema.parse(sheet) : inverterTypeSchema.parse(sheet);
  await db
    .insert(shelfItem)
    .values({ kind, id: valid.id, sheet: valid })
    .onConflictDoUpdate({ target: [shelfItem.kind, shelfItem.id], set: { sheet: valid } });
}
