import { dataSheet } from '../../../kernel/check';
import { atMost } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import { palmMissing, palmWidthMm } from '../../palm';
import type { RunResult } from '../../results';

/** Width of the lug's palm, mm, against the widest the bay takes. */
export const PALM_WIDTH = rule<RunResult>()({
  id: 'ac.palm-width',
  title: 'Palm fits the width of the bay',
  unit: 'mm',
  basis: dataSheet('widest lug palm'),
  needs: {
    palmMm: { as: 'palm width of the lug', of: palmWidthMm, missing: palmMissing },
    mostMm: {
      as: 'widest palm, from the sheet',
      of: (r) => r.type.bay.palmMaxWidthMm,
      missing: (r) => [`widest palm of ${r.type.name}`],
    },
  },
  judge: ({ palmMm, mostMm }) =>
    atMost({ value: palmMm, limit: mostMm, working: () => [`palm ${palmMm} mm in a bay for ${mostMm} mm`] }),
});
