import { describe, expect, it } from 'vitest';
import { known } from '../kernel/answer';
import { withWorst } from '../kernel/check';
import { GRID_CODES, gridCodeOf, windowOf } from '../site/gridCodes';
import { coldOnSite } from '../strings/coldVoltage';
import { openCircuitFactor } from '../strings/moduleAt';
import { SURVEY, M575, plane, siteOf } from '../testing/examples';
import { judgeAcWindow, judgeUnbalance, unbalancePercent } from './acVoltages';
import { reconnection } from './order/reconnection';
import { dischargeWaitS, leastWaitS } from './order/stepReadings';
import { stepsOf } from './tables/energiseOrders';
import type { GateKey, GateResult } from './gates/machine';
import { gateKey, gateRow, judgeWaiver, maySign } from './gates/machine';
import { GateNet } from './gates/net';
import type { GateModel } from './gates/net';
import { gateStates } from './gates/states';
import { asksRapidShutdown } from './rapidShutdown';
import { GATE_TABLE } from './gates/table';
import { acInsulationTest, dcInsulationTest, judgeAcInsulation, judgeDcInsulation, parallelMohm } from './insulation';
import { expectedReading, rankCauses } from './stringCauses';
import { stringChecks } from './kinds/stringTest';
import { likeness } from './likeness';
import type { StringTest } from './readings/stringReading';
import { carriedToColdV, stringReading } from './readings/stringReading';

const reading = { modules: 18, cellC: 43.16, irradianceWm2: 720, otherModules: null, idealityV: 1.80597 };

describe('expected reading (single-diode light term; IEC 60891)', () => {
  const e = expectedReading(M575, reading);
  it('is 875.478 V and 10.31667 A for 18 modules at 43.16 °C and 720 W/m²', () => {
    expect(e.stringV).toBeCloseTo(875.478, 2);
    expect(e.currentA).toBeCloseTo(10.31667, 4);
  });
  it('is known to 1.996 % (k = 2): one module of 18 shows, one bypass diode does not', () => {
    expect(e.u95Percent).toBeCloseTo(1.99644, 4);
    expect(100 / 18).toBeGreaterThan(e.u95Percent);
    expect(100 / 54).toBeLessThan(e.u95Percent);
  });
});

describe('likeliest cause (Bayes over field causes; priors common practice)', () => {
  it.each([
    [866, 10.45, -1.08262, 'pass', 'ok', 0.98471],
    [855, 10.2, -2.33908, 'caution', 'ok', 0.84225],
    [826.5, 10.3, -5.59444, 'fail', 'minus1', 0.97202],
    [778.3, 10.3, -11.10001, 'fail', 'mod_reversed', 0.61531],
    [-874, -10.3, -199.83116, 'fail', 'reversed', 0.99988],
    [873, 20.4, -0.28306, 'fail', 'y_parallel', 0.99938],
    [1752, 10.3, 100.11922, 'fail', 'series', 0.99826],
    [2.1, 0, -99.76013, 'fail', 'open', 0.99998],
    [680, 10.3, -22.32816, 'fail', 'other', 1],
    [871, 7.9, -0.51151, 'caution', 'low_current', 0.99119],
    [859.27, 10.3, -1.85134, 'pass', 'ok', 0.9356],
  ] as const)('%f V and %f A: %f %%, %s, %s', (voltageV, currentA, off, verdict, cause, p) => {
    const r = rankCauses(M575, { ...reading, voltageV, currentA });
    expect(r.deviationPercent).toBeCloseTo(off, 3);
    expect(r.verdict).toBe(verdict);
    expect(r.causes[0]?.cause).toBe(cause);
    expect(r.causes[0]?.probability).toBeCloseTo(p, 3);
    expect(r.causes.reduce((sum, c) => sum + c.probability, 0)).toBeCloseTo(1, 10);
  });
  it('is low current alone from 30 to 95 % of what is expected', () => {
    const { currentA: full } = expectedReading(M575, reading);
    const listed = (currentA: number | null) =>
      rankCauses(M575, { ...reading, voltageV: 871, currentA }).causes.some((c) => c.cause === 'low_current');
    expect([0.299, 0.3, 0.95, 0.951].map((share) => listed(share * full))).toEqual([false, true, true, false]);
    expect(listed(null)).toBe(false);
  });
  it('fails only where as drawn has under 5 %, and is looked at again between', () => {
    const ranked = Array.from({ length: 50 }, (_, i) =>
      rankCauses(M575, { ...reading, voltageV: 826 + i, currentA: 10.3 }),
    );
    const drawn = (r: (typeof ranked)[number]) => r.causes.find((c) => c.cause === 'ok')?.probability ?? 0;
    const likelier = ranked.filter((r) => r.causes[0]?.cause !== 'ok');
    const [sure, open] = [likelier.filter((r) => drawn(r) < 0.05), likelier.filter((r) => drawn(r) >= 0.05)];
    expect([sure.length > 0, open.length > 0]).toEqual([true, true]);
    expect(new Set(sure.map((r) => r.verdict))).toEqual(new Set(['fail']));
    expect(new Set(open.map((r) => r.verdict))).toEqual(new Set(['caution']));
    const well = ranked.filter((r) => drawn(r) >= 0.8 && Math.abs(r.deviationPercent) <= r.expected.u95Percent);
    expect(ranked.filter((r) => r.verdict === 'pass')).toEqual(well);
  });
  it('is no bypass diode where there is none, and no other length where all are alike', () => {
    const causes = (module: typeof M575) =>
      rankCauses(module, { ...reading, voltageV: 860, currentA: null }).causes.map((c) => c.cause);
    expect(causes(M575)).toEqual(expect.arrayContaining(['diode1', 'diode2']));
    const bare = causes({ ...M575, bypassDiodes: 0 });
    expect(bare.filter((c) => c.startsWith('diode') || c === 'swapped')).toEqual([]);
  });
  it('names a swapped home run when the plan has another length', () => {
    const r = rankCauses(M575, { ...reading, otherModules: 14, voltageV: 14 * 48.63767, currentA: null });
    expect(r.causes[0]?.cause).toBe('swapped');
    // Of a plan without another length nothing can be told apart by it.
    const alike = rankCauses(M575, { ...reading, otherModules: 18, voltageV: 18 * 48.63767, currentA: null });
    expect(alike.causes.filter((c) => c.cause === 'swapped' && c.probability > 0)).toEqual([]);
  });
});

