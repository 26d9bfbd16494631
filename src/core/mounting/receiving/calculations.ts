import { z } from 'zod';
import { calculation } from '../../kernel/discipline';
import { figure, quantity } from '../../kernel/schema';
import { receiving } from './receiving';

const count = (description: string) => quantity(0, 100_000, '', description).int();
const thing = z.string().trim().min(1, 'Name the thing.').max(60).meta({ description: 'Thing' });

/** What receiving computes without a site. */
export const receivingCalculations = {
  'mounting-receiving': calculation({
    summary: 'What came against the packing list, and how many units it finishes',
    input: z.object({
      units: quantity(1, 1000, '', 'Units').int(),
      packing: z
        .array(z.object({ item: thing, perUnit: quantity(1, 999, '', 'In each box').int() }))
        .min(1)
        .max(40)
        .meta({ description: 'Packing list' }),
      counted: z
        .array(z.object({ item: thing, got: count('Came'), damaged: count('Of it damaged') }))
        .max(80)
        .meta({ description: 'As counted' }),
    }),
    output: z.object({
      rows: z
        .array(
          z.object({
            item: z.string(),
            expected: figure('', 'Expected'),
            whole: figure('', 'Whole'),
            short: figure('', 'Short'),
            over: figure('', 'Over'),
          }),
        )
        .readonly(),
      unitsComplete: figure('units', 'Can be finished'),
    }),
    run: ({ units, packing, counted }) => receiving(units, packing, counted),
  }),
};
