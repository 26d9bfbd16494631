import { practice, published } from '../../../kernel/check';
import { atLeast } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import { bendNeed } from '../../bay/bend';
import type { RunResult } from '../../results';

/** Room wanted over what the bend needs, per cent of it (common practice): real cores come up to a tenth thicker, and a tenth of R is no more than a tenth of the height. */
const RESERVE_PERCENT = 10;

/** Height between gland plate and studs, mm, against what the conductors need to bend over to the farthest of them. */
export const BEND = rule<RunResult>()({
  id: 'ac.bend',
  title: 'Conductors bend into the bay without harm',
  unit: 'mm',
  basis: practice('inside radius 8 × the core at a terminal (NEC: Table 312.6(B))'),
  schools: ['IEC', 'NEC'],
  needs: {
    need: { as: 'lug, core and offset of the bend', answer: bendNeed },
    freeMm: {
      as: 'height from gland plate to studs, from the sheet',
      of: (r) => r.type.bay.freeHeightMm,
      missing: (r) => [`height from gland plate to AC studs of ${r.type.name}, from the sheet`],
    },
  },
  judge: ({ need, freeMm }, { school }) =>
    atLeast(
      {
        value: freeMm,
        limit: need.neededMm,
        working: need.working,
        basis: school.name === 'NEC' ? published('NFPA 70, 312.6(B)') : undefined,
      },
      RESERVE_PERCENT,
    ),
});
