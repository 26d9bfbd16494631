import { putOnShelfSchema, shelfRequest, shelfSchema } from '$lib/schemas/shelf';
import type { Operation } from '../operation';

export const shelfOperations: readonly Operation[] = [
  { path: '/api/v1/shelf', method: 'get', summary: 'The company’s equipment', response: shelfSchema },
  {
    path: '/api/v1/shelf',
    method: 'post',
    summary: 'Put a data sheet on the Shelf, or change it there',
    request: shelfRequest,
    response: putOnShelfSchema,
    status: '201',
  },
];
