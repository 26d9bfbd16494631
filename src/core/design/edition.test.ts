import { describe, expect, it } from 'vitest';
import { emptyDesign } from '.';
import { isNewer, openDesign, upgraded } from './edition';
import { toEdition2 } from './upgrades/toEdition2';

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
  expect([isNewer({ schema: 3 }), isNewer({ schema: 2 }), isNewer(null)]).toEqual([true, false, false]);
});

describe('edition 1 opens in edition 2', () => {
  const place = { inverterId: 'inv-1', tracker: 1, input: 1, branch: 1 };
  const string = (id: string, over: object) => ({
    id,
    number: 1,
    planeId: 'p',
    modules: 17,
    place,
    start: null,
    lengthM: null,
    ...over,
  });
  const old = {
    schema: 1,
    strings: [string('a', { lengthM: 40 }), string('b', { lengthM: 41, place: null }), string('c', {})],
    locks: [
      { kind: 'string', stringId: 'a', built: true },
      { kind: 'string', stringId: 'gone', built: true },
      { kind: 'use-all' },
    ],
    chain: {
      bitRate: 9600,
      devices: [
        { id: 'x', hopM: null },
        { id: 'y', hopM: 12 },
        { id: 'z', hopM: null },
      ],
    },
  };
  const now = upgraded(old) as { schema: number; strings: object[]; locks: object[]; chain: { devices: object[] } };

  it('a measured home run belongs to the inverter its string hung on, and to none where it hung on nothing', () => {
    expect(now.schema).toBe(2);
    expect(now.strings.map((s) => (s as { lengthToId: unknown }).lengthToId)).toEqual(['inv-1', null, null]);
  });
  it('a lock remembers its string as the document has it', () => {
    expect(now.locks).toEqual([
      { kind: 'string', stringId: 'a', built: true, kept: { number: 1, planeId: 'p', modules: 17, place } },
      { kind: 'string', stringId: 'gone', built: true },
      { kind: 'use-all' },
    ]);
  });
  it('a measured hop belongs to the device that stood before', () => {
    expect(now.chain.devices.map((d) => (d as { hopFromId: unknown }).hopFromId)).toEqual([null, 'x', null]);
  });
  it('what is no document, or broken, is handed on for the schema to refuse', () => {
    expect(toEdition2({ strings: 'none', locks: [7], chain: { devices: [null] } })).toEqual({
      strings: 'none',
      locks: [7],
      chain: { devices: [null] },
    });
  });
});
