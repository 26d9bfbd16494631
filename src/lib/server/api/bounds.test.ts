import { expect, it } from 'vitest';
import type { JsonSchema } from '../whole/fuzz/schemaSample';
import { openApi } from './openapi';

interface Described {
  readonly requestBody?: { readonly content: Readonly<Record<string, { readonly schema: JsonSchema }>> };
}
const { paths = {}, components } = openApi() as unknown as {
  readonly paths?: Readonly<Record<string, Readonly<Record<string, Described>>>>;
  readonly components?: { readonly schemas?: Readonly<Record<string, JsonSchema>> };
};

/** Whether a pattern ends: from start to end, and no part of it as often as one likes. */
const ends = (pattern = '.*') => /^\^.*\$$/.test(pattern) && !/[*+]|\{\d+,\}/.test(pattern);

/** Lists and texts below a schema that may be of any length, by the way to them. */
function unbounded(schema: JsonSchema, at: string, seen: Set<string>): string[] {
  if (schema.$ref) {
    const name = schema.$ref.split('/').at(-1) ?? '';
    const named = components?.schemas?.[name];
    if (seen.has(name) || !named) return [];
    return unbounded(named, name, seen.add(name));
  }
  const own: string[] = [];
  if (schema.type === 'array' && schema.maxItems === undefined && !schema.prefixItems) own.push(`${at}: a list`);
  const isShort =
    schema.maxLength !== undefined ||
    schema.format ||
    schema.enum ||
    schema.const !== undefined ||
    ends(schema.pattern);
  if (schema.type === 'string' && !isShort) own.push(`${at}: a text`);
  const below = [
    ...Object.entries(schema.properties ?? {}),
    ...[schema.items, ...(schema.prefixItems ?? [])].flatMap((s) => (s ? [['[]', s] as const] : [])),
    ...[...(schema.anyOf ?? []), ...(schema.oneOf ?? []), ...(schema.allOf ?? [])].map((s) => ['', s] as const),
  ];
  return [...own, ...below.flatMap(([name, s]) => unbounded(s, name ? `${at}/${name}` : at, seen))];
}

it('whatever comes in has a most: every list of items, every text of characters', () => {
  const seen = new Set<string>();
  const found = Object.entries(paths).flatMap(([path, methods]) =>
    Object.entries(methods).flatMap(([method, { requestBody }]) =>
      // Files are counted as they come.
      unbounded(requestBody?.content['application/json']?.schema ?? {}, `${method} ${path}`, seen),
    ),
  );
  expect(seen.size).toBeGreaterThan(5);
  expect(found).toEqual([]);
});
