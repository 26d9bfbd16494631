import { expect, it } from 'vitest';
import { edges } from '../../../testing/edges';
import { acRun } from '../../../testing/subjects';
import { studStackMm } from '../../bay/studStack';
import { STUD_LENGTH } from './studLength';

const stud = (studLengthMm: number | null, parallel: number | null = 2, palmThicknessMm: number | null = 5.5) =>
  acRun({ run: { parallel, palmThicknessMm }, bay: { studLengthMm, lugsPerStud: 2 } });

edges(STUD_LENGTH, () => ({
  // Two palms of 5.5 mm on M10: 26.6 mm, by hand from the parts (ISO 4032, ISO 7089, DIN 127; recalled).
  holds: [stud(26.6), stud(30), stud(21.1, 1)],
  // The same by the bound of DIN 46235 alone.
  tight: [stud(26.5, 2, null)],
  stops: [stud(26.5), stud(21, 1)],
  without: {
    'palm thickness of the lug': acRun({ run: { metal: 'Al', palmWidthMm: 34 }, bay: { studLengthMm: 30 } }),
    'cables in parallel': stud(30, null),
    'free length of the AC studs, from the sheet': stud(null),
  },
  numbers: [[stud(30), { value: 30, limit: 26.6 }]],
  says: [
    [stud(30), /^2 × 5\.5 mm palm, .* of M10: 26\.6 mm$/],
    [stud(26.5, 2, null), /./, /measure the palm/],
    [stud(null), /^Missing: free length of the AC studs of T100, from the sheet$/],
  ],
}));

it('grows with the thread, and knows no thread off the table', () => {
  const stacks = [6, 8, 10, 12, 16].map((m) => studStackMm(m, 5, 1) ?? 0);
  expect(stacks).toEqual([...stacks].sort((a, b) => a - b));
  expect(studStackMm(5, 5, 1)).toBeUndefined();
});
