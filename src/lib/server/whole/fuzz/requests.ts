import type { ValidateFunction } from 'ajv';
import { Ajv } from 'ajv';
import formats from 'ajv-formats';
import fc from 'fast-check';
import { broken, unkeepable } from './broken';
import type { JsonSchema } from './schemaSample';
import { Samples } from './schemaSample';

/** Requests that nobody should send, made from the document in which the API describes itself. */

export interface Sent {
  readonly method: string;
  readonly path: string;
  readonly headers: Readonly<Record<string, string>>;
  readonly body: string | Uint8Array;
  /** The body as a document, where it is one. */
  readonly document: unknown;
  /** It must be refused, whatever it is taken for. */
  readonly nonsense: boolean;
}

interface ApiDocument {
  readonly paths: Readonly<Record<string, Readonly<Record<string, Described>>>>;
  readonly components: { readonly schemas: Readonly<Record<string, JsonSchema>> };
}
interface Described {
  readonly parameters?: readonly { readonly name: string; readonly in: string }[];
  readonly requestBody?: { readonly content: Readonly<Record<string, { readonly schema: JsonSchema }>> };
}
interface Operation {
  readonly path: string;
  readonly method: string;
  readonly request: JsonSchema | null;
  /** Names of what stands behind the question mark. */
  readonly query: readonly string[];
}

const JSON_TYPE = 'application/json';
const asJson = { 'content-type': JSON_TYPE };
const NO_BODY = { headers: {}, body: '', document: undefined };

function operationsOf({ paths }: ApiDocument): Operation[] {
  return Object.entries(paths).flatMap(([path, methods]) =>
    Object.entries(methods).map(([method, { requestBody, parameters = [] }]) => ({
      path,
      method: method.toUpperCase(),
      request: requestBody?.content[JSON_TYPE]?.schema ?? null,
      query: parameters.filter((p) => p.in === 'query').map((p) => p.name),
    })),
  );
}

/** Tuples as the validator's draft of JSON Schema writes them. */
function older(_: string, value: unknown): unknown {
  if (typeof value !== 'object' || value === null || !('prefixItems' in value)) return value;
  const { prefixItems: items, ...rest } = value as { prefixItems: unknown[] };
  return { ...rest, items, additionalItems: false, minItems: items.length };
}

/** The reading of the document by a validator that is not ours. */
function validatorOf(api: ApiDocument): (schema: JsonSchema) => ValidateFunction {
  const ajv = new Ajv({ strict: false, allErrors: false });
  formats.default(ajv);
  ajv.addFormat('lowercase', /^[^A-Z]*$/);
  ajv.addSchema({ $id: 'api', components: JSON.parse(JSON.stringify(api.components), older) as object });
  return (schema) =>
    ajv.compile(
      JSON.parse(JSON.stringify(schema).replaceAll('"#/components', '"api#/components'), older) as JsonSchema,
    );
}

/** Bodies of an operation with something odd in them. */
function oddBodies(op: Operation, request: JsonSchema, path: string, samples: Samples, fits: ValidateFunction) {
  return broken(samples.of(request)).map((document): Sent => {
    const body = JSON.stringify(document);
    const read: unknown = JSON.parse(body);
    const nonsense = !fits(read) || unkeepable(read);
    return { method: op.method, path, headers: asJson, body, document: read, nonsense };
  });
}

/** What is no document at all, or not said to be one. */
const noDocument = (op: Operation, path: string): fc.Arbitrary<Sent> =>
  fc
    .oneof(
      fc.constantFrom(
        '',
        '{',
        '{"revision":1,}',
        'null',
        'NaN',
        '{"a":"\\u00',
        '['.repeat(100_000),
        '{"a":'.repeat(40_000),
      ),
      fc.uint8Array({ minLength: 1, maxLength: 300 }).map((b) => new Uint8Array([0xff, ...b])),
      fc.string({ maxLength: 80 }).map((s) => `{${s}`),
    )
    .chain((body) =>
      fc
        .constantFrom(
          JSON_TYPE,
          `${JSON_TYPE}; charset=utf-8`,
          'text/plain',
          'application/xml',
          'application/jsonp',
          '',
        )
        .map((type): Sent => ({
          method: op.method,
          path,
          headers: type ? { 'content-type': type } : ({} as Record<string, string>),
          body,
          document: undefined,
          nonsense: true,
        })),
    );

