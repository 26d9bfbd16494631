import type { Answer } from '../../../kernel/answer';
import { known, lacking } from '../../../kernel/answer';
import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { EthernetWay } from '../../otherWays';

type Closing = 'open' | 'ring' | 'storm';

/** How it is closed; what units support is asked of a ring alone. */
function closingOf({ ring, ringAllowed }: EthernetWay): Answer<Closing> {
  if (ring === null) return lacking('whether the Ethernet is closed to a ring');
  if (!ring) return known('open');
  return ringAllowed === null
    ? lacking('whether every unit of the Ethernet supports a ring')
    : known(ringAllowed ? 'ring' : 'storm');
}

const WORDS: Readonly<Record<Closing, readonly string[]>> = {
  open: ['open at its end: a unit that is powered down may cut off those behind it'],
  ring: ['closed to a ring that every unit supports'],
  storm: ['closed to a ring that not every unit supports: its frames go round without end', 'open it at one place'],
};

/** No ring unless every unit supports it. */
export const ETHERNET_RING = rule<EthernetWay>()({
  id: 'links.ethernet-ring',
  title: 'No ring that units do not support',
  unit: '',
  basis: practice('store and forward without a protocol of rings never ends'),
  needs: { closing: { as: 'how the Ethernet is closed', answer: closingOf } },
  judge: ({ closing }) => found(closing === 'storm' ? 'stop' : 'holds', () => WORDS[closing]),
});
