import { expect, it } from 'vitest';
import { joinedAlike, jointsBeside } from './jointOhms';
import { jointsOf } from './torqueJoint';

/** At least three like joints tell which of them is bad (ANSI/NETA ATS compares like with like, recalled; three: common practice). */

const names = (joints: readonly { readonly at: string }[]) => joints.map((j) => j.at);
const JOINTS = joinedAlike(jointsOf('5-wire', { externalEarthMm2: 16 }));

it('lines and neutral of an end are alike; earths stand alone', () => {
  expect(names(JOINTS)).toEqual(
    ['unit', 'board'].flatMap((end) => ['L1', 'L2', 'L3', 'N'].map((at) => `${end} ${at}`)),
  );
  expect(names(joinedAlike(jointsOf('3-wire plus PE', undefined)))).toHaveLength(6);
});
it('each is held against the lowest of its own end, where three of it were read', () => {
  const read = (joints: Readonly<Record<string, number>>) =>
    jointsBeside(
      JOINTS,
      Object.entries(joints).map(([at, microOhm]) => ({ at, microOhm })),
    ).map((j) => [j.at, j.microOhm, j.lowestMicroOhm]);
  expect(read({ 'unit L1': 20, 'unit L2': 18, 'unit L3': 40, 'board L1': 9, 'board L2': 8 })).toEqual([
    ['unit L1', 20, 18],
    ['unit L2', 18, 18],
    ['unit L3', 40, 18],
    ['board L1', 9, null],
    ['board L2', 8, null],
  ]);
  expect(read({ 'unit L1': 20, 'unit L2': 18, 'board L3': 1 })).toEqual([
    ['unit L1', 20, null],
    ['unit L2', 18, null],
    ['board L3', 1, null],
  ]);
  expect(read({ 'unit PE': 20, 'stud 7': 18 })).toEqual([]);
  // One that is told three times is one.
  const thrice = Array.from({ length: 3 }, () => ({ at: 'unit L1', microOhm: 20 }));
  expect(jointsBeside(JOINTS, thrice)).toEqual([{ at: 'unit L1', microOhm: 20, lowestMicroOhm: null }]);
});
