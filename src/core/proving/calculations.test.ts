import { describe, expect, it } from 'vitest';
import { M575 } from '../testing/examples';
import { calculations } from './calculations';

/** What the API and the bench answer without a site: the worked cases by their own door, and what is refused. */
type Name = keyof typeof calculations;
interface Door {
  readonly input: { parse: (x: unknown) => unknown; safeParse: (x: unknown) => { success: boolean } };
  readonly output: { parse: (x: unknown) => unknown };
  readonly run: (x: unknown) => unknown;
}
const door = (name: Name) => calculations[name] as unknown as Door;
const answer = (name: Name, input: object): unknown => {
  const { input: asked, output, run } = door(name);
  return output.parse(run(asked.parse(input)));
};
const refuses = (name: Name, input: object) => !door(name).input.safeParse(input).success;

describe('a string measured before it is plugged', () => {
  /** 18 modules in 720 W/m² at 43.16 °C: 875.48 V as drawn. */
  const READ = {
    module: M575,
    modules: 18,
    voltageV: 870,
    currentA: 10.3,
    cellC: 43.16,
    irradianceWm2: 720,
    coldestC: -12,
    limitV: 1100,
    sistersV: [] as number[],
    otherModules: null as number | null,
  };
  interface Said {
    readonly verdict: string;
    readonly checks: readonly { readonly id: string; readonly verdict: string; readonly working: readonly string[] }[];
    readonly coldV: number | null;
    readonly causes: readonly { readonly cause: string; readonly probability: number; readonly words: string }[];
  }
  const said = (over: object = {}) => answer('string-test', { ...READ, ...over }) as Said;
  const check = (s: Said, id: string) => s.checks.find((c) => c.id === `proving.${id}`);

  it('is carried to the coldest morning by IEC 60891: U·f/(1 + β(T − 25) + 0.06·ln(G/1000))', () => {
    const factor = 1 + M575.betaUocPerK * (-12 - 25);
    const light = 1 + M575.betaUocPerK * (43.16 - 25) + 0.06 * Math.log(0.72);
    expect(said().coldV).toBeCloseTo((870 * factor) / light, 6);
    expect(said({ coldestC: null }).coldV).toBeNull();
  });
  it('holds as drawn, and is one module short at 826.5 V (worked case)', () => {
    expect(said()).toMatchObject({ verdict: 'holds' });
    expect(said().causes[0]).toMatchObject({ cause: 'ok' });
    const short = said({ voltageV: 826.5 });
    expect(short.verdict).toBe('stop');
    expect(short.causes[0]).toMatchObject({ cause: 'minus1', probability: expect.closeTo(0.97, 2) });
    expect(short.causes[0]?.words).toMatch(/one module fewer/);
  });
  it('is unknown without its limit or the lowest temperature, and names them', () => {
    const limit = check(said({ limitV: null }), 'cold-voltage');
    expect([limit?.verdict, limit?.working.join()]).toEqual(['unknown', expect.stringContaining('DC limit')]);
    const cold = check(said({ coldestC: null }), 'cold-voltage');
    expect([cold?.verdict, cold?.working.join()]).toEqual([
      'unknown',
      expect.stringContaining('lowest design temperature'),
    ]);
  });
  it('stops over the limit in the cold, by the method and the tolerance that are asked for', () => {
    const at = (over: object) => check(said({ limitV: 1030, ...over }), 'cold-voltage')?.verdict;
    const cold = said().coldV as number;
    expect(at({ limitV: Math.ceil(cold) })).not.toBe('stop');
    expect(at({ limitV: Math.floor(cold) })).toBe('stop');
    // 1.16 at −12 °C by the table (NFPA 70, 690.7(A)(2); recalled).
    const table = said({ coldMethod: 'table' }).coldV as number;
    expect(table / cold).toBeCloseTo(1.16 / (1 + M575.betaUocPerK * -37), 6);
    // The engineer's figure is the NEC's alone.
    const engineered = { uocColdV: 56, document: 'E-12', siteW: 200_000 };
    expect(said({ coldMethod: 'engineered', engineered, school: 'NEC' }).coldV).not.toBeNull();
    expect(said({ coldMethod: 'engineered', engineered }).coldV).toBeNull();
    expect(said({ countUocTolerance: true }).coldV).toBeNull();
  });
  it('stands beside its sisters where there are three, and beside the expected value where there are not', () => {
    expect(check(said({ sistersV: [871, 869, 870] }), 'likeness')?.verdict).toBe('holds');
    expect(check(said({ sistersV: [871, 869] }), 'likeness')).toBeUndefined();
    expect(check(said(), 'expected-voltage')?.verdict).toBe('holds');
  });
  it('is refused in the dark, and without a module', () => {
    expect(refuses('string-test', { ...READ, irradianceWm2: 99 })).toBe(true);
    expect(refuses('string-test', { ...READ, modules: 0 })).toBe(true);
    expect(refuses('string-test', { ...READ, sistersV: [-1] })).toBe(true);
    expect(refuses('string-test', READ)).toBe(false);
  });
});

