import { expect, it } from 'vitest';
import { emptyDesign } from '.';
import { isNewer, openDesign, upgraded } from './edition';

it('a document without the parts that came later opens with them blank', () => {
  const { strings: _s, dcCable: _c, locks: _l, energy: _e, runs: _r, chain: _h, ...base } = emptyDesign('old');
  expect(openDesign(base)).toEqual(emptyDesign('old'));
});

it('upgrades go through every edition in between, and a newer one is told', () => {
  const chain = [
    (d: Readonly<Record<string, unknown>>) => ({ ...d, a: 1 }),
    (d: Readonly<Record<string, unknown>>) => ({ ...d, b: Number(d.a) + 1 }),
  ];
  expect(upgraded({ schema: 1 }, chain)).toEqual({ schema: 3, a: 1, b: 2 });
  expect(upgraded({ schema: 2, a: 5 }, chain)).toEqual({ schema: 3, a: 5, b: 6 });
  expect(upgraded({ schema: 3 }, chain)).toEqual({ schema: 3 });
  expect([upgraded(null), upgraded('x'), upgraded({ schema: 'x' })]).toEqual([null, 'x', { schema: 'x' }]);
  expect([isNewer({ schema: 2 }), isNewer({ schema: 1 }), isNewer(null)]).toEqual([true, false, false]);
});
