import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Crew } from '$core/testing/crew';
import { plane, siteOf } from '$core/testing/examples';
import { LogState } from './logState.svelte';
import { ENTRY_BOX } from './outbox';
import { SiteRecord, sendWaiting } from './siteRecord.svelte';
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

describe('the record of an open site', () => {
  it('is opened by the first screen that asks for it, and by none again', () => {
    device();
    server();
    const record = new SiteRecord('once');
    expect(record.log).toBeNull();
    const log = record.open(made);
    expect([log.siteId, record.log === log, record.open(made) === log]).toEqual(['once', true, true]);
  });
  it('is the very same where somebody comes back to the site, without what was said last', () => {
    device();
    server();
    const log = new SiteRecord('again').open(made);
    [log.made, log.verdict, log.problem] = ['id', 'holds', { type: 'about:blank', title: '', status: 422, detail: '' }];
    expect(new SiteRecord('again').open(made)).toBe(log);
    expect([log.made, log.verdict, log.problem]).toEqual([null, null, null]);
    expect(new SiteRecord('other').open(made)).not.toBe(log);
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
    await vi.waitFor(() => expect(kept.size).toBeLessThan(3));
    await vi.waitFor(() =>
      expect(sent.sort()).toEqual(['/api/v1/sites/dairy/records', '/api/v1/sites/quarry/records']),
    );
    expect([...kept.keys()].filter((key) => key.startsWith(ENTRY_BOX))).toEqual([]);
  });
  it('is shown by the site’s own screen as well, which does not send it apart', async () => {
    const kept = device();
    const state = server();
    state.silent = true;
    left(kept, 'mill');
    await sendWaiting();
    const log = new SiteRecord('mill').open(made);
    await vi.waitFor(() => expect(log.unsent.map((e) => e.id)).toEqual([entry.id]));
    await log.flush();
    state.silent = false;
    await sendWaiting();
    await log.flush();
    expect([log.unsent, state.sent]).toEqual([[], ['/api/v1/sites/mill/records']]);
  });
});
