import { describe, expect, it } from 'vitest';
import { easierEnd, legsOf, pullOf } from './pull';

const straight = (alongM: number, upM = 0, bendRad = 0) => ({ alongM, upM, bendRad });

describe('pulling a cable', () => {
  it('wants on the flat its weight times the friction: 100 m of 5 kg/m at 0.4 are 1961 N', () =>
    expect(pullOf([straight(100)], 5, 0.4, 0.6)).toEqual({ tensionN: expect.closeTo(1961.33, 2), sidewallNPerM: 0 }));

  it('wants e^(μθ) times as much behind a bend (capstan): a right angle at 0.4 takes 1.874', () => {
    const p = pullOf([straight(50, 0, Math.PI / 2), straight(50)], 5, 0.4, 0.6);
    const before = 5 * 9.80665 * 0.4 * 50;
    expect(p.tensionN).toBeCloseTo(before * Math.exp(0.4 * (Math.PI / 2)) + before, 6);
    expect(p.sidewallNPerM).toBeCloseTo((before * 1.8745) / 0.6, 0);
  });

  it('lifts a riser by its whole weight, and never pushes downhill', () => {
    expect(pullOf([straight(0, 10)], 5, 0.4, 1).tensionN).toBeCloseTo(490.33, 2);
    expect(pullOf([straight(0, -10)], 5, 0.4, 1).tensionN).toBe(0);
    // Downhill first is easier than uphill last: which end to pull from matters.
    const way = [straight(40, -10, Math.PI / 2), straight(40)];
    const back = [straight(40, 0, Math.PI / 2), straight(40, 10)];
    expect(pullOf(way, 5, 0.4, 1).tensionN).toBeLessThan(pullOf(back, 5, 0.4, 1).tensionN);
  });

  it('grows with weight, friction and turn, and takes no friction off the range', () => {
    const at = (kg: number, friction: number, turn: number) =>
      pullOf([straight(30, 0, turn)], kg, friction, 1).tensionN;
    expect(at(6, 0.4, 1)).toBeGreaterThan(at(5, 0.4, 1));
    expect(at(5, 0.5, 1)).toBeGreaterThan(at(5, 0.4, 1));
    expect(at(5, 0.4, 2)).toBeGreaterThan(at(5, 0.4, 1));
    expect(() => at(5, 0.04, 1)).toThrow(RangeError);
    expect(() => at(0, 0.4, 1)).toThrow(RangeError);
    expect(() => pullOf([], 5, 0.4, 0)).toThrow(RangeError);
  });
});

describe('the legs of a way', () => {
  const at = (xM: number, yM: number, zM: number) => ({ xM, yM, zM });
  it('are what lies between its corners, with square turns of a quarter', () => {
    const legs = legsOf([at(0, 0, 0), at(0, 0, 0), at(10, 0, 0), at(10, 5, 0), at(10, 5, 3)]);
    expect(legs.map((l) => [l.alongM, l.upM])).toEqual([
      [10, 0],
      [5, 0],
      [0, 3],
    ]);
    expect(legs.map((l) => l.bendRad)).toEqual([expect.closeTo(Math.PI / 2, 9), expect.closeTo(Math.PI / 2, 9), 0]);
  });
  it('turn nowhere on a straight way, whatever points lie on it', () =>
    expect(legsOf([at(0, 0, 0), at(3, 4, 0), at(6, 8, 0)]).map((l) => l.bendRad)).toEqual([0, 0]));
  it('turn by the angle in space between pieces of any length', () => {
    const [first] = legsOf([at(0, 0, 0), at(10, 0, 0), at(13, 0, 3)]);
    expect(first?.bendRad).toBeCloseTo(Math.PI / 4, 9);
    const [slanted] = legsOf([at(0, 0, 0), at(0, 4, 4), at(0, 6, 4)]);
    expect(slanted?.bendRad).toBeCloseTo(Math.PI / 4, 9);
    const [back] = legsOf([at(0, 0, 0), at(0, 3, 1), at(0, 2, 4)]);
    expect(back?.bendRad).toBeCloseTo(Math.PI / 2, 9);
  });
  it('go up where they go down from the other end', () => {
    const points = [at(0, 0, 0), at(4, 0, 0), at(4, 0, 6)];
    expect(legsOf(points).map((l) => [l.alongM, l.upM])).toEqual([
      [4, 0],
      [0, 6],
    ]);
    expect(legsOf([...points].reverse()).map((l) => [l.alongM, l.upM])).toEqual([
      [0, -6],
      [4, 0],
    ]);
  });
});

describe('the easier end', () => {
  const at = (xM: number, yM: number, zM: number) => ({ xM, yM, zM });
  // From the unit 40 m along, round a corner, 10 m down to the board: 5 kg/m at 0.4 round 1 m.
  const down = [at(0, 0, 10), at(40, 0, 10), at(40, 0, 0)];
  it('is the one with the lesser tension, whichever way the points were given', () => {
    const pull = easierEnd(down, 5, 0.4, 1);
    expect(pull.from).toBe('board');
    // (5·g·0.4·40)·e^(0.4·π/2) − 5·g·10, by hand.
    expect(pull.pull.tensionN).toBeCloseTo(784.532 * Math.exp(0.2 * Math.PI) - 490.3325, 3);
    expect(pull.otherN).toBeCloseTo(490.3325 * Math.exp(0.2 * Math.PI) + 784.532, 3);
    expect(pull.turnsRad).toBeCloseTo(Math.PI / 2, 9);
    const turned = easierEnd([...down].reverse(), 5, 0.4, 1);
    expect(turned.from).toBe('unit');
    expect(turned.pull.tensionN).toBeCloseTo(pull.pull.tensionN, 9);
  });
  it('is the board where both are alike', () =>
    expect(easierEnd([at(0, 0, 0), at(10, 0, 0)], 5, 0.4, 1)).toMatchObject({ from: 'board', turnsRad: 0 }));
});
