import { describe, expect, it } from 'vitest';
import type { InverterType } from '../../equipment/inverterType';
import type { ModuleType } from '../../equipment/moduleType';
import type { PvString } from '../../site/parts';
import { newString } from '../../site/parts';
import { M575, T100, plane, siteOf } from '../../testing/examples';
import { withStrings } from '../arrange';
import { verifyLayout } from '.';

type Branch = NonNullable<PvString['place']>['branch'];
const on = (tracker: number, input: number, branch: Branch = 1, inverterId = 'inv-1') => ({
  inverterId,
  tracker,
  input,
  branch,
});
const south = (id: string, n: number, place: PvString['place'], modules = 17) =>
  newString(id, n, 'south', modules, place);
const said = (strings: readonly PvString[], type: Partial<InverterType> = {}, module: Partial<ModuleType> = {}) => {
  const d = withStrings(siteOf(1, [plane('south', 68)], { ...T100, ...type }), strings);
  const modules = d.equipment.modules.map((m) => ({ ...m, ...module }));
  return verifyLayout({ ...d, equipment: { ...d.equipment, modules } }).map((v) => `${v.predicate} ${v.text}`);
};

describe('where a string hangs', () => {
  it('is an input that the unit has: the last one, and not the next', () => {
    expect(said([south('a', 1, on(10, 2))])).toEqual([]);
    expect(said([south('a', 1, on(11, 1))])).toEqual(['V04 INV-01.11.1 does not exist.']);
    expect(said([south('a', 1, on(1, 3))])).toEqual(['V04 INV-01.1.3 does not exist.']);
    expect(said([south('a', 1, null)])).toEqual([]);
    expect(said([south('a', 1, on(1, 1, 1, 'gone'))])).toEqual([
      'V04 String 1 hangs on an inverter that does not exist.',
    ]);
  });
  it('is its own: two on one input only as the two branches of a Y, equally long', () => {
    const wide = { trackerShortCircuitMaxA: 60, connectorMaxA: 60 };
    expect(said([south('a', 1, on(1, 1)), south('b', 2, on(1, 1))], wide)).toEqual(['V04 INV-01.1.1 is used twice.']);
    expect(said([south('a', 1, on(1, 1)), south('b', 2, on(1, 1, 2))], wide)).toEqual([]);
    expect(said([south('b', 2, on(1, 1, 2))], wide)).toEqual(['V04 INV-01.1.1 has the second branch of a Y alone.']);
    expect(said([south('a', 1, on(1, 1)), south('b', 2, on(1, 1, 2), 16)], wide)).toContain(
      'V03 INV-01.1.1: a Y joins strings of different length.',
    );
  });
  it('is said once for each string', () => {
    const a = south('a', 1, null);
    expect(said([a, a])).toEqual(['V07 String 1 appears twice.']);
  });
  it('takes no more modules than the plane has: all, and one more', () => {
    const four = [1, 2, 3, 4].map((n) => south(`s${n}`, n, null));
    expect(said(four)).toEqual([]);
    expect(said([...four.slice(1), south('s5', 5, null, 18)])).toEqual(['V01 south: 68 modules drawn, 69 in strings.']);
  });
});

describe('what a string, a tracker and a unit carry, just and just not', () => {
  const one = [south('a', 1, on(1, 1))];
  const two = [south('a', 1, on(1, 1)), south('b', 2, on(1, 2))];
  const coldV = 17 * (51.62 + 37 * 0.00251 * 51.62);

  it('volts of the coldest morning', () => {
    expect(said(one, { dcMaxV: coldV })).toEqual([]);
    expect(said(one, { dcMaxV: coldV - 0.1 })).toEqual([
      'V02 String 1 has 17 modules; INV-01 takes 6 to 16.',
      `V11 String 1: ${coldV.toFixed(1)} V on the coldest morning; limit ${coldV - 0.1} V.`,
    ]);
    expect(said([south('a', 1, on(1, 1), 5)])).toEqual(['V02 String 1 has 5 modules; INV-01 takes 6 to 19.']);
  });
  it('short-circuit amperes of the strings together, 1.25 times unless the sheet counts them bare', () => {
    expect(said(two, { trackerShortCircuitMaxA: 2.5 * 14.21 })).toEqual([]);
    expect(said(two, { trackerShortCircuitMaxA: 35 })).toEqual(['V05 INV-01.1: 35.5 A on 35 A.']);
    expect(said(two, { trackerShortCircuitMaxA: 2 * 14.21, shortCircuitLimitIsStc: true })).toEqual([]);
    expect(said(two, { trackerShortCircuitMaxA: 28, shortCircuitLimitIsStc: true })).toEqual([
      'V05 INV-01.1: 28.4 A on 28 A.',
    ]);
  });
  it('amperes of each connector by itself', () => {
    expect(said(two, { connectorMaxA: 1.25 * 14.21 })).toEqual([]);
    expect(said(two, { connectorMaxA: 17 })).toEqual([
      'V05 INV-01.1.1: 17.8 A on a 17 A connector.',
      'V05 INV-01.1.2: 17.8 A on a 17 A connector.',
    ]);
    expect(said(two, { connectorMaxA: null })).toEqual([]);
  });
  it('reverse current of the others through one string without a fuse', () => {
    expect(said(two, {}, { fuseMaxA: 1.25 * 14.21 })).toEqual([]);
    expect(said(two, {}, { fuseMaxA: 17 })).toEqual([
      'V12 INV-01.1: 2 strings need fuses (17.8 A back into one; module fuse 17 A).',
    ]);
  });
  it('watts of the unit', () => {
    expect(said(two, { dcMaxW: 34 * M575.pmaxW })).toEqual([]);
    expect(said(two, { dcMaxW: 34 * M575.pmaxW - 100 })).toEqual(['V06 INV-01: 19.6 kW on 19.4 kW.']);
    expect(said(two, { dcMaxW: null })).toEqual([]);
  });
  it('strings of one length on a tracker', () => {
    expect(said([south('a', 1, on(1, 1)), south('b', 2, on(1, 2), 16)])).toEqual([
      'V03 INV-01.1 mixes M575, 10° tilt, 180° azimuth, 17 modules and M575, 10° tilt, 180° azimuth, 16 modules.',
    ]);
    expect(said([south('a', 1, on(1, 1)), south('b', 2, on(2, 1), 16)])).toEqual([]);
  });
});
