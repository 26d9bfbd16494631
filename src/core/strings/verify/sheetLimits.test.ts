import { describe, expect, it } from 'vitest';
import type { Plane } from '../../site/parts';
import type { Survey } from '../../site/survey';
import { M575, SURVEY, T100, plane } from '../../testing/examples';
import { brightA, coldModuleV, fewestModules, fuseKeeps, mostV } from './sheetLimits';

const P = plane('p', 20);
const MW = 1e6;
const survey = (over: Partial<Survey>): Survey => ({ ...SURVEY, ...over });

describe('one module on the coldest morning, by hand', () => {
  const at = (over: Partial<Survey>, tolerance: number | null = null) =>
    coldModuleV({ ...M575, uocTolerancePercent: tolerance }, P, survey(over), MW);

  it('by the coefficient: 51.62 V and 0.12957 V for each of 37 K (IEC 62548-1, worked by hand)', () =>
    expect(at({})).toBeCloseTo(51.62 + 37 * 0.129566, 3));
  it('and three in a hundred more where the tolerance counts, unknown where the sheet has none', () => {
    expect(at({ countUocTolerance: true }, 3)).toBeCloseTo(1.03 * 56.414, 3);
    expect(at({ countUocTolerance: false }, 3)).toBeCloseTo(56.414, 3);
    expect(at({ countUocTolerance: true })).toBeNull();
    expect(at({ countUocTolerance: true, coldMethod: 'table' })).toBeNull();
  });
  it('by the table the colder row between two, none below its end (NFPA 70, Table 690.7(A), recalled)', () => {
    const factor = (coldestC: number) => {
      const v = at({ coldMethod: 'table', coldestC });
      return v === null ? null : Math.round((1000 * v) / M575.uocV) / 1000;
    };
    expect([30, 25, 24.9, 20, 19, -10, -10.1, -15, -40, -40.1].map(factor)).toEqual([
      1,
      1,
      1.02,
      1.02,
      1.04,
      1.14,
      1.16,
      1.16,
      1.25,
      null,
    ]);
  });
  it('unknown without the cold', () => {
    for (const coldMethod of ['coefficient', 'table', 'engineered'] as const)
      expect(at({ coldestC: null, coldMethod })).toBeNull();
  });
});

describe('an engineered voltage', () => {
  const under = (typed: number | null, over: Partial<Survey> = {}, siteW = 100_000) =>
    coldModuleV(
      M575,
      { ...P, engineeredUocColdV: typed },
      survey({ coldMethod: 'engineered', school: 'NEC', engineeredDocument: 'PE-17', ...over }),
      siteW,
    );

  it('counts under its clause alone: 100 kW and a stamped document (NFPA 70, 690.7(A)(3), recalled)', () => {
    expect(under(56.9)).toBe(56.9);
    expect(under(56.9, {}, 99_999)).toBeNull();
    expect(under(56.9, { engineeredDocument: '' })).toBeNull();
    expect(under(56.9, { school: 'IEC' })).toBeNull();
    expect(under(null)).toBeNull();
  });
  it('fits no string at all where silicon cannot give it: not above the sheet in the cold, or half as much again', () => {
    expect(under(M575.uocV)).toBe(Infinity);
    expect(under(M575.uocV, { coldestC: 25 })).toBe(M575.uocV);
    expect(under(M575.uocV, { coldestC: 24 })).toBe(Infinity);
    expect(under(1.509 * M575.uocV)).toBe(1.509 * M575.uocV);
    expect(under(1.52 * M575.uocV)).toBe(Infinity);
  });
});

describe('the most volts', () => {
  const generous = { ...T100, dcMaxV: 2000, connectorMaxV: null };
  const module = { ...M575, systemMaxV: 2000 };
  it('by the law of the place (NFPA 70, 690.7; IEC 62548-1 and AS/NZS 5033, recalled); a dwelling never gets what others may', () => {
    const law = (school: Survey['school']) =>
      (['one- or two-family dwelling', 'other building', 'not on a building'] as const).map((building) =>
        mostV(module, generous, survey({ school, building, dcLegalMaxV: null })),
      );
    expect(law('NEC')).toEqual([600, 1000, 1500]);
    expect(law('IEC')).toEqual([1000, 1500, 1500]);
    expect(law('AU/NZ')).toEqual([1000, 1500, 1500]);
    expect(mostV(module, generous, survey({ building: null, dcLegalMaxV: null }))).toBe(2000);
  });
  it('is the least of unit, module, connector, what was typed and the law', () => {
    const s = survey({ dcLegalMaxV: 1400 });
    expect(mostV(module, generous, s)).toBe(1400);
    expect(mostV(module, { ...generous, connectorMaxV: 1300 }, s)).toBe(1300);
    expect(mostV({ ...M575, systemMaxV: 1200 }, { ...generous, connectorMaxV: 1300 }, s)).toBe(1200);
    expect(mostV({ ...M575, systemMaxV: 1200 }, { ...generous, dcMaxV: 1100 }, s)).toBe(1100);
  });
});

