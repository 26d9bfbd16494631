import { describe, expect, it } from 'vitest';
import { supplySignature } from './measure/supplySignature';
import { supplyCalculations } from './supplyCalculations';

type Three = readonly [number, number, number];

const { input, run } = supplyCalculations['supply-signature'];
const SIX = { line12V: 402, line23V: 399, line31V: 401, pe1V: 232.4, pe2V: 231.1, pe3V: 230.2 };
const LOW = { low1V: 231.9, low2V: 230.6, low3V: 229.9 };
const NEUTRAL = { neutral1V: 232, neutral2V: 231, neutral3V: 230.5, neutralToPeV: 1.4 };
const told = (over: Record<string, unknown> = {}) => run(input.parse({ nominalV: '400', ...SIX, ...LOW, ...over }));

/** Six voltages of a supply without neutral, ten of one with it, by the geometry of their phasors (common practice). */
describe('a supply by its voltages', () => {
  it('holds as an earthed wye, with its neutral and without', () => {
    expect(told(NEUTRAL).verdict).toBe('holds');
    expect(told().verdict).toBe('holds');
  });
  it('stops at a delta with an earthed corner, whatever its line voltages, and says what next', () => {
    const delta = told({ pe1V: 401, pe2V: 0.5, pe3V: 400, low1V: 401, low2V: 0.4, low3V: 400 });
    expect(delta.verdict).toBe('stop');
    expect(delta.action).not.toBe('');
  });
  it('stops at a floating supply that reads as a wye until it is read at low impedance', () =>
    expect(told({ low1V: 38, low2V: 44, low3V: 41 }).verdict).toBe('stop'));
  it('stops as floating where the third phase is at earth, and where the neutral is healthy on one phase alone', () => {
    const name = (toPeV: Three, lowImpedanceV: Three, toNeutralV: Three | null) =>
      supplySignature({ lineV: [402, 399, 401], toPeV, lowImpedanceV, toNeutralV, neutralToPeV: null }, 400).name;
    expect(name([232, 231, 60], [20, 20, 50], null)).toBe('ungrounded');
    expect(name([232, 231, 230], [20, 20, 20], [232, 231, 230])).toBe('pe_open');
    expect(name([232, 231, 230], [20, 20, 20], [232, 300, 230])).toBe('ungrounded');
  });
  it('asks for that repeat before it holds; two of its three are none', () => {
    const once = told({ low1V: null, low2V: null, low3V: null });
    expect(once).toMatchObject({ verdict: 'tight', action: expect.stringMatching(/^repeat L–PE at low impedance/) });
    expect(told().action).not.toMatch(/^repeat/);
    for (const of of ['low1V', 'low2V', 'low3V']) expect(told({ [of]: null }).verdict).toBe('tight');
    // Two phases to a neutral are none either: the supply is told by its six.
    for (const of of ['neutral1V', 'neutral2V', 'neutral3V'])
      expect(told({ ...NEUTRAL, [of]: null }).meaning).toBe(told().meaning);
  });
  it('does not hold with a neutral that is far from earth', () =>
    expect(told({ ...NEUTRAL, neutralToPeV: 40 }).verdict).toBe('stop'));
  it('wants all three line voltages and a nominal that there is', () => {
    expect(input.safeParse({ nominalV: '400', ...SIX, line12V: null }).success).toBe(false);
    expect(input.safeParse({ nominalV: '390', ...SIX }).success).toBe(false);
  });
});
