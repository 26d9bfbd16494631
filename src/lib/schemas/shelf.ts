import { z } from 'zod';
import { instrumentSchema } from '$core/equipment/instrument';
import { inverterTypeSchema } from '$core/equipment/inverterType';
import { moduleTypeSchema } from '$core/equipment/moduleType';

/** The company's equipment. */
export const shelfRequest = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('module'), sheet: moduleTypeSchema }),
  z.object({ kind: z.literal('inverter'), sheet: inverterTypeSchema }),
  z.object({ kind: z.literal('instrument'), sheet: instrumentSchema }),
]);
export const shelfSchema = z.object({
  modules: z.array(moduleTypeSchema),
  inverters: z.array(inverterTypeSchema),
  instruments: z.array(instrumentSchema),
});
export const putOnShelfSchema = z.object({ id: z.string() });
