import { describe, expect, it } from 'vitest';
import { runOf } from '../../testing/examples';
import { CABLE_MASS } from '../tables/cableMass';
import { legsOf, pullMostN, pullOf, pulledKgPerM, reversed } from './pull';

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
  it('go up where they went down when walked from the other end', () => {
    const points = [at(0, 0, 0), at(4, 0, 0), at(4, 0, 6)];
    expect(legsOf(reversed(points)).map((l) => [l.alongM, l.upM])).toEqual([
      [0, -6],
      [4, 0],
    ]);
  });
});

describe('what a run is pulled by', () => {
  it('is 50 N/mm² of copper and 30 of aluminium on its three lines (recalled)', () => {
    expect(pullMostN('Cu', 120, 1)).toBe(18_000);
    expect(pullMostN('Al', 150, 2)).toBe(27_000);
  });
  it('weighs all cables at once, singles by their number', () => {
    const kg = (over: Parameters<typeof runOf>[1], conductors = 5) => pulledKgPerM(runOf('x', over), conductors).value;
    const four = kg({ cores: '4-core' }) ?? 0;
    expect(kg({ cores: '5-core' })).toBeCloseTo(1.25 * four, 9);
    expect(kg({ cores: '4-core', parallel: 2 })).toBeCloseTo(2 * four, 9);
    expect(kg({ cores: '1-core' }, 4)).toBeCloseTo(2 * (kg({ cores: '1-core' }, 2) ?? 0), 9);
    expect(pulledKgPerM(runOf('x', { sectionMm2: 55 }), 5).missing).toEqual(['mass of a 5-core cable of 55 mm² Cu']);
    expect(pulledKgPerM(runOf('x', { sectionMm2: null, cores: null }), 5).missing).toEqual(['section', 'cores']);
  });
  it('weighs at least its metal: 8.89 and 2.70 g/cm³ (IEC 60028, 60889), and rises with the section', () => {
    const columns = CABLE_MASS.columns;
    columns.forEach((column, c) => {
      const cores = column.startsWith('4') ? 4 : 1;
      const density = column.endsWith('Cu') ? 8.89e-3 : 2.7e-3;
      const cells = CABLE_MASS.rows.flatMap((row) =>
        row[c + 1] == null ? [] : [[row[0], row[c + 1] as number] as const],
      );
      for (const [section, kg] of cells)
        expect(kg / (cores * density * section), `${column} ${section}`).toBeGreaterThan(0.99);
      expect(cells.map(([, kg]) => kg)).toEqual(cells.map(([, kg]) => kg).sort((a, b) => a - b));
    });
  });
});
