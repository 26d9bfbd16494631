import { z } from 'zod';
import { enumOf, uuid } from '../../kernel/schema';
import { SAYS_NOTHING, kind } from '../kind';
import { HAPPENINGS } from '../tables/happenings';

const values = z.object({
  what: enumOf(HAPPENINGS.map((h) => h.what)),
  seen: z.string().trim().min(3, 'Say what was seen.').max(600).meta({ description: 'What was seen' }),
  /** Of "dry again": what was said of the wet that its maker had before them. It ends that whatever the clocks say. */
  ends: z.array(uuid()).max(500, 'No more than 500 are ended at once.').optional(),
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
