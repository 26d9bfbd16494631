import type { ZodType } from 'zod';
import { z } from 'zod';
import { createDocument } from 'zod-openapi';
import type { ZodOpenApiPathsObject } from 'zod-openapi';
import { uuid } from '$core/kernel/schema';
import { problemSchema } from '$lib/schemas/problem';
import type { Operation } from './operation';
import { calculationOperations } from './operations/calculations';
import { fieldOperations } from './operations/field';
import { provingOperations } from './operations/proving';
import { shelfOperations } from './operations/shelf';
import { siteOperations } from './operations/sites';
import { stringOperations } from './operations/strings';

const OPERATIONS: readonly Operation[] = [
  ...calculationOperations,
  ...shelfOperations,
  ...siteOperations,
  ...stringOperations,
  ...provingOperations,
  ...fieldOperations,
];

const body = (schema: ZodType) => ({ content: { 'application/json': { schema } } });
const problem = (description: string) => ({
  description,
  content: { 'application/problem+json': { schema: problemSchema } },
});
const siteId = z.object({ id: uuid().meta({ description: 'Site id' }) });
const fileBody = (description: string) => ({
  content: { 'application/octet-stream': { schema: { type: 'string' as const, description } } },
});

function described(o: Operation) {
  const onSite = o.path.includes('{id}');
  return {
    summary: o.summary,
    ...(onSite ? { requestParams: { path: siteId, ...(o.query ? { query: o.query } : {}) } } : {}),
    ...(o.request ? { requestBody: body(o.request) } : o.file ? { requestBody: fileBody(o.file) } : {}),
    responses: {
      [o.status ?? '200']: { description: 'Done', ...body(o.response) },
      ...(o.request
        ? {
            '400': problem('The body is no JSON'),
            '415': problem('The body is not declared as JSON'),
            '422': problem('Refused, with a pointer to each field'),
          }
        : o.query
          ? { '422': problem('What was asked behind the path is not as expected') }
          : {}),
      ...(onSite
        ? { '404': problem('No such site'), ...(o.request ? { '409': problem('Changed meanwhile') } : {}) }
        : {}),
    },
  };
}

/** The API as an OpenAPI 3.1 document, generated from the schemas that guard it. */
export function openApi() {
  const paths: ZodOpenApiPathsObject = {};
  for (const o of OPERATIONS) paths[o.path] = { ...paths[o.path], [o.method]: described(o) };
  return createDocument({
    openapi: '3.1.0',
    info: {
      title: 'Bolt Yard',
      version: '1',
      description:
        'Planning, checking and proving commercial PV sites. Until accounts exist the server answers on the loopback address only.',
    },
    paths,
  });
}
