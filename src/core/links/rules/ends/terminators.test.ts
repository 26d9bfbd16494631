import { chainOf } from '../../../testing/chains';
import { edges } from '../../../testing/edges';
import { TERMINATORS } from './terminators';

const on = (...at: number[]) => chainOf(4, (_, i) => ({ terminated: at.includes(i) }));

edges(TERMINATORS, () => ({
  holds: [on(0, 3), chainOf(2)],
  stops: [on(0), on(3), on(), on(0, 1, 3), on(0, 2, 3)],
  without: { 'at least two devices': chainOf(1) },
  says: [
    [on(0), /far end, has none/],
    [on(3), /near end, has none/],
    [on(0, 1, 3), /sits inside the chain and must be off/],
  ],
}));
