import { edges } from '../../../testing/edges';
import { acRun } from '../../../testing/subjects';
import { PE_SECTION } from './peSection';

const pe = (sectionMm2: number | null, peMm2: number | null, peMetal: 'Cu' | 'Al' = 'Cu') =>
  acRun({ run: { sectionMm2, peMm2, peMetal } });

edges(PE_SECTION, () => ({
  // IEC 60364-5-54, Table 54.2: S to 16, 16 to 35, S/2 above; aluminium by 143/94 (recalled).
  holds: [pe(16, 16), pe(25, 16), pe(35, 16), pe(50, 25), pe(120, 70), pe(35, 25, 'Al')],
  stops: [pe(16, 10), pe(35, 10), pe(50, 16), pe(120, 50), pe(35, 16, 'Al')],
  without: { section: pe(null, 70), 'PE section': pe(120, null) },
  says: [
    [
      acRun({ run: { metal: null, peMetal: null, insulation: null } }),
      /^Missing: metal of the lines, metal of the PE, insulation$/,
    ],
  ],
  numbers: [[pe(120, 95), { value: 95, limit: 70 }]],
}));
