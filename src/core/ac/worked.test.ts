import { describe, expect, it } from 'vitest';
import type { InverterType } from '../equipment/inverterType';
import type { AcRun } from './part';
import type { Survey } from '../site/survey';
import { SERVICES } from '../site/survey';
import { SURVEY, T100, runOf, siteOf } from '../testing/examples';
import { withRun } from './edits';
import { checksOf } from '../testing/checks';
import { runChecks } from './assess';
import { runResult } from './results';

/** Whole runs worked by hand from IEC 60364-5-52, IEC 60228 and 60364-5-54 (recalled): from data sheet to PE, each intermediate checked. */

interface Case {
  readonly name: string;
  readonly type: Partial<InverterType>;
  readonly run: Partial<AcRun>;
  readonly lineV: number;
  readonly neededA: number;
  readonly izA: number;
  readonly ohm: number;
  readonly riseV: number;
  readonly risePercent: number;
}

const inverter = { id: 'x', tag: 'X', typeId: T100.id, position: null };
const common = { breakerGroupFactor: 1, peMm2: 95, externalEarthMm2: 95, sunOnCable: false } as const;
const CASES: readonly Case[] = [
  {
    name: '27.5 kVA at 400 V, 10 mm² copper clipped, 35 m, miniature breaker at 50 °C',
    type: { ratedW: 25_000, maxApparentVa: 27_500, outputMaxA: 40.1, breakerMaxA: 63 },
    run: {
      metal: 'Cu',
      method: 'C',
      arrangement: 'single layer, wall or unperforated tray',
      otherCircuits: 0,
      sectionMm2: 10,
      lengthM: 35,
      ambientC: 35,
      breakerKind: 'miniature',
      breakerAmbientC: 50,
      breakerA: 50,
    },
    lineV: 400,
    neededA: 45.5682,
    izA: 68.16,
    ohm: 0.0816702,
    riseV: 5.67242,
    risePercent: 1.41811,
  },
  {
    name: '27.5 kVA again with 16 mm²: inside 1 %',
    type: { ratedW: 25_000, maxApparentVa: 27_500, outputMaxA: 40.1, breakerMaxA: 63 },
    run: {
      metal: 'Cu',
      method: 'C',
      arrangement: 'single layer, wall or unperforated tray',
      otherCircuits: 0,
      sectionMm2: 16,
      lengthM: 35,
      ambientC: 35,
      breakerKind: 'miniature',
      breakerAmbientC: 50,
      breakerA: 50,
    },
    lineV: 400,
    neededA: 45.5682,
    izA: 96 * 0.96,
    ohm: 0.0513228,
    riseV: 3.56464,
    risePercent: 0.891159,
  },
  {
    name: '55 kVA at 400 V, 35 mm² copper in conduit, two circuits, 40 m, moulded-case breaker at 50 °C',
    type: { ratedW: 50_000, maxApparentVa: 55_000, outputMaxA: 83.6, breakerMaxA: 125 },
    run: {
      metal: 'Cu',
      cores: '1-core',
      method: 'B1',
      arrangement: 'bunched',
      otherCircuits: 1,
      sectionMm2: 35,
      lengthM: 40,
      ambientC: 40,
      breakerKind: 'moulded-case',
      breakerAmbientC: 50,
      breakerA: 100,
    },
    lineV: 400,
    neededA: 88.9362,
    izA: 104.832,
    ohm: 0.0267261,
    riseV: 3.86992,
    risePercent: 0.967481,
  },
  {
    name: '110 kVA at 400 V, 150 mm² aluminium on perforated tray, three circuits, 80 m, 55 °C at the breaker',
    type: { ratedW: 100_000, maxApparentVa: 110_000, outputMaxA: 160, breakerMaxA: 250 },
    run: {
      metal: 'Al',
      method: 'E',
      arrangement: 'single layer, perforated tray',
      otherCircuits: 2,
      sectionMm2: 150,
      lengthM: 80,
      ambientC: 45,
      breakerKind: 'moulded-case',
      breakerAmbientC: 55,
      breakerA: 200,
    },
    lineV: 400,
    neededA: 175.824,
    izA: 216.874,
    ohm: 0.021129,
    riseV: 5.85544,
    risePercent: 1.46386,
  },
  {
    name: '110 kVA with 240 mm² aluminium: inside 1 %',
    type: { ratedW: 100_000, maxApparentVa: 110_000, outputMaxA: 160, breakerMaxA: 250 },
    run: {
      metal: 'Al',
      method: 'E',
      arrangement: 'single layer, perforated tray',
      otherCircuits: 2,
      sectionMm2: 240,
      lengthM: 80,
      ambientC: 45,
      breakerKind: 'moulded-case',
      breakerAmbientC: 55,
      breakerA: 200,
    },
    lineV: 400,
    neededA: 175.824,
    izA: 409 * 0.87 * 0.82,
    ohm: 0.012821,
    riseV: 3.55306,
    risePercent: 0.888265,
  },
];

