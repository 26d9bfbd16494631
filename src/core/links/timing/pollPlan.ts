import { z } from 'zod';
import { quantity } from '../../kernel/schema';

/** How the logger goes round. Null: nobody said yet. */
export const pollPlanSchema = z.object({
  registers: z
    .number({ error: 'Enter a number.' })
    .int('Whole registers.')
    .min(1, 'At least one register.')
    .max(2000, 'At most 2000 registers.')
    .nullable()
    .meta({ description: 'Registers read of each unit a round' }),
  needS: quantity(0.05, 86_400, 's', 'Round that is wanted').nullable(),
  turnaroundMs: quantity(0, 10_000, 'ms', 'A unit’s pause before it answers').nullable(),
  timeoutMs: quantity(1, 60_000, 'ms', 'Wait for an answer').nullable(),
  retries: z
    .number({ error: 'Enter a number.' })
    .int('Whole retries.')
    .min(0)
    .max(20)
    .nullable()
    .meta({ description: 'Asked again without an answer' }),
  characterBits: z
    .union([z.literal(10), z.literal(11)])
    .nullable()
    .meta({ unit: 'bit', description: 'Bits a character (8N1: 10, else 11)' }),
});
export type PollPlan = z.infer<typeof pollPlanSchema>;

export const UNKNOWN_POLL: PollPlan = {
  registers: null,
  needS: null,
  turnaroundMs: null,
  timeoutMs: null,
  retries: null,
  characterBits: null,
};
