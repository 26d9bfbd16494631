import {
  cableStoreSchema,
  storeChangeSchema,
  pricesReadSchema,
  putOnShelfSchema,
  shelfRequest,
  shelfSchema,
} from '$lib/schemas/shelf';
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
  {
    path: '/api/v1/cable-store',
    method: 'post',
    summary: 'Take remainders of cable out of the store and put others in, all or nothing',
    request: storeChangeSchema,
    response: cableStoreSchema,
  },
  {
    path: '/api/v1/price-list',
    method: 'post',
    summary: 'Read a price list, CSV or XLSX; writes nothing',
    file: 'The file as it is, at most 8 MiB',
    response: pricesReadSchema,
  },
];
