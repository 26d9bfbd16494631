import { recordSchema } from '$core/proving/kinds';
import {
  chainReportSchema,
  clockSchema,
  costSchema,
  recordSinceSchema,
  recordedSchema,
  siteLogSchema,
} from '$lib/schemas/record';
import { sitesToSwitchOffSchema, switchOffSchema } from '$lib/schemas/site';
import type { Operation } from '../operation';

export const provingOperations: readonly Operation[] = [
  {
    path: '/api/v1/sites/{id}/records',
    method: 'post',
    summary: 'Add an entry to the record; sending it twice does not double it',
    request: recordSchema,
    response: recordedSchema,
    status: '201',
  },
  {
    path: '/api/v1/sites/{id}/records',
    method: 'get',
    summary:
      'Releases and entries of a site, from which everything it proves follows; of a record known in part, what came since',
    query: recordSinceSchema,
    response: siteLogSchema,
  },
  {
    path: '/api/v1/sites/{id}/records/chain',
    method: 'get',
    summary: 'Whether the entries are as they were written, along their chain of hashes',
    response: chainReportSchema,
  },
  {
    path: '/api/v1/sites/{id}/releases/cost',
    method: 'get',
    summary: 'Proofs that a release of the design as it stands would cost',
    response: costSchema,
  },
  {
    path: '/api/v1/sites/{id}/switch-off',
    method: 'get',
    summary: 'Units that run without their proofs: to be switched off until proved',
    response: switchOffSchema,
  },
  {
    path: '/api/v1/switch-off',
    method: 'get',
    summary: 'Sites on which units run without their proofs, with how many',
    response: sitesToSwitchOffSchema,
  },
  { path: '/api/v1/clock', method: 'get', summary: 'The clock that entries are timed by', response: clockSchema },
];
