/** What makes a document no document: keys that stand twice, references to nothing. */

export interface Flaw {
  readonly path: readonly (string | number)[];
  readonly message: string;
}

interface Keyed<T> {
  readonly items: readonly T[];
  /** Where the list stands in the document: `chain.devices`. */
  readonly list: string;
  readonly field: string;
  readonly key: (item: T) => string | null | undefined;
  readonly what: string;
}

const at = (list: string, index: number, field: string) => [...list.split('.'), index, field];

/** Keys that stand twice; null is no key. */
export function repeated<T>({ items, list, field, key, what }: Keyed<T>): Flaw[] {
  const seen = new Set<string>();
  return items.flatMap((item, index) => {
    const value = key(item) ?? null;
    if (value === null) return [];
    if (seen.has(value)) return [{ path: at(list, index, field), message: `${what} ${value} is used twice.` }];
    seen.add(value);
    return [];
  });
}

/** References to parts that are not there; null refers to nothing on purpose. */
export function dangling<T>(
  { items, list, field, key, what }: Keyed<T>,
  parts: readonly { readonly id: string }[],
): Flaw[] {
  const known = new Set(parts.map((p) => p.id));
  return items.flatMap((item, index) => {
    const id = key(item) ?? null;
    return id === null || known.has(id)
      ? []
      : [{ path: at(list, index, field), message: `There is no ${what} ${id}.` }];
  });
}