describe('the fewest modules', () => {
  const fewest = (
    over: Partial<typeof T100>,
    mounting: Plane['mounting'] = 'pitched_gap',
    hottestC: number | null = 38,
  ) => fewestModules(M575, { ...P, mounting }, { ...T100, ...over }, survey({ hottestC }));

  it('track at 38 °C with 36.65 V a module, 66.75 °C in the cell: an exact multiple of it just does', () => {
    const hotMppV = 42.8 * (1 - 0.00344 * 41.75);
    expect(fewest({ startV: 1, mpptMinV: 6 * hotMppV })).toBe(6);
    expect(fewest({ startV: 1, mpptMinV: 6 * hotMppV + 0.1 })).toBe(7);
  });
  it('start with 46.21 V a module', () => {
    const hotOpenV = 51.62 * (1 - 0.00251 * 41.75);
    expect(fewest({ mpptMinV: 1, startV: 5 * hotOpenV })).toBe(5);
    expect(fewest({ mpptMinV: 1, startV: 5 * hotOpenV + 0.1 })).toBe(6);
    expect(fewest({ mpptMinV: 1, startV: null })).toBeNull();
  });
  it('run 36 K over the air close to a roof and 42 K built into it (common practice)', () => {
    const atCellC = (cellC: number) => 10 * 42.8 * (1 - 0.00344 * (cellC - 25));
    for (const [mounting, cellC] of [
      ['pitched_close', 74],
      ['flush', 80],
    ] as const) {
      expect(fewest({ startV: 1, mpptMinV: atCellC(cellC) }, mounting)).toBe(10);
      expect(fewest({ startV: 1, mpptMinV: atCellC(cellC) + 0.1 }, mounting)).toBe(11);
    }
  });
  it('are unknown without the heat, and where the sheet turns over', () => {
    expect(fewest({}, 'pitched_gap', null)).toBeNull();
    expect(fewestModules({ ...M575, gammaPmaxPerK: -0.03 }, P, T100, SURVEY)).toBeNull();
    expect(fewestModules({ ...M575, betaUocPerK: -0.03 }, P, T100, SURVEY)).toBeNull();
  });
});

it('light from behind adds its share of the other side: 14.21 A and 0.8 × 0.1 of it', () => {
  expect(brightA(M575, { ...P, rearShare: 0.1 })).toBeCloseTo(14.21 * 1.08, 9);
  expect(brightA(M575, { ...P, rearShare: null })).toBe(14.21);
});

it('a fuse keeps a string of 10 A from 16 A to its module’s maximum, at most 2.4 times (IEC 62548-1; NFPA 70, 690.9: 1.5625 times; recalled)', () => {
  const keeps = (fuseA: number | null, school: Survey['school'], stringA = 10, fuseMaxA = 30) =>
    fuseKeeps(fuseA, { ...M575, fuseMaxA }, stringA, survey({ school }));
  const kept = (school: Survey['school'], stringA?: number, fuseMaxA?: number) =>
    [null, 12, 15, 16, 18, 20, 24, 25, 30].filter((a) => keeps(a, school, stringA, fuseMaxA));
  expect(kept('IEC')).toEqual([16, 20]); // 15 A is exactly 1.5 times, 25 A is 2.5 times, 18 and 24 A are not made
  expect(kept('IEC', 10.42)).toEqual([16, 20, 25]);
  expect(kept('AU/NZ')).toEqual([16, 20]);
  expect(kept('NEC')).toEqual([16, 20, 25, 30]);
  expect(kept('NEC', 9.6)).toEqual([15, 16, 20, 25, 30]);
  expect(kept('NEC', 10, 20)).toEqual([16, 20]);
});
