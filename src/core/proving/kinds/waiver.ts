import { z } from 'zod';
import { quantity, uuid } from '../../kernel/schema';
import { gateIdSchema } from '../gates/ids';
import { SAYS_NOTHING, kind } from '../kind';

const values = z.object({
  gate: gateIdSchema,
  /** The failed reading that is waived; null for a gate that was never tested. */
  entryId: uuid().nullable(),
  reviewDays: quantity(1, 90, 'days', 'Review within').int(),
});

/** A gate waived until its review day: a fail by its name, or one never tested. Never printed as a pass. */
export const WAIVER = kind({
  kind: 'waiver',
  title: 'A gate waived',
  scopes: ['site', 'inverter', 'string'],
  values,
  instrument: null,
  gates: [],
  correctable: false,
  judge: () => SAYS_NOTHING,
  form: null,
  line: (v) => `${v.gate} waived for ${v.reviewDays} days`,
  printed: null,
});
