import { edges } from '../../../testing/edges';
import { hungUnit } from '../../../testing/subjects';
import { TOP } from './top';

const up = (yMm: number, topMostMm: number | null = 2000) => hungUnit({ at: { yMm }, wall: { topMostMm } });

edges(TOP, () => ({
  holds: [up(1340), up(1340, null)],
  tight: [up(1341, null), up(2340, null)],
  stops: [up(1341), up(2341, null)],
  without: { 'size and clearances of the unit': hungUnit({ body: { heightMm: null } }) },
  numbers: [[up(1140), { value: 1800, limit: 2000, margin: 10 }]],
  says: [
    [up(1140), /^1140 \+ 660 = 1800 mm; at most 2000 mm$/],
    [up(1400, null), /at most 3000 mm$/, /^over 2000 mm: a platform/],
  ],
}));
