import { expect, it } from 'vitest';
import { edges } from '../../../testing/edges';
import { acRun, necRun } from '../../../testing/subjects';
import { bendRadiusMm, offsetBendMm } from '../../bay/bend';
import { BEND } from './bend';

/** A 4-core cable of 120 mm²: cores of 15.3 mm built up (IEC 60502-1, recalled), lug of DIN 46235 on M10 (recalled). */
const bay = (freeHeightMm: number | null, entryOffsetMm: number | null = 40) =>
  acRun({ run: { cores: '4-core' }, bay: { freeHeightMm, entryOffsetMm } });
/** Worked by hand: R 130.05 mm, bend 138.593 mm, lug 56 mm, 20 mm straight. */
const NEED = 214.593;
const american = (freeHeightMm: number, sectionMm2 = 85.03, parallel = 1) =>
  necRun({ run: { sectionMm2, parallel, racewayPerSet: true }, bay: { freeHeightMm } });

edges(BEND, () => ({
  holds: [bay(1.1 * NEED + 0.01), bay(300), american(181.7)],
  tight: [bay(1.1 * NEED - 0.01), bay(NEED + 0.001), american(165.1)],
  stops: [bay(NEED - 0.001), american(165)],
  without: {
    'lug, core and offset of the bend': bay(300, null),
    'height from gland plate to studs, from the sheet': bay(null),
  },
  numbers: [
    [american(200), { value: 200, limit: 165.1 }],
    [american(300, 126.68), { limit: 215.9 }],
  ],
  says: [
    [bay(300), /^R = 8 · d \+ d\/2 = 130\.1 mm for cores of 15\.3 mm; 40 mm sideways take 138\.6 mm/, /= 214\.6 mm$/],
    [
      // A cable of 55 mm by the calliper: whether it bends whole or by its cores nobody said.
      acRun({ run: { cores: null, cableDiameterMm: 55 }, bay: { freeHeightMm: 300, entryOffsetMm: 40 } }),
      /^Missing: cores$/,
    ],
    [bay(null), /^Missing: height from gland plate to AC studs of T100, from the sheet$/],
    [bay(300, null), /^Missing: gland to the farthest stud, from the sheet$/],
    [
      necRun({ run: { sectionMm2: null, parallel: null }, bay: { freeHeightMm: 300 } }),
      /^Missing: section, cables in parallel$/,
    ],
    [necRun({ run: { parallel: null }, bay: { freeHeightMm: 300 } }), /^Missing: cables in parallel$/],
    [american(300, 85.03, 2), /^Missing: bending space for 2 wires a terminal/],
    [
      acRun({ run: { metal: 'Al', palmWidthMm: 34 }, bay: { freeHeightMm: 300, entryOffsetMm: 40 } }),
      /barrel and palm from the lug sheet/,
    ],
    [
      // A single bends with its sheath on: 18.3 mm.
      acRun({ run: { cores: '1-core' }, bay: { freeHeightMm: 300, entryOffsetMm: 0 } }),
      /for cores of 18\.3 mm/,
      /./,
    ],
  ],
}));

it('gives 214.593 mm for 120 mm² over 40 mm, and 287.157 mm for 240 mm² over 60 mm (geometry of two arcs)', () => {
  expect(BEND.check(bay(300), { element: 'lug', path: '' }).limit).toBeCloseTo(NEED, 3);
  const big = acRun({
    run: { cores: '4-core', sectionMm2: 240 },
    bay: { studM: 12, freeHeightMm: 300, entryOffsetMm: 60 },
  });
  expect(BEND.check(big, { element: 'lug', path: '' }).limit).toBeCloseTo(287.157, 3);
  expect(bendRadiusMm(15.3)).toBeCloseTo(130.05, 9);
  expect(bendRadiusMm(21.6)).toBeCloseTo(183.6, 9);
  expect(offsetBendMm(60, 183.6)).toBeCloseTo(201.157, 3);
});

it('has room for cores a tenth thicker wherever it holds, as real ones come', () => {
  for (const coreMm of [5, 15.3, 21.5, 30])
    for (const offsetMm of [0, 10, 40, 120, 400]) {
      const heightMm = (d: number) => 20 + offsetBendMm(offsetMm, bendRadiusMm(d)) + 56;
      expect(heightMm(1.1 * coreMm)).toBeLessThanOrEqual(1.1 * heightMm(coreMm));
    }
});

it('bends as two arcs of one radius do: so far sideways and so far up, each arc the same', () => {
  for (const radius of [80, 130, 183])
    for (const turn of [0.1, 0.7, 1.2, Math.PI / 2]) {
      // Either arc turns by the same angle: sideways R(1 − cos), up R·sin.
      expect(offsetBendMm(2 * radius * (1 - Math.cos(turn)), radius)).toBeCloseTo(2 * radius * Math.sin(turn), 9);
    }
  expect(offsetBendMm(0, 130)).toBe(0);
  expect(offsetBendMm(500, 130)).toBe(260);
});
