import { chainOf } from '../../../testing/chains';
import { edges } from '../../../testing/edges';
import { LOGGER } from './logger';

/** Four devices, loggers where said. */
const at = (loggers: readonly number[], terminated = false, terminatorOut: boolean | null = null) =>
  chainOf(4, (_, i) => (loggers.includes(i) ? { kind: 'logger', terminated, terminatorOut } : {}));

edges(LOGGER, () => ({
  // In the middle it is two arms of one bus: only where its own terminator is out.
  holds: [at([0]), at([3]), at([0], true), at([1], false, true), at([2], false, true)],
  stops: [at([1], true), at([1], true, true), at([0, 3]), at([0, 1]), at([1], false, false), at([1, 2])],
  without: {
    'a logger on the chain, or which unit leads it': at([]),
    'whether the terminator of a logger inside the chain can be turned off': at([1]),
  },
  says: [
    [at([0, 3]), /^INV-01 and INV-04 both ask on one line/],
    [at([1], true), /INV-02 sits inside the chain with its terminator on/],
    [at([1], false, false), /cannot be turned off/],
    [at([1], false, true), /from inside the chain, its own terminator out/],
  ],
}));
