import { expect, it } from 'vitest';
import { Crew } from '../../testing/crew';
import { twoUnits } from '../../testing/handedOver';
import { beginsWith } from './log';

it('a record begins with what somebody has of it, where it is as long and the same at the end of that', () => {
  const crew = new Crew(twoUnits);
  const [first, last] = [crew.prove('S-DOC'), crew.prove('S-SAFE')];
  const log = { releases: [{ letter: 'A', atMs: 7, design: twoUnits }], entries: crew.entries };
  const begins = (entries: number, releases: number, lastEntry?: string, lastReleaseMs?: number) =>
    beginsWith(log, { entries, releases, lastEntry, lastReleaseMs });
  expect([begins(0, 0), begins(2, 1), begins(1, 1, first.id, 7), begins(2, 1, last.id, 7)]).toEqual(
    Array(4).fill(true),
  );
  expect([begins(3, 1), begins(2, 2), begins(2, 1, first.id), begins(0, 0, first.id)]).toEqual(Array(4).fill(false));
  expect([begins(2, 1, last.id, 8), begins(0, 0, undefined, 7)]).toEqual([false, false]);
});
