import { published } from '../../../kernel/check';
import { atMost } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import { HOP_MOST_M } from '../../ethernet/ipPlan';
import type { EthernetWay } from '../../otherWays';

/** The longest hop of an Ethernet, m. */
export const ETHERNET_HOP = rule<EthernetWay>()({
  id: 'links.ethernet-hop',
  title: 'Hop of the Ethernet',
  unit: 'm',
  basis: published('ISO/IEC 11801: 90 m laid and 10 m of cords'),
  needs: { longestM: { as: 'longest hop of the Ethernet', of: (e) => e.longestM } },
  judge: ({ longestM }) =>
    atMost({
      value: longestM,
      limit: HOP_MOST_M,
      working: () => [`${longestM} m with cords on at most ${HOP_MOST_M} m`],
    }),
});
