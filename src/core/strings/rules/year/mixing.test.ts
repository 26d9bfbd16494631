import { edges } from '../../../testing/edges';
import { MIXING } from './mixing';

const mix = (lossPercent: number | null, modules = 17) => ({
  lossPercent,
  parts: [
    { planeId: 'a', modules: 17 },
    { planeId: 'b', modules },
  ] as const,
});

edges(MIXING, () => ({
  holds: [mix(0.5), mix(0)],
  tight: [mix(0.501), mix(2)],
  stops: [mix(2.001), mix(0.1, 16)],
  without: { 'a year of energy': mix(null) },
  numbers: [[mix(1), { value: 1, limit: 2, margin: 50 }]],
  says: [[mix(0.1, 16), /./, /Unequal lengths/]],
}));
