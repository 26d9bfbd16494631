import { expect, it } from 'vitest';
import { acRun } from '../testing/subjects';
import { settledC } from './settledC';

/** 150 mm² of aluminium, E, 45 °C, three circuits: 216.874 A at 90 °C. */
const ampacity = acRun({
  run: {
    metal: 'Al',
    method: 'E',
    arrangement: 'single layer, perforated tray',
    otherCircuits: 2,
    sectionMm2: 150,
    ambientC: 45,
  },
}).ampacity.value!;

it('is 69.4928 °C at 160 A, not 90 (worked by hand)', () => expect(settledC(ampacity, 160)).toBeCloseTo(69.4928, 4));

it('is the surroundings without current and the limit at all it may carry, and hotter with more', () => {
  expect(settledC(ampacity, 0)).toBe(45);
  expect(settledC(ampacity, ampacity.izA)).toBeCloseTo(90, 9);
  expect(settledC(ampacity, 300)).toBeGreaterThan(90);
});

it('counts the sun as warmer surroundings', () =>
  expect(acRun({ run: { ambientC: 30, sunOnCable: true } }).ampacity.value?.reckonedAt).toEqual({
    ambientC: 45,
    conductorC: 90,
  }));

it('is not known where a table names no one temperature, and wants currents that there are', () => {
  expect(settledC({ izA: 100 }, 50)).toBeNull();
  expect(() => settledC({ ...ampacity, izA: 0 }, 1)).toThrow(RangeError);
  expect(() => settledC(ampacity, -1)).toThrow(RangeError);
});
