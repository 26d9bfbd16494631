import { z } from 'zod';
import { checksSchema, withWorst } from '../kernel/check';
import { calculation } from '../kernel/discipline';
import { Memo } from '../kernel/memo';
import { documentSchema } from '../site/base';
import { assessLinks } from './assess';
import { linksFlaws, linksShape } from './part';
import { linksResults } from './results';

/** What the chain computes without a stored site. */
export const calculations = {
  chain: calculation({
    summary: 'Every check of the RS-485 chain of a design',
    input: z.object({ design: documentSchema(linksShape, linksFlaws) }),
    output: checksSchema,
    run: ({ design }) => withWorst(assessLinks(design, linksResults(design), new Memo()).flat()),
  }),
};
