import { z } from 'zod';
import { enumOf } from '../../kernel/schema';
import { SAYS_NOTHING, kind } from '../kind';
import { HAPPENINGS } from '../tables/happenings';

const values = z.object({
  what: enumOf(HAPPENINGS.map((h) => h.what)),
  seen: z.string().trim().min(3, 'Say what was seen.').max(600).meta({ description: 'What was seen' }),
});

/** Something happened to a part: proofs that rest on it are withdrawn at once, whoever says it. */
export const HAPPENING = kind({
  kind: 'happening',
  title: 'Something happened',
  scopes: ['site', 'inverter', 'string'],
  values,
  instrument: null,
  gates: [],
  correctable: false,
  judge: () => SAYS_NOTHING,
  form: null,
  line: (v) => `${v.what}: ${v.seen}`,
  printed: null,
});
