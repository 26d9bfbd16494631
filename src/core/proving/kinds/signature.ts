import { z } from 'zod';
import { SAYS_NOTHING, kind } from '../kind';

const values = z.object({ statement: z.string().trim().min(3).max(600) });

/** A name under a statement: that of who was allowed to switch. */
export const SIGNATURE = kind({
  kind: 'signature',
  title: 'A signature',
  scopes: ['site', 'inverter', 'string'],
  values,
  instrument: null,
  gates: [],
  signer: 'electrician',
  correctable: false,
  judge: () => SAYS_NOTHING,
  form: null,
  line: (v) => v.statement,
  printed: null,
});
