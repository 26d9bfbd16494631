import { z } from 'zod';
import { priceListSchema } from '$core/ac/candidates/priceList';
import { instrumentSchema } from '$core/equipment/instrument';
import { inverterTypeSchema } from '$core/equipment/inverterType';
import { moduleTypeSchema } from '$core/equipment/moduleType';

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
});
export const pricesReadSchema = z.object({
  prices: priceListSchema.shape.prices,
  errors: z.array(z.object({ row: z.number(), column: z.string(), text: z.string() })),
});
export const putOnShelfSchema = z.object({ id: z.string() });
