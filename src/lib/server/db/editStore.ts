import { createHash } from 'node:crypto';
import { and, eq, lt } from 'drizzle-orm';
import { canonical } from '$core/kernel/canonical';
import type { Changed } from '$lib/schemas/site';
import { Problem } from '../problem';
import type { Tx } from './client';
import { designEdit } from './schema';

/** A change with the id that whoever sent it gave. */
export interface Sent {
  readonly id: string;
  readonly asked: unknown;
}

/** So many changes of a site are known again. */
const KNOWN_REVISIONS = 500;

const fingerprint = (asked: unknown): string => createHash('sha256').update(canonical(asked)).digest('hex');

/** What a change was answered that was made already; null where it was not. Throws the 409 of an id that stands for something else. */
export async function answeredBefore(tx: Tx, siteId: string, { id, asked }: Sent): Promise<Changed | null> {
  const [known] = await tx
    .select({ asked: designEdit.asked, answer: designEdit.answer })
    .from(designEdit)
    .where(and(eq(designEdit.siteId, siteId), eq(designEdit.id, id)));
  if (!known) return null;
  if (known.asked === fingerprint(asked)) return known.answer;
  throw new Problem(
    409,
    'Id already used',
    'A change with this id but other contents was made. A new change has an id of its own.',
    [{ pointer: '/id', detail: 'is another change’s' }],
  );
}

export async function keepAnswer(tx: Tx, siteId: string, { id, asked }: Sent, answer: Changed): Promise<void> {
  const { revision } = answer;
  await tx.insert(designEdit).values({ siteId, id, revision, asked: fingerprint(asked), answer });
  if (revision % 10 === 0)
    await tx
      .delete(designEdit)
      .where(and(eq(designEdit.siteId, siteId), lt(designEdit.revision, revision - KNOWN_REVISIONS)));
}
