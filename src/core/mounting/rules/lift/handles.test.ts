import { edges } from '../../../testing/edges';
import { hungUnit } from '../../../testing/subjects';
import { HANDLES } from './handles';

const of = (massKg: number | null, body = {}) => hungUnit({ type: { massKg }, body });
const two = [
  { xMm: 0, yMm: 330 },
  { xMm: 1000, yMm: 330 },
];

edges(HANDLES, () => ({
  // Four handles about the middle: two may come to carry all of it, half each. Two: their shares by the lever.
  holds: [of(50), of(49, { handles: two, centreXMm: 500 })],
  tight: [of(51), of(100), of(62.5, { handles: two, centreXMm: 800 })],
  stops: [of(101), of(63, { handles: two, centreXMm: 800 }), of(10, { handles: two, centreXMm: 1100 })],
  without: { 'mass, handles and centre of gravity of the unit': of(null) },
  numbers: [[of(84), { value: 42, limit: 50, margin: 16 }]],
  says: [
    [of(84), /^84 kg on 4 handles: 21\.0, 21\.0, 21\.0, 21\.0 kg$/, /^worst 42\.0 kg, at most 50 kg$/],
    [of(110), /./, /: more hands, a lift table or a hoist$/],
    [of(null), /^Missing: mass of T100$/],
    [of(80, { handles: [], centreYMm: null }), /^Missing: handles of T100, centre of gravity of T100$/],
  ],
}));
