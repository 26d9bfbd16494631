import { createHash } from 'node:crypto';
import { eq, sql } from 'drizzle-orm';
import { describe, expect, it } from 'vitest';
import { photoRequest } from '$lib/schemas/photo';
import { sitePhoto } from '../db/schema';
import { Problem } from '../problem';
import { localContext } from './context';
import { createSite } from './designs';
import { keepPhoto, readPhoto } from './photos';

const context = localContext();
/** What a JPEG begins with (ITU-T T.81), and a tail that makes them differ. */
const jpeg = (tail: string) => Buffer.from([0xff, 0xd8, 0xff, 0xe0, ...Buffer.from(tail)]);
const sent = (bytes: Buffer) => photoRequest.parse({ base64: bytes.toString('base64') });
const refusal = (done: Promise<unknown>) =>
  done.then(
    () => null,
    (cause: unknown) => (cause instanceof Problem ? cause.status : null),
  );

describe('photos of the record', () => {
  it('are kept by their bytes, once however often they are sent, as long as the site', async () => {
    const siteId = await createSite(context, 'photographed');
    const { id } = await keepPhoto(context, siteId, sent(jpeg('one')));
    expect(id).toBe(createHash('sha256').update(jpeg('one')).digest('hex'));
    expect(await keepPhoto(context, siteId, sent(jpeg('one')))).toEqual({ id });
    for (let i = 0; i < 8; i++) await keepPhoto(context, siteId, sent(jpeg(`more ${i}`)));
    const { type, bytes } = await readPhoto(context, siteId, id);
    expect(type).toBe('image/jpeg');
    expect(Buffer.from(bytes).equals(jpeg('one'))).toBe(true);
    const rows = await context.db.select({ id: sitePhoto.id }).from(sitePhoto).where(eq(sitePhoto.siteId, siteId));
    expect(rows).toHaveLength(9);
  });
  it('are of their site alone, and no page or drawing', async () => {
    const [one, two] = [await createSite(context, 'one'), await createSite(context, 'two')];
    const { id } = await keepPhoto(context, one, sent(jpeg('mine')));
    expect(await refusal(readPhoto(context, two, id))).toBe(404);
    expect(await refusal(readPhoto(context, one, '0'.repeat(64)))).toBe(404);
    expect(await refusal(keepPhoto(context, one, sent(Buffer.from('<svg onload="x">'))))).toBe(422);
    expect(photoRequest.safeParse({ base64: 'A'.repeat(3_000_004) }).success).toBe(false);
  });
  it('are as many as a site has room for', async () => {
    const siteId = await createSite(context, 'full');
    await context.db.execute(sql`
      insert into ${sitePhoto} (site_id, id, type, bytes, kept_at)
      select ${siteId}, 'photo-' || n, 'image/jpeg', '\\xffd8ff'::bytea, now() from generate_series(1, 2000) n`);
    expect(await refusal(keepPhoto(context, siteId, sent(jpeg('one too many'))))).toBe(409);
  });
});
