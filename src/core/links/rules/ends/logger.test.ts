import { chainOf } from '../../../testing/chains';
import { edges } from '../../../testing/edges';
import { LOGGER } from './logger';

/** Four devices, loggers where said. */
const at = (loggers: readonly number[], terminated = false) =>
  chainOf(4, (_, i) => (loggers.includes(i) ? { kind: 'logger', terminated } : {}));

edges(LOGGER, () => ({
  holds: [at([0]), at([3]), at([0], true)],
  // In the middle it is two arms of one bus: only where its own terminator is out.
  tight: [at([1]), at([2])],
  stops: [at([1], true), at([0, 3]), at([0, 1])],
  without: { 'a logger on the chain, or which unit leads it': at([]) },
  says: [
    [at([0, 3]), /^INV-01 and INV-04 both ask on one line/],
    [at([1], true), /INV-02 sits inside the chain with its terminator on/],
    [at([1]), /allowed only where its internal terminator can be turned off/],
  ],
}));
