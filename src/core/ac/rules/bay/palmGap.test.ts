import { edges } from '../../../testing/edges';
import { acRun } from '../../../testing/subjects';
import { PALM_GAP } from './palmGap';

const gap = (studSpacingMm: number | null, lineV: number | null = 400) =>
  acRun({ run: { palmWidthMm: 30 }, bay: { studSpacingMm }, survey: { lineV } });

edges(PALM_GAP, () => ({
  holds: [gap(40), gap(40, 480), gap(44, 481)],
  tight: [gap(39.99), gap(33), gap(43.99, 481), gap(35.5, 481)],
  stops: [gap(32.99), gap(35.49, 481)],
  without: {
    'palm width of the lug': acRun({ run: { sectionMm2: null } }),
    // Without the grid's voltage the air wanted is not known: the unit's own would be a guess in its favour.
    'nominal line voltage': gap(45, null),
    'stud spacing, from the sheet': gap(null),
  },
  numbers: [[gap(45), { value: 15, limit: 3, margin: 400 }]],
  says: [[gap(null), /^Missing: stud spacing of T100$/]],
}));
