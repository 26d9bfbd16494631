import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import { receiving } from '../../../mounting/receiving/receiving';
import type { ReceivedBox } from '../../readings/receivedBox';

/** Everything on the packing list of one unit came whole. */
export const BOX_COMPLETE = rule<ReceivedBox>()({
  id: 'proving.box-complete',
  title: 'Everything in the box',
  unit: 'missing',
  basis: practice('counted against the packing list before anybody drills'),
  needs: {
    packing: {
      as: 'packing list',
      of: ({ packing }) => (packing.length ? packing : null),
      missing: ({ typeName }) => [`packing list of ${typeName}`],
    },
    items: {
      as: 'every thing on it counted',
      // Asked of things that are listed: where no list is, that alone is missing.
      of: ({ packing, items }) => (packing.every((p) => items.some((i) => i.item === p.item)) ? items : null),
      missing: ({ packing, items }) =>
        packing.filter((p) => !items.some((i) => i.item === p.item)).map((p) => `count of ${p.item}`),
    },
  },
  judge: ({ packing, items }) => {
    const { rows } = receiving(1, packing, items);
    const short = rows.filter((r) => r.short > 0);
    return found(
      short.length === 0 ? 'holds' : 'stop',
      () =>
        short.length
          ? short.map((r) => `${r.item}: ${r.whole} of ${r.expected} whole, ${r.short} short`)
          : [`${packing.length} things counted, none short`],
      { value: short.reduce((sum, r) => sum + r.short, 0), limit: 0 },
    );
  },
});
