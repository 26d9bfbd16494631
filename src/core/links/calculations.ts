import { z } from 'zod';
import { checksSchema, withWorst } from '../kernel/check';
import { calculation } from '../kernel/discipline';
import { Memo } from '../kernel/memo';
import { figure, partId } from '../kernel/schema';
import { documentSchema } from '../site/base';
import { assessLinks } from './assess';
import { chainOrder } from './order/chainOrder';
import { linksFlaws, linksShape } from './part';
import { linksResults } from './results';

/** Kicks of a search that is asked for over the API: no clock, so the same question has the same answer. */
const API_KICKS = 100;

/** What the chain computes without a stored site. */
export const calculations = {
  chain: calculation({
    summary: 'Every check of the RS-485 chain of a design',
    input: z.object({ design: documentSchema(linksShape, linksFlaws) }),
    output: checksSchema,
    run: ({ design }) => withWorst(assessLinks(design, linksResults(design), new Memo()).flat()),
  }),
  'chain-order': calculation({
    summary: 'The shortest order of the chain of a design',
    input: z.object({
      design: documentSchema(linksShape, linksFlaws),
      lastId: partId.nullable().default(null).meta({ description: 'Device that it ends at; null: any' }),
    }),
    output: z.object({
      ids: z.array(partId).meta({ description: 'Devices in order' }),
      lengthM: figure('m', 'Cable in this order'),
      asItIsM: figure('m', 'Cable as the design has it'),
      proven: z.boolean().meta({ description: 'No other order is shorter' }),
      boundM: figure('m', 'What none can be shorter than'),
    }),
    long: true,
    run: ({ design, lastId }) => {
      const found = chainOrder(design, lastId, { kicks: API_KICKS, timeLimitS: Infinity, nowS: () => 0 });
      if (found.value === null) throw new RangeError(`Not known: ${found.missing.join(', ')}`);
      return { ...found.value, ids: [...found.value.ids] };
    },
  }),
};
