import { edges } from '../../../testing/edges';
import { boardLoad, withoutRuns } from '../../../testing/boards';
import { BUSBAR } from './busbar';

edges(BUSBAR, () => ({
  holds: [boardLoad(4, { busbarA: 640 }), boardLoad(1, { busbarA: 800 })],
  stops: [boardLoad(4, { busbarA: 639 }), boardLoad(5, { busbarA: 799 })],
  without: { inverters: boardLoad(0, { busbarA: 800 }), 'busbar rating': boardLoad(4, { busbarA: null }) },
  // A unit whose run nobody drew feeds the board all the same.
  numbers: [
    [withoutRuns(4, { busbarA: 800 }), { value: 640 }],
    [boardLoad(4, { busbarA: 800 }), { value: 640, limit: 800, margin: 20 }],
  ],
}));