describe('string test', () => {
  it('carries 973.6 V at 44 °C and 760 W/m² to 1137.09 V at −10 °C (IEC 60891, typical light coefficient)', () => {
    expect(carriedToColdV(973.6, 44, 760, openCircuitFactor({ betaUocPerK: -0.0026 }, -10), -0.0026)).toBeCloseTo(
      1137.09365,
      4,
    );
    expect(carriedToColdV(905, 38, 640, openCircuitFactor({ betaUocPerK: -0.0027 }, -18), -0.0027)).toBeCloseTo(
      1076.69329,
      4,
    );
  });
  it('sees one module missing of 22 inside the 5 % band (IEC 62446-1 alone would pass it)', () => {
    const l = likeness(22, 973.6, 1020.05);
    expect(l).toMatchObject({ label: 'one module missing', verdict: 'stop' });
    expect(l.missingModules).toBeCloseTo(1.00181364, 6);
    expect(l.deviationPercent).toBeCloseTo(-4.55369835, 6);
    expect(likeness(20, 905, 904)).toMatchObject({ label: 'ok', verdict: 'holds' });
    // On the very edges: d = 16·(1 − V/1600), in powers of two.
    const at = (d: number) => likeness(16, 1600 - 100 * d, 1600);
    expect([-0.5, -0.4375, -0.25, 0.25, 0.5].map((d) => [at(d).label, at(d).verdict])).toEqual([
      ['extra module', 'tight'],
      ['unclear', 'tight'],
      ['unclear', 'holds'],
      ['ok', 'holds'],
      ['one bypass section', 'tight'],
    ]);
    expect(at(-2).label).toBe('extra module');
    expect(at(4).label).toBe('several modules');
  });
  const test = (over: Partial<StringTest> & { coldestC?: number | null } = {}) => {
    const { coldestC = -12, module = M575 } = over;
    const reading = stringReading({
      module,
      modules: 18,
      voltageV: 870,
      currentA: null,
      cellC: 43.16,
      irradianceWm2: 720,
      coldestC,
      cold: coldOnSite({ ...SURVEY, coldestC }, plane('p', 20), module, 100_000),
      limitV: known(1100),
      sistersV: [871, 869, 870.5],
      otherModules: null,
      ...over,
    });
    return withWorst(stringChecks(reading, { element: 'string', path: 's' }));
  };
  it('holds for a healthy string', () => expect(test({}).verdict).toBe('holds'));
  it('stops a reversed one whatever else it reads', () => {
    const r = test({ voltageV: -870 });
    expect(r.verdict).toBe('stop');
    expect(r.checks.find((c) => c.id === 'proving.polarity')?.working.join()).toContain('leave it unplugged');
  });
  it('stops a string over the cold limit though it reads well today', () => {
    expect(test({ limitV: known(990) }).checks.find((c) => c.id === 'proving.cold-voltage')?.verdict).toBe('stop');
  });
  it('is unknown without a design temperature', () =>
    expect(test({ coldestC: null }).checks.find((c) => c.id === 'proving.cold-voltage')?.verdict).toBe('unknown'));
  it('refuses to judge in the dark', () => expect(() => test({ irradianceWm2: 80 })).toThrow(/too dark/));
  it('refuses a coefficient typed in per cent', () =>
    expect(() => test({ module: { ...M575, betaUocPerK: -0.251 } })).toThrow(/betaUocPerK/));
});