const FOREIGN_IDS = ['0', 'null', '..%2f..', '%00', '%ff', 'x'.repeat(3000), '01969a00-1000-7000-8000-00000000000g'];

/** Addresses that are none, methods that are not taken, pages that may not write. */
function wrongDoors(operations: readonly Operation[], siteId: string): fc.Arbitrary<Sent> {
  const op = fc.constantFrom(...operations);
  const at = (path: string, id = siteId) => path.replace('{id}', id);
  const bad = (over: Partial<Sent>): Sent => ({ method: 'GET', path: '/', ...NO_BODY, nonsense: true, ...over });
  const withId = operations.filter((o) => o.path.includes('{id}'));
  const asking = operations.flatMap((o) => o.query.map((name) => ({ ...o, name })));
  const ids = fc.oneof(fc.constantFrom(...FOREIGN_IDS, siteId.toUpperCase(), `${siteId} `), fc.uuid(), fc.webSegment());
  return fc.oneof(
    fc.tuple(fc.constantFrom(...withId), ids).map(([o, id]) => {
      const path = at(o.path, id.includes('%') ? id : encodeURIComponent(id || 'x'));
      return o.method === 'GET'
        ? bad({ path })
        : bad({ method: o.method, path, headers: asJson, body: '{}', document: {} });
    }),
    fc
      .tuple(op, fc.constantFrom('PUT', 'DELETE', 'PATCH', 'OPTIONS', 'PROPFIND'))
      .map(([o, method]) => bad({ method, path: at(o.path) })),
    fc.webSegment().map((s) => bad({ path: `/api/v1/${encodeURIComponent(s)}zz` })),
    fc
      .tuple(op, fc.constantFrom('http://elsewhere.example', 'null', 'file://'))
      .map(([o, origin]) =>
        bad({ method: 'POST', path: at(o.path), headers: { ...asJson, origin }, body: '{}', document: {} }),
      ),
    fc
      .tuple(fc.constantFrom(...asking), fc.constantFrom('-1', '1.5', 'x', 'NaN', '1e99', '%00', '[]'))
      .map(([o, value]) => bad({ path: `${at(o.path)}?${o.name}=${value}` })),
    op.map((o) => bad({ path: at(o.path), headers: { host: 'elsewhere.example' } })),
  );
}

/** Files that are no list of strings: bytes, halves of spreadsheets, tables of something else. */
const noLists = (siteId: string): fc.Arbitrary<Sent> =>
  fc
    .oneof(
      fc.uint8Array({ maxLength: 400 }),
      fc.uint8Array({ maxLength: 400 }).map((b) => new Uint8Array([0x50, 0x4b, 3, 4, ...b])),
      fc
        .array(fc.array(fc.string({ maxLength: 8 }), { maxLength: 9 }), { maxLength: 9 })
        .map((rows) => rows.join('\n')),
    )
    .map((body) => ({
      method: 'POST',
      path: `/api/v1/sites/${siteId}/string-list`,
      headers: { 'content-type': 'application/octet-stream' },
      body,
      document: undefined,
      nonsense: true,
    }));

/** Bad requests of every sort against an API as it describes itself. */
export function badRequests(api: unknown, siteId: string): fc.Arbitrary<Sent> {
  const document = api as ApiDocument;
  const operations = operationsOf(document);
  const samples = new Samples(document.components.schemas);
  const validator = validatorOf(document);
  const bodies = operations.flatMap((op) => {
    if (!op.request) return [];
    const path = op.path.replace('{id}', siteId);
    return [
      { weight: 10, arbitrary: oddBodies(op, op.request, path, samples, validator(op.request)) },
      { weight: 2, arbitrary: noDocument(op, path) },
    ];
  });
  return fc.oneof(
    ...bodies,
    { weight: 30, arbitrary: wrongDoors(operations, siteId) },
    { weight: 5, arbitrary: noLists(siteId) },
  );
}
