import { describe, expect, it } from 'vitest';
import type { SiteDesign } from '../../design';
import { SURVEY, plane, siteOf } from '../../testing/examples';
import { leftInHeat } from './leftInHeat';

const bare = siteOf(1, [plane('south', 20)]);
const site = (over: Partial<typeof SURVEY> = {}): SiteDesign => ({
  ...bare,
  survey: { ...bare.survey, hottestC: 38, altitudeM: 0, ...over },
});
const left = (d: SiteDesign) => {
  const [unit] = d.inverters;
  return unit ? leftInHeat(d)(unit) : null;
};

describe('what heat leaves of a unit', () => {
  it('follows the curve in the air outside: 1 to 45 °C, 0.84 at 51, nothing over 60 (worked figures of the usual curves)', () => {
    const f = left(site());
    expect(f?.(45)).toBe(1);
    expect(f?.(51)).toBeCloseTo(0.84, 9);
    expect(f?.(61)).toBe(0);
    expect(f?.(200)).toBe(0);
    expect(f?.(-90)).toBe(1);
  });
  it('counts the altitude with it: 0.8648 at 48 °C and 2600 m', () =>
    expect(left(site({ altitudeM: 2600 }))?.(48)).toBeCloseTo(0.8648, 9));
  it('is warmer in a room by as much as on the hottest day', () => {
    const room = {
      id: 'cellar',
      label: 'Cellar',
      xM: -50,
      yM: -50,
      zM: -5,
      widthM: 100,
      depthM: 100,
      heightM: 8,
      airM3h: 1000,
      inletC: 38,
    };
    const types = bare.equipment.inverters.map((t) => ({ ...t, body: { ...t.body, efficiencyPercent: 98.3 } }));
    const d = { ...site(), equipment: { ...bare.equipment, inverters: types }, plan: { ...bare.plan, rooms: [room] } };
    const f = left(d);
    // 110 kVA at 98.3 %: 1902 W in 1000 m³/h of air at 38 °C warm it by some 6 K: 42 outside is 48 inside, 0.92.
    expect(f?.(38)).toBe(1);
    expect(f?.(42)).toBeLessThan(0.95);
    expect(f?.(42)).toBeGreaterThan(0.88);
  });
  it('is not known without the hot design temperature or the altitude', () => {
    expect(left(site({ hottestC: null }))).toBeNull();
    expect(left(site({ altitudeM: null }))).toBeNull();
  });
});
