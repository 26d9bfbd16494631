import { wholeChain } from '../../../testing/chains';
import { edges } from '../../../testing/edges';
import { STUBS } from './stubs';

const stub = (stubM: number | null, delayNsPerM: number | null = 6) =>
  wholeChain(4, 100, { delayNsPerM }, (_, i) => ({ stubM: i === 2 ? stubM : 0 }));

edges(STUBS, () => ({
  holds: [stub(0), stub(2 / 6)],
  tight: [stub(0.34), stub(20)],
  stops: [stub(20.01)],
  without: { 'delay of the pair': stub(0, null), 'length of the stub at every device': stub(null) },
  numbers: [
    [stub(0.1), { value: 0.1, limit: 1 / 3 }],
    [stub(5), { value: 5, limit: 20 }],
  ],
  says: [
    [stub(null), /^Missing: length of the stub at INV-03$/],
    [stub(0), /in–out/, /0\.333 m/],
    [stub(5), /longest at INV-03/, /at most 20 m/, /rings/],
  ],
}));
