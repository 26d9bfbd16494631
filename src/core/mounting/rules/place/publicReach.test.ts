import { edges } from '../../../testing/edges';
import { hungUnit } from '../../../testing/subjects';
import { PUBLIC_REACH } from './publicReach';

const up = (yMm: number, publicReach: boolean | null) => hungUnit({ at: { yMm }, wall: { publicReach } });

edges(PUBLIC_REACH, () => ({
  holds: [up(600, false), up(2500, true)],
  stops: [up(2499, true)],
  without: { 'whether the public reaches the wall': up(600, null) },
  numbers: [[up(2750, true), { value: 2750, limit: 2500, margin: 10 }]],
  says: [
    [up(600, false), /^the public does not get there$/],
    [up(600, true), /^lower edge 600 mm; without a fence 2500 mm$/],
  ],
}));
