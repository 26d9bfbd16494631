import { expect, it } from 'vitest';
import { edges } from '../../../testing/edges';
import { acRun } from '../../../testing/subjects';
import { LUG } from './lug';

const lug = (
  sectionMm2: number | null,
  studM: 8 | 10 | 12 = 10,
  metal: 'Cu' | 'Al' = 'Cu',
  palmWidthMm: number | null = null,
) => acRun({ run: { sectionMm2, metal, palmWidthMm }, bay: { studM } });

edges(LUG, () => ({
  // DIN 46235: 185 mm² is made for M10, 240 mm² from M12 (recalled). A palm measured on the lug in hand says that it is there.
  holds: [lug(120), lug(185), lug(240, 12), lug(240, 10, 'Cu', 40), lug(150, 10, 'Al', 34)],
  without: { 'metal and section': lug(null), 'palm width of the lug': lug(150, 10, 'Al') },
  says: [
    // Off the table nobody knows: another maker may have it. Neither a stop nor holding.
    [lug(240), /^Missing: a Cu lug of 240 mm² with a hole for M10: .*measure the palm/],
    [lug(95, 8), /^Missing: a Cu lug of 95 mm² with a hole for M8/],
    [lug(55), /^Missing: a Cu lug of 55 mm²/],
    // Bimetal lugs have no standard palm, so no standard hole either.
    [lug(150, 8, 'Al'), /^Missing: palm width and thickness from the lug sheet$/],
  ],
}));

it('names die, crimps and strip of a copper lug, and how aluminium is prepared', () => {
  const working = (r: ReturnType<typeof lug>) => LUG.check(r, { element: 'lug', path: '' }).working;
  expect(working(lug(120))).toEqual([
    expect.stringMatching(/^120 mm², M10: die 20, 4 crimps with a 5 mm die, strip 39 mm/),
  ]);
  expect(working(lug(150, 10, 'Al', 34))[1]).toContain('Bimetal');
});

it('has no lug by a school whose series is not in the program', () => {
  const check = LUG.check(acRun({ survey: { school: 'NEC' } }), { element: 'lug', path: '' });
  expect([check.verdict, check.working[0]]).toEqual([
    'unknown',
    expect.stringContaining('measure the palm of the one in hand'),
  ]);
});
