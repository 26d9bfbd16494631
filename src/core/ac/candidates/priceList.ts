import { z } from 'zod';
import { CORES, INSULATIONS } from '../../conductor/laid';
import { enumOf, partName, quantity } from '../../kernel/schema';

/** The company's own prices of cables, lugs and breakers, in one currency, each with its day. */

const PRICED = ['metal', 'cable', 'lug', 'breaker'] as const;
const priceSchema = z.object({
  item: enumOf(PRICED).meta({ description: 'Of what' }),
  metal: z.enum(['Cu', 'Al']).nullable().meta({ description: 'Metal' }),
  insulation: z.enum(INSULATIONS).nullable(),
  cores: z.enum(CORES).nullable(),
  sectionMm2: quantity(2, 1000, 'mm²', 'Section').nullable(),
  ratingA: quantity(1, 6300, 'A', 'Rating').nullable(),
  price: quantity(0.01, 100_000, '', 'Price'),
  dated: z.iso.date('Write the day as 2026-05-31.').meta({ description: 'Of the day' }),
});
export type Price = z.infer<typeof priceSchema>;

/** What each kind has to say of itself. */
const NAMED_BY: Readonly<Record<Price['item'], readonly (keyof Price)[]>> = {
  metal: ['metal'],
  cable: ['metal', 'insulation', 'cores', 'sectionMm2'],
  lug: ['metal', 'sectionMm2'],
  breaker: ['ratingA'],
};
const keyOf = (p: Omit<Price, 'price' | 'dated'>): string =>
  [p.item, ...NAMED_BY[p.item].map((field) => (p as Price)[field])].join(' ');

/** What is wrong with a price beyond its fields: what it leaves unsaid of the thing, or that the thing was priced before. */
function flawsOf(
  p: Price,
  seen: Map<string, number>,
  at: number,
): { readonly field: keyof Price; readonly text: string }[] {
  const unsaid = NAMED_BY[p.item].filter((field) => p[field] === null);
  if (unsaid.length) return unsaid.map((field) => ({ field, text: `A price of a ${p.item} names it.` }));
  const earlier = seen.get(keyOf(p));
  if (earlier !== undefined) return [{ field: 'item', text: `Stands in row ${earlier} already.` }];
  seen.set(keyOf(p), at);
  return [];
}

const MOST_PRICES = 2000;

/** What is entered of a list; what its prices owe one another is judged when it is saved. */
export const priceListForm = z.object({
  currency: partName.max(8).meta({ description: 'Currency' }),
  /** Nobody was quoted these: they came with the program to try it. */
  invented: z.boolean().default(false).meta({ description: 'Invented, to try the program' }),
  prices: z.array(priceSchema).max(MOST_PRICES).meta({ description: 'Prices' }),
});

export const priceListSchema = priceListForm
  .extend({ id: z.literal('company').default('company') })
  .check(({ value: { prices }, issues }) => {
    const seen = new Map<string, number>();
    prices.forEach((p, i) => {
      for (const { field, text } of flawsOf(p, seen, i + 1))
        issues.push({ code: 'custom', input: p, path: ['prices', i, field], message: text });
    });
  })
  .meta({ id: 'PriceList' });
export type PriceList = z.infer<typeof priceListSchema>;

/** The price of a thing, or null where the list has none. */
export function priceOf(
  list: PriceList | null,
  thing: Partial<Omit<Price, 'price' | 'dated'>> & Pick<Price, 'item'>,
): number | null {
  const blank = { metal: null, insulation: null, cores: null, sectionMm2: null, ratingA: null };
  const key = keyOf({ ...blank, ...thing });
  return list?.prices.find((p) => keyOf(p) === key)?.price ?? null;
}

/** Columns of a price list in files. */
export const PRICE_COLUMNS = [
  'item',
  'metal',
  'insulation',
  'cores',
  'section_mm2',
  'rating_a',
  'price',
  'dated',
] as const;
const FIELDS = [
  'item',
  'metal',
  'insulation',
  'cores',
  'sectionMm2',
  'ratingA',
  'price',
  'dated',
] as const satisfies readonly (keyof Price)[];

export const priceRows = ({ prices }: PriceList): readonly (readonly (string | number | null)[])[] =>
  prices.map((p) => FIELDS.map((f) => p[f]));

export interface PricesTyped {
  readonly prices: readonly Price[];
  readonly errors: readonly { readonly row: number; readonly column: string; readonly text: string }[];
}

/** So many are told at most. */
const MOST_ERRORS = 200;
const NUMBERS: readonly (keyof Price)[] = ['sectionMm2', 'ratingA', 'price'];

/** A list of prices from the rows of a file; a row with one wrong cell is told with its number and left out. */
export function pricesFromRows(
  header: readonly string[],
  rows: readonly (readonly string[])[],
  rowOf: (index: number) => number = (i) => i + 2,
): PricesTyped {
  const names = header.map((h) => h.trim().toLowerCase());
  const absent = (['item', 'price', 'dated'] as const).filter((c) => !names.includes(c));
  if (absent.length)
    return {
      prices: [],
      errors: [
        {
          row: 1,
          column: '',
          text: `The header has no column ${absent.join(', ')}. Columns: ${PRICE_COLUMNS.join(', ')}.`,
        },
      ],
    };
  const errors: PricesTyped['errors'][number][] = [];
  const prices: Price[] = [];
  const seen = new Map<string, number>();
  rows.forEach((cells, i) => {
    if (cells.every((c) => c.trim() === '') || errors.length >= MOST_ERRORS) return;
    const row = rowOf(i);
    const wrong = (field: unknown, text: string) =>
      void errors.push({ row, column: PRICE_COLUMNS[FIELDS.indexOf(field as (typeof FIELDS)[number])] ?? '', text });
    if (prices.length === MOST_PRICES) return wrong('', `is beyond the ${MOST_PRICES} prices of a list`);
    const typed = Object.fromEntries(
      FIELDS.map((field, k) => {
        const text = (cells[names.indexOf(PRICE_COLUMNS[k] ?? '')] ?? '').trim();
        return [field, text === '' ? null : NUMBERS.includes(field) ? Number(text.replace(',', '.')) : text];
      }),
    );
    const checked = priceSchema.safeParse(typed);
    if (!checked.success) return checked.error.issues.forEach((issue) => wrong(issue.path[0], issue.message));
    const flaws = flawsOf(checked.data, seen, row);
    flaws.forEach(({ field, text }) => wrong(field, text));
    if (flaws.length === 0) prices.push(checked.data);
  });
  if (prices.length === 0 && errors.length === 0) errors.push({ row: 2, column: '', text: 'The list has no rows.' });
  return { prices, errors };
}
