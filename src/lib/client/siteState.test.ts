import jsonpatch from 'fast-json-patch';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { applyEdit } from '$core/design';
import type { DesignEdit } from '$core/design';
import { withStrings } from '$core/strings/arrange';
import type { SiteDesign } from '$core/design';
import { legalLayout } from '$core/strings/layout/legalLayout';
import { plane, siteOf } from '$core/testing/examples';
import { SiteState } from './siteState.svelte';
import { device } from './testing/storage';

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
    return Response.json({
      revision,
      undoes: 'a change',
      redoes: null,
      changes: body.edit ? [] : jsonpatch.compare(before, stored),
    });
  });
  return asked;
}
const open = () => new SiteState({ siteId: 's', revision: 1, design, undoes: null, redoes: null });
afterEach(() => {
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

describe('the open site', () => {
  it('shows a change at once, sends it with the revision, and keeps the parts that did not change', async () => {
    const asked = server();
    const site = open();
    const sent = site.apply(mixing);
    expect(site.assessment.counts.stop).toBeGreaterThan(0);
    expect(site.pending).toBe(1);
    expect(site.changes[0]).toMatchObject({ from: expect.anything(), to: 'stop' });
    expect(await sent).toBeNull();
    expect([site.revision, site.pending, site.undoes]).toEqual([2, 0, 'a change']);
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
  it('returns a refusal in words, without losing the page', async () => {
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
  });
  it('takes back only the change that was refused: those before and after it stay', async () => {
    let calls = 0;
    const refused = { type: 'about:blank', title: 'Refused', status: 422, detail: 'no' };
    vi.stubGlobal('fetch', async () => {
      calls += 1;
      return calls === 2
        ? Response.json(refused, { status: 422 })
        : Response.json({ revision: calls + 1, undoes: 'a change', redoes: null, changes: [] });
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
      Response.json({
        revision: 2,
        undoes: 'a change',
        redoes: null,
        changes: [{ op: 'replace', path: '/board/label', value: 'Tidy' }],
      }),
    );
    const site = open();
    await site.apply({ kind: 'board', board: { ...design.board, label: ' Tidy ' } });
    expect([site.design.board.label, site.design.planes === design.planes]).toEqual(['Tidy', true]);
  });
  it('stays as it is where what was asked for earlier comes later', async () => {
    server();
    const site = open();
    await site.apply({ kind: 'bit-rate', bitRate: 4800 });
    site.take({ siteId: 's', revision: 1, design, undoes: null, redoes: null });
    expect([site.revision, site.design.chain.bitRate, site.undoes]).toEqual([2, 4800, 'a change']);
    const renamed = { ...design, board: { ...design.board, label: 'Of somebody else' } };
    site.take({ siteId: 's', revision: 3, design: renamed, undoes: 'theirs', redoes: null });
    expect([site.revision, site.design.board.label, site.undoes]).toEqual([3, 'Of somebody else', 'theirs']);
  });
  it('is never that of another site', () => {
    server();
    const site = open();
    const other = { siteId: 'other', revision: 9, design, undoes: null, redoes: null };
    expect(() => site.take(other)).toThrow(new RangeError('stored.siteId must be s (got other)'));
    expect([site.siteId, site.revision]).toEqual(['s', 1]);
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

interface Asked {
  readonly id: string;
  readonly revision: number;
  readonly edit: DesignEdit;
}
/** A server that answers each request as the next of these says; null: nobody answers. */
function answering(...answers: readonly (object | null)[]) {
  const asked: Asked[] = [];
  vi.stubGlobal('fetch', async (_: string, init: { body: string }) => {
    const answer = answers[asked.length];
    asked.push(JSON.parse(init.body) as Asked);
    if (!answer) throw new TypeError('network');
    return Response.json(answer, { status: 'status' in answer ? (answer.status as number) : 200 });
  });
  return asked;
}
const taken = (revision: number) => ({ revision, undoes: 'a change', redoes: null, changes: [] });
const busy = { type: 'about:blank', title: 'Not now', status: 503, detail: 'busy' };
const bitRate = (rate: 2400 | 4800 | 9600) => ({ kind: 'bit-rate', bitRate: rate }) as const;

describe('where nobody answers', () => {
  it('says that it is not sent, and sends the very same change until somebody does', async () => {
    vi.useFakeTimers();
    device();
    const asked = answering(null, busy, taken(2));
    const site = open();
    const sent = site.apply(bitRate(9600));
    await vi.advanceTimersByTimeAsync(0);
    expect([site.keeping, site.design.chain.bitRate]).toEqual(['unsent', 9600]);
    await vi.advanceTimersByTimeAsync(3000);
    expect([asked.length, site.keeping]).toEqual([2, 'unsent']);
    await vi.advanceTimersByTimeAsync(3000);
    expect(await sent).toBeNull();
    expect([site.keeping, site.revision]).toEqual(['saved', 2]);
    expect(new Set(asked.map((a) => JSON.stringify(a))).size).toBe(1);
  });
  it('keeps it over a reload and sends it first, under the revision it was made on', async () => {
    vi.useFakeTimers();
    const kept = device();
    const before = answering(null);
    const first = open();
    void first.apply(bitRate(9600));
    void first.apply(bitRate(4800));
    await vi.advanceTimersByTimeAsync(0);
    first.close();
    expect(kept.size).toBe(2);
    // It had arrived: the server knows it by its id, and the site was opened with it in.
    const asked = answering(taken(2), taken(3), taken(4));
    const again = new SiteState({ siteId: 's', revision: 2, design, undoes: 'a change', redoes: null });
    const resumed = again.resume();
    void again.apply(bitRate(2400));
    await resumed;
    await vi.advanceTimersByTimeAsync(0);
    expect(asked.map((a) => [a.revision, a.edit])).toEqual([
      [1, bitRate(9600)],
      [2, bitRate(4800)],
      [3, bitRate(2400)],
    ]);
    expect([again.revision, again.design.chain.bitRate, again.keeping]).toEqual([4, 2400, 'saved']);
    expect(asked[0]?.id).toBe(before[0]?.id);
    expect(kept.size).toBe(0);
  });
  it('shows what it kept once the server has made it, under what was made since', async () => {
    vi.useFakeTimers();
    device();
    answering(null);
    const first = open();
    void first.apply(bitRate(4800));
    await vi.advanceTimersByTimeAsync(0);
    first.close();
    const label = (text: string) => ({ ...design.board, label: text });
    const tidied = { op: 'replace', path: '/board/label', value: 'Tidied by the server' };
    const asked = answering({ ...taken(2), changes: [tidied] }, taken(3));
    const again = open();
    const resumed = again.resume();
    const sent = again.apply({ kind: 'board', board: label('Now') });
    expect([again.design.chain.bitRate, again.design.board.label]).toEqual([design.chain.bitRate, 'Now']);
    await resumed;
    expect([again.design.chain.bitRate, again.design.board.label]).toEqual([4800, 'Now']);
    expect(await sent).toBeNull();
    expect(asked.map((a) => a.revision)).toEqual([1, 2]);
    expect([again.revision, again.design.chain.bitRate, again.design.board.label]).toEqual([3, 4800, 'Now']);
  });
  it('says what cannot be made any more, and slips nothing in behind the change of somebody else', async () => {
    vi.useFakeTimers();
    const kept = device();
    answering(null);
    const first = open();
    void first.apply(bitRate(9600));
    await vi.advanceTimersByTimeAsync(0);
    first.close();
    const conflict = { type: 'about:blank', title: 'Changed meanwhile', status: 409, detail: 'Somebody changed it.' };
    const asked = answering(conflict);
    const again = new SiteState({ siteId: 's', revision: 7, design, undoes: 'a change', redoes: null });
    await again.resume();
    expect(asked.map((a) => a.revision)).toEqual([1]);
    expect(again.trouble?.detail).toBe(
      'A change of yours had not reached the server and cannot be made now: Somebody changed it.',
    );
    expect([again.keeping, again.design, kept.size]).toEqual(['refused', design, 0]);
  });
  it('says what it kept and cannot read any more, and sends the rest', async () => {
    vi.useFakeTimers();
    const kept = device();
    answering(null);
    const first = open();
    void first.apply(bitRate(9600));
    await vi.advanceTimersByTimeAsync(0);
    first.close();
    kept.set('bolt-yard.edits.s.1', '{"id":"1","edit":{"kind":"of another version"},"revision":1}');
    const asked = answering(taken(2));
    const again = open();
    const resumed = again.resume();
    expect(again.trouble?.detail).toContain('A change kept on this device is not read by this version');
    await resumed;
    // When the site is read again, what was said stays on screen.
    again.take({ siteId: 's', revision: 2, design: again.design, undoes: 'a change', redoes: null });
    expect([asked.length, again.trouble?.title, [...kept.keys()]]).toEqual([
      1,
      'Not sent before the reload',
      ['bolt-yard.edits.s.1'],
    ]);
  });
  it('says so where the device keeps nothing', async () => {
    vi.useFakeTimers();
    vi.stubGlobal('localStorage', undefined);
    answering(null, taken(2));
    const site = open();
    void site.apply(bitRate(9600));
    await vi.advanceTimersByTimeAsync(0);
    expect([site.keeping, site.forgetful]).toEqual(['unsent', true]);
    await vi.advanceTimersByTimeAsync(3000);
    expect([site.keeping, site.forgetful]).toEqual(['saved', false]);
  });
});
