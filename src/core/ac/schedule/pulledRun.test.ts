import { describe, expect, it } from 'vitest';
import { exactly } from '../../kernel/publishedTable';
import { runOf } from '../../testing/examples';
import { acRun } from '../../testing/subjects';
import { CABLE_MASS } from '../tables/cableMass';
import { pullChecks, pullMostN, pulledKgPerM, pulledRun } from './pulledRun';

describe('what a run is pulled by', () => {
  it('is 50 N/mm² of copper and 30 of aluminium on its three lines (recalled)', () => {
    expect(pullMostN(runOf('x', { metal: 'Cu', sectionMm2: 120, parallel: 1 })).value).toBe(18_000);
    expect(pullMostN(runOf('x', { metal: 'Al', sectionMm2: 150, parallel: 2 })).value).toBe(27_000);
    expect(pullMostN(runOf('x', { metal: null })).missing).toEqual(['metal of the lines']);
  });
  it('weighs all cables at once, singles by their number', () => {
    const kg = (over: Parameters<typeof runOf>[1], conductors = 5) => pulledKgPerM(runOf('x', over), conductors).value;
    const four = kg({ cores: '4-core' }) ?? 0;
    expect(kg({ cores: '5-core' })).toBeCloseTo(1.25 * four, 9);
    expect(kg({ cores: '4-core', parallel: 2 })).toBeCloseTo(2 * four, 9);
    expect(kg({ cores: '1-core' }, 4)).toBeCloseTo(2 * (kg({ cores: '1-core' }, 2) ?? 0), 9);
    // By the table: 120 mm² of copper in four cores and as a single.
    expect(four).toBe(exactly(CABLE_MASS, 120, '4-core Cu'));
    expect(kg({ cores: '1-core', parallel: 2 }, 4)).toBeCloseTo(8 * (exactly(CABLE_MASS, 120, '1-core Cu') ?? NaN), 9);
    expect(pulledKgPerM(runOf('x', { metal: null, parallel: null }), 5).missing).toEqual([
      'metal of the lines',
      'cables in parallel',
    ]);
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

describe('a run that is pulled', () => {
  const points = [0, 100].map((xM) => ({ xM, yM: 0, zM: 0 }));
  it('is judged by what its lines and its bends take', () => {
    const pulled = pulledRun(acRun({}), points, 0.4, 1);
    expect(pulled.chosen.value?.pull.tensionN).toBeCloseTo((pulled.kgPerM.value ?? 0) * 9.80665 * 0.4 * 100, 6);
    expect(pullChecks(pulled)[0]?.subject).toEqual({ element: 'run', path: 'INV-01 / pull', id: pulled.id });
    expect(pullChecks(pulled).map((c) => [c.id, c.verdict])).toEqual([
      ['ac.pull-sidewall', 'holds'],
      ['ac.pull-tension', 'holds'],
    ]);
  });
  it('is unknown without its way, or what it weighs', () => {
    expect(pulledRun(acRun({}), null, 0.4, 1).chosen.missing).toEqual(['where INV-01 and the board stand']);
    expect(pulledRun(acRun({ run: { cores: null } }), points, 0.4, 1).chosen.missing).toEqual(['cores']);
    expect(pullChecks(pulledRun(acRun({}), null, 0.4, 1)).every((c) => c.verdict === 'unknown')).toBe(true);
  });
});
