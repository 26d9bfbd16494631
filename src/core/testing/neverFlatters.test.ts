import { expect, it } from 'vitest';
import { z } from 'zod';
import { siteDesignSchema } from '../design';
import { randomDesign } from './randomDesign';
import { saidPaths, withAt } from './neverFlatters';

const schema = z.object({
  name: z.string(),
  heightM: z.number().nullable(),
  parts: z.array(
    z.object({ massKg: z.number().nullable().default(null), at: z.object({ xM: z.number() }).nullable() }),
  ),
});

it('finds every input that may be null and is said, through lists, parts and defaults', () => {
  const value = {
    name: 'n',
    heightM: 0,
    parts: [
      { massKg: 3, at: { xM: 1 } },
      { massKg: null, at: null },
    ],
  };
  expect(saidPaths(schema, value).map((p) => p.join('.'))).toEqual(['heightM', 'parts.0.massKg', 'parts.0.at']);
});

it('takes one input away and leaves the rest the very same', () => {
  const value = {
    a: [
      { b: 1, c: { d: 2 } },
      { b: 3, c: { d: 4 } },
    ],
  };
  const less = withAt(value, ['a', 1, 'c', 'd'], null);
  expect(less).toEqual({
    a: [
      { b: 1, c: { d: 2 } },
      { b: 3, c: { d: null } },
    ],
  });
  expect(less.a[0]).toBe(value.a[0]);
  expect(value.a[1]?.c.d).toBe(4);
});

it('random designs are ones the schema lets pass, the same for the same seed, and differ', () => {
  expect(randomDesign(5)).toEqual(randomDesign(5));
  expect(randomDesign(5)).not.toEqual(randomDesign(6));
  for (let seed = 1; seed <= 30; seed++) expect(siteDesignSchema.safeParse(randomDesign(seed)).success).toBe(true);
});
