import { z } from 'zod';

/** One input of a form, read off its schema: words, unit, kind and choices live in core alone. */
export interface Field {
  readonly path: string;
  readonly label: string;
  readonly unit: string;
  readonly kind: 'number' | 'text' | 'date' | 'choice' | 'yes-no' | 'list';
  readonly nullable: boolean;
  /** Holds more than a number or a word. */
  readonly wide?: boolean;
  readonly choices: readonly (string | number)[];
  /** Of a list: the fields of one of its rows. */
  readonly items: readonly Field[];
}

const titled = (path: string) => {
  const words = (path.split('.').at(-1) ?? path).replace(/([A-Z])/g, ' $1').toLowerCase();
  return words.charAt(0).toUpperCase() + words.slice(1);
};

function kindOf(schema: z.ZodType): Pick<Field, 'kind' | 'choices' | 'items'> {
  const none = { choices: [], items: [] };
  if (schema instanceof z.ZodArray && schema.element instanceof z.ZodObject)
    return {
      ...none,
      kind: 'list',
      items: fieldsOf(
        schema.element,
        Object.keys(schema.element.shape).filter((f) => f !== 'id'),
      ),
    };
  if (schema instanceof z.ZodNumber) return { ...none, kind: 'number' };
  if (schema instanceof z.ZodBoolean) return { ...none, kind: 'yes-no' };
  if (schema instanceof z.ZodEnum) return { ...none, kind: 'choice', choices: schema.options };
  if (schema instanceof z.ZodUnion)
    return { ...none, kind: 'choice', choices: schema.options.map((o) => (o as z.ZodLiteral<number>).value) };
  if (schema instanceof z.ZodISODate) return { ...none, kind: 'date' };
  return { ...none, kind: 'text' };
}

/** A row of a list with nothing typed yet, with an id of its own where rows have one. */
export const blankRow = (field: Field, id: string): Record<string, unknown> => ({
  id,
  ...Object.fromEntries(field.items.map((f) => [f.path, null])),
});

/** The fields of an object schema at the given paths (`bay.studM` reaches into a part). */
export function fieldsOf(schema: z.ZodObject, paths: readonly string[]): Field[] {
  return paths.map((path) => {
    let at: z.ZodType = schema;
    for (const key of path.split('.')) {
      while (at instanceof z.ZodDefault) at = at.unwrap() as z.ZodType;
      const next: unknown = at instanceof z.ZodObject ? at.shape[key] : undefined;
      if (!(next instanceof z.ZodType)) throw new RangeError(`path must name a field of the schema (got ${path})`);
      at = next;
    }
    let inner: z.ZodType = at;
    let meta: { unit?: string; description?: string; wide?: boolean } = { ...inner.meta() };
    let nullable = false;
    while (inner instanceof z.ZodDefault || inner instanceof z.ZodNullable) {
      nullable ||= inner instanceof z.ZodNullable;
      inner = inner.unwrap() as z.ZodType;
      meta = { ...inner.meta(), ...meta };
    }
    const { description: label = titled(path), unit = '', wide } = meta;
    return { path, label, unit, nullable, ...(wide ? { wide } : {}), ...kindOf(inner) };
  });
}
