import { recordSchema } from '$core/proving/record';
import { recordedSchema } from '$lib/schemas/record';
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
];
