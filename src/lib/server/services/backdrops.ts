import { createHash } from 'node:crypto';
import { and, desc, eq, inArray, sql } from 'drizzle-orm';
import type { BackdropRequest } from '$lib/schemas/backdrop';
import type { Tx } from '../db/client';
import { backdrop } from '../db/schema';
import { siteTransaction } from '../db/siteTurn';
import { Problem } from '../problem';
import { pictureOf } from '../picture';
import type { Context } from './context';
import { designHead } from './designs';

/** Newest pictures kept for a site: enough for an undo to find the one before. */
const KEPT = 5;

type Kept = Pick<typeof backdrop.$inferSelect, 'type' | 'bytes'>;

/** Lines as a picture that scales: nothing of what was sent stands in it but numbers. */
function drawn({ widthM, heightM, lines }: Extract<BackdropRequest, { as: 'drawing' }>): Kept {
  const at = (n: number) => Math.round(n * 1000) / 1000;
  const path = lines
    .map((line) => {
      const points = line.flatMap((x, i) => (i % 2 ? [] : [`${at(x)} ${at(heightM - (line[i + 1] ?? 0))}`]));
      return `M${points.join('L')}`;
    })
    .join('');
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${widthM} ${heightM}" preserveAspectRatio="none"><path d="${path}" fill="none" stroke="#333" stroke-width="1" vector-effect="non-scaling-stroke"/></svg>`;
  return { type: 'image/svg+xml', bytes: Buffer.from(svg) };
}

/** Keeps a picture for the plan of a site, once however often it is sent; the oldest go. */
export async function keepBackdrop(context: Context, siteId: string, sent: BackdropRequest): Promise<{ id: string }> {
  await designHead(context, siteId);
  const kept = sent.as === 'picture' ? pictureOf(sent.base64) : drawn(sent);
  const id = createHash('sha256').update(kept.bytes).digest('hex');
  const keptAt = context.now();
  await siteTransaction(context.db, siteId, async (tx) => {
    await tx
      .insert(backdrop)
      .values({ siteId, id, ...kept, keptAt })
      .onConflictDoUpdate({ target: [backdrop.siteId, backdrop.id], set: { keptAt } });
    const old = tx
      .select({ id: backdrop.id })
      .from(backdrop)
      .where(eq(backdrop.siteId, siteId))
      .orderBy(desc(backdrop.keptAt))
      .offset(KEPT);
    await tx.delete(backdrop).where(and(eq(backdrop.siteId, siteId), inArray(backdrop.id, old)));
  });
  return { id };
}

export async function readBackdrop(context: Context, siteId: string, id: string): Promise<Kept> {
  await designHead(context, siteId);
  const [found] = await context.db
    .select({ type: backdrop.type, bytes: backdrop.bytes })
    .from(backdrop)
    .where(and(eq(backdrop.siteId, siteId), eq(backdrop.id, id)));
  if (found) return found;
  throw new Problem(404, 'No such picture', 'The picture behind the plan is not kept here: load it again.', []);
}

/** A copied site has its own copies. */
export const copyBackdrops = (tx: Tx, from: string, to: string) =>
  tx.execute(sql`
    insert into ${backdrop} (site_id, id, type, bytes, kept_at)
    select ${to}, id, type, bytes, kept_at from ${backdrop} where site_id = ${from}`);
