import type { PriceList } from '../ac/candidates/priceList';

/** A price of each kind, and lists of them (invented). */
const blank = { metal: null, insulation: null, cores: null, sectionMm2: null, ratingA: null, dated: '2026-03-02' };
export const CABLE_PRICE = {
  ...blank,
  item: 'cable',
  metal: 'Cu',
  insulation: 'XLPE',
  cores: '5-core',
  sectionMm2: 120,
  price: 50,
} as const;
export const LUG_PRICE = { ...blank, item: 'lug', metal: 'Cu', sectionMm2: 120, price: 6 } as const;
export const METAL_PRICE = { ...blank, item: 'metal', metal: 'Cu', price: 9 } as const;
export const breakerOf = (ratingA: number, price: number) => ({ ...blank, item: 'breaker', ratingA, price }) as const;

export const priceList = (...prices: PriceList['prices']): PriceList => ({
  id: 'company',
  currency: 'EUR',
  invented: false,
  prices,
});
