import { edges } from '../../../testing/edges';
import { hungUnit } from '../../../testing/subjects';
import { FLOOR } from './floor';

const up = (yMm: number, wall = {}) => hungUnit({ at: { yMm }, wall });

edges(FLOOR, () => ({
  // The class to 125 kW asks for 600 mm where the wall says nothing.
  holds: [up(600), up(600, { floorMinMm: null }), up(950, { waterMarkMm: 800 })],
  stops: [up(599), up(599, { floorMinMm: null }), up(949, { waterMarkMm: 800 })],
  without: {
    'lowest lower edge': hungUnit({ wall: { floorMinMm: null }, type: { ratedW: 300_000 } }),
    'flood or snow mark of the wall': up(700, { waterMarkMm: null }),
  },
  numbers: [
    [up(660), { value: 660, limit: 600, margin: 10 }],
    [up(1000, { waterMarkMm: 800 }), { limit: 950 }],
  ],
  says: [
    [up(700), /^lower edge 700 mm; floor asks for 600 mm$/, /^no flood or snow mark$/],
    [up(700, { waterMarkMm: 100 }), /./, /^mark 100 mm \+ 150 mm = 250 mm$/],
  ],
}));
