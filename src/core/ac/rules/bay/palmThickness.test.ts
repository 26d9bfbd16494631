import { expect, it } from 'vitest';
import { edges } from '../../../testing/edges';
import { acRun } from '../../../testing/subjects';
import { PALM_THICKNESS } from './palmThickness';

const palm = (palmThicknessMm: number | null, palmMaxThicknessMm: number | null = 7, parallel: number | null = 1) =>
  acRun({ run: { palmThicknessMm, parallel }, bay: { palmMaxThicknessMm } });

edges(PALM_THICKNESS, () => ({
  holds: [palm(7), palm(3.5, 7, 2)],
  // The bound of the table passes the limit, and the palm in hand may not: measure it.
  tight: [palm(null, 5.4)],
  stops: [palm(7.01), palm(3.51, 7, 2), palm(3.5, 7, 3)],
  without: {
    'palm thickness of the lug': acRun({ run: { sectionMm2: null } }),
    'cables in parallel': palm(3, 7, null),
    'thickest palm, from the sheet': palm(3, null),
  },
  // Twice the wall of the barrel of 120 mm²: (21 − 15.5) mm (DIN 46235, common practice).
  numbers: [[palm(null), { value: 5.5, limit: 7 }]],
  says: [
    [palm(3, null), /^Missing: thickest palm of T100$/],
    [palm(3, 7, 2), /^2 × 3 mm = 6\.0 mm on 7 mm$/],
    [palm(null, 5.4), /5\.5 mm on 5\.4 mm/, /upper bound: measure/],
  ],
}));

it('keeps no negative margin where only the bound is past the limit', () =>
  expect(PALM_THICKNESS.check(palm(null, 5.4), { element: 'lug', path: '' }).margin).toBeNull());
