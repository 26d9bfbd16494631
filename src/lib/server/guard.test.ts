import { expect, it } from 'vitest';
import { refusedAtDoor } from './guard';

const request = (headers: Readonly<Record<string, string>>, method = 'POST') => {
  const made = new Request('http://127.0.0.1:4173/api/v1/sites', { method });
  return { method: made.method, headers: new Headers({ host: '127.0.0.1:4173', ...headers }) } as Request;
};
const status = (headers: Readonly<Record<string, string>>, method?: string) =>
  refusedAtDoor(request(headers, method))?.status ?? null;

it('answers this machine by its own names, and nobody else’s', () => {
  for (const host of ['127.0.0.1:4173', 'localhost:4173', 'localhost', '[::1]:4173'])
    expect(status({ host })).toBeNull();
  for (const host of ['yard.example:4173', '127.0.0.1.example', '']) expect(status({ host }, 'GET')).toBe(421);
});
it('takes writes from its own pages and from programs, and from no page of another site', () => {
  expect(status({})).toBeNull();
  expect(status({ origin: 'http://127.0.0.1:4173' })).toBeNull();
  for (const origin of ['http://elsewhere.example', 'http://127.0.0.1:8080', 'http://localhost:4173', 'null', ''])
    for (const method of ['POST', 'PUT', 'PATCH', 'DELETE'])
      expect([origin, status({ origin }, method)]).toEqual([origin, 403]);
  for (const method of ['GET', 'HEAD', 'OPTIONS'])
    expect(status({ origin: 'http://elsewhere.example' }, method)).toBeNull();
});
