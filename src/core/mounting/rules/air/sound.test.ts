import { edges } from '../../../testing/edges';
import { hungUnit } from '../../../testing/subjects';
import { SOUND } from './sound';

const near = (neighbourM: number | null, soundLimitDb: number | null = 50, over: Parameters<typeof hungUnit>[0] = {}) =>
  hungUnit({ ...over, wall: { neighbourM, soundLimitDb } });
const two = [{ xMm: 3000 }, { xMm: 5000 }];

edges(SOUND, () => ({
  // One of 65 dB(A) at 1 m is 45 at 10 m; three are 49.77 there.
  holds: [near(0, null), near(10, 48), near(10, 52.8, { others: two })],
  tight: [near(10, 47.9), near(10, 45), near(10, 50, { others: two })],
  stops: [near(10, 44.9), near(10, 49.7, { others: two })],
  without: { 'distance to the nearest neighbour': near(null) },
  numbers: [
    [near(10, 60), { value: 45, limit: 60, margin: 25 }],
    [near(10, 60, { others: two }), { value: 49.7712125 }],
  ],
  says: [
    [near(0), /^no neighbour near$/],
    [near(10, 60, { others: two }), /^3 units of this wall alone at 10 m: 49\.8 dB\(A\), limit 60 dB\(A\)$/],
    [near(10, 46), /./, /^within 3 dB of the limit/],
    [
      near(null, null, { body: { soundDb: null } }),
      /^Missing: distance to the nearest neighbour, sound limit of the local rule, sound of T100$/,
    ],
    [near(10, 50, { others: [{ body: { soundDb: null } }] }), /^Missing: sound of T100$/],
  ],
}));
