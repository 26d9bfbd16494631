import { describe, expect, it } from 'vitest';
import { registerOf, wordsOf } from '$core/links/modbus/registerMap';
import type { Asked } from './fieldBus';
import { nobodySays, serialAt } from './unitAt';

const SAID: Asked = { kind: 'answer', words: wordsOf('serial', 'BY24-0017') };
const SILENT: Asked = { kind: 'silent' };

/** A bus that gives these answers one after the other, and what it was asked, with how long it waited, ms. */
function busWith(...answers: readonly Asked[]) {
  const asked: [address: number, at: number, count: number, waitMs: number][] = [];
  const left = [...answers];
  return {
    asked,
    timeoutMs: 80,
    read: async (unit: number, at: number, count: number, waitMs = 80) => {
      asked.push([unit, at, count, waitMs]);
      return left.shift() ?? SILENT;
    },
  };
}
const { at, words } = registerOf('serial');

describe('who answers at an address', () => {
  it('is asked once where somebody answers', async () => {
    const bus = busWith(SAID);
    expect((await serialAt(bus, 7)).serial).toBe('BY24-0017');
    expect(bus.asked).toEqual([[7, at, words, 80]]);
  });
  it('is asked again, for twice as long, where a frame may be lost', async () => {
    const bus = busWith(SILENT, SAID);
    expect((await serialAt(bus, 7)).serial).toBe('BY24-0017');
    expect(bus.asked).toEqual([
      [7, at, words, 80],
      [7, at, words, 160],
    ]);
  });
  it('is nobody after two silences, and two at once are not asked until one gets through', async () => {
    const silent = busWith(SILENT, SILENT, SAID);
    const spoken = await serialAt(silent, 7);
    expect(spoken.serial).toBeNull();
    expect(nobodySays(7, spoken)).toBe('Nobody says a serial at 7 (silent): two may answer at once, or none.');
    const both = busWith({ kind: 'garbled' }, SAID);
    expect(await serialAt(both, 1)).toEqual({ asked: { kind: 'garbled' }, serial: null });
    expect(both.asked).toHaveLength(1);
  });
});
