import { z } from 'zod';
import { enumOf } from '../../kernel/schema';
import { SAYS_NOTHING, kind } from '../kind';

const values = z.object({
  text: z.string().trim().min(3, 'Describe the open point.').max(400),
  severity: enumOf(['safety', 'work', 'cosmetic'] as const),
  owner: z.string().trim().min(1, 'Who closes it?').max(80),
  due: z.iso.date().nullable(),
  closed: z.boolean(),
});

/** A point that stays open until somebody closes it. */
export const OPEN_POINT = kind({
  kind: 'open-point',
  title: 'An open point',
  scopes: ['site', 'inverter', 'string'],
  values,
  instrument: null,
  gates: [],
  correctable: true,
  judge: () => SAYS_NOTHING,
  form: () => ({
    schema: values.omit({ closed: true }),
    blank: { text: '', severity: 'work', owner: '', due: null },
    groups: [{ title: '', paths: ['text', 'severity', 'owner', 'due'] }],
    toValues: (v) => ({ ...v, due: v.due || null, closed: false }),
  }),
  line: (v) => `${v.closed ? 'closed' : 'open'}: ${v.text} (${v.owner})`,
  printed: null,
});
