import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { inOrder } from './inOrder';

beforeEach(() => void vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'setImmediate'] }));
afterEach(() => void vi.useRealTimers());

/** Work that tells when it begins and ends when it is told to. */
function work(name: string, begun: string[]) {
  let end = () => {};
  const ended = new Promise<void>((resolve) => (end = resolve));
  const done = inOrder(async () => {
    begun.push(name);
    await ended;
    return name;
  });
  return { end, done };
}

describe('requests', () => {
  it('begin two at a time, in the order in which they came', async () => {
    const begun: string[] = [];
    const all = ['a', 'b', 'c', 'd'].map((name) => work(name, begun));
    await vi.advanceTimersByTimeAsync(1);
    expect(begun).toEqual(['a', 'b']);
    all[1]?.end();
    await vi.advanceTimersByTimeAsync(1);
    expect(begun).toEqual(['a', 'b', 'c']);
    all.forEach((w) => w.end());
    await vi.advanceTimersByTimeAsync(1);
    expect(await Promise.all(all.map((w) => w.done))).toEqual(['a', 'b', 'c', 'd']);
  });
  it('that wait for something else keep nobody out for longer than a moment', async () => {
    const begun: string[] = [];
    const all = ['a', 'b', 'c', 'd', 'e'].map((name) => work(name, begun));
    await vi.advanceTimersByTimeAsync(49);
    expect(begun).toEqual(['a', 'b']);
    await vi.advanceTimersByTimeAsync(2);
    expect(begun).toEqual(['a', 'b', 'c', 'd']);
    all.forEach((w) => w.end());
    await vi.advanceTimersByTimeAsync(100);
    expect(begun).toHaveLength(5);
  });
  it('that fail say so, and the next one begins', async () => {
    const failed = inOrder(() => Promise.reject(new Error('no')));
    const caught = failed.catch((cause: unknown) => String(cause));
    const begun: string[] = [];
    const next = ['a', 'b'].map((name) => work(name, begun));
    await vi.advanceTimersByTimeAsync(1);
    expect(await caught).toBe('Error: no');
    expect(begun).toEqual(['a', 'b']);
    next.forEach((w) => w.end());
    await vi.advanceTimersByTimeAsync(1);
  });
});
