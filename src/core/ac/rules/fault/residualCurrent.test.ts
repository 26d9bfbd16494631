import { edges } from '../../../testing/edges';
import { acRun } from '../../../testing/subjects';
import { RESIDUAL_CURRENT } from './residualCurrent';

const rcd = (
  residualType: 'A' | 'B' | null,
  residualMa: number | null,
  over: NonNullable<Parameters<typeof acRun>[0]> = {},
) => acRun({ ...over, run: { residualFitted: true, residualType, residualMa, ...over.run } });

edges(RESIDUAL_CURRENT, () => ({
  // A unit of 110 kVA may leak 1100 mA before it stops itself, one of 30 kVA 300 mA (worked).
  holds: [
    rcd('B', 1100),
    rcd('A', 2000, { type: { residualTypeA: true } }),
    acRun(),
    acRun({ run: { residualFitted: false } }),
    rcd('B', 300, { type: { maxApparentVa: 30_000 } }),
  ],
  tight: [rcd('B', 1099), rcd('B', 300), rcd('B', 300, { type: { maxApparentVa: 30_001 } })],
  stops: [rcd('A', 2000, { type: { residualTypeA: false } }), rcd('A', 100, { type: { residualTypeA: false } })],
  without: {
    'kind and rating of the residual-current device, or that there is none': rcd(null, 1100),
  },
  numbers: [
    [rcd('B', 2200), { value: 2200, limit: 1100, margin: 100 }],
    [rcd('B', 300), { value: 300, limit: 1100, margin: null }],
  ],
  says: [
    [acRun(), /^none fitted$/],
    [rcd('B', 300), /^type B, 300 mA; the unit may leak 1100 mA/, /^under that it trips for nothing$/],
    [rcd('A', 2000, { type: { residualTypeA: false } }), /./, /type B$/],
    [rcd('A', null), /^Missing: rating of the residual-current device, whether type A is enough for T100$/],
    [
      acRun({ run: { residualFitted: null }, survey: { rcdFitted: null } }),
      /^Missing: whether residual-current devices are fitted$/,
    ],
  ],
}));