describe('insulation (IEC 62446-1, 6.7; IEC 60364-6)', () => {
  it('asks 1500 V above 1000 V of 1.25 × U_oc and caps at the module rating', () => {
    expect(dcInsulationTest(1180, 1500)).toEqual({ requiredTestV: 1500, minimumMohm: 1, capped: false });
    expect(dcInsulationTest(850, 1000)).toEqual({ requiredTestV: 1000, minimumMohm: 1, capped: true });
    expect(dcInsulationTest(90, 600)).toEqual({ requiredTestV: 250, minimumMohm: 0.5, capped: false });
  });
  it('splits a large section before condemning it, and fails a small one', () => {
    expect(judgeDcInsulation(dcInsulationTest(1180, 1500), 1500, 0.31, 168, 1500).value).toBeNull();
    expect(judgeDcInsulation(dcInsulationTest(850, 1000), 1000, 0.31, 9, 1000).value?.verdict).toBe('stop');
    expect(judgeDcInsulation(dcInsulationTest(850, 1000), 1000, 3.2, 9, 1000).value?.verdict).toBe('holds');
    expect(judgeDcInsulation(dcInsulationTest(850, 1000), 500, 3.2, 9, 1000).value).toBeNull();
    expect(judgeDcInsulation(dcInsulationTest(850, 1000), 1500, 3.2, 9, 1000).value?.verdict).toBe('stop');
  });
  it('says what it found in words, and condemns a section of up to 10 kW at once', () => {
    const said = (...[testV, mohm, kw]: [number, number, number]) =>
      judgeDcInsulation(dcInsulationTest(850, 1000), testV, mohm, kw, 1000).value?.text();
    expect(said(1000, 0.31, 10)).toBe('0.31 MΩ is below 1 MΩ: find the earth fault before landing.');
    expect(said(1000, 0.31, 10.01)).toBeUndefined();
    expect(said(1001, 40, 9)).toMatch(/^1001 V is above the modules’ 1000 V: report it/);
    expect(said(1000, 40, 9)).toBe('40 MΩ ≥ 1 MΩ at 1000 V');
    const ac = (mohm: number) => judgeAcInsulation(acInsulationTest(400), 500, mohm).value?.text();
    expect([ac(0.99), ac(4)]).toEqual([
      '0.99 MΩ is below 1 MΩ.',
      '4 MΩ passes, but a new run reads over 10 MΩ: look for damp or damage.',
    ]);
  });
  it('tests a run of 500 V with 500 V, and one above it with 1000 V; nothing caps it', () => {
    expect([500, 501].map((v) => acInsulationTest(v))).toEqual([
      { requiredTestV: 500, minimumMohm: 1, capped: false },
      { requiredTestV: 1000, minimumMohm: 1, capped: false },
    ]);
  });
  it('wants 1 MΩ at 500 V on a 400 V run and doubts a new run under 10 MΩ', () => {
    expect(acInsulationTest(800).requiredTestV).toBe(1000);
    const test = acInsulationTest(400);
    expect([0.8, 4, 200].map((m) => judgeAcInsulation(test, 500, m).value?.verdict)).toEqual([
      'stop',
      'tight',
      'holds',
    ]);
  });
  it('shows how a bad string hides: six sections in parallel read 1.58155 MΩ (parallel resistances)', () => {
    expect(parallelMohm([42, 38, 55, 1.9, 61, 47])).toBeCloseTo(1.58154537, 6);
  });
});

