/** A value, or the names of the inputs it still wants: by the words the forms use. */
export type Answer<T> =
  { readonly value: T; readonly missing: readonly [] } | { readonly value: null; readonly missing: readonly string[] };

export const known = <T>(value: T): Answer<T> => ({ value, missing: [] });
export const lacking = <T = never>(...missing: readonly string[]): Answer<T> => ({ value: null, missing });

/** The value where every input is there; otherwise the names of those that are null, in the order given. */
export function given<T, I extends Readonly<Record<string, unknown>>>(
  inputs: I,
  compute: (known: { readonly [K in keyof I]: NonNullable<I[K]> }) => T,
): Answer<T> {
  const missing = Object.keys(inputs).filter((name) => inputs[name] === null || inputs[name] === undefined);
  return missing.length
    ? lacking(...missing)
    : known(compute(inputs as { readonly [K in keyof I]: NonNullable<I[K]> }));
}
