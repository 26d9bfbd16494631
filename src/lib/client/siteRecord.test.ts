import { afterEach, describe, expect, it, vi } from 'vitest';
import { LogState } from './logState.svelte';
import { entryBox } from './outbox';
import { SiteRecord } from './siteRecord.svelte';
import { device } from './testing/storage';

const made = (siteId: string) => new LogState(siteId);
afterEach(() => void vi.unstubAllGlobals());

describe('the record of an open site', () => {
  it('is opened by the first screen that asks for it, and by none again', () => {
    device();
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('network')));
    const record = new SiteRecord('s');
    expect(record.log).toBeNull();
    const log = record.open(made);
    expect([log.siteId, record.log === log, record.open(made) === log]).toEqual(['s', true, true]);
  });
  it('stays unread where a screen plans and nothing waits, for this site at least', async () => {
    device().set(`${entryBox('another')}.1`, '{}');
    const record = new SiteRecord('s');
    await record.resume();
    expect(record.log).toBeNull();
  });
  it('is opened where an entry of an earlier visit waits to be sent, in words of this version or not', async () => {
    device().set(`${entryBox('s')}.1`, '{}');
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('network')));
    const record = new SiteRecord('s');
    await record.resume();
    expect(record.log?.unreadable).toBe(1);
    const { log } = record;
    await record.resume();
    expect(record.log).toBe(log);
  });
  it('is not opened any more once the site is left', async () => {
    device().set(`${entryBox('s')}.1`, '{}');
    const record = new SiteRecord('s');
    const resumed = record.resume();
    record.close();
    await resumed;
    expect(record.log).toBeNull();
  });
});