describe('AC voltages', () => {
  it('window of 480 V under IEEE 1547 is 440.16 to 504.00 V; 1.02299 pu holds', () => {
    const code = gridCodeOf('IEEE 1547 enter service')!;
    expect(windowOf(code, 480)).toMatchObject({ minV: expect.closeTo(440.16, 6), maxV: expect.closeTo(504, 6) });
    const v = judgeAcWindow(code, 480, [489, 486, 491], [282, 281, 283.5]);
    expect(v.worstPu).toBeCloseTo(1.02299251, 6);
    expect(v.verdict).toBe('holds');
  });
  it('744 V on 690 V is inside EN 50549-1 but tight', () => {
    expect(judgeAcWindow(gridCodeOf('EN 50549-1 first start')!, 690, [742, 739, 744])).toMatchObject({
      verdict: 'tight',
      worstPu: expect.closeTo(1.07826087, 6),
    });
    expect(judgeAcWindow(gridCodeOf('EN 50549-1 first start')!, 400, [400, 400, 330]).verdict).toBe('stop');
  });
  it('unbalance of 402, 389, 407 V is 2.675 % (IEC 61000-4-30)', () => {
    expect(unbalancePercent([402, 389, 407])).toBeCloseTo(2.67535733, 6);
    expect(judgeUnbalance(2.68)).toBe('tight');
    expect(unbalancePercent([400, 400, 400])).toBeCloseTo(0, 6);
  });
});

describe('energising', () => {
  const window = { minV: 340, maxV: 440, minHz: 49.5, maxHz: 50.1 };
  const every5 = (from: number, to: number, v: number) =>
    Array.from({ length: (to - from) / 5 + 1 }, (_, i) => ({ atS: from + 5 * i, lineV: v, frequencyHz: 50 }));
  it('restarts the wait at every excursion: ready at 105 s after one (grid-code reconnection rule)', () => {
    expect(
      reconnection(
        [...every5(0, 35, 400), { atS: 40, lineV: 445, frequencyHz: 50 }, ...every5(45, 135, 402)],
        window,
        60,
      ),
    ).toMatchObject({ readyAtS: 105, restarts: 1 });
  });
  it('restarts after a gap over 10 s', () => {
    expect(reconnection([...every5(0, 30, 400), ...every5(50, 120, 400)], window, 60)).toMatchObject({
      readyAtS: 110,
      restarts: 1,
    });
    expect(reconnection(every5(0, 50, 400), window, 60).readyAtS).toBeNull();
  });
  const order = stepsOf('1');
  it('waits what the grid code says, and not at all by guess', () => {
    const wait = order.find((x) => x.state === 'GRID_WAIT')!;
    const by = (gridCode: (typeof GRID_CODES)[number]['family'] | null) => {
      const d = siteOf(1, [plane('s', 18)]);
      return leastWaitS(wait, { design: { ...d, survey: { ...d.survey, gridCode } }, unitId: 'inv-1' });
    };
    expect(GRID_CODES.map((c) => by(c.family))).toEqual([60, 60, 60, 300, 90]);
    expect(by(null)).toBeNull();
  });
  it('closes AC before DC, and waits before power', () => {
    expect(order.map((x) => x.state)).toEqual([
      'LOCKED_OFF',
      'AC_CLOSED',
      'DC_CLOSED',
      'SELF_CHECK',
      'GRID_WAIT',
      'RAMP',
      'ON_GRID',
      'SETTLED',
    ]);
  });
  it('waits 300 s, the label if longer, 900 s without one, and 780.4 s for 1.8 mF behind 150 kΩ at 1080 V (RC law)', () => {
    expect([300, 600, null].map((label) => dischargeWaitS(label))).toEqual([300, 600, 900]);
    expect(dischargeWaitS(300, { busV: 1080, bleederOhm: 150_000, farad: 0.0018 })).toBeCloseTo(780.400375, 5);
  });
});

