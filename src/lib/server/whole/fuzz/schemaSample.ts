import fc from 'fast-check';

/** Values that fit a JSON Schema as the API's own document writes it: enough of the language for that document, and no more. */

export interface JsonSchema {
  readonly $ref?: string;
  readonly type?: string | readonly string[];
  readonly const?: unknown;
  readonly enum?: readonly unknown[];
  readonly anyOf?: readonly JsonSchema[];
  readonly oneOf?: readonly JsonSchema[];
  readonly allOf?: readonly JsonSchema[];
  readonly properties?: Readonly<Record<string, JsonSchema>>;
  readonly required?: readonly string[];
  readonly additionalProperties?: boolean | JsonSchema;
  readonly items?: JsonSchema;
  readonly prefixItems?: readonly JsonSchema[];
  readonly minItems?: number;
  readonly maxItems?: number;
  readonly minimum?: number;
  readonly maximum?: number;
  readonly exclusiveMinimum?: number;
  readonly exclusiveMaximum?: number;
  readonly minLength?: number;
  readonly maxLength?: number;
  readonly pattern?: string;
  readonly format?: string;
}

const OF_FORMAT: Readonly<Record<string, string>> = {
  'date-time': '2026-05-04T10:15:00+02:00',
  date: '2026-05-04',
  uuid: '01969a00-0000-7000-8000-0000000000f1',
};

/** The longest list that a sample holds where its schema leaves the length open. */
const LIST_MOST = 2;

export class Samples {
  readonly #made = new Map<string, fc.Arbitrary<unknown>>();

  constructor(private readonly components: Readonly<Record<string, JsonSchema>>) {}

  of(schema: JsonSchema): fc.Arbitrary<unknown> {
    if (schema.$ref) return this.#named(schema.$ref.split('/').at(-1) ?? '');
    if ('const' in schema) return fc.constant(schema.const);
    if (schema.enum) return fc.constantFrom(...schema.enum);
    const choices = schema.anyOf ?? schema.oneOf;
    if (choices) return fc.oneof(...choices.map((c) => this.of(c)));
    if (schema.allOf?.[0]) return this.of(schema.allOf[0]);
    const type = Array.isArray(schema.type) ? schema.type : [schema.type];
    return fc.oneof(...type.map((t) => this.#ofType(t as string | undefined, schema)));
  }

  #named(name: string): fc.Arbitrary<unknown> {
    const known = this.#made.get(name);
    if (known) return known;
    const schema = this.components[name];
    if (!schema) throw new Error(`the document names ${name} and does not say what it is`);
    const made = this.of(schema);
    this.#made.set(name, made);
    return made;
  }

  #ofType(type: string | undefined, s: JsonSchema): fc.Arbitrary<unknown> {
    if (type === 'null') return fc.constant(null);
    if (type === 'boolean') return fc.boolean();
    if (type === 'integer' || type === 'number') return numberOf(type, s);
    if (type === 'string') return textOf(s);
    if (type === 'array') return this.#list(s);
    if (type === 'object') return this.#object(s);
    return fc.jsonValue();
  }

  #list(s: JsonSchema): fc.Arbitrary<unknown> {
    if (s.prefixItems) return fc.tuple(...s.prefixItems.map((i) => this.of(i)));
    const minLength = s.minItems ?? 0;
    const maxLength = Math.max(minLength, Math.min(s.maxItems ?? LIST_MOST, LIST_MOST));
    return fc.array(this.of(s.items ?? {}), { minLength, maxLength });
  }

  #object(s: JsonSchema): fc.Arbitrary<unknown> {
    const own = Object.entries(s.properties ?? {}).map(([key, value]) => [key, this.of(value)] as const);
    return fc.record(Object.fromEntries(own), { requiredKeys: [...(s.required ?? [])] });
  }
}

function numberOf(type: string, s: JsonSchema): fc.Arbitrary<unknown> {
  const min = s.minimum ?? s.exclusiveMinimum ?? -1000;
  const max = Math.max(min, s.maximum ?? s.exclusiveMaximum ?? 1000);
  if (type === 'integer')
    return fc.integer({ min: Math.ceil(Math.max(min, -1e9)), max: Math.floor(Math.min(max, 1e9)) });
  return fc.oneof(fc.constantFrom(min, max), fc.double({ min, max, noNaN: true }));
}

function textOf(s: JsonSchema): fc.Arbitrary<unknown> {
  const known = OF_FORMAT[s.format ?? ''];
  if (known) return fc.constant(known);
  if (s.pattern) return fc.stringMatching(new RegExp(s.pattern), { size: 'small' });
  const minLength = s.minLength ?? 0;
  return fc.string({ minLength, maxLength: Math.max(minLength, Math.min(s.maxLength ?? 20, 20)) });
}
