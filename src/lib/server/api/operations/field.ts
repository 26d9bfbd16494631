import {
  addressAnswer,
  addressRequest,
  scanLine,
  scanRequest,
  setUpAnswer,
  setUpRequest,
  unitAnswer,
  unitRequest,
} from '$lib/schemas/field';
import { fleetViewSchema, orderSchema } from '$lib/schemas/standIns/steering';
import type { Operation } from '../operation';

export const fieldOperations: readonly Operation[] = [
  {
    path: '/api/v1/stand-ins',
    method: 'get',
    summary: 'The fleet of simulated units: no real devices',
    response: fleetViewSchema,
  },
  {
    path: '/api/v1/stand-ins',
    method: 'post',
    summary: 'Set the fleet up, put faults on a bus, start a gateway again',
    request: orderSchema,
    response: fleetViewSchema,
  },
  {
    path: '/api/v1/sites/{id}/bus-scan',
    method: 'post',
    summary: 'Scan a bus of stand-ins against the plan of the site; answers a line of JSON as each address is asked',
    request: scanRequest,
    response: scanLine,
  },
  {
    path: '/api/v1/sites/{id}/bus-address',
    method: 'post',
    summary: 'Give one unit another address, read back by its serial',
    request: addressRequest,
    response: addressAnswer,
  },
  {
    path: '/api/v1/sites/{id}/bus-unit',
    method: 'post',
    summary: 'Ask one unit who it is and how it is set up',
    request: unitRequest,
    response: unitAnswer,
  },
  {
    path: '/api/v1/sites/{id}/bus-set-up',
    method: 'post',
    summary: 'Set clock and grid code of one unit, read back',
    request: setUpRequest,
    response: setUpAnswer,
  },
];
