import { describe, expect, it } from 'vitest';
import type { SiteDesign } from '../../design';
import { gridWindow } from '../../site/gridCodes';
import { lineOf } from '../../site/line';
import { dcLimitOn } from '../../strings/dcLimit';
import { twoUnits } from '../../testing/handedOver';
import type { StepState } from '../tables/energiseOrders';
import { stepsOf } from '../tables/energiseOrders';
import type { StepAbout } from './stepReadings';
import { dischargeWaitS, leastWaitS, stepFields, stepTroubles } from './stepReadings';

const UNIT = 'inv-1';
const OWN = twoUnits.strings.filter((s) => s.place?.inverterId === UNIT).map((s) => s.id);
const FIRST = OWN[0] as string;
const about = (over: Partial<StepAbout> = {}): StepAbout => ({
  design: twoUnits,
  unitId: UNIT,
  restLineV: 400,
  landedV: new Map(OWN.map((id) => [id, 800])),
  ...over,
});
const type = (over: object): SiteDesign => ({
  ...twoUnits,
  equipment: { ...twoUnits.equipment, inverters: twoUnits.equipment.inverters.map((t) => ({ ...t, ...over })) },
});
const survey = (over: object): SiteDesign => ({ ...twoUnits, survey: { ...twoUnits.survey, ...over } });

/** Readings of a step, all the same but what is named. */
const readings = (state: StepState, same: number, over: Readonly<Record<string, number>> = {}, a = about()) => ({
  ...Object.fromEntries(stepFields(state, a).map((f) => [f.key, same])),
  ...over,
});
const troubles = (state: StepState, same: number, over: Readonly<Record<string, number>> = {}, a = about()) =>
  stepTroubles(state, readings(state, same, over, a), a);
const RATED_KW = (lineOf(twoUnits).unit(UNIT)?.type.ratedW ?? Number.NaN) / 1000;

describe('a step', () => {
  it('is confirmed with every reading it asks for, by name and unit', () => {
    expect(stepTroubles('AC_CLOSED', { l12V: 400, l23V: 400 }, about())).toEqual([
      'Enter L3–L1 [V]: a step is confirmed with its reading.',
    ]);
    expect(stepTroubles('GRID_WAIT', {}, about())).toEqual([
      'Enter Line voltage at the end of the wait [V], Frequency [Hz]: a step is confirmed with its reading.',
    ]);
    for (const state of ['LOCKED_OFF', 'DISCHARGE', 'SAFE'] as const) {
      expect(stepFields(state, about())).toEqual([]);
      expect(stepTroubles(state, {}, about())).toEqual([]);
    }
  });
  it('with the DC switches asks for every string that hangs there, in the printed order, by its input', () => {
    const fields = stepFields('DC_CLOSED', about());
    expect(fields.map((f) => f.key).sort()).toEqual([...OWN].sort());
    expect(fields[0]?.label).toMatch(/^Input \d+\.\d+, string \d+$/);
    const loose = { ...twoUnits, strings: twoUnits.strings.map((s) => (s.id === FIRST ? { ...s, place: null } : s)) };
    expect(stepFields('DC_CLOSED', { design: loose, unitId: UNIT }).map((f) => f.key)).not.toContain(FIRST);
  });
});

describe('on the AC side', () => {
  it('the breaker side reads what was measured at rest, within 1 %', () => {
    expect(troubles('AC_CLOSED', 400)).toEqual([]);
    expect(troubles('AC_CLOSED', 400, { l12V: 404, l23V: 396 })).toEqual([]);
    expect(troubles('AC_CLOSED', 400, { l12V: 404.1 })).toEqual([
      'L1–L2: 404.1 V is over 1 % from the 400.0 V measured at rest.',
    ]);
    expect(troubles('AC_CLOSED', 400, { l31V: 395.9 })).toHaveLength(1);
    expect(troubles('AC_CLOSED', 400, {}, about({ restLineV: null }))[0]).toMatch(/^No AC voltages at rest stand/);
  });
  it('the wait ends inside the window of the code, edges included', () => {
    const window = gridWindow(twoUnits.survey).value;
    if (!window) throw new RangeError('the example site must have a window');
    const { minV, maxV } = window;
    const [minHz, maxHz] = [window.minHz as number, window.maxHz as number];
    for (const lineV of [minV, maxV])
      for (const frequencyHz of [minHz, maxHz]) expect(troubles('GRID_WAIT', 0, { lineV, frequencyHz })).toEqual([]);
    for (const lineV of [minV - 0.1, maxV + 0.1])
      expect(troubles('GRID_WAIT', 0, { lineV, frequencyHz: 50 })[0]).toMatch(/ V is outside .* the wait restarts/);
    for (const frequencyHz of [minHz - 0.01, maxHz + 0.01])
      expect(troubles('GRID_WAIT', 0, { lineV: 400, frequencyHz })[0]).toMatch(/ Hz is outside .* the wait restarts/);
    const nowhere = about({ design: survey({ gridCode: null }) });
    expect(troubles('GRID_WAIT', 400, {}, nowhere)[0]).toMatch(/^No grid code or nominal voltage/);
  });
});

