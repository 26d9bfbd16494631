import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { SILENT_AFTER_MS } from './api';
import { Told } from './told.svelte';

/** A server that says its numbers one after the other, and nothing where there is none. */
function saying(...numbers: (number | 'silence' | 'refusal')[]) {
  const asked: string[] = [];
  vi.stubGlobal('fetch', async (path: string) => {
    asked.push(path);
    const next = numbers.shift() ?? 'silence';
    if (next === 'silence') throw new TypeError('network');
    return next === 'refusal' ? new Response('{}', { status: 404 }) : Response.json(next);
  });
  return asked;
}

beforeEach(() => void vi.useFakeTimers({ now: 1_000_000 }));
afterEach(() => {
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

describe('what the server says while somebody looks', () => {
  it('is what it said last, of now as long as it speaks', async () => {
    const asked = saying(2, 3);
    const told = new Told('/api/v1/of-something', 1);
    expect([told.value, told.asOfMs]).toEqual([1, null]);
    await told.ask();
    vi.advanceTimersByTime(10 * SILENT_AFTER_MS);
    await told.ask();
    expect([told.value, told.asOfMs, asked]).toEqual([3, null, ['/api/v1/of-something', '/api/v1/of-something']]);
  });
  it('is said to be of then once nobody has answered for a while, and of now again with the next word', async () => {
    saying('silence', 'refusal', 'silence', 5);
    const told = new Told('/api/v1/of-something', 1);
    vi.advanceTimersByTime(SILENT_AFTER_MS);
    await told.ask();
    expect([told.value, told.asOfMs]).toEqual([1, null]);
    vi.advanceTimersByTime(1);
    await told.ask();
    expect([told.value, told.asOfMs]).toEqual([1, 1_000_000]);
    vi.advanceTimersByTime(SILENT_AFTER_MS);
    await told.ask();
    expect(told.asOfMs).toBe(1_000_000);
    await told.ask();
    expect([told.value, told.asOfMs]).toEqual([5, null]);
  });
  it('does not hide what is nobody’s silence', async () => {
    vi.stubGlobal('fetch', async () => ({ ok: true, json: async () => Promise.resolve(7), status: 200 }));
    const told = new Told('/api/v1/of-something', 1);
    vi.spyOn(told, 'take').mockImplementation(() => {
      throw new RangeError('a fault of the page');
    });
    await expect(told.ask()).rejects.toThrow(/a fault of the page/);
  });
});
