import { edges } from '../../../testing/edges';
import { ethernet } from '../../../testing/otherWays';
import { ETHERNET_ADDRESSES } from './addresses';

/** 192.0.2.0/27 has 30 hosts, one of them the gateway; from .10 on 21 are left (RFC 5737 addresses). */
edges(ETHERNET_ADDRESSES, () => ({
  holds: [ethernet(), ethernet({ units: 21 }), ethernet({ units: 1, first: 30 })],
  stops: [
    ethernet({ units: 22 }),
    ethernet({ network: '192.0.2.8' }),
    ethernet({ gateway: '192.0.2.31' }),
    ethernet({ network: '192.0.2.256' }),
    ethernet({ first: 31 }),
  ],
  without: { 'plan of the addresses': ethernet({ prefix: null }) },
  says: [
    [ethernet(), /^192\.0\.2\.10 to 192\.0\.2\.27$/],
    [ethernet({ units: 22 }), /room for 21/],
    [
      ethernet({ units: null, network: null, prefix: null, gateway: null, first: null }),
      /^Missing: units on the Ethernet, network of the Ethernet, prefix of the Ethernet, gateway of the Ethernet, first host of the Ethernet$/,
    ],
  ],
}));
