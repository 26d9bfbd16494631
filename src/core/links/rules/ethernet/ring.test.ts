import { edges } from '../../../testing/edges';
import { ethernet } from '../../../testing/otherWays';
import { ETHERNET_RING } from './ring';

const ring = (closed: boolean | null, ringAllowed: boolean | null) => ethernet({ ring: closed, ringAllowed });

edges(ETHERNET_RING, () => ({
  holds: [ring(false, null), ring(false, false), ring(true, true)],
  stops: [ring(true, false)],
  without: { 'how the Ethernet is closed': ring(null, true) },
  says: [
    [ring(false, null), /^open at its end/],
    [ring(true, true), /that every unit supports$/],
    [ring(true, false), /not every unit supports/, /^open it at one place$/],
    [ring(null, null), /^Missing: whether the Ethernet is closed to a ring$/],
    [ring(true, null), /^Missing: whether every unit of the Ethernet supports a ring$/],
  ],
}));
