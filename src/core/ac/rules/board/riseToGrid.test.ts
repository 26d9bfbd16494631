import { expect, it } from 'vitest';
import { edges } from '../../../testing/edges';
import { boardLoad, loadedBoard } from '../../../testing/boards';
import { RISE_TO_GRID } from './riseToGrid';

/** Cu at 90 °C: 0.0754 and 0.153 Ω/km at 20 °C × 1.2751 (IEC 60228, recalled), skin effect at 240 mm² not counted: 240 is not above it. */
const main = (mainLengthM: number | null) => loadedBoard(4, { board: { mainLengthM } });
const RUN = (100 * Math.sqrt(3) * 160 * 0.153e-3 * 1.2751 * 60) / 400;
const perM = (100 * Math.sqrt(3) * 640 * 0.0754e-3 * 1.2751) / 2 / 400;
/** Length of main cable at which the way to the grid takes so many per cent. */
const lengthAt = (percent: number) => (percent - RUN) / perM;

edges(RISE_TO_GRID, () => ({
  holds: [main(30), main(0.99 * lengthAt(2))],
  tight: [main(1.01 * lengthAt(2)), main(0.99 * lengthAt(3))],
  stops: [main(1.01 * lengthAt(3))],
  without: { 'runs and main cable': main(null) },
  says: [
    [
      main(30),
      /^INV-01: .* along its run \+ .* along the main cable with everybody feeding$/,
      /^wanted 2 %, at most 3 %$/,
    ],
    [boardLoad(2, {}), /^Missing: metal of the main cable/],
    [boardLoad(0, {}), /^Missing: metal of the main cable/],
  ],
}));

it('adds the run to the main cable, which carries all four: by hand within 0.5 %', () => {
  const c = RISE_TO_GRID.check(main(30), { element: 'board', path: '' });
  expect(Math.abs((c.value ?? 0) / (RUN + 30 * perM) - 1)).toBeLessThan(0.005);
  expect(c.limit).toBe(3);
});

it('takes the unit that stands highest, and AS/NZS 4777.1 asks 1 and 2 % (recalled)', () => {
  const longer = loadedBoard(3, { run: { lengthM: 90 } });
  expect(longer.riseToGrid.value?.runPercent).toBeCloseTo(1.5 * (loadedBoard(3).riseToGrid.value?.runPercent ?? 0), 6);
  expect(loadedBoard(2, { board: { mainSectionMm2: null } }).riseToGrid.missing).toEqual(['section of the main cable']);
  expect(loadedBoard(2, { run: { sectionMm2: null } }).riseToGrid.missing).toEqual(['section']);
});
