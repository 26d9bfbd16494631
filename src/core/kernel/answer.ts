/** A value, or the names of the inputs it still wants: by the words the forms use. */
export type Answer<T> =
  { readonly value: T; readonly missing: readonly [] } | { readonly value: null; readonly missing: readonly string[] };

const NOTHING = Object.freeze([] as const);
export const known = <T>(value: T): Answer<T> => ({ value, missing: NOTHING });
export const lacking = <T = never>(...missing: readonly string[]): Answer<T> => ({ value: null, missing });

/** The value where every input is there; otherwise the names of those that are null, in the order given. */
export function given<T, I extends Readonly<Record<string, unknown>>>(
  inputs: I,
  compute: (known: { readonly [K in keyof I]: NonNullable<I[K]> }) => T,
): Answer<T> {
  let missing: string[] | null = null;
  for (const name in inputs) if (inputs[name] === null || inputs[name] === undefined) (missing ??= []).push(name);
  return missing ? { value: null, missing } : known(compute(inputs as { readonly [K in keyof I]: NonNullable<I[K]> }));
}
