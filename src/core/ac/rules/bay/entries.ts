import { dataSheet } from '../../../kernel/check';
import { counted } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import { cablesThroughWall } from '../../gland';
import type { RunResult } from '../../results';

/** Cables that come through the wall of the unit against its glands: a gland seals and holds one cable. */
export const ENTRIES = rule<RunResult>()({
  id: 'ac.entries',
  title: 'A gland of its own for every cable',
  unit: 'cables',
  basis: dataSheet('glands for AC cables'),
  needs: {
    cables: {
      as: 'cores and cables in parallel',
      of: (r) => cablesThroughWall(r.run, r.type.wiring),
    },
    glands: {
      as: 'glands for AC cables',
      of: (r) => r.type.bay.glands,
      missing: (r) => [`number of AC glands of ${r.type.name}`],
    },
  },
  judge: ({ cables, glands }) =>
    counted(
      cables,
      glands,
      () => `${cables} cables come in, ${glands} glands: two cables in one gland neither seal nor hold`,
    ),
});
