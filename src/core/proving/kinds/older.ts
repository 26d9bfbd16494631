import { z } from 'zod';
import { SAYS_NOTHING, kind } from '../kind';

const values = z.object({ kind: z.string().max(60), said: z.string().max(2000) });

/** An entry as an older program wrote it: it stays readable and proves nothing, for what it rests on was not written down then. */
export const OLDER = kind({
  kind: 'older',
  title: 'An entry of an older program',
  scopes: ['site', 'inverter', 'string'],
  values,
  instrument: null,
  gates: [],
  correctable: false,
  judge: () => SAYS_NOTHING,
  form: null,
  line: (v) => `${v.kind}: ${v.said}`,
  printed: null,
});
