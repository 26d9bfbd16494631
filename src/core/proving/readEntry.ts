import type { Entry } from './entry';
import { recordSchema } from './kinds';

type Document = Readonly<Record<string, unknown>>;
const isDocument = (x: unknown): x is Document => typeof x === 'object' && x !== null && !Array.isArray(x);

/** Kinds that prove nothing and read the same in every edition. */
const UNCHANGED: readonly unknown[] = ['open-point', 'signature'];
/** The other kinds of the first edition; what came after it, a danger above all, is no entry of it. */
const FIRST: readonly unknown[] = ['gate', 'string-test', 'insulation', 'ac-voltages', 'torque', 'energise', 'waiver'];

/**
 * An entry of any edition as this program reads it. The first edition named no device, no licence and no kind of instrument: its entries stay
 * as they were said and prove nothing, since nobody can say any more what they rest on.
 */
export function upgradedEntry(body: unknown): unknown {
  if (!isDocument(body) || 'device' in body) return body;
  const kind = body['kind'];
  if (!FIRST.includes(kind) && !UNCHANGED.includes(kind)) return body;
  const common = { ...body, device: null, licensedUntil: null, instrument: null };
  if (UNCHANGED.includes(kind)) return common;
  const said = JSON.stringify(body['values'] ?? {}).slice(0, 2000);
  return { ...common, kind: 'older', corrects: null, values: { kind: String(kind), said } };
}

/** A stored entry, opened. */
export const openEntry = (body: unknown): Entry => recordSchema.parse(upgradedEntry(body));
