import { z } from 'zod';
import type { Check, LineElement } from './check';
import type { Flaw } from './integrity';
import type { Memo } from './memo';
import type { ListedRule } from './rule';

/** What a discipline of the work is: its part of the document, what may be done to it, what it computes and what it judges. */

/** Its keys of the document with their schemas; every one has a default, so that older files open. */
export type Shape = Readonly<Record<string, z.ZodType>>;
export type PartOf<P extends Shape> = { readonly [K in keyof P]: z.output<P[K]> };

/** One kind of change: its schema, what it does to base and own part, and how it is called. */
export interface Edit<D, K extends string, F extends z.ZodRawShape> {
  readonly kind: K;
  readonly schema: z.ZodObject<F & { kind: z.ZodLiteral<K> }>;
  readonly apply: (design: D, edit: z.output<z.ZodObject<F & { kind: z.ZodLiteral<K> }>>) => D;
  /** What it changes, in words that stand after "Undo" as well, as `the run of INV-03`; read off the design before it. */
  readonly what: (design: D, edit: z.output<z.ZodObject<F & { kind: z.ZodLiteral<K> }>>) => string;
}

/** `editOn<Design>()('kind', { field: schema }, words, (design, edit) => changed)`: the design's type is said, the fields are inferred. */
export const editOn =
  <D>() =>
  <const K extends string, F extends z.ZodRawShape>(
    kind: K,
    fields: F,
    what: Edit<D, K, F>['what'],
    apply: (design: D, edit: z.output<z.ZodObject<F & { kind: z.ZodLiteral<K> }>>) => D,
  ): Edit<D, K, F> => ({
    kind,
    schema: z.object({ ...fields, kind: z.literal(kind) }) as unknown as Edit<D, K, F>['schema'],
    what,
    apply,
  });

/** What the registry needs of an edit whose fields it does not know. */
export interface AnyEdit {
  readonly kind: string;
  readonly schema: z.ZodObject;
}

/** A calculation offered without a site, both schemas with it, so that API, bench and documents have one source. */
export interface Calculation<I extends z.ZodType = z.ZodType, O extends z.ZodType = z.ZodType> {
  readonly summary: string;
  /** It may take seconds: nobody waits for it while typing, and it is done in a thread of the server. */
  readonly long?: true;
  readonly input: I;
  readonly output: O;
  /** Throws RangeError, naming the field, on input that the schema lets pass and physics does not. */
  readonly run: (input: z.output<I>) => z.output<O>;
}
export const calculation = <I extends z.ZodType, O extends z.ZodType>(c: Calculation<I, O>): Calculation<I, O> => c;

export interface Discipline<B, H, N extends string, P extends Shape, E extends readonly AnyEdit[], R> {
  readonly name: N;
  /** What people call it: its stage goes by that name. */
  readonly title: string;
  /** Elements of the line that are worked on in it. */
  readonly elements: readonly LineElement[];
  readonly shape: P;
  readonly edits: E;
  /** Broken references and contradictions of its own part. */
  readonly integrity: (design: B & PartOf<P>) => readonly Flaw[];
  readonly onBase: H;
  /** What it computes once for rules, sheets, kit, programme and screens. */
  readonly results: (design: B & PartOf<P>, memo: Memo) => R;
  /** Its checks in blocks: a block that is the very same array as before is not summed up again. */
  readonly assess: (design: B & PartOf<P>, results: R, memo: Memo) => readonly (readonly Check[])[];
  readonly rules: readonly ListedRule[];
  /** Moves when a rule, a table or a formula of the discipline answers otherwise: what is stored of it is made again then. */
  readonly version: number;
}
