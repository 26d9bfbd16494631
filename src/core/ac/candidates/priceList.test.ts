import { describe, expect, it } from 'vitest';
import { CABLE_PRICE, LUG_PRICE, METAL_PRICE, breakerOf, priceList } from '../../testing/prices';
import type { PriceList } from './priceList';
import { PRICE_COLUMNS, priceListSchema, priceRows, pricesFromRows } from './priceList';

describe('a price list', () => {
  const whole = priceList(METAL_PRICE, CABLE_PRICE, LUG_PRICE, breakerOf(200, 300));
  it('says what each price is of, and no thing twice', () => {
    expect(priceListSchema.safeParse(whole).success).toBe(true);
    const flaws = (l: PriceList) =>
      priceListSchema.safeParse(l).error?.issues.map((i) => [i.path.join('.'), i.message]);
    expect(flaws(priceList({ ...CABLE_PRICE, cores: null }))).toEqual([
      ['prices.0.cores', 'A price of a cable names it.'],
    ]);
    expect(flaws(priceList({ ...breakerOf(200, 300), ratingA: null }))).toEqual([
      ['prices.0.ratingA', 'A price of a breaker names it.'],
    ]);
    expect(flaws(priceList(LUG_PRICE, { ...LUG_PRICE, price: 7 }))).toEqual([
      ['prices.1.item', 'Stands in row 1 already.'],
    ]);
    // What does not name a thing does not make it another.
    expect(flaws(priceList(LUG_PRICE, { ...LUG_PRICE, cores: '5-core' }))).toHaveLength(1);
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