describe('on the DC side', () => {
  const limitV = () => {
    const on = lineOf(twoUnits).string(FIRST);
    return (on && dcLimitOn(on, twoUnits.survey)?.value?.limitV) ?? Number.NaN;
  };
  it('every input reads its own string as it was landed, within 3 %', () => {
    expect(troubles('DC_CLOSED', 800)).toEqual([]);
    expect(troubles('DC_CLOSED', 800, { [FIRST]: 824 })).toEqual([]);
    expect(troubles('DC_CLOSED', 800, { [FIRST]: 776 })).toEqual([]);
    expect(troubles('DC_CLOSED', 800, { [FIRST]: 824.1 })[0]).toMatch(/824\.1 V is over 3 % from its own 800 V/);
    expect(troubles('DC_CLOSED', 800, { [FIRST]: 775.9 })).toHaveLength(1);
    expect(troubles('DC_CLOSED', 800, {}, about({ landedV: new Map() }))).toHaveLength(OWN.length);
    expect(troubles('DC_CLOSED', 800, {}, about({ landedV: new Map() }))[0]).toMatch(/: no landed voltage stands/);
  });
  it('none is above the limit of its string, and none is judged without one', () => {
    const landed = about({ landedV: new Map(OWN.map((id) => [id, limitV()])) });
    expect(troubles('DC_CLOSED', limitV(), {}, landed)).toEqual([]);
    expect(troubles('DC_CLOSED', limitV(), { [FIRST]: limitV() + 0.1 }, landed)[0]).toMatch(/open that DC switch/);
    const unknown = about({ design: survey({ building: null }) });
    expect(troubles('DC_CLOSED', 800, {}, unknown)[0]).toMatch(/: its DC limit is unknown\.$/);
  });
  it('the unit starts on what is shown, as its sheet says', () => {
    const startV = lineOf(twoUnits).unit(UNIT)?.type.startV as number;
    expect(troubles('AUX_DC_CLOSED', startV)).toEqual([]);
    expect(troubles('AUX_DC_CLOSED', startV - 0.1)).toEqual([
      `Input: ${startV - 0.1} V is under the start-up voltage ${startV} V: the unit will not start.`,
    ]);
    const silent = about({ design: type({ startV: null }) });
    expect(troubles('AUX_DC_CLOSED', 800, {}, silent)[0]).toMatch(/^The start-up voltage is not on the unit’s sheet/);
    const low = about({ design: type({ startV: 810 }) });
    expect(troubles('DC_CLOSED', 800, {}, low)[0]).toMatch(/^Input \d.*will not start/);
  });
});

describe('running', () => {
  it('shows no fault code, and some power', () => {
    expect(troubles('SELF_CHECK', 0)).toEqual([]);
    expect(troubles('SELF_CHECK', 1)[0]).toMatch(/^A fault code is shown/);
    expect(troubles('RAMP', 0.01)).toEqual([]);
    expect(troubles('RAMP', 0)[0]).toMatch(/^No power yet/);
  });
  it('gives the power that hangs on it in this light: 20 % at least, 130 % at most, and never over 110 % of its rating', () => {
    const hungKw = lineOf(twoUnits).hungW(UNIT) / 1000;
    const at = (powerKw: number, irradianceWm2: number) => troubles('ON_GRID', 0, { powerKw, irradianceWm2 });
    const lightKw = hungKw * 0.4;
    expect(at(1.299 * lightKw, 400)).toEqual([]);
    expect(at(1.301 * lightKw, 400)[0]).toMatch(/is more than .* that 400 W\/m² can give here/);
    expect(at(0.201 * lightKw, 400)).toEqual([]);
    expect(at(0.199 * lightKw, 400)[0]).toMatch(/is under .* that 400 W\/m² should give/);
    expect(at(0.0101 * RATED_KW, 10)).toEqual(
      0.0101 * RATED_KW > 1.3 * hungKw * 0.01 ? [expect.stringMatching(/is more than/)] : [],
    );
    expect(at(0.01 * RATED_KW, 400)[0]).toMatch(/is not above 1 % of/);
    // Far more hangs on it than it can give: then its own rating bounds both.
    const heavy = about({ design: type({ ratedW: 10_000 }) });
    const of = (powerKw: number) => troubles('ON_GRID', 0, { powerKw, irradianceWm2: 1500 }, heavy);
    expect([of(10.9), of(9.1)]).toEqual([[], []]);
    expect([of(11.1)[0], of(8.9).length]).toEqual([
      expect.stringMatching(/is more than 11\.0 kW/),
      hungKw * 1.5 * 0.2 > 8.9 ? 1 : 0,
    ]);
  });
  it('settles under 70 K over ambient (IEC 61439-1, Table 6; recalled)', () => {
    expect(troubles('SETTLED', 70)).toEqual([]);
    expect(troubles('SETTLED', 70.1)[0]).toMatch(/^70\.1 K over ambient: unload/);
  });
});

