import { chainOf } from '../../../testing/chains';
import { edges } from '../../../testing/edges';
import { DEVICES } from './devices';

edges(DEVICES, () => ({
  holds: [chainOf(2), chainOf(32)],
  stops: [chainOf(33)],
  without: {},
  numbers: [[chainOf(33), { value: 33, limit: 32 }]],
  says: [[chainOf(33), /^33 devices, 32 without a repeater$/]],
}));
