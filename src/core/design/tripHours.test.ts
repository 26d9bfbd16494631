import { describe, expect, it } from 'vitest';
import { M575, SURVEY, BOARD, plane, runOf, siteOf } from '../testing/examples';
import { newString } from '../site/parts';
import { dayFed, pathOf, tripHours, worstDay } from './tripHours';
import { pictureAt, voltagePicture } from '../ac/voltagePath/picture';

/** Two units, one with twenty strings of 17, one with none, on a weak transformer. */
const base = siteOf(2, [plane('south', 340, { tiltDeg: 20 })]);
const design = {
  ...base,
  survey: {
    ...SURVEY,
    longitudeDeg: 10,
    transformerKva: 250,
    transformerImpedancePercent: 4,
    transformerLossKw: 3,
    restLineV: 432,
  },
  board: BOARD,
  runs: [runOf('inv-1', { lengthM: 200 }), runOf('inv-2')],
  energy: { ...base.energy, monthlyMeanC: Array.from({ length: 12 }, () => 10) },
  strings: Array.from({ length: 20 }, (_, i) =>
    newString(`s-${i}`, i + 1, 'south', 17, {
      inverterId: 'inv-1',
      tracker: 1 + Math.floor(i / 2),
      input: 1 + (i % 2),
      branch: 1,
    }),
  ),
};
const options = { year: 2025, weather: null };
const year = tripHours(design, options).value!;

describe('hours in which units trip', () => {
  it('feeds what the year of energy feeds, and meets every hour with its own voltages', () => {
    expect(M575.pmaxW * 340).toBeGreaterThan(100_000);
    const noon = year.fed.reduce((a, b) => (b.powerW > a.powerW ? b : a));
    expect(noon.powerW).toBe(100_000);
    const path = pathOf(design).value!;
    const direct = voltagePicture(path, (u) => ({ activeW: u.id === 'inv-1' ? 100_000 : 0, reactiveVar: 0 }))!;
    expect(noon.worstV).toBeCloseTo(direct.worst.terminalV, 9);
    expect(noon.boardV).toBeCloseTo(direct.boardV, 9);
  });
  it('counts the weights of the hours above the level, and the energy fed in them', () => {
    const over = year.fed.filter((h) => h.worstV >= year.tripV);
    const hoursH = over.reduce((sum, h) => sum + h.weightH, 0);
    expect(hoursH).toBeGreaterThan(20);
    expect(year.hoursH).toBeCloseTo(hoursH, 6);
    expect(year.units[0]?.hoursH).toBeCloseTo(hoursH, 6);
    expect(year.units[0]?.kwh).toBeCloseTo(
      over.reduce((sum, h) => sum + (h.weightH * h.powerW) / 1000, 0),
      3,
    );
    // The one without strings feeds nothing, and loses nothing, however high its board stands.
    expect(year.units[1]).toMatchObject({ hoursH: 0, kwh: 0 });
  });
  it('has fewer at a lower grid, none at nominal, and more at a higher one', () => {
    const at = (v: number) => tripHours(design, options, v).value!.hoursH;
    const [low, mid, high] = [at(400), at(432), at(436)];
    expect(low).toBe(0);
    expect(mid).toBe(year.hoursH);
    expect(high).toBeGreaterThan(mid);
  });
  it('shows a day by the clear part of its hours, the worst first', () => {
    const day = worstDay(year.fed)!;
    const hours = dayFed(year.fed, day);
    expect(hours.map((h) => h.hour)).toEqual([...new Set(hours.map((h) => h.hour))].sort((a, b) => a - b));
    expect(Math.max(...hours.map((h) => h.worstV))).toBe(Math.max(...year.fed.map((h) => h.worstV)));
    expect(Math.max(...hours.map((h) => h.worstV))).toBeLessThanOrEqual(
      pictureAt(pathOf(design).value!, { share: 1, powerFactor: 1, reactive: 'absorbs' })!.worst.terminalV,
    );
    expect(worstDay([])).toBeNull();
  });
  it('names what the path or the year lacks', () => {
    expect(tripHours({ ...design, survey: { ...design.survey, restLineV: null } }, options).missing).toEqual([
      'voltage at the board with nothing feeding',
    ]);
    expect(tripHours({ ...design, strings: [] }, options).missing).toEqual(['strings on inputs']);
  });
});
