import { describe, expect, it } from 'vitest';
import { earthFaultPlace } from './earthFault';
import { judgeGuarded } from './guardBand';
import { sameValues, sameValuesQuestion } from './sameValues';
import { jointsOf, printedTarget } from './torqueJoint';
import { INSTRUMENTS } from '../../testing/crew';
import { uncertaintyOf } from '../../equipment/instrument';

describe('guard band (worked values: 15 % and 5 digits of 0.01)', () => {
  const range = { of: 'insulation' as const, min: 0, max: 1000, accuracyPercent: 15, digits: 5, resolution: 0.01 };
  it('is 0.23 at 1.2 and 0.245 at 1.3', () => {
    expect(uncertaintyOf(range, 1.2)).toBeCloseTo(0.23, 9);
    expect(uncertaintyOf(range, -1.3)).toBeCloseTo(0.245, 9);
    expect(uncertaintyOf(undefined, 1)).toBeNull();
    expect(uncertaintyOf({ ...range, accuracyPercent: null }, 1)).toBeNull();
    expect(uncertaintyOf({ ...range, digits: null, resolution: null }, 2)).toBeCloseTo(0.3, 9);
  });
  it('softens within it on the good side, and stops on the bad', () => {
    expect([1.2, 1.3, 0.99].map((v) => judgeGuarded(v, 1, 'least', uncertaintyOf(range, v)))).toEqual([
      'tight',
      'holds',
      'stop',
    ]);
    expect([0.9, 0.7, 1.01].map((v) => judgeGuarded(v, 1, 'most', 0.2))).toEqual(['tight', 'holds', 'stop']);
    expect(judgeGuarded(1, 1, 'most', null)).toBe('holds');
    expect(judgeGuarded(Number.NaN, 1, 'most', null)).toBe('stop');
  });
});

describe('where a string touches earth (node equations; worked value)', () => {
  it('is between modules 5 and 6 of 20, 163551 Ω, for 642 V and 214 V of 870 V', () => {
    const place = earthFaultPlace(20, 642, -214, 870);
    expect(place).toMatchObject({ found: 'fault', between: [5, 6] });
    expect(place.found === 'fault' && [place.atModules, place.ohm].map((x) => Math.round(x))).toEqual([5, 163551]);
  });
  it('is none under a tenth of U_oc, and an error above it', () => {
    expect(earthFaultPlace(20, 40, 46, 870).found).toBe('no fixed fault');
    expect(earthFaultPlace(20, 44, 44, 870).found).toBe('fault');
    expect(earthFaultPlace(20, 700, 188, 870).found).toBe('error');
    expect(earthFaultPlace(20, 690, 185, 870)).toMatchObject({ found: 'fault', ohm: 0 });
  });
});

describe('equal torques', () => {
  const eleven = [...Array<number>(11).fill(21), 21.2];
  it('are asked about where a read-out wrench shows one figure too often (worked values)', () => {
    const s = sameValues(eleven, 0.1, 21, 'readout');
    expect(s).toMatchObject({ count: 12, most: 11, ask: true });
    expect(s.chance).toBeCloseTo(1.36267849e-9, 13);
    const coarse = sameValues(Array<number>(12).fill(21), 1, 21, 'readout');
    expect(coarse.chance).toBeCloseTo(0.238972034, 5);
    expect(coarse.ask).toBe(false);
  });
  it('are right for a click wrench, and never asked about for a few', () => {
    expect(sameValues(Array<number>(12).fill(21), 0.1, 21, 'click')).toEqual({
      count: 12,
      most: 12,
      chance: null,
      ask: false,
    });
    expect(sameValues(Array<number>(7).fill(21), 0.1, 21, 'readout').ask).toBe(false);
    expect(sameValues(Array<number>(8).fill(21), 0.1, 21, 'readout').ask).toBe(true);
  });

  const joints = (of: readonly number[], targetNm = 21) =>
    of.map((appliedNm, i) => ({ at: `joint ${targetNm}-${i + 1}`, appliedNm, targetNm }));
  it('become a question in words, with three joints to read again: the same three for the same reading', () => {
    const asked = sameValuesQuestion(joints(eleven), 0.1, 'readout', 7);
    expect(asked).toMatch(/^11 of 12 joints read 21 N·m\. .* or read (joint 21-\d+, ){2}joint 21-\d+ again\.$/);
    expect(sameValuesQuestion(joints(eleven), 0.1, 'readout', 7)).toBe(asked);
    // The joint that read something else is none of them.
    expect(asked).not.toContain('21-12');
    const seeds = Array.from({ length: 40 }, (_, seed) => sameValuesQuestion(joints(eleven), 0.1, 'readout', seed));
    expect(new Set(seeds).size).toBeGreaterThan(20);
  });
  it('raise none for a click wrench, for a tool whose display step nobody gave, or where targets differ', () => {
    expect(sameValuesQuestion(joints(eleven), 0.1, 'click', 7)).toBeNull();
    expect(sameValuesQuestion(joints(eleven), null, 'readout', 7)).toBeNull();
    const ends = [...joints(Array<number>(6).fill(21)), ...joints(Array<number>(6).fill(21), 25)];
    expect(sameValuesQuestion(ends, 0.1, 'readout', 7)).toBeNull();
    // The end that is odd is asked about, whatever the other says.
    expect(sameValuesQuestion([...joints([24, 25, 26], 25), ...joints(eleven)], 0.1, 'readout', 7)).toMatch(
      /^11 of 12/,
    );
  });
});

describe('joints of a run', () => {
  it('are those of both ends, and of the external earth where one is drawn', () => {
    expect(jointsOf('5-wire', { externalEarthMm2: 16 }).map((j) => j.at)).toEqual([
      'unit chassis earth',
      'unit PE',
      'unit L1',
      'unit L2',
      'unit L3',
      'unit N',
      'board PE',
      'board L1',
      'board L2',
      'board L3',
      'board N',
    ]);
    expect(jointsOf('3-wire plus PE', undefined).length).toBe(8);
  });
  it('have ten per cent about a printed torque', () => {
    const { lowNm, highNm } = printedTarget(20);
    expect([lowNm, highNm]).toEqual([18, 22]);
  });
  it('are torqued with a tool of a kind', () => expect(INSTRUMENTS['torque tool'].kind).toBe('torque tool'));
});
