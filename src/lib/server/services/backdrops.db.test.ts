import { eq, sql } from 'drizzle-orm';
import { describe, expect, it } from 'vitest';
import { backdropRequest } from '$lib/schemas/backdrop';
import { backdrop } from '../db/schema';
import { Problem } from '../problem';
import { keepBackdrop, readBackdrop } from './backdrops';
import { localContext } from './context';
import { createSite, editDesign, loadDesign, undoChange } from './designs';
import { copySite } from './yard';

const context = localContext();
/** The least a PNG and a JPEG begin with (PNG specification; JPEG, ITU-T T.81), and a tail that makes them differ. */
const png = (tail: string) => Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, ...Buffer.from(tail)]);
const picture = (bytes: Buffer) => ({ as: 'picture' as const, base64: bytes.toString('base64') });
const rows = async (siteId: string) => {
  const found = await context.db.select({ id: backdrop.id }).from(backdrop).where(eq(backdrop.siteId, siteId));
  return found.map((r) => r.id);
};

describe('the picture behind the plan', () => {
  it('comes back as it was sent, told by its bytes, and stands once however often it is sent', async () => {
    const siteId = await createSite(context, 'traced');
    const { id } = await keepBackdrop(context, siteId, picture(png('one')));
    expect((await keepBackdrop(context, siteId, picture(png('one')))).id).toBe(id);
    const back = await readBackdrop(context, siteId, id);
    expect(back.type).toBe('image/png');
    expect(Buffer.from(back.bytes).equals(png('one'))).toBe(true);
    expect(await rows(siteId)).toEqual([id]);
    const jpeg = await keepBackdrop(context, siteId, picture(Buffer.from([0xff, 0xd8, 0xff, 0xe0])));
    expect((await readBackdrop(context, siteId, jpeg.id)).type).toBe('image/jpeg');
  });

  it.each([
    ['a page', Buffer.from('<html><script>')],
    ['a drawing with script', Buffer.from('<svg onload="x">')],
    ['nothing much', Buffer.from([0x89])],
  ])('that is %s is refused', async (_, bytes) => {
    const siteId = await createSite(context, 'not traced');
    await expect(keepBackdrop(context, siteId, picture(bytes))).rejects.toThrow(Problem);
    expect(await rows(siteId)).toEqual([]);
  });

  it('as lines becomes a drawing of numbers alone, upside up', async () => {
    const siteId = await createSite(context, 'drawn');
    const sent = backdropRequest.parse({
      as: 'drawing',
      widthM: 30,
      heightM: 10,
      lines: [[0, 0, 30, 10, 30.5, 0.1234]],
    });
    const { id } = await keepBackdrop(context, siteId, sent);
    const { type, bytes } = await readBackdrop(context, siteId, id);
    expect(type).toBe('image/svg+xml');
    expect(String(bytes)).toContain('viewBox="0 0 30 10"');
    expect(String(bytes)).toContain('d="M0 10L30 0L30.5 9.877"');
    expect(backdropRequest.safeParse({ ...sent, lines: [[0, 0, 1]] }).success).toBe(false);
    expect(backdropRequest.safeParse({ ...sent, widthM: 0.5 }).success).toBe(false);
  });

  it('of five newest is kept, and no other site has it', async () => {
    const siteId = await createSite(context, 'many pictures');
    const ids: string[] = [];
    for (let n = 0; n < 6; n++) {
      const later = { ...context, now: () => new Date(Date.UTC(2026, 0, 1, n)) };
      ids.push((await keepBackdrop(later, siteId, picture(png(`no ${n}`)))).id);
    }
    expect(new Set(await rows(siteId))).toEqual(new Set(ids.slice(1)));
    const other = await createSite(context, 'another');
    await expect(readBackdrop(context, other, ids[5]!)).rejects.toThrow('not kept here');
    await expect(keepBackdrop(context, crypto.randomUUID(), picture(png('x')))).rejects.toThrow('no site');
  });

  it('goes along with a copy of the site', async () => {
    const siteId = await createSite(context, 'to copy');
    const { id } = await keepBackdrop(context, siteId, picture(png('copied')));
    const copyId = await copySite(context, siteId, 'copy');
    expect((await readBackdrop(context, copyId, id)).type).toBe('image/png');
  });
});

describe('a plan in the database', () => {
  const tray = {
    id: 't1',
    label: 'Roof tray',
    carries: ['dc' as const],
    widthMm: 200,
    depthMm: 60,
    dcLeadMm: null,
    busCableMm: null,
    points: [
      { xM: 0, yM: 0, zM: 6 },
      { xM: 20, yM: 0, zM: 6 },
    ],
  };
  it('comes back as it was drawn, and by undo; a site from before has an empty one', async () => {
    const siteId = await createSite(context, 'planned');
    await editDesign(context, siteId, { revision: 1, edit: { kind: 'tray', tray } });
    const stored = await loadDesign(context, siteId);
    expect(stored.design.plan.trays).toEqual([tray]);
    await undoChange(context, siteId, { revision: stored.revision });
    expect((await loadDesign(context, siteId)).design.plan.trays).toEqual([]);
    await context.db.execute(sql`delete from design_part where site_id = ${siteId} and part = 'site'`);
    await context.db.execute(sql`update site set shape = 'of before' where id = ${siteId}`);
    expect((await loadDesign(context, siteId)).design.plan).toMatchObject({ northDeg: 0, trays: [], backdrop: null });
  });
});
