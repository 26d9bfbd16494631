import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Crew } from '$core/testing/crew';
import { plane, siteOf } from '$core/testing/examples';
import { LogState } from './logState.svelte';
import { ENTRY_BOX } from './outbox';
import { SiteRecord, logOf, sendWaiting } from './siteRecord.svelte';
import { device } from './testing/storage';

const made = (siteId: string) => new LogState(siteId);
/** A server that notes what is sent to it, once it answers. */
function server() {
  const state = { silent: false, sent: [] as string[] };
  vi.stubGlobal('fetch', async (path: string, init?: { body?: string }) => {
    if (state.silent) throw new TypeError('network');
    if (init?.body) state.sent.push(path);
    return Response.json({ nowMs: Date.now() }, { status: init?.body ? 201 : 200 });
  });
  return state;
}
const entry = new Crew(siteOf(1, [plane('south', 36)])).tick('S-SAFE', 'site', 'pass');
const left = (kept: Map<string, string>, siteId: string) =>
  kept.set(`${ENTRY_BOX}.${siteId}.${entry.id}`, JSON.stringify(entry));

beforeEach(() => {
  // Nobody tries again by himself.
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
});
afterEach(() => {
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

describe('the record of a site', () => {
  it('is opened once in a tab, and one of its own for every site', () => {
    device();
    server();
    const log = logOf('once', made);
    expect([log.siteId, logOf('once', made) === log, logOf('other', made) === log]).toEqual(['once', true, false]);
  });
  it('is shown to who comes back to the site without what was said last, and says it from screen to screen', () => {
    device();
    server();
    const log = logOf('again', made);
    const visit = new SiteRecord();
    expect(visit.log).toBeNull();
    visit.show(log);
    [log.made, log.verdict, log.problem] = ['id', 'holds', { type: 'about:blank', title: '', status: 422, detail: '' }];
    visit.show(log);
    expect([visit.log === log, log.made]).toEqual([true, 'id']);
    new SiteRecord().show(log);
    expect([log.made, log.verdict, log.problem]).toEqual([null, null, null]);
  });
});

describe('what a device has left unsent', () => {
  it('is sent for every site, whichever is on screen, and asks nobody where nothing waits', async () => {
    const kept = device();
    const { sent } = server();
    await sendWaiting();
    expect(sent).toEqual([]);
    left(left(kept, 'quarry'), 'dairy');
    await sendWaiting();
    await vi.waitFor(() => expect([...kept.keys()].filter((key) => key.startsWith(ENTRY_BOX))).toEqual([]));
    expect(sent.sort()).toEqual(['/api/v1/sites/dairy/records', '/api/v1/sites/quarry/records']);
  });
  it('is shown by the site’s own screen as well, which does not send it apart', async () => {
    const kept = device();
    const state = server();
    state.silent = true;
    left(kept, 'mill');
    await sendWaiting();
    const log = logOf('mill', made);
    await vi.waitFor(() => expect(log.unsent.map((e) => e.id)).toEqual([entry.id]));
    await log.flush();
    state.silent = false;
    await sendWaiting();
    await log.flush();
    expect([log.unsent, state.sent]).toEqual([[], ['/api/v1/sites/mill/records']]);
  });
});
