import { createHash } from 'node:crypto';
import { and, count, eq } from 'drizzle-orm';
import type { PhotoRequest } from '$lib/schemas/photo';
import { sitePhoto } from '../db/schema';
import { siteTransaction } from '../db/siteTurn';
import type { Picture } from '../picture';
import { pictureOf } from '../picture';
import { Problem } from '../problem';
import type { Context } from './context';
import { designHead } from './designs';

/** Photos that one site may keep. */
const MOST = 2000;

/** Keeps a photo of a site for good, once however often it is sent. Problem 409 where the site keeps as many as it may. */
export async function keepPhoto(context: Context, siteId: string, { base64 }: PhotoRequest): Promise<{ id: string }> {
  await designHead(context, siteId);
  const picture = pictureOf(base64);
  const id = createHash('sha256').update(picture.bytes).digest('hex');
  await siteTransaction(context.db, siteId, async (tx) => {
    const [kept] = await tx.select({ n: count() }).from(sitePhoto).where(eq(sitePhoto.siteId, siteId));
    if ((kept?.n ?? 0) >= MOST)
      throw new Problem(409, 'No room for more photos', `A site keeps ${MOST} photos at most.`, []);
    await tx
      .insert(sitePhoto)
      .values({ siteId, id, ...picture, keptAt: context.now() })
      .onConflictDoNothing();
  });
  return { id };
}

export async function readPhoto(context: Context, siteId: string, id: string): Promise<Picture> {
  await designHead(context, siteId);
  const [found] = await context.db
    .select({ type: sitePhoto.type, bytes: sitePhoto.bytes })
    .from(sitePhoto)
    .where(and(eq(sitePhoto.siteId, siteId), eq(sitePhoto.id, id)));
  if (found) return found;
  throw new Problem(
    404,
    'No such photo',
    'This photo is not kept here: a project file carries the record, not its photos.',
    [],
  );
}
