import { z } from 'zod';
import { uuid } from '../../kernel/schema';
import { gateIdSchema } from '../gates/ids';
import { SAYS_NOTHING, kind } from '../kind';

const values = z.object({
  gate: gateIdSchema,
  /** The very reading that is accepted: a newer one, or its correction, is accepted anew. */
  entryId: uuid(),
});

/** A caution accepted by an electrician, with a reason: it names its reading and dies with it. */
export const ACCEPTANCE = kind({
  kind: 'acceptance',
  title: 'A caution accepted',
  scopes: ['site', 'inverter', 'string'],
  values,
  instrument: null,
  gates: [],
  signer: 'electrician',
  correctable: false,
  judge: () => SAYS_NOTHING,
  form: null,
  line: (v) => `caution of ${v.gate} accepted`,
  printed: null,
});
