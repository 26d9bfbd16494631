import { edges } from '../../../testing/edges';
import { boardLoad } from '../../../testing/boards';
import { MAIN_ON_BUSBAR } from './mainOnBusbar';

const board = (mainBreakerA: number | null, busbarA: number | null) => boardLoad(4, { mainBreakerA, busbarA });

edges(MAIN_ON_BUSBAR, () => ({
  holds: [board(800, 800), board(630, 800)],
  stops: [board(800, 799), board(1600, 800)],
  without: { 'main breaker': board(null, 800), 'busbar rating': board(800, null) },
  numbers: [[board(630, 800), { value: 630, limit: 800 }]],
}));
