import jsonpatch from 'fast-json-patch';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { applyEdit } from '$core/design';
import type { DesignEdit } from '$core/design';
import { withStrings } from '$core/strings/arrange';
import type { SiteDesign } from '$core/design';
import { legalLayout } from '$core/strings/layout/legalLayout';
import { plane, siteOf } from '$core/testing/examples';
import { SiteState } from './siteState.svelte';

const bare = siteOf(2, [plane('south', 170), plane('west', 96, { azimuthDeg: 270 })]);
const design = withStrings(bare, legalLayout(bare).strings);
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
    const before = stored;
    stored = body.edit ? applyEdit(stored, body.edit) : structuredClone(design);
    revision += 1;
    return Response.json({ revision, canUndo: true, changes: body.edit ? [] : jsonpatch.compare(before, stored) });
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
    // Taken back from the screen, and nobody is told that it was kept.
    expect(site.design).toBe(design);
    expect([site.keeping, site.revision]).toEqual(['refused', 1]);
    server(() => {
      throw new TypeError('network');
    });
    expect((await site.apply({ kind: 'bit-rate', bitRate: 9600 }))?.title).toBe('No answer');
    expect([site.design, site.keeping]).toEqual([design, 'refused']);
  });
  it('takes back only the change that was refused: those before and after it stay', async () => {
    let calls = 0;
    const refused = { type: 'about:blank', title: 'Refused', status: 422, detail: 'no' };
    vi.stubGlobal('fetch', async () => {
      calls += 1;
      return calls === 2
        ? Response.json(refused, { status: 422 })
        : Response.json({ revision: calls + 1, canUndo: true, changes: [] });
    });
    const site = open();
    const rename = (label: string) => ({ kind: 'board', board: { ...site.design.board, label } }) as const;
    const sent = [
      site.apply({ kind: 'bit-rate', bitRate: 4800 }),
      site.apply(rename('Never')),
      site.apply({ kind: 'number-chain' }),
    ];
    expect([site.design.board.label, site.keeping]).toEqual(['Never', 'saving']);
    expect((await Promise.all(sent)).map((p) => p?.title ?? null)).toEqual([null, 'Refused', null]);
    expect([site.design.chain.bitRate, site.design.board.label]).toEqual([4800, design.board.label]);
    expect(site.design.chain.devices.every((c) => c.address !== null)).toBe(true);
    expect([site.keeping, site.trouble?.title]).toEqual(['refused', 'Refused']);
    await site.apply({ kind: 'bit-rate', bitRate: 9600 });
    expect([site.keeping, site.trouble]).toEqual(['saved', null]);
  });
  it('shows what the server made otherwise', async () => {
    vi.stubGlobal('fetch', async () =>
      Response.json({ revision: 2, canUndo: true, changes: [{ op: 'replace', path: '/board/label', value: 'Tidy' }] }),
    );
    const site = open();
    await site.apply({ kind: 'board', board: { ...design.board, label: ' Tidy ' } });
    expect([site.design.board.label, site.design.planes === design.planes]).toEqual(['Tidy', true]);
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
