import { expect, it } from 'vitest';
import { edges } from '../../../testing/edges';
import { acRun } from '../../../testing/subjects';
import { LUG } from './lug';

const lug = (sectionMm2: number | null, studM: 8 | 10 | 12 = 10, metal: 'Cu' | 'Al' = 'Cu') =>
  acRun({ run: { sectionMm2, metal }, bay: { studM } });

edges(LUG, {
  // DIN 46235: 185 mm² is made for M10, 240 mm² from M12 (recalled).
  holds: [lug(120), lug(185), lug(240, 12), lug(150, 10, 'Al')],
  stops: [lug(240), lug(95, 8), lug(55)],
  without: { section: lug(null) },
  says: [[lug(240), /240/]],
});

it('names die, crimps and strip of a copper lug, and how aluminium is prepared', () => {
  const working = (r: ReturnType<typeof lug>) => LUG.check(r, { element: 'lug', path: '' }).working;
  expect(working(lug(120))).toEqual([expect.stringMatching(/^120-M10: die 20, 4 crimps with a 5 mm die, strip 39 mm/)]);
  expect(working(lug(150, 10, 'Al'))[1]).toContain('Bimetal');
});

it('has no lug by a school whose series is not in the program', () => {
  const check = LUG.check(acRun({ survey: { school: 'NEC' } }), { element: 'lug', path: '' });
  expect([check.verdict, check.working[0]]).toEqual(['unknown', expect.stringContaining('AWG')]);
});
