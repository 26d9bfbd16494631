import { z } from 'zod';
import { enumOf, quantity } from '../../kernel/schema';
import { kind } from '../kind';
import { ORDERS, ORDER_NAMES, isOff } from '../tables/energiseOrders';
import type { StepState } from '../tables/energiseOrders';

const STATES = [...new Set(ORDER_NAMES.flatMap((o) => ORDERS[o].map((s): StepState => s.state)))];
const values = z.object({
  order: enumOf(ORDER_NAMES).meta({ description: 'Order' }),
  state: enumOf(STATES).meta({ description: 'Step' }),
  readings: z.record(z.string().max(60), z.number().min(-1e6).max(1e6)).default({}),
  /** Counted by the monotonic clock of the device that stood there, never typed. */
  waitedS: quantity(0, 1e6, 's', 'Waited'),
  restarts: quantity(0, 1e4, '', 'Restarts of the wait').int().default(0),
  seen: z.string().trim().min(3, 'Say what was seen.').max(400).meta({ description: 'What was seen' }),
});

/** One step of switching on or off, confirmed with its readings. The order asks its guards at every one. */
export const STEP = kind({
  kind: 'step',
  title: 'A step of switching',
  scopes: ['inverter'],
  values,
  instrument: null,
  gates: ['I-ONGRID'],
  signer: 'electrician',
  correctable: true,
  judge: ({ values: v }) => ({ checks: [], says: v.state === 'ON_GRID' ? [{ gate: 'I-ONGRID', result: 'pass' }] : [] }),
  form: null,
  line: (v) =>
    `${isOff(v.order) ? 'off' : `order ${v.order}`}: ${v.state.replaceAll('_', ' ').toLowerCase()}, ${v.seen}`,
  printed: null,
});
