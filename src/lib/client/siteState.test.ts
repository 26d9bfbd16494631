import { afterEach, describe, expect, it, vi } from 'vitest';
import { applyEdit } from '$core/edit';
import type { DesignEdit } from '$core/edit';
import { withStrings } from '$core/site/edits';
import type { SiteDesign } from '$core/site/siteDesign';
import { layoutStrings } from '$core/strings/layout/lay';
import { plane, siteOf } from '$core/testing/examples';
import { SiteState } from './siteState.svelte';

const bare = siteOf(2, [plane('south', 170), plane('west', 96, { azimuthDeg: 270 })]);
const design = withStrings(bare, layoutStrings(bare).strings);
const first = design.strings[0]!;
const mixing: DesignEdit = {
  kind: 'hang-string',
  stringId: design.strings.find((s) => s.planeId === 'west')!.id,
  place: { ...first.place!, input: first.place!.input === 1 ? 2 : 1 },
};

/** A server that applies edits as the real one does, and remembers what it was asked. */
function server(answer?: () => Response) {
  let [stored, revision]: [SiteDesign, number] = [structuredClone(design), 1];
  const asked: { path: string; revision: number }[] = [];
  vi.stubGlobal('fetch', async (path: string, init: { body: string }) => {
    const body = JSON.parse(init.body) as { revision: number; edit?: DesignEdit };
    asked.push({ path, revision: body.revision });
    if (answer) return answer();
    if (body.edit) stored = applyEdit(stored, body.edit);
    else stored = structuredClone(design);
    revision += 1;
    return Response.json({ siteId: 's', revision, design: structuredClone(stored), canUndo: true });
  });
  return asked;
}
const open = () => new SiteState({ siteId: 's', revision: 1, design, canUndo: false });
afterEach(() => vi.unstubAllGlobals());

describe('the open site', () => {
  it('shows a change at once, sends it with the revision, and keeps the parts that did not change', async () => {
    const asked = server();
    const site = open();
    const sent = site.apply(mixing);
    expect(site.assessment.counts.stop).toBeGreaterThan(0);
    expect(site.pending).toBe(1);
    expect(site.changes[0]).toMatchObject({ from: expect.anything(), to: 'stop' });
    expect(await sent).toBeNull();
    expect([site.revision, site.pending, site.canUndo]).toEqual([2, 0, true]);
    expect(site.design.planes).toBe(design.planes);
    expect(asked).toEqual([{ path: '/api/v1/sites/s/edits', revision: 1 }]);
  });
  it('sends changes one after the other, each with the revision of the one before', async () => {
    const asked = server();
    const site = open();
    await Promise.all([
      site.apply({ kind: 'bit-rate', bitRate: 19200 }),
      site.apply({ kind: 'bit-rate', bitRate: 4800 }),
    ]);
    expect(asked.map((a) => a.revision)).toEqual([1, 2]);
    expect(site.design.chain.bitRate).toBe(4800);
  });
  it('takes a change back, and says what that did', async () => {
    server();
    const site = open();
    await site.apply(mixing);
    await site.undo();
    expect(site.design).toEqual(design);
    expect(site.changes.length).toBeGreaterThan(0);
  });
  it('returns a refusal and a silence in words, without losing the page', async () => {
    const conflict = {
      type: 'about:blank',
      title: 'Changed meanwhile',
      status: 409,
      detail: 'Somebody changed this site.',
    };
    server(() => Response.json(conflict, { status: 409 }));
    const site = open();
    expect(await site.apply({ kind: 'bit-rate', bitRate: 4800 })).toEqual(conflict);
    expect(site.trouble).toEqual(conflict);
    server(() => {
      throw new TypeError('network');
    });
    expect((await site.apply({ kind: 'bit-rate', bitRate: 9600 }))?.title).toBe('No answer');
  });
  it('refuses at once what core refuses, and sends nothing', async () => {
    const asked = server();
    const site = open();
    const problem = await site.apply({ kind: 'hang-string', stringId: 'ghost', place: null });
    expect(problem).toMatchObject({ status: 422, detail: expect.stringContaining('stringId must name a string') });
    expect(asked).toEqual([]);
    expect(site.design).toBe(design);
  });
});
