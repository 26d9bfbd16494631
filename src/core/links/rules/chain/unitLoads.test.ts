import { chainOf } from '../../../testing/chains';
import { edges } from '../../../testing/edges';
import { UNIT_LOADS } from './unitLoads';

const loads = (each: number) => chainOf(8, () => ({ unitLoads: each }));

edges(UNIT_LOADS, () => ({
  holds: [loads(4), loads(0.125)],
  stops: [loads(4.01)],
  without: {
    'unit loads of every device': { ...loads(1), unitLoads: { value: null, missing: ['unit loads of LOG'] } },
  },
  numbers: [[loads(1), { value: 8, limit: 32, margin: 75 }]],
}));
