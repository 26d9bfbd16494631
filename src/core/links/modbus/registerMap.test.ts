import { describe, expect, it } from 'vitest';
import { REGISTERS, registerOf, valueOf, wordsOf } from './registerMap';

describe('the register map', () => {
  it('has no register over another, and blocks where they are said to be', () => {
    const taken = REGISTERS.flatMap((r) => Array.from({ length: r.words }, (_, i) => r.at + i));
    expect(new Set(taken).size).toBe(taken.length);
    const inBlock = (at: number) =>
      at <= 23 ||
      (at >= 30 && at <= 39) ||
      (at >= 100 && at <= 131) ||
      (at >= 200 && at <= 247) ||
      (at >= 300 && at <= 331);
    expect(taken.every(inBlock)).toBe(true);
    expect(taken).toHaveLength(24 + 10 + 32 + 48 + 32);
    expect(new Set(REGISTERS.map((r) => r.name)).size).toBe(REGISTERS.length);
  });
  it.each([
    ['state', 3, [3]],
    ['active_power', 98_765, [1, 0x81cd]],
    ['active_power', -1500, [0xffff, 0xfa24]],
    ['volt_L12', 404.3, [4043]],
    ['power_factor', -0.95, [0xfc4a]],
    ['temp_inside', null, [0x8000]],
    ['volt_L1N', null, [0xffff]],
    ['apparent_power', null, [0xffff, 0xffff]],
    ['meter_p_L1', null, [0x8000, 0]],
    ['mppt1_power', 12_340, [1234]],
    ['bit_rate', 9600, [96]],
    ['serial', 'BY24-00000000017', [0x4259, 0x3234, 0x2d30, 0x3030, 0x3030, 0x3030, 0x3030, 0x3137]],
    ['firmware', '1.2', [0x312e, 0x3200, 0, 0]],
  ] as const)('writes %s = %s and reads it again', (name, value, words) => {
    expect(wordsOf(name, value)).toEqual(words);
    expect(valueOf(name, words)).toBe(value);
  });
  it('holds what is too large at its end, and never at what means nothing', () => {
    expect(valueOf('volt_L12', wordsOf('volt_L12', 9999))).toBe(6553.4);
    expect(valueOf('temp_inside', wordsOf('temp_inside', -9999))).toBe(-3276.7);
    expect(valueOf('state', wordsOf('state', -1))).toBe(0);
  });
  it('knows its names', () => {
    expect(registerOf('serial')).toMatchObject({ at: 10, words: 8 });
    expect(() => registerOf('nothing')).toThrow(/name must be a register/);
  });
});
