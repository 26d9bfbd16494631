import { describe, expect, it } from 'vitest';
import { acRun, necRun } from '../../testing/subjects';
import { bayDrawing } from './drawing';

type Over = NonNullable<Parameters<typeof acRun>[0]>;
const drawn = (over: Over = {}) => {
  const d = bayDrawing(acRun(over));
  if (!d) throw new RangeError('there is a drawing');
  return d;
};

describe('the bay to scale', () => {
  it('has a stud every 45 mm, palms of 32 mm, one entry, a bend of 130.05 mm on the axis', () => {
    const d = drawn();
    expect(d.conductors.map((c) => c.name)).toEqual(['L1', 'L2', 'L3', 'N', 'PE']);
    expect(d.conductors.map((c) => c.colour)).toEqual(['brown', 'black', 'grey', 'blue', 'green-yellow']);
    const xs = d.conductors.map((c) => c.xMm);
    expect(xs.slice(1).map((x, i) => x - (xs[i] ?? 0))).toEqual([45, 45, 45, 45]);
    // The same to the left and to the right, and every palm inside.
    expect((xs[0] ?? 0) + (xs[4] ?? 0)).toBeCloseTo(d.widthMm, 9);
    expect((xs[0] ?? 0) - (d.palm?.widthMm ?? 0) / 2).toBeGreaterThan(0);
    expect(d).toMatchObject({
      palms: 1,
      palm: { widthMm: 32, thicknessMm: 5.5 },
      barrel: { outerMm: 21, depthMm: 35 },
    });
    expect(d.entries).toEqual([{ xMm: d.widthMm / 2 }]);
    expect(d.bendRadiusMm).toBeCloseTo(130.05, 9);
    expect(d.conductors.flatMap((c) => c.entries)).toEqual([0, 0, 0, 0, 0]);
  });

  it('lays two palms on a stud back to back, under washers and nut: 23.6 mm of M10 (ISO 4032, ISO 7089, DIN 127; recalled)', () => {
    const d = drawn({ run: { parallel: 2 } });
    expect(d.stack.map((p) => p.name)).toEqual(['palm 1', 'palm 2', 'flat washer', 'spring washer', 'nut']);
    expect(d.stack.at(-1)?.toMm).toBeCloseTo(23.6, 9);
    expect(d.stack.slice(1).every((p, i) => p.fromMm === d.stack[i]?.toMm)).toBe(true);
    expect(d.entries).toHaveLength(2);
    expect(d.conductors[0]?.entries).toEqual([0, 1]);
  });

  it('leads singles up under their own studs, two side by side', () => {
    const d = drawn({ run: { cores: '1-core', parallel: 2 } });
    expect(d.entries).toHaveLength(10);
    const [a, b] = d.entries;
    expect(((a?.xMm ?? 0) + (b?.xMm ?? 0)) / 2).toBeCloseTo(d.conductors[0]?.xMm ?? 0, 9);
    expect((b?.xMm ?? 0) - (a?.xMm ?? 0)).toBeCloseTo(18.3, 9);
    expect(d.conductors[4]?.entries).toEqual([8, 9]);
  });

  it('leads a PE beside the cable through an entry of its own', () => {
    const d = drawn({ run: { cores: '4-core', peInCable: false } });
    expect(d.entries).toHaveLength(2);
    expect(d.conductors.map((c) => c.entries)).toEqual([[0], [0], [0], [0], [1]]);
  });

  it('has no neutral where the unit has none, and American colours and no radius by the NEC school', () => {
    expect(drawn({ type: { wiring: '3-wire plus PE' } }).conductors.map((c) => c.name)).toEqual([
      'L1',
      'L2',
      'L3',
      'PE',
    ]);
    const d = bayDrawing(necRun());
    expect(d?.conductors.map((c) => c.name)).toEqual(['A', 'B', 'C', 'N', 'EGC']);
    expect(d?.conductors.map((c) => c.colour)).toContain('orange');
    expect(d?.bendRadiusMm).toBeNull();
  });

  it('leaves out what is not known, and is nothing without the spacing', () => {
    expect(bayDrawing(acRun({ bay: { studSpacingMm: null } }))).toBeNull();
    const d = drawn({ run: { metal: 'Al' }, bay: { glandClampMinMm: null, freeHeightMm: null } });
    expect(d).toMatchObject({ palm: null, barrel: null, sleeve: null, stack: [], clamp: null, freeHeightMm: null });
  });
});
