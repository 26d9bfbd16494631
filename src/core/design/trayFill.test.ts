import { describe, expect, it } from 'vitest';
import { runResult } from '../ac/results';
import type { Tray } from '../site/plan';
import { SURVEY, T100, runOf } from '../testing/examples';
import type { PlanLength } from './lengths';
import { trayFill } from './trayFill';

const TRAY: Tray = {
  id: 'up',
  label: 'Riser',
  carries: ['dc', 'ac', 'bus'],
  widthMm: 200,
  depthMm: 60,
  dcLeadMm: 6,
  busCableMm: 8,
  points: [
    { xM: 0, yM: 0, zM: 0 },
    { xM: 0, yM: 0, zM: 8 },
  ],
};
const length = (kind: PlanLength['kind'], id: string, trays: readonly string[] = ['up']): PlanLength => ({
  kind,
  id,
  from: id,
  to: 'there',
  lengthM: 10,
  measured: false,
  way: { trays, lengthM: 10, points: [] },
});
const UNIT = { id: 'inv-1', tag: 'INV-01', typeId: T100.id, position: null };
const run = (over: Parameters<typeof runOf>[1] = {}) => runResult(runOf('inv-1', over), UNIT, T100, SURVEY);
const fill = (tray: Partial<Tray>, lengths: readonly PlanLength[], runs = [run({ cableDiameterMm: 50 })]) =>
  trayFill({ ...TRAY, ...tray }, lengths, runs);

describe('fill of a tray', () => {
  it('is the section of its cables over its own: two leads a home run, every cable of a run, the bus once', () => {
    const quarter = Math.PI / 4;
    expect(fill({}, []).value).toBe(0);
    expect(fill({}, [length('dc', 's-1')]).value).toBeCloseTo((100 * 2 * quarter * 36) / 12_000, 9);
    expect(fill({}, [length('bus', 'd-1')]).value).toBeCloseTo((100 * quarter * 64) / 12_000, 9);
    expect(fill({}, [length('ac', 'inv-1')]).value).toBeCloseTo((100 * quarter * 2500) / 12_000, 9);
    const two = [run({ cableDiameterMm: 50, parallel: 2 })];
    expect(fill({}, [length('ac', 'inv-1')], two).value).toBeCloseTo((200 * quarter * 2500) / 12_000, 9);
    // What lies elsewhere takes nothing here.
    expect(fill({}, [length('dc', 's-1', ['other'])]).value).toBe(0);
  });
  it('takes a cable that nobody measured by the largest it may be', () => {
    const tabled = run({ cableDiameterMm: null });
    const high = tabled.diameter.value?.highMm ?? 0;
    expect(high).toBeGreaterThan(tabled.diameter.value?.nominalMm ?? 0);
    expect(fill({}, [length('ac', 'inv-1')], [tabled]).value).toBeCloseTo(
      (100 * (Math.PI / 4) * high ** 2) / 12_000,
      9,
    );
  });
  it('says what it lacks, of what lies there alone', () => {
    expect(fill({ dcLeadMm: null }, [length('ac', 'inv-1')]).missing).toEqual([]);
    expect(fill({ dcLeadMm: null }, [length('dc', 's-1'), length('dc', 's-2')]).missing).toEqual([
      'diameter of a DC lead on Riser',
    ]);
    expect(fill({ busCableMm: null, widthMm: null, depthMm: null }, [length('bus', 'd-1')]).missing).toEqual([
      'diameter of the RS-485 cable on Riser',
      'inner width of Riser',
      'usable depth of Riser',
    ]);
    expect(fill({}, [length('ac', 'inv-9')]).missing).toEqual(['run of inv-9']);
    expect(fill({}, [length('ac', 'inv-1')], [run({ sectionMm2: null, cableDiameterMm: null })]).missing).toEqual([
      'cable diameter of INV-01',
    ]);
    expect(fill({}, [length('ac', 'inv-1')], [run({ cores: null, cableDiameterMm: 50 })]).missing).toEqual([
      'cores of the run of INV-01',
    ]);
  });
});
