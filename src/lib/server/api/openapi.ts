import type { ZodType } from 'zod';
import { z } from 'zod';
import { createDocument } from 'zod-openapi';
import { recordSchema } from '$core/proving/record';
import {
  assessmentSchema,
  createRequest,
  createResponse,
  editRequest,
  problemSchema,
  recordResponse,
  releaseRequest,
  releaseResponse,
  shelfPutResponse,
  shelfRequest,
  shelfResponse,
  storedResponse,
  stringListResponse,
  undoRequest,
} from '$lib/schemas/api';
import { keptResponse, newestYearResponse, weatherRequest, weatherResponse, yearRequest } from '$lib/schemas/energy';
import { projectFileSchema } from '$lib/schemas/projectFile';
import { CALCULATIONS } from './calculations';

const body = (schema: ZodType) => ({ content: { 'application/json': { schema } } });
const problem = (description: string) => ({
  description,
  content: { 'application/problem+json': { schema: problemSchema } },
});
const siteId = z.object({ id: z.uuid().meta({ description: 'Site id' }) });

interface Operation {
  readonly summary: string;
  readonly request?: ZodType;
  readonly response: ZodType;
  readonly status?: '200' | '201';
  readonly onSite?: boolean;
}

function operation(o: Operation) {
  return {
    summary: o.summary,
    ...(o.onSite ? { requestParams: { path: siteId } } : {}),
    ...(o.request ? { requestBody: body(o.request) } : {}),
    responses: {
      [o.status ?? '200']: { description: 'Done', ...body(o.response) },
      ...(o.request
        ? {
            '400': problem('The body is no JSON'),
            '415': problem('The body is not declared as JSON'),
            '422': problem('Refused, with a pointer to each field'),
          }
        : {}),
      ...(o.onSite
        ? { '404': problem('No such site'), ...(o.request ? { '409': problem('Changed meanwhile') } : {}) }
        : {}),
    },
  };
}

/** The API as an OpenAPI 3.1 document, generated from the schemas that guard it. */
export function openApi() {
  const calculations = Object.fromEntries(
    Object.entries(CALCULATIONS).map(([name, c]) => [
      `/api/v1/calculations/${name}`,
      { post: operation({ summary: c.summary, request: c.request, response: c.response }) },
    ]),
  );
  return createDocument({
    openapi: '3.1.0',
    info: {
      title: 'Bolt Yard',
      version: '1',
      description:
        'Planning, checking and proving commercial PV sites. Until accounts exist the server answers on the loopback address only.',
    },
    paths: {
      ...calculations,
      '/api/v1/shelf': {
        get: operation({ summary: 'The company’s equipment', response: shelfResponse }),
        post: operation({
          summary: 'Put a data sheet on the Shelf, or change it there',
          request: shelfRequest,
          response: shelfPutResponse,
          status: '201',
        }),
      },
      '/api/v1/sites': {
        post: operation({
          summary: 'A new, empty site',
          request: createRequest,
          response: createResponse,
          status: '201',
        }),
      },
      '/api/v1/projects': {
        post: operation({
          summary: 'Import a project file as a site of its own',
          request: projectFileSchema,
          response: createResponse,
          status: '201',
        }),
      },
      '/api/v1/sites/{id}/project': {
        get: operation({ summary: 'Export a site as a project file', response: projectFileSchema, onSite: true }),
      },
      '/api/v1/sites/{id}/assessment': {
        get: operation({ summary: 'Every check of a site', response: assessmentSchema, onSite: true }),
      },
      '/api/v1/sites/{id}/edits': {
        post: operation({
          summary: 'Change the design under its revision',
          request: editRequest,
          response: storedResponse,
          onSite: true,
        }),
      },
      '/api/v1/sites/{id}/weather': {
        post: operation({
          summary: 'Keep a weather year for a site, or take it away with null',
          request: weatherRequest,
          response: weatherResponse,
          onSite: true,
        }),
      },
      '/api/v1/sites/{id}/energy': {
        get: operation({ summary: 'The newest year of energy on file', response: newestYearResponse, onSite: true }),
        post: operation({
          summary: 'File a year of energy under the revision it was computed from',
          request: yearRequest,
          response: keptResponse,
          onSite: true,
        }),
      },
      '/api/v1/sites/{id}/string-list': {
        post: {
          ...operation({
            summary: 'Read a string list, CSV or XLSX, against the design; writes nothing',
            response: stringListResponse,
            onSite: true,
          }),
          requestBody: {
            content: {
              'application/octet-stream': {
                schema: { type: 'string', description: 'The file as it is, at most 8 MiB' },
              },
            },
          },
        },
      },
      '/api/v1/sites/{id}/undo': {
        post: operation({
          summary: 'Take the last change back',
          request: undoRequest,
          response: storedResponse,
          onSite: true,
        }),
      },
      '/api/v1/sites/{id}/releases': {
        post: operation({
          summary: 'Freeze the design under the next letter',
          request: releaseRequest,
          response: releaseResponse,
          status: '201',
          onSite: true,
        }),
      },
      '/api/v1/sites/{id}/records': {
        post: operation({
          summary: 'Add an entry to the record; sending it twice does not double it',
          request: recordSchema,
          response: recordResponse,
          status: '201',
          onSite: true,
        }),
      },
    },
  });
}
