import { edges } from '../../../testing/edges';
import { receivedBox } from '../../../testing/receivedBoxes';
import { BOX_COMPLETE } from './complete';

const caps = (got: number, damaged = 0) =>
  receivedBox({
    items: [
      { item: 'bracket', got: 1, damaged: 0 },
      { item: 'cap', got, damaged },
    ],
  });

edges(BOX_COMPLETE, () => ({
  holds: [caps(8), caps(9), caps(9, 1)],
  stops: [caps(7), caps(8, 1), caps(0)],
  without: {
    'packing list': receivedBox({ packing: [] }),
    // Two of three: what was not counted is missing whatever else was.
    'every thing on it counted': receivedBox({
      packing: ['bracket', 'cap', 'plug'].map((item) => ({ item, perUnit: 1 })),
      items: ['bracket', 'cap'].map((item) => ({ item, got: 1, damaged: 0 })),
    }),
  },
  numbers: [
    [caps(5, 1), { value: 4, limit: 0 }],
    [caps(8), { value: 0 }],
  ],
  says: [
    [caps(5), /^cap: 5 of 8 whole, 3 short$/],
    [caps(8), /^2 things counted, none short$/],
    // Each by its name: what was counted is not asked for again.
    [
      receivedBox({
        packing: ['bracket', 'cap', 'plug', 'key'].map((item) => ({ item, perUnit: 1 })),
        items: ['bracket', 'cap'].map((item) => ({ item, got: 1, damaged: 0 })),
      }),
      /count of plug, count of key$/,
    ],
  ],
}));
