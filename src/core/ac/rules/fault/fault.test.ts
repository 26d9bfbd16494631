import { expect, it } from 'vitest';
import { checksOf } from '../../../testing/checks';
import { runOf, siteOf } from '../../../testing/examples';
import { AC_RULES } from '..';

it('no run looks judged that is not: short circuit, breaking capacity, withstand, loop and residual current stand and are unknown', () => {
  const checks = checksOf('ac', { ...siteOf(1, []), runs: [runOf('inv-1')] });
  for (const id of ['ac.short-circuit', 'ac.breaking-capacity', 'ac.adiabatic', 'ac.loop', 'ac.residual-current']) {
    const check = checks.find((c) => c.id === id);
    expect(check, id).toMatchObject({ verdict: 'unknown', value: null });
    expect(check?.working[0]).toMatch(/^Missing: \S.*not judged by the program yet/);
  }
  expect(AC_RULES.fault.every((r) => r.toCome)).toBe(true);
});
