import { published } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import { chainEnds } from '../../ends';
import type { ChainResult } from '../../results';

/** Whether both ends of the chain are terminated and nothing in between is. */
export const TERMINATORS = rule<ChainResult>()({
  id: 'links.terminators',
  title: 'Terminators at both ends and nowhere else',
  unit: '',
  basis: published('TIA/EIA-485-A; Modbus over Serial Line V1.02, 3.4'),
  needs: { ends: { as: 'at least two devices', of: (c) => chainEnds(c.chain) } },
  judge: ({ ends: { near, far, between } }) => {
    const extra = between.filter((d) => d.terminated);
    return near.terminated && far.terminated && extra.length === 0
      ? found('holds', () => [`on at ${near.label} and ${far.label}, off elsewhere`])
      : found('stop', () => [
          ...(near.terminated ? [] : [`${near.label}, the near end, has none`]),
          ...(far.terminated ? [] : [`${far.label}, the far end, has none`]),
          ...extra.map((d) => `${d.label} sits inside the chain and must be off`),
        ]);
  },
});