describe('switching off', () => {
  it('leaves under 1 % of the rating, and no current that an arc could live on', () => {
    expect(troubles('STOP', 0.0099 * RATED_KW)).toEqual([]);
    expect(troubles('STOP', 0.01 * RATED_KW)[0]).toMatch(/is not under 1 % of/);
    for (const state of ['AC_OPEN', 'DC_OPEN', 'DC_OPEN_FIRST'] as const) {
      expect(troubles(state, 0.29)).toEqual([]);
      expect(troubles(state, 0.3)[0]).toMatch(/^0\.3 A still flows: leave every plug and DC switch shut/);
    }
  });
  it('is proved dead: 25 V AC and 60 V DC at most, on every pair, by a meter that shows a known source before and after', () => {
    const known = { knownBeforeV: 30, knownAfterV: 30 };
    const dead = {
      ...Object.fromEntries(['l12V', 'l23V', 'l31V', 'l1peV', 'l2peV', 'l3peV'].map((k) => [k, 25])),
      ...known,
    };
    expect(troubles('PROVE_DEAD', 60, dead)).toEqual([]);
    expect(troubles('PROVE_DEAD', -60, dead)).toEqual([]);
    for (const pair of ['l12V', 'l23V', 'l31V', 'l1peV', 'l2peV', 'l3peV'])
      expect(troubles('PROVE_DEAD', 0, { ...known, [pair]: 25.1 })).toEqual([
        expect.stringMatching(/25\.1 V is not dead/),
      ]);
    for (const pair of ['dcV', 'dcPlusV', 'dcMinusV'])
      for (const volts of [60.1, -60.1])
        expect(troubles('PROVE_DEAD', 0, { ...known, [pair]: volts })).toEqual([
          expect.stringMatching(/V is not dead/),
        ]);
    for (const source of ['knownBeforeV', 'knownAfterV'])
      expect(troubles('PROVE_DEAD', 0, { ...known, [source]: 29.9 })).toEqual([
        'The meter is not proved: show a known source before and after.',
      ]);
  });
});

describe('waits', () => {
  it('of discharge are the longest of computed, 300 s and the label; 900 s without one', () => {
    expect([dischargeWaitS(120), dischargeWaitS(600), dischargeWaitS(null)]).toEqual([300, 600, 900]);
    // 1 MΩ · 1 mF · ln(600/60) = 2302.6 s.
    expect(dischargeWaitS(null, { busV: 600, bleederOhm: 1e6, farad: 1e-3 })).toBeCloseTo(2302.585, 3);
    expect(dischargeWaitS(900, { busV: 600, bleederOhm: 1e5, farad: 1e-3 })).toBe(900);
  });
  it('are the code’s own, the label’s, or what the step says', () => {
    const all = [...stepsOf('1'), ...stepsOf('off')];
    const of = (state: StepState, design = twoUnits) => {
      const step = all.find((s) => s.state === state);
      return step && leastWaitS(step, { design, unitId: UNIT });
    };
    expect(of('DISCHARGE', type({ dischargeWaitS: 1200 }))).toBe(1200);
    expect(of('DISCHARGE', type({ dischargeWaitS: null }))).toBe(900);
    expect(of('LOCKED_OFF')).toBe(all.find((s) => s.state === 'LOCKED_OFF')?.minS);
    expect(of('GRID_WAIT')).toBeGreaterThan(0);
    expect(of('GRID_WAIT', survey({ gridCode: null }))).toBeNull();
  });
});
