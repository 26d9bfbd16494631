import { z } from 'zod';
import { instrumentSchema } from '../equipment/instrument';
import { enumOf, partId, quantity, uuid } from '../kernel/schema';

/** What every entry of the record carries, whatever it says. Append only: a correction is a new entry that points at the old one. */

export const ROLES = ['designer', 'lead', 'electrician', 'helper', 'reader'] as const;
export type Role = (typeof ROLES)[number];

export const SCOPES = ['site', 'inverter', 'string'] as const;
export type Scope = (typeof SCOPES)[number];

export const subjectSchema = z.discriminatedUnion('scope', [
  z.object({ scope: z.literal('site'), id: z.literal('site') }),
  z.object({ scope: z.literal('inverter'), id: partId }),
  z.object({ scope: z.literal('string'), id: partId }),
]);
export type EntrySubject = z.infer<typeof subjectSchema>;

/** The device an entry was made on: its own count of entries, and how its clock stood to the server's when they last spoke. */
export const deviceSchema = z.object({
  id: z.string().regex(/^[\w-]{1,60}$/, 'A device has a name of letters, digits, - and _.'),
  /** Its own entries in its own order, whatever its clock says. */
  seq: z.number().int().min(0).max(1e9),
  offsetMs: quantity(-1e12, 1e12, 'ms', 'Server clock less device clock at the last contact'),
  roundTripMs: quantity(0, 1e9, 'ms', 'Round trip of that contact'),
});
export type Device = z.infer<typeof deviceSchema>;

export const entryShape = {
  /** Made where the entry is made (UUIDv7), so that sending it twice does not double it. */
  id: uuid('A record needs an id of its own (UUID).'),
  subject: subjectSchema,
  /** By the clock of the device, right or wrong. */
  doneAt: z.iso.datetime({ offset: true, error: 'Give date and time with the offset, as 2026-05-04T10:15:00+02:00.' }),
  /** Null: an entry without a device stands by its time alone. */
  device: deviceSchema.nullable().default(null),
  by: z.string().trim().min(1, 'Say who did it.').max(80),
  role: enumOf(ROLES),
  /** Last day of the electrician's licence; null for the others. */
  licensedUntil: z.iso.date('Enter the last day of the licence as YYYY-MM-DD.').nullable().default(null),
  instrument: instrumentSchema.nullable(),
  /** Letter of the released design that the crew built from. */
  release: z.string().regex(/^[A-Z]{1,2}$/, 'A released design has a letter.'),
  corrects: uuid().nullable(),
  reason: z.string().trim().max(400).nullable(),
};

/** An entry of a kind whose values are known. */
export interface EntryOf<K extends string, V> {
  readonly id: string;
  readonly kind: K;
  readonly subject: EntrySubject;
  readonly doneAt: string;
  readonly device: Device | null;
  readonly by: string;
  readonly role: Role;
  readonly licensedUntil: string | null;
  readonly instrument: z.infer<typeof instrumentSchema> | null;
  readonly release: string;
  readonly corrects: string | null;
  readonly reason: string | null;
  readonly values: V;
}
/** Any entry; its kind says what its values are. */
export type Entry = EntryOf<string, Readonly<Record<string, unknown>>>;

/** True time of an entry, ms since 1970: its device's clock and that clock's offset. */
export const trueMs = (entry: Pick<Entry, 'doneAt' | 'device'>): number =>
  Date.parse(entry.doneAt) + (entry.device?.offsetMs ?? 0);

/** No clock is trusted to less than this, ms (common practice). */
const LEAST_UNCERTAINTY_MS = 1000;

/** How far the true time may lie off, ms: half the round trip of the last contact, at least a second. */
export const uncertaintyMs = (entry: Pick<Entry, 'device'>): number =>
  Math.max(LEAST_UNCERTAINTY_MS, (entry.device?.roundTripMs ?? 0) / 2);
