import { describe, expect, it } from 'vitest';
import { CABLE_PRICE, LUG_PRICE, METAL_PRICE, breakerOf, priceList } from '../../testing/prices';
import { runOf } from '../../testing/examples';
import type { PriceList } from './priceList';
import { breakerPrice, cablePrice } from './runPrice';

const RUN = runOf('x', { lengthM: 60 });
const CONDUCTORS = { metal: 'Cu', sectionMm2: 120, cores: 5, parallel: 1, lengthM: 60 } as const;
const price = (
  l: PriceList | null,
  typed: number | null = null,
  over: Parameters<typeof runOf>[1] = {},
  parallel = 1,
) => cablePrice({ ...RUN, ...over, parallel }, { ...CONDUCTORS, parallel }, { Cu: typed, Al: null, list: l });
const byMetal = 8.89e-3 * 120 * 5 * 60 * 9 * 1.6 + 2 * 5 * 14;

describe('what a run costs', () => {
  it('is its cable by the metre and ten lugs, where the list has both', () => {
    expect(price(priceList(CABLE_PRICE, LUG_PRICE))).toEqual({ amount: 60 * 50 + 10 * 6, by: 'list' });
    expect(price(priceList(CABLE_PRICE, LUG_PRICE), null, {}, 2)).toEqual({ amount: 2 * 60 * 50 + 20 * 6, by: 'list' });
  });
  it('is that of every single where singles lie', () =>
    expect(price(priceList({ ...CABLE_PRICE, cores: '1-core' }, LUG_PRICE), null, { cores: '1-core' })?.amount).toBe(
      5 * 60 * 50 + 60,
    ));
  it('is that of the singles of every set', () =>
    expect(price(priceList({ ...CABLE_PRICE, cores: '1-core' }, LUG_PRICE), null, { cores: '1-core' }, 2)?.amount).toBe(
      10 * 60 * 50 + 20 * 6,
    ));
  it('goes by the metal, and says so, where a cable or its lug has no price; a typed metal goes before the list’s', () => {
    for (const [l, typed] of [
      [priceList(METAL_PRICE), null],
      [priceList(METAL_PRICE, CABLE_PRICE), null],
      [priceList(METAL_PRICE, LUG_PRICE), null],
      [priceList({ ...METAL_PRICE, price: 1 }), 9],
      [null, 9],
    ] as const) {
      expect(price(l, typed)?.amount).toBeCloseTo(byMetal, 6);
      expect(price(l, typed)?.by).toBe('metal');
    }
  });
  it('is not known without either: a cable of another section, insulation or metal says nothing', () => {
    expect(price(null)).toBeNull();
    for (const other of [{ sectionMm2: 95 }, { insulation: 'PVC' }, { metal: 'Al' }, { cores: '4-core' }] as const)
      expect(price(priceList({ ...CABLE_PRICE, ...other }, LUG_PRICE))).toBeNull();
  });
  it('knows a breaker by its rating alone', () => {
    const prices = { Cu: null, Al: null, list: priceList(CABLE_PRICE, breakerOf(200, 300)) };
    expect(breakerPrice(prices, 200)).toBe(300);
    expect(breakerPrice(prices, 250)).toBeNull();
    expect(breakerPrice({ ...prices, list: null }, 200)).toBeNull();
  });
});
