import { z } from 'zod';
import { priceListSchema } from '$core/ac/candidates/priceList';
import { remainderSchema } from '$core/ac/schedule/cableStore';
import { instrumentSchema } from '$core/equipment/instrument';
import { inverterTypeSchema } from '$core/equipment/inverterType';
import { moduleTypeSchema } from '$core/equipment/moduleType';
import { partId } from '$core/kernel/schema';

/** The company's equipment. */
export const shelfRequest = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('module'), sheet: moduleTypeSchema }),
  z.object({ kind: z.literal('inverter'), sheet: inverterTypeSchema }),
  z.object({ kind: z.literal('instrument'), sheet: instrumentSchema }),
  z.object({ kind: z.literal('prices'), sheet: priceListSchema }),
]);
export const shelfSchema = z.object({
  modules: z.array(moduleTypeSchema),
  inverters: z.array(inverterTypeSchema),
  instruments: z.array(instrumentSchema),
  prices: priceListSchema.nullable(),
  remainders: z.array(remainderSchema),
});

const MOST_AT_ONCE = 200;
/** Remainders that leave the store of cable, by their ids, and those that come into it. */
export const storeChangeSchema = z.object({
  take: z.array(partId).max(MOST_AT_ONCE).default([]),
  put: z.array(remainderSchema).max(MOST_AT_ONCE).default([]),
});
export const cableStoreSchema = z.object({ remainders: z.array(remainderSchema) });
export const pricesReadSchema = z.object({
  prices: priceListSchema.shape.prices,
  errors: z.array(z.object({ row: z.number(), column: z.string(), text: z.string() })),
});
export const putOnShelfSchema = z.object({ id: z.string() });
