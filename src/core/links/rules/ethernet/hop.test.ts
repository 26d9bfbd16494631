import { edges } from '../../../testing/edges';
import { ethernet } from '../../../testing/otherWays';
import { ETHERNET_HOP } from './hop';

edges(ETHERNET_HOP, () => ({
  holds: [ethernet({ longestM: 100 }), ethernet({ longestM: 1 })],
  stops: [ethernet({ longestM: 100.1 })],
  without: { 'longest hop of the Ethernet': ethernet({ longestM: null }) },
  numbers: [[ethernet({ longestM: 60 }), { value: 60, limit: 100, margin: 40 }]],
  says: [[ethernet({ longestM: 60 }), /^60 m with cords on at most 100 m$/]],
}));
