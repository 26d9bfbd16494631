import { expect, it } from 'vitest';
import { edges } from '../../../testing/edges';
import { shutDown } from '../../../testing/readings';
import { RAPID_INSIDE } from './inside';

/** 80 V within 30 s inside the array boundary, or a listed hazard control system: NFPA 70, 690.12(B)(2) (recalled). */
const read = (insideV: number | null, seconds = 30, listedSystem = '') => shutDown({ insideV, seconds, listedSystem });

edges(RAPID_INSIDE, () => ({
  holds: [read(80), read(null, 30, 'HC-1'), read(400, 45, 'HC-1')],
  stops: [read(80.1), read(80.1, 31)],
  without: { 'voltage inside the array, or the listed system there': read(null) },
  numbers: [[read(60), { value: 60, limit: 80, margin: 25 }]],
  says: [
    [read(60, 20), /^60 V inside the array 20 s after it was worked; at most 80 V$/],
    [read(null, 30, 'HC-1'), /^listed hazard control system: HC-1$/],
  ],
}));

it('asks for a reading in time where it was read too late, and for any where there is none', () => {
  const lacks = (about: ReturnType<typeof read>) =>
    RAPID_INSIDE.check(about, { element: 'inverter', path: '' }).missing;
  expect(lacks(read(80, 30.1))).toEqual(['reading within 30 s']);
  expect(lacks(read(null))).toEqual(['voltage inside the array, or the listed system there']);
  expect(lacks(read(null, 30, 'HC-1'))).toBeUndefined();
});
it('of a listed system holds whatever was read, and says which it is', () =>
  expect(RAPID_INSIDE.check(read(400, 45, 'HC-1'), { element: 'inverter', path: '' })).toMatchObject({
    verdict: 'holds',
    value: null,
    working: ['listed hazard control system: HC-1'],
  }));
