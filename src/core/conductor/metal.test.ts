import { describe, expect, it } from 'vitest';
import { RESISTIVITY_20C, loopOhm, resistanceAt } from './metal';

describe('conductor model (IEC 60028, IEC 60889; recalled)', () => {
  it('aluminium has 1.64 times the resistivity of copper (IEC 60889 over IEC 60028)', () => {
    expect(RESISTIVITY_20C.Al / RESISTIVITY_20C.Cu).toBeCloseTo(1.64, 2);
  });
  it('resistance rises 27.5 % from 20 to 90 °C in copper (1 + 0.00393 × 70)', () => {
    expect(resistanceAt(1, 'Cu', 90)).toBeCloseTo(1.2751, 9);
    expect(() => resistanceAt(1, 'Cu', 300)).toThrow(RangeError);
  });
  it('a loop is there and back: 2 × 0.017241 × 100 / 10 Ω', () => expect(loopOhm(100, 10, 20)).toBeCloseTo(0.34482, 9));
});
