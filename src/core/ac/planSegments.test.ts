import { expect, it } from 'vitest';
import type { Tray } from '../site/plan';
import { BLANK_PLAN } from '../site/plan';
import { waysOf } from '../site/way';
import { BOARD, runOf, siteOf } from '../testing/examples';
import { acEdits } from './edits';
import { newSegment, planSegments } from './planSegments';

const tray = (id: string, points: readonly (readonly [number, number, number])[]): Tray => ({
  id,
  label: `Tray ${id}`,
  carries: ['ac'],
  widthMm: null,
  depthMm: null,
  dcLeadMm: null,
  busCableMm: null,
  points: points.map(([xM, yM, zM]) => ({ xM, yM, zM })),
});
/** A riser of 3 m, then 20 m along a roof with a corner. */
const PLAN = {
  ...BLANK_PLAN,
  trays: [
    tray('A', [
      [0, 0, 0],
      [0, 0, 3],
    ]),
    tray('B', [
      [0, 0, 3],
      [12, 0, 3],
      [12, 8, 3],
    ]),
  ],
};
const at = (xM: number, yM: number, zM: number) => ({ xM, yM, zM });
const way = waysOf(PLAN).between('ac', at(1, 0, 0), at(12, 9, 3));

it('finds the trays of a way with the metres along each: together with what lies on none, the way', () => {
  if (!way) throw new RangeError('there is a way');
  const found = planSegments(PLAN, way, []);
  expect(found.map((s) => [s.name, s.lengthM, s.method])).toEqual([
    ['Tray A', 3, null],
    ['Tray B', 20, null],
  ]);
  // One metre on at the riser, one off at the end of the roof.
  expect(way.lengthM).toBeCloseTo(3 + 20 + 1 + 1, 9);
});

it('keeps what is known of a piece, and takes its metres from the plan', () => {
  if (!way) throw new RangeError('there is a way');
  const before = [{ ...newSegment('Tray B', 7), ambientC: 55 }, newSegment('old duct', 4)];
  expect(planSegments(PLAN, way, before).map((s) => [s.name, s.lengthM, s.ambientC])).toEqual([
    ['Tray A', 3, null],
    ['Tray B', 20, 55],
  ]);
});

it('is an edit that says what is missing where the plan has no tray for it', () => {
  const edit = acEdits.find((e) => e.kind === 'segments-of-plan');
  const design = {
    ...siteOf(1, []),
    inverters: siteOf(1, []).inverters.map((u) => ({ ...u, position: at(1, 0, 0) })),
    runs: [runOf('inv-1')],
    board: { ...BOARD, position: at(12, 9, 3) },
  };
  const apply = (d: typeof design) => edit?.apply(d, { kind: 'segments-of-plan', inverterId: 'inv-1' } as never);
  expect(() => apply(design)).toThrow('The plan has no tray from INV-01 to Site board');
  expect(apply({ ...design, plan: PLAN })?.runs[0]?.segments.map((s) => s.name)).toEqual(['Tray A', 'Tray B']);
});
