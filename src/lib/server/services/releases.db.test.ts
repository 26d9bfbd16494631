import { eq } from 'drizzle-orm';
import { expect, it } from 'vitest';
import { twoUnits } from '$core/testing/handedOver';
import { openPoint } from '$core/testing/openPoint';
import { db } from '../db/client';
import { tamper } from '../whole/owner';
import { release } from '../db/schema';
import { Problem } from '../problem';
import { localContext } from './context';
import { changeDesign, createSite, loadDesign } from './designs';
import { addRecord, readLogbook } from './records';
import { listReleases, releaseDesign } from './releases';

const context = localContext();

async function made(): Promise<string> {
  const siteId = await createSite(context, 'released');
  await changeDesign(context, siteId, 1, () => twoUnits);
  return siteId;
}
/** The next revision, another by its label alone. */
async function changed(siteId: string): Promise<number> {
  const { revision } = await loadDesign(context, siteId);
  const { revision: next } = await changeDesign(context, siteId, revision, (d) => ({
    ...d,
    board: { ...d.board, label: `Board ${revision}` },
  }));
  return next;
}
const refusal = (work: Promise<unknown>) =>
  work.then(
    () => 'taken',
    (cause: unknown) => (cause instanceof Problem ? `${cause.status} ${cause.title}` : String(cause)),
  );

it('letters releases in their sequence, past Z too', async () => {
  const siteId = await made();
  const letters: string[] = [await releaseDesign(context, siteId, 2, 'R. Vahl')];
  while (letters.length < 28) letters.push(await releaseDesign(context, siteId, await changed(siteId), 'R. Vahl'));
  expect([letters[0], letters[25], letters[26], letters[27]]).toEqual(['A', 'Z', 'AA', 'AB']);
  expect((await listReleases(context, siteId)).map((r) => r.letter)).toEqual(letters);
  expect((await readLogbook(context, siteId)).releases.map((r) => r.letter)).toEqual(letters);
});

it('gives one letter to one of many who release at once', async () => {
  const siteId = await made();
  const said = await Promise.all(
    Array.from({ length: 6 }, () => refusal(releaseDesign(context, siteId, 2, 'R. Vahl'))),
  );
  expect(said.filter((s) => s === 'taken')).toHaveLength(1);
  expect(said.filter((s) => s === '409 Nothing new to release')).toHaveLength(5);
  expect((await listReleases(context, siteId)).map((r) => r.letter)).toEqual(['A']);
  expect(await refusal(releaseDesign(context, siteId, 1, 'R. Vahl'))).toBe('409 Changed meanwhile');
  expect(await refusal(releaseDesign(context, 'no-uuid', 1, 'R. Vahl'))).toBe('404 No such site');
  expect(await refusal(releaseDesign(context, '01969a00-0000-7000-8000-0000000000aa', 1, 'R.'))).toBe(
    '404 No such site',
  );
});

it('is no earlier than the one before it, whatever the clock says', async () => {
  const siteId = await made();
  const inAnHour = new Date(Date.now() + 3_600_000);
  await db().insert(release).values({
    siteId,
    letter: 'C',
    seq: 1,
    revision: 2,
    design: twoUnits,
    releasedBy: 'another clock',
    releasedAt: inAnHour,
  });
  // The letter goes on from the highest that is there.
  expect(await releaseDesign(context, siteId, await changed(siteId), 'R. Vahl')).toBe('D');
  const [first, second] = (await readLogbook(context, siteId)).releases;
  expect([first?.letter, second?.letter]).toEqual(['C', 'D']);
  expect(second?.atMs).toBeGreaterThan(first?.atMs ?? Infinity);
});

it('of another version of the program is named, and the site lives on', async () => {
  const siteId = await made();
  await releaseDesign(context, siteId, 2, 'R. Vahl');
  await tamper('release', (tx) =>
    tx
      .update(release)
      .set({ design: { schema: 99, survey: 'of another time' } })
      .where(eq(release.siteId, siteId)),
  );
  const log = await readLogbook(context, siteId);
  expect(log).toMatchObject({ releases: [], unreadable: ['A'], current: null });
  expect((await readLogbook(context, siteId)).unreadable).toEqual(['A']);
  const point = openPoint('01969a00-0000-7000-8000-0000000000bb');
  expect(await refusal(addRecord(context, siteId, point))).toBe('422 Refused');
  expect(await releaseDesign(context, siteId, 2, 'R. Vahl')).toBe('B');
  expect((await addRecord(context, siteId, { ...point, release: 'B' })).known).toBe(false);
  expect(await readLogbook(context, siteId)).toMatchObject({ unreadable: ['A'], current: { letter: 'B' } });
});