describe('gates', () => {
  const model = {
    inverters: [{ id: 'A', strings: ['A1', 'A2'], rcdFitted: false as boolean | null }],
    busFitted: true,
    stopFitted: false,
    contactsFitted: false,
    rapidShutdown: false,
  };
  const before = [
    'S-DOC',
    'S-SAFE',
    'S-EARTH',
    'S-SUPPLY',
    'S-PTO',
    'I-MOUNT@A',
    'I-PE@A',
    'I-ACIR@A',
    'I-TORQ@A',
    'I-ACV@A',
    'I-ADDR@A',
    'D-ID@A1',
    'D-ID@A2',
    'D-POL@A1',
    'D-POL@A2',
    'D-VOC@A1',
    'D-VOC@A2',
    'D-IR@A1',
  ];
  const results = (keys: readonly string[], over: Record<GateKey, GateResult> = {}) =>
    new Map<GateKey, GateResult>([...keys.map((k) => [k, 'pass'] as const), ...Object.entries(over)]);
  const stateOn = (site: GateModel, r: Map<GateKey, GateResult>, key: GateKey) =>
    gateStates(new GateNet(site), (gate, object) => r.get(gateKey(gate, object))).find(
      (v) => gateKey(v.gate.id, v.object) === key,
    )?.state;
  const state = (r: Map<GateKey, GateResult>, key: GateKey) => stateOn(model, r, key);
  const permitted = [...before, 'D-IR@A2', 'I-DCLAND@A', 'I-COVER@A', 'I-PERMIT@A'];

  it('stand open or locked before the last string is proved', () => {
    const r = results(before);
    expect(['D-IR@A2', 'I-DCLAND@A', 'I-PERMIT@A', 'I-RCD@A', 'D-ISC@A1'].map((k) => state(r, k))).toEqual([
      'open',
      'locked',
      'locked',
      'n/a',
      'open',
    ]);
  });
  it('let set-up follow the permit', () => {
    expect(['I-PERMIT@A', 'I-SETUP@A', 'I-ONGRID@A'].map((k) => state(results(permitted), k))).toEqual([
      'passed',
      'open',
      'locked',
    ]);
  });
  it('go stale through the whole chain when one lug is opened again', () => {
    const r = results(permitted, { 'I-TORQ@A': 'stale' });
    expect(
      ['I-TORQ@A', 'I-ACV@A', 'I-COVER@A', 'I-PERMIT@A', 'I-SETUP@A', 'I-DCLAND@A'].map((k) => state(r, k)),
    ).toEqual(['stale', 'stale', 'stale', 'stale', 'locked', 'passed']);
  });
  it('keep hands and live work locked while the day is not made safe, and make nothing stale for it', () => {
    const r = results(before.filter((k) => k !== 'S-SAFE'));
    expect(state(r, 'D-IR@A2')).toBe('locked');
    expect(state(r, 'S-EARTH')).toBe('passed');
  });
  it('do not close over no strings', () => {
    const empty = { ...model, inverters: [{ id: 'A', strings: [], rcdFitted: false }] };
    expect(stateOn(empty, results(before), 'I-DCLAND@A')).toBe('locked');
  });
  it('keep the gates of a device that nobody has looked for', () => {
    const unlooked = { ...model, inverters: [{ ...model.inverters[0]!, rcdFitted: null }] };
    expect(stateOn(unlooked, results(permitted), 'I-RCD@A')).toBe('open');
  });
  it('ask for rapid shutdown on or in buildings of the NEC school, and until somebody says where it stands', () => {
    const state = (rapidShutdown: boolean) => stateOn({ ...model, rapidShutdown }, results(permitted), 'I-RAPID@A');
    expect([state(false), state(true)]).toEqual(['n/a', 'locked']);
    const asked = (school: 'IEC' | 'NEC' | 'AU/NZ') =>
      ([null, 'other building', 'not on a building'] as const).map((building) =>
        asksRapidShutdown({ school, building }),
      );
    expect([asked('NEC'), asked('IEC'), asked('AU/NZ')]).toEqual([
      [true, true, false],
      [false, false, false],
      [false, false, false],
    ]);
  });
  it('22 gates can never be waived, by nobody', () => {
    const never = GATE_TABLE.filter((g) => g.waiver === 'never');
    expect(never.length).toBe(22);
    for (const gate of never)
      for (const role of ['lead', 'electrician'] as const)
        expect(judgeWaiver(gate, role, 'a good and long enough reason', 5).waived).toBe(false);
  });
  it('others are waived by role, with a reason and a review date', () => {
    expect(judgeWaiver(gateRow('S-SOAK'), 'lead', 'no sun before hand-over day', 14).waived).toBe(true);
    expect(judgeWaiver(gateRow('S-SOAK'), 'helper', 'no sun before hand-over day', 14).waived).toBe(false);
    expect(judgeWaiver(gateRow('S-SOAK'), 'lead', 'no sun', 14).waived).toBe(false);
    expect(judgeWaiver(gateRow('S-SOAK'), 'lead', 'no sun before hand-over day', 91).waived).toBe(false);
    expect(maySign(gateRow('I-PERMIT'), 'lead')).toBe(false);
    expect(maySign(gateRow('D-ID'), 'helper')).toBe(true);
  });
  it('levels of the table are the longest paths of its needs', () => {
    const level = (id: string): number => Math.max(-1, ...gateRow(id as 'S-DOC').needs.map((n) => level(n))) + 1;
    expect([level('I-PERMIT'), level('I-ONGRID')]).toEqual([7, 9]);
    for (const g of GATE_TABLE.filter((row) => row.id !== 'S-HAND')) expect(level(g.id), g.id).toBe(g.level);
  });
});
