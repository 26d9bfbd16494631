import { z } from 'zod';
import { enumOf } from '../../kernel/schema';
import { gateIdSchema } from '../gates/ids';
import { kind } from '../kind';

const values = z.object({
  gate: gateIdSchema,
  result: enumOf(['pass', 'fail'] as const),
  evidence: z.string().trim().min(3, 'Say what was seen or measured.').max(600).meta({ description: 'What was seen' }),
});

/** A gate signed by what was seen. Measured gates take no signature upwards: they close on their measurement. */
export const GATE = kind({
  kind: 'gate',
  title: 'A gate signed',
  scopes: ['site', 'inverter', 'string'],
  values,
  instrument: null,
  gates: [],
  correctable: true,
  judge: ({ values: { gate, result } }) => ({ checks: [], says: [{ gate, result }] }),
  form: null,
  line: (v) => `${v.gate} ${v.result === 'pass' ? 'passed' : 'failed'}: ${v.evidence}`,
  printed: null,
});
