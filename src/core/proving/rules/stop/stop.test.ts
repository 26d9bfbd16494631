import { edges } from '../../../testing/edges';
import type { StopReading } from './stop';
import { STOP_TEST } from './stop';

const test = (over: Partial<StopReading> = {}): StopReading => ({
  secondsToZero: 5,
  statedS: 5,
  leftPercent: 0.99,
  restarted: false,
  waitedAgainS: 60,
  delayS: 60,
  ...over,
});

edges(STOP_TEST, () => ({
  holds: [test(), test({ secondsToZero: 0.4 })],
  stops: [
    test({ secondsToZero: 5.01 }),
    test({ leftPercent: 1 }),
    test({ restarted: true }),
    test({ waitedAgainS: 59 }),
  ],
  without: { 'waiting time of the grid code': test({ delayS: null }) },
  numbers: [[test({ secondsToZero: 1 }), { value: 1, limit: 5, margin: 80 }]],
  says: [
    [test(), /0.99 % of the rating left after 5 s of 5 s/],
    [
      test({ leftPercent: 4, restarted: true, waitedAgainS: 3 }),
      /./,
      /power is left/,
      /came back/,
      /3 s after the reset, not 60 s/,
    ],
  ],
}));
