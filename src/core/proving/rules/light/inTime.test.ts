import { expect, it } from 'vitest';
import { lightStands } from '../../light';
import { edges } from '../../../testing/edges';
import { LIGHT_IN_TIME } from './inTime';

const age = (minutes: number | null) => ({ ageMs: minutes === null ? null : 60_000 * minutes });

edges(LIGHT_IN_TIME, () => ({
  holds: [age(0), age(10)],
  without: { 'a reading of the light within ten minutes before the string': age(10.001) },
  numbers: [[age(4), { value: 4, limit: 10 }]],
  says: [[age(4), /read 4 min before/]],
}));

it('of a light read after its string stands for nothing', () =>
  expect([-0.001, 0, 10, 10.001].map((minutes) => lightStands(60_000 * minutes))).toEqual([false, true, true, false]));