const close = (value: number | null | undefined, wanted: number, within = 1e-4) =>
  expect(Math.abs((value ?? Number.NaN) / wanted - 1), `${value} against ${wanted}`).toBeLessThan(within);

describe.each(CASES)('$name', (c) => {
  const type: InverterType = { ...T100, dcMaxW: null, ...c.type };
  const run: AcRun = { ...runOf('x'), ...common, ...c.run };
  const survey: Survey = { ...SURVEY, lineV: c.lineV };
  const r = runResult(run, inverter, type, survey);

  it('needs its breaker in the heat and carries it', () => {
    close(r.breaker.value?.neededA, c.neededA);
    close(r.ampacity.value?.izA, c.izA);
  });
  it('rises by what the metal and the way make', () => {
    close(r.impedance.value?.ohm, c.ohm);
    close(r.rise.value?.riseV, c.riseV);
    close(r.rise.value?.percent, c.risePercent);
    // Constant power draws less current at the raised voltage: under the linear figure, by at most 0.3 % of it.
    const linearV = (survey.boardHighestV ?? 0) + c.riseV;
    expect(r.terminalV.value).toBeLessThan(linearV);
    expect(r.terminalV.value).toBeGreaterThan(0.997 * linearV);
  });
  it('is judged by the 1 % school: held, tight or stopped as the rise says', () => {
    const rise = runChecks(r).find((x) => x.unit === '%' && x.title.startsWith('Voltage rise'));
    expect(rise?.verdict).toBe(c.risePercent <= 1 ? 'holds' : c.risePercent <= 2 ? 'tight' : 'stop');
    close(rise?.value, c.risePercent);
  });
  it('is unknown, never holding, when any one of its inputs is taken away', () => {
    const inputs = [
      'sectionMm2',
      'lengthM',
      'ambientC',
      'breakerA',
      'breakerAmbientC',
      'breakerGroupFactor',
      'peMm2',
    ] as const;
    for (const gone of inputs) {
      const less = runResult({ ...run, [gone]: null }, inverter, type, survey);
      const before = new Map(runChecks(r).map((x) => [x.id, x.verdict]));
      const after = runChecks(less);
      expect(
        after.some((x) => x.verdict === 'unknown'),
        gone,
      ).toBe(true);
      for (const x of after)
        if (before.get(x.id) !== 'holds' && before.has(x.id)) expect(x.verdict, `${gone}: ${x.id}`).not.toBe('holds');
    }
  });
});

describe('which supply suits which wiring (common practice; the data sheet wins)', () => {
  const H = 'holds';
  const T = 'tight';
  const S = 'stop';
  /** In the order of the services: TN, TT, wye without neutral, IT shared, IT own, delta shared, delta own, corner-grounded, high-leg. */
  const EXPECTED = {
    '5-wire': [H, T, S, S, S, S, S, S, S],
    '4-wire with neutral jumper': [H, T, H, S, S, S, S, S, S],
    '3-wire plus PE': [T, S, T, S, H, S, T, S, S],
  } as const;
  const table = Object.entries(EXPECTED).flatMap(([wiring, verdicts]) =>
    SERVICES.map((service, i) => [wiring as keyof typeof EXPECTED, service, verdicts[i]!] as const),
  );
  it.each(table)('%s on %s: %s', (wiring, service, verdict) => {
    const site = siteOf(1, [], { ...T100, wiring });
    const d = withRun({ ...site, survey: { ...site.survey, service } }, runOf('inv-1'));
    const check = checksOf('ac', d).find((c) => c.title === 'Supply suits the inverter’s wiring');
    expect(check?.verdict).toBe(verdict);
  });
  it('is unknown while nobody has looked at the supply', () => {
    const site = siteOf(1, []);
    const d = withRun({ ...site, survey: { ...site.survey, service: null } }, runOf('inv-1'));
    expect(checksOf('ac', d).find((c) => c.title === 'Supply suits the inverter’s wiring')?.verdict).toBe('unknown');
  });
});
