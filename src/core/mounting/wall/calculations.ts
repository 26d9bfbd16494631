import { z } from 'zod';
import { calculation } from '../../kernel/discipline';
import { enumOf, figure, quantity } from '../../kernel/schema';
import { GAP_SCHOOLS } from './problem';
import { rowCapacity } from './rowBound';
import { wallLayout } from './wallLayout';
import { fixesFor } from './whyNot';

const mm = (min: number, max: number, description: string) => quantity(min, max, 'mm', description);
const MOST_MM = 100_000;
/** A server's thread is not held longer than this for one wall, s; the clock of a calculation counts looks, each some microseconds. */
const LOOKS_MOST = 8_000;

/** A clock that moves with every look at it: the same search, the same answer, on any machine. */
function countingClock() {
  let looks = 0;
  return { nowS: () => (looks += 1), timeLimitS: LOOKS_MOST };
}

/** What can be computed about a wall without a site. */
export const wallCalculations = {
  'mounting-row': calculation({
    summary: 'How many units stand in a free strip of wall',
    input: z.object({
      fromMm: mm(0, MOST_MM, 'Strip from'),
      toMm: mm(0, MOST_MM, 'to'),
      widthMm: mm(1, 5000, 'Width of a unit'),
      gapMm: mm(0, 5000, 'Gap between two'),
    }),
    output: z.object({ units: figure('units', 'Units') }),
    run: (q) => ({ units: rowCapacity(q.fromMm, q.toMm, q.widthMm, q.gapMm) }),
  }),
  'mounting-wall': calculation({
    summary: 'The places of units of one kind on a wall with the least cable, proved or with its gap',
    long: true,
    input: z.object({
      units: quantity(1, 30, 'units', 'Units').int(),
      widthMm: mm(1, 5000, 'Width of a unit'),
      heightMm: mm(1, 5000, 'Height of a unit'),
      leftMm: mm(0, 5000, 'Free to the left'),
      rightMm: mm(0, 5000, 'Free to the right'),
      topMm: mm(0, 5000, 'Free above'),
      bottomMm: mm(0, 5000, 'Free below'),
      besideMm: mm(0, 5000, 'Gap side by side'),
      stackedMm: mm(0, 5000, 'Gap one over the other'),
      gaps: enumOf(GAP_SCHOOLS).default('larger').meta({ description: 'Gap of two units' }),
      wallWidthMm: mm(1, MOST_MM, 'Width of the wall'),
      wallHeightMm: mm(1, MOST_MM, 'Height of the wall'),
      leftOpen: z.boolean().default(false).meta({ description: 'Left end open' }),
      rightOpen: z.boolean().default(false).meta({ description: 'Right end open' }),
      floorMinMm: mm(0, 10_000, 'Lower edges no lower than'),
      topMostMm: mm(1, MOST_MM, 'Upper edges no higher than').nullable(),
      boardXMm: mm(-MOST_MM, MOST_MM, 'Board, from the left'),
      boardYMm: mm(-MOST_MM, MOST_MM, 'Board, from below'),
      trayMm: mm(0, MOST_MM, 'Tray, from below').nullable(),
      stacking: z.boolean().default(true).meta({ description: 'One over the other allowed' }),
      gridMm: mm(10, 1000, 'Grid').default(50),
      obstructions: z
        .array(
          z.object({
            label: z.string().trim().max(60).default('obstruction').meta({ description: 'What' }),
            xMm: mm(-MOST_MM, MOST_MM, 'From the left'),
            yMm: mm(-MOST_MM, MOST_MM, 'From below'),
            widthMm: mm(1, MOST_MM, 'Width'),
            heightMm: mm(1, MOST_MM, 'Height'),
            marginMm: mm(0, 5000, 'Kept free'),
            blocksAir: z.boolean().meta({ description: 'Blocks air' }),
          }),
        )
        .max(50)
        .default([])
        .meta({ description: 'Obstructions' }),
    }),
    output: z.object({
      places: z
        .array(z.object({ xMm: z.number(), yMm: z.number() }))
        .readonly()
        .nullable()
        .meta({ unit: 'mm', description: 'Lower left corners' }),
      cableMm: figure('mm', 'Cable').nullable(),
      boundMm: figure('mm', 'No layout of this grid under').nullable(),
      proof: z.enum(['proved', 'gap']).meta({ description: 'Proof' }),
      fixes: z.array(z.string()).readonly().meta({ description: 'Where they do not fit: what would do' }),
    }),
    run: (q) => {
      const { wallWidthMm, wallHeightMm, leftOpen, rightOpen, floorMinMm, topMostMm, units, ...rest } = q;
      const { widthMm, heightMm, leftMm, rightMm, topMm, bottomMm, besideMm, stackedMm, ...around } = rest;
      const unit = {
        kind: '',
        widthMm,
        heightMm,
        leftMm,
        rightMm,
        topMm,
        bottomMm,
        besideMm,
        stackedMm,
        cableWeight: 1,
      };
      const face = { widthMm: wallWidthMm, heightMm: wallHeightMm, leftOpen, rightOpen, floorMinMm, topMostMm };
      const problem = { ...around, face, units: Array.from({ length: units }, () => unit) };
      const layout = wallLayout(problem, countingClock());
      const finite = (x: number) => (Number.isFinite(x) ? x : null);
      return {
        places: layout.places,
        cableMm: finite(layout.cost),
        boundMm: finite(layout.bound),
        proof: layout.proof,
        fixes: layout.places ? [] : fixesFor(problem, countingClock()).map((f) => f.change),
      };
    },
  }),
};
