import { z } from 'zod';
import { enumOf } from '../../kernel/schema';
import { gateIdSchema } from '../gates/ids';
import { SAYS_NOTHING, kind } from '../kind';

const values = z.object({ gate: gateIdSchema, doing: enumOf(['begins', 'ends'] as const) });

/** Work on a gate taken in hand, and put down: so that nobody has hands where another works live. */
export const WORK = kind({
  kind: 'work',
  title: 'Work in hand',
  scopes: ['site', 'inverter', 'string'],
  values,
  instrument: null,
  gates: [],
  correctable: false,
  judge: () => SAYS_NOTHING,
  form: null,
  line: (v) => `work on ${v.gate} ${v.doing}`,
  printed: null,
});
