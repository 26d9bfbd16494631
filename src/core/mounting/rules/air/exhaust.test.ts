import type { AirSide } from '../../../equipment/inverterBody';
import { edges } from '../../../testing/edges';
import { hungUnit } from '../../../testing/subjects';
import { EXHAUST } from './exhaust';

/** The unit, 1050 × 660 mm at 1000, 700, that breathes below, with another one over, under or beside it that blows upwards. */
const beside = (
  at: { xMm?: number; yMm?: number },
  airOut: AirSide | null = 'top',
  airIn: AirSide | null = 'bottom',
  gaps: 'larger' | 'sum' = 'larger',
) => hungUnit({ body: { airIn }, wall: { gaps }, others: [{ ...at, body: { airOut } }] });

edges(EXHAUST, () => ({
  // Stacked gap 700 mm: two of them 1400. The other one under it: its top at y + 660.
  holds: [
    beside({ yMm: 700 - 660 - 1400 }),
    beside({ yMm: 2000 }),
    beside({ yMm: -500, xMm: 2050 }),
    beside({ yMm: -500 }, 'bottom'),
    beside({ yMm: -500 }, 'top', 'both sides'),
    hungUnit({ body: { airIn: null } }),
    beside({ xMm: 1000 - 1050 - 1000 }, 'right', 'left'),
  ],
  tight: [
    beside({ yMm: 700 - 660 - 1399 }),
    beside({ yMm: -500, xMm: 2049 }),
    beside({ xMm: 1000 - 1050 - 999 }, 'right', 'left'),
    beside({ xMm: 2550 }, 'left', 'right'),
    beside({ yMm: 1800 }, 'bottom', 'top'),
    // Each keeps its own gap: 2 · 1400.
    beside({ yMm: 700 - 660 - 2799 }, 'top', 'bottom', 'sum'),
  ],
  without: {
    'size and clearances of the unit': hungUnit({ body: { widthMm: null, airIn: 'bottom' } }),
    'sides of the air in': beside({ yMm: 2000 }, 'top', null),
    'sides of the air out of the units beside it': beside({ yMm: 2000 }, null),
  },
  numbers: [[beside({ yMm: -500 }), { value: 540, limit: 1400 }]],
  says: [
    [beside({ yMm: -500 }), /^OTHER-0 blows at its intake 540 mm off, 2 gaps are 1400 mm$/, /^a baffle/],
    [beside({ yMm: 2000 }), /^no exhaust blows at its intake$/],
    [
      hungUnit({ body: { airIn: 'bottom' }, others: [{ body: { airOut: null, widthMm: null } }] }),
      /^Missing: width of T100, sides of the air out of T100$/,
    ],
  ],
}));
