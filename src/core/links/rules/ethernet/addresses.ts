import { published } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { EthernetWay } from '../../otherWays';
import { addressesOf } from '../../otherWays';

/** Every unit of an Ethernet has an address of its network, apart from gateway and broadcast. */
export const ETHERNET_ADDRESSES = rule<EthernetWay>()({
  id: 'links.ethernet-addresses',
  title: 'Addresses of the Ethernet',
  unit: '',
  basis: published('RFC 4632: networks by prefix; network and broadcast are no hosts'),
  needs: { plan: { as: 'plan of the addresses', answer: addressesOf } },
  judge: ({ plan }) =>
    'given' in plan
      ? found('holds', () => [`${plan.given[0] ?? ''} to ${plan.given.at(-1) ?? ''}`])
      : found('stop', () => [plan.refused]),
});