describe('the place of an earth fault (node equations of a meter of 10 MΩ)', () => {
  const at = (plusV: number, minusV: number, over = {}) =>
    answer('earth-fault', { modules: 20, plusV, minusV, uocV: 870, ...over });
  it('is between modules 5 and 6 of 20 at +642 V and −214 V, behind 164 kΩ (worked case)', () => {
    expect(at(642, -214)).toEqual({
      found: 'fault',
      atModules: expect.closeTo(5, 6),
      ohm: expect.closeTo(1e7 * (870 / 856 - 1), 3),
      between: [5, 6],
    });
    expect(at(642, -214, { meterOhm: 1e6 })).toMatchObject({ ohm: expect.closeTo(1e6 * (870 / 856 - 1), 3) });
  });
  it('is nowhere where both poles read low, and an error above U_oc', () => {
    const nowhere = { atModules: null, ohm: null, between: null };
    expect(at(40, -46)).toEqual({ found: 'no fixed fault', ...nowhere });
    expect(at(700, -188)).toEqual({ found: 'error', ...nowhere });
  });
});

describe('equal torques of many joints', () => {
  const eleven = [...Array<number>(11).fill(21), 21.2];
  it('are asked about where they were read off, and right for a wrench that clicks (worked case)', () => {
    const asked = { valuesNm: eleven, stepNm: 0.1, targetNm: 21, mode: 'readout' };
    expect(answer('same-torques', asked)).toMatchObject({ count: 12, most: 11, ask: true });
    expect(answer('same-torques', { ...asked, mode: 'click' })).toMatchObject({ chance: null, ask: false });
    for (const valuesNm of [[], [0], [-21], Array<number>(201).fill(21)])
      expect(refuses('same-torques', { ...asked, valuesNm }), String(valuesNm.slice(0, 2))).toBe(true);
    expect(refuses('same-torques', { ...asked, valuesNm: Array<number>(200).fill(21) })).toBe(false);
  });
});

describe('an insulation reading (IEC 62446-1, 6.7)', () => {
  const READ = {
    stringUocStcV: 850,
    moduleSystemMaxV: 1500,
    sectionKw: 9,
    testV: 1500,
    megohm: 3.2,
    seconds: 60,
  };
  it('holds from 1 MΩ, stops a small section below, and wants a large one split', () => {
    expect(answer('insulation', READ)).toEqual({ verdict: 'holds', text: '3.2 MΩ ≥ 1 MΩ at 1500 V' });
    expect(answer('insulation', { ...READ, megohm: 0.9 })).toMatchObject({ verdict: 'stop' });
    expect(answer('insulation', { ...READ, megohm: 0.9, sectionKw: 10.1 })).toEqual({
      verdict: 'unknown',
      text: expect.stringContaining('split into sections up to 10 kW'),
    });
  });
  it('proves nothing with too low a voltage, and says which it wants', () => {
    expect(answer('insulation', { ...READ, testV: 1000 })).toEqual({
      verdict: 'unknown',
      text: '1000 V proves nothing: test with 1500 V.',
    });
  });
});

describe('AC voltages at rest', () => {
  const READ = { gridCode: 'IEEE 1547 enter service', nominalLineV: 480, lineV: [489, 486, 491], phaseV: [] };
  const said = (over: object = {}) => answer('ac-voltages', { ...READ, ...over }) as { verdict: string; text: string };
  it('hold within the code’s window and in balance: 1.0229 pu (worked case)', () => {
    expect(said()).toMatchObject({ verdict: 'holds', text: expect.stringMatching(/1\.0229 pu; unbalance 0\.\d\d %$/) });
    expect(said({ phaseV: [282, 281, 283.5] }).text).toContain('1.0230 pu');
  });
  it('are judged by the worse of window and unbalance: 402, 389, 407 V stand 2.68 % apart (IEC 61000-4-30)', () => {
    const apart = said({ gridCode: 'EN 50549-1 first start', nominalLineV: 400, lineV: [402, 389, 407] });
    expect(apart).toMatchObject({ verdict: 'tight', text: expect.stringContaining('unbalance 2.68 %') });
    expect(said({ lineV: [489, 486, 400] }).verdict).toBe('stop');
    expect(said({ phaseV: [282, 281, 200] }).verdict).toBe('stop');
  });
  it('stop without any voltage, and say so', () => {
    expect(said({ lineV: [0, 0, 0] })).toEqual({ verdict: 'stop', text: 'no voltage on any line' });
    expect(refuses('ac-voltages', { ...READ, gridCode: 'no code' })).toBe(true);
    expect(refuses('ac-voltages', { ...READ, lineV: [489, 486] })).toBe(true);
    expect(refuses('ac-voltages', { ...READ, phaseV: [277, 277, 277, 277] })).toBe(true);
  });
});
