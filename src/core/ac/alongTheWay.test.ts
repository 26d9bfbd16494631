import { expect, it } from 'vitest';
import { schoolOf } from '../conductor/schools';
import { acRun, necRun } from '../testing/subjects';
import { leastAmpacity } from './alongTheWay';
import type { Segment } from './part';
import { newSegment } from './planSegments';

/** Cu 120 mm² XLPE on a tray at 40 °C among three: 346 × 0.91 × 0.82 (IEC 60364-5-52, B.52.12, .14, .17; recalled). */
const ON_TRAY = 346 * 0.91 * 0.82;
const piece = (over: Partial<Segment>): Segment => ({
  ...newSegment('duct', 12),
  method: 'E',
  arrangement: 'single layer, perforated tray',
  otherCircuits: 2,
  ambientC: 40,
  sunOnCable: false,
  ...over,
});
const along = (...segments: readonly Segment[]) => acRun({ run: { segments: [...segments] } }).ampacity;

it('is that of the run where the way is one', () => {
  expect(along().value?.izA).toBeCloseTo(ON_TRAY, 6);
  expect(along().value?.where ?? null).toBeNull();
});

it('is that of the worst piece, which it names', () => {
  const roof = piece({ name: 'roof', sunOnCable: true });
  const room = piece({ name: 'board room', ambientC: 30, otherCircuits: 0 });
  // 40 + 15 K of sun: 0.76 at 55 °C.
  const worst = along(room, roof).value;
  expect(worst?.izA).toBeCloseTo(346 * 0.76 * 0.82, 6);
  expect(worst?.where).toBe('roof');
  expect(worst?.working().at(-1)).toBe(
    '“roof” rules: the rest of the way 258.2 A, “board room” 346.0 A, “roof” 215.6 A',
  );
  // What it is reckoned at goes with it: 40 °C and the sun.
  expect(along(roof).value?.reckonedAt).toEqual({ ambientC: 55, conductorC: 90 });
  // A kinder piece changes nothing.
  expect(along(room).value?.izA).toBeCloseTo(ON_TRAY, 6);
  expect(along(room).value?.working().at(-1)).toContain('the rest of the way rules');
});

it('judges a piece in the ground by the ground', () => {
  const buried = { method: 'D2', arrangement: 'touching', ambientC: 20, otherCircuits: 0 } as const;
  expect(along(piece({ ...buried, soilKmPerW: 2.5, depthM: 0.7 })).value?.izA).toBe(257);
  expect(along(piece({ ...buried, depthM: 0.7 })).missing).toEqual(['thermal resistivity of the soil on “duct”']);
});

it('is unknown while anything is not known of one piece, and says of which', () => {
  expect(along(piece({ ambientC: null })).missing).toEqual(['ambient along the run on “duct”']);
  expect(along(piece({ method: null })).missing).toContain('installation method on “duct”');
  // What is not known of the cable is asked for once for each piece that rests on it, not for none.
  expect(acRun({ run: { sectionMm2: null, segments: [piece({})] } }).ampacity.missing).toContain('section');
});

it('is unknown while the pieces are longer together than the run', () => {
  const of = (lengthM: number | null, ...pieces: readonly (number | null)[]) =>
    acRun({ run: { lengthM, segments: pieces.map((m, i) => piece({ name: `p${i}`, lengthM: m })) } }).ampacity;
  expect(of(60, 20, 40.6).value).not.toBeNull();
  expect(of(60, 20, 40.7).missing).toEqual(['lengths of the pieces that fit the run: together 60.7 m of its 60.0 m']);
  expect(of(60, 70, null).value).toBeNull();
  expect(of(null, 70).missing).not.toContain('lengths of the pieces');
});

it('takes the roof of one piece by the NEC school: 33 K below 23 mm (310.15(B)(2), recalled)', () => {
  const run = (roofGapMm: number) =>
    necRun({
      run: {
        segments: [{ ...newSegment('last bay', 6), otherCircuits: 0, ambientC: 36, sunOnCable: true, roofGapMm }],
      },
    });
  expect(run(15).ampacity.value?.izA).toBeCloseTo(130.5, 6);
  expect(run(25).ampacity.value?.izA).toBeCloseTo(204.75, 6);
});

it('leaves a school without tables without an answer', () =>
  expect(leastAmpacity(acRun({}).run, schoolOf('AU/NZ'), 60).missing[0]).toMatch(/not in the program yet/));
