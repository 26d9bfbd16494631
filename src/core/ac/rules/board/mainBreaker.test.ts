import { edges } from '../../../testing/edges';
import { boardLoad } from '../../../testing/boards';
import { MAIN_BREAKER } from './mainBreaker';

const main = (mainBreakerA: number | null, mainAmbientC: number | null = 45) =>
  boardLoad(4, { mainBreakerA, mainAmbientC });

edges(MAIN_BREAKER, () => ({
  holds: [main(640 / 0.97), main(640, 40), main(800)],
  stops: [main(659.7), main(639.9, 40)],
  without: {
    inverters: boardLoad(0, { mainBreakerA: 800, mainAmbientC: 45 }),
    'main breaker': main(null),
    'ambient at the main breaker': main(800, null),
  },
  numbers: [
    [main(800), { value: 800, limit: 640 / 0.97 }],
    // Up to 125 A a main may be a miniature breaker, calibrated at 30 °C (IEC 60898-1, recalled; 0.6 %/K common practice).
    [main(125), { value: 125, limit: 640 / 0.91 }],
    [main(126), { value: 126, limit: 640 / 0.97 }],
  ],
}));
