import { describe, expect, it } from 'vitest';
import { runOf } from '../../testing/examples';
import type { PriceList } from './priceList';
import { PRICE_COLUMNS, costOf, priceListSchema, priceRows, pricesFromRows } from './priceList';

const blank = { metal: null, insulation: null, cores: null, sectionMm2: null, ratingA: null, dated: '2026-03-02' };
const CABLE = {
  ...blank,
  item: 'cable',
  metal: 'Cu',
  insulation: 'XLPE',
  cores: '5-core',
  sectionMm2: 120,
  price: 50,
} as const;
const LUG = { ...blank, item: 'lug', metal: 'Cu', sectionMm2: 120, price: 6 } as const;
const METAL = { ...blank, item: 'metal', metal: 'Cu', price: 9 } as const;
const BREAKER = { ...blank, item: 'breaker', ratingA: 200, price: 300 } as const;
const list = (...prices: PriceList['prices']): PriceList => ({
  id: 'company',
  currency: 'EUR',
  invented: false,
  prices,
});
const RUN = runOf('x', { lengthM: 60 });
const CONDUCTORS = { metal: 'Cu', sectionMm2: 120, cores: 5, parallel: 1, lengthM: 60 } as const;
const cost = (l: PriceList | null, typed: number | null = null, over: Parameters<typeof runOf>[1] = {}, parallel = 1) =>
  costOf({ ...RUN, ...over, parallel }, { ...CONDUCTORS, parallel }, { Cu: typed, Al: null, list: l });

describe('what a run costs', () => {
  it('is its cable by the metre, ten lugs and the breaker, where the list has them', () => {
    expect(cost(list(CABLE, LUG))).toBe(60 * 50 + 10 * 6);
    expect(cost(list(CABLE, LUG, BREAKER))).toBe(3360);
    expect(cost(list(CABLE, LUG, BREAKER), null, {}, 2)).toBe(2 * 60 * 50 + 20 * 6 + 300);
  });
  it('is that of every single where singles lie', () =>
    expect(cost(list({ ...CABLE, cores: '1-core' }, LUG), null, { cores: '1-core' })).toBe(5 * 60 * 50 + 60));
  it('goes by the metal where a cable or its lug has no price, and a typed metal goes before the list’s', () => {
    const byMetal = 8.89e-3 * 120 * 5 * 60 * 9 * 1.6 + 2 * 5 * 14;
    expect(cost(list(METAL))).toBeCloseTo(byMetal, 6);
    expect(cost(list(METAL, CABLE))).toBeCloseTo(byMetal, 6);
    expect(cost(list(METAL, BREAKER))).toBeCloseTo(byMetal + 300, 6);
    expect(cost(list({ ...METAL, price: 1 }), 9)).toBeCloseTo(byMetal, 6);
    expect(cost(null, 9)).toBeCloseTo(byMetal, 6);
  });
  it('is not known without either: a cable of another section, insulation or metal says nothing', () => {
    expect(cost(null)).toBeNull();
    for (const other of [{ sectionMm2: 95 }, { insulation: 'PVC' }, { metal: 'Al' }, { cores: '4-core' }] as const)
      expect(cost(list({ ...CABLE, ...other }, LUG))).toBeNull();
  });
});

describe('a price list', () => {
  const whole = list(METAL, CABLE, LUG, BREAKER);
  it('says what each price is of, and no thing twice', () => {
    expect(priceListSchema.safeParse(whole).success).toBe(true);
    const flaws = (l: PriceList) =>
      priceListSchema.safeParse(l).error?.issues.map((i) => [i.path.join('.'), i.message]);
    expect(flaws(list({ ...CABLE, cores: null }))).toEqual([['prices.0.cores', 'A price of a cable names it.']]);
    expect(flaws(list({ ...BREAKER, ratingA: null }))).toEqual([
      ['prices.0.ratingA', 'A price of a breaker names it.'],
    ]);
    expect(flaws(list(LUG, { ...LUG, price: 7 }))).toEqual([['prices.1.item', 'Stands in row 1 already.']]);
    // What does not name a thing does not make it another.
    expect(flaws(list(LUG, { ...LUG, cores: '5-core' }))).toHaveLength(1);
  });

  it('comes back from a file as it went out', () => {
    const rows = priceRows(whole).map((r) => r.map((c) => String(c ?? '')));
    expect(pricesFromRows([...PRICE_COLUMNS], rows)).toEqual({ prices: whole.prices, errors: [] });
  });

  it('names the row of what is wrong, and takes the others', () => {
    const { prices, errors } = pricesFromRows(
      ['item', 'metal', 'section_mm2', 'price', 'dated'],
      [
        ['lug', 'Cu', '120', '6,50', '2026-03-02'],
        ['lug', 'Cu', '95', '0', '2026-03-02'],
        ['', '', '', '', ''],
        ['lug', 'Cu', '', '6', '2026-03-02'],
        ['lug', 'Cu', '120', '7', '2 March'],
        ['lug', 'Cu', '120', '7', '2026-03-02'],
        ['screw', 'Cu', '120', '7', '2026-03-02'],
      ],
    );
    expect(prices.map((p) => p.price)).toEqual([6.5]);
    expect(errors.map((e) => [e.row, e.column])).toEqual([
      [3, 'price'],
      [5, 'section_mm2'],
      [6, 'dated'],
      [7, 'item'],
      [8, 'item'],
    ]);
    expect(errors[3]?.text).toBe('Stands in row 2 already.');
  });

  it('takes no file without its columns or without rows, and no more than a list holds', () => {
    expect(pricesFromRows(['item', 'price'], []).errors[0]?.text).toMatch(/^The header has no column dated\./);
    expect(pricesFromRows(['item', 'price', 'dated'], []).errors[0]?.text).toBe('The list has no rows.');
    const many = Array.from({ length: 2001 }, (_, i) => ['breaker', String(i + 1), '5', '2026-03-02']);
    const { prices, errors } = pricesFromRows(['item', 'rating_a', 'price', 'dated'], many);
    expect([prices.length, errors.length, errors[0]?.row]).toEqual([2000, 1, 2002]);
  });
});
