import { keptSchema, newestYearSchema, weatherKeptSchema, weatherRequest, yearRequest } from '$lib/schemas/energy';
import { runListSchema, stringListSchema } from '$lib/schemas/site';
import type { Operation } from '../operation';

export const stringOperations: readonly Operation[] = [
  {
    path: '/api/v1/sites/{id}/weather',
    method: 'post',
    summary: 'Keep a weather year for a site, or take it away with null',
    request: weatherRequest,
    response: weatherKeptSchema,
  },
  {
    path: '/api/v1/sites/{id}/energy',
    method: 'get',
    summary: 'The newest year of energy on file',
    response: newestYearSchema,
  },
  {
    path: '/api/v1/sites/{id}/energy',
    method: 'post',
    summary: 'File a year of energy under the revision it was computed from',
    request: yearRequest,
    response: keptSchema,
  },
  {
    path: '/api/v1/sites/{id}/string-list',
    method: 'post',
    summary: 'Read a string list, CSV or XLSX, against the design; writes nothing',
    file: 'The file as it is, at most 8 MiB',
    response: stringListSchema,
  },
  {
    path: '/api/v1/sites/{id}/run-list',
    method: 'post',
    summary: 'Read a list of AC runs, CSV or XLSX, against the design; writes nothing',
    file: 'The file as it is, at most 8 MiB',
    response: runListSchema,
  },
];
