import { edges } from '../../../testing/edges';
import { acRun } from '../../../testing/subjects';
import { PALM_WIDTH } from './palmWidth';

const palm = (palmWidthMm: number, palmMaxWidthMm: number | null = 33) =>
  acRun({ run: { palmWidthMm }, bay: { palmMaxWidthMm } });

edges(PALM_WIDTH, () => ({
  holds: [palm(33), palm(20)],
  stops: [palm(33.01), palm(40)],
  without: {
    'palm width of the lug': acRun({ run: { sectionMm2: null } }),
    'widest palm, from the sheet': palm(30, null),
  },
  // DIN 46235: the palm of 120 mm² for M10 is 32 mm wide (recalled).
  numbers: [[acRun(), { value: 32, limit: 33, margin: 100 / 33 }]],
  says: [[palm(30, null), /^Missing: widest palm of T100$/]],
}));
