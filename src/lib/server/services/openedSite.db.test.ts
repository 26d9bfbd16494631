import { describe, expect, it } from 'vitest';
import { v7 as uuidv7 } from 'uuid';
import { assessSite } from '$core/design/assess';
import { openPoint } from '$core/testing/openPoint';
import { plane, siteOf } from '$core/testing/examples';
import { openedSiteSchema } from '$lib/schemas/site';
import { siteLogSchema } from '$lib/schemas/record';
import { assessment } from '../heavy/assessments';
import { localContext } from './context';
import { changeDesign, createSite, loadDesign } from './designs';
import { openedRecord, openedSite } from './openedSite';
import { addRecord, readLogbook } from './records';
import { releaseDesign } from './releases';

const context = localContext();
const site = async () => openedSiteSchema.parse(JSON.parse(await openedSite(context, siteId)));
const record = async () => JSON.parse(Buffer.concat(await openedRecord(context, siteId)).toString()) as unknown;
const entry = (text: string) => {
  const point = openPoint(uuidv7());
  return { ...point, values: { ...point.values, text } };
};
const siteId = await createSite(context, 'opened');

describe('what a screen opens with, written once and kept', () => {
  it('is the design as it is stored, at every revision', async () => {
    for (let revision = 1; revision < 4; revision++) {
      const { design, ...head } = await site();
      expect({ ...head, design }).toMatchObject(await loadDesign(context, siteId));
      expect(head.revision).toBe(revision);
      await changeDesign(context, siteId, revision, () => siteOf(revision, [plane('south', 100 * revision)]));
    }
  });
  it('has the releases beside it', async () => {
    const { revision } = await site();
    await releaseDesign(context, siteId, revision, 'R. Vahl');
    expect((await site()).releases).toMatchObject([{ letter: 'A', revision, releasedBy: 'R. Vahl' }]);
  });
  it('is the record with every entry once, however it grew since it was asked for last, and whatever its pieces', async () => {
    expect(siteLogSchema.parse(await record()).entries).toEqual([]);
    // Long and short texts, beyond ASCII too: pieces close after some of them.
    for (const times of [1, 95, 95, 95, 1]) {
      for (let n = 0; n < 80; n++) await addRecord(context, siteId, entry('ü"\\–'.repeat(times)));
      const { entries, releases } = await readLogbook(context, siteId);
      expect(await record()).toMatchObject({ entries, releases });
    }
    expect((await openedRecord(context, siteId)).length).toBeGreaterThan(6);
  });
  it('is what came since for whoever has a part of it, and the whole of another record', async () => {
    const { entries, releases } = await readLogbook(context, siteId);
    const counts = { entries: entries.length, releases: releases.length };
    const since = async (known: Parameters<typeof openedRecord>[2]) =>
      JSON.parse(Buffer.concat(await openedRecord(context, siteId, known)).toString()) as unknown;
    const [last, end] = [
      { lastEntry: entries.at(-1)?.id, lastReleaseMs: releases.at(-1)?.atMs },
      { whole: false, entries: [], releases: [] },
    ];
    for (const known of [counts, { ...counts, ...last }]) expect(await since(known)).toMatchObject({ counts, ...end });
    const less = { entries: counts.entries - 2, releases: counts.releases - 1 };
    expect(await since(less)).toMatchObject({ counts, entries: entries.slice(-2), releases: releases.slice(-1) });
    const more = { entries: counts.entries + 1, releases: counts.releases + 1 };
    const others = [more, { ...counts, lastEntry: entries[0]?.id }, { ...counts, ...last, lastReleaseMs: 1 }];
    for (const known of others) expect(await since(known)).toMatchObject({ counts, whole: true, entries, releases });
  });
});

describe('an assessment', () => {
  const asked = async () =>
    JSON.parse(Buffer.from(await assessment(context, siteId, new AbortController().signal)).toString()) as unknown;
  const plain = (value: unknown) => JSON.parse(JSON.stringify(value)) as unknown;
  it('is of the design as it stands, asked twice or after a change', async () => {
    for (const units of [2, 3]) {
      const { revision } = await loadDesign(context, siteId);
      await changeDesign(context, siteId, revision, () => siteOf(units, [plane('south', 150)]));
      const { design } = await loadDesign(context, siteId);
      expect(await asked()).toEqual(plain(assessSite(design)));
      expect(await asked()).toEqual(plain(assessSite(design)));
    }
  });
});
