import { describe, expect, it } from 'vitest';
import { withRun } from '../ac/edits';
import type { SiteDesign } from '../design';
import { dayEndMs, dayStartMs, monthsLater, siteDay } from '../kernel/siteDay';
import { withStrings } from '../strings/arrange';
import { legalLayout } from '../strings/layout/legalLayout';
import type { Over } from '../testing/crew';
import { Crew, INSTRUMENTS } from '../testing/crew';
import { plane, runOf, siteOf } from '../testing/examples';
import { admit } from './door';
import type { Entry } from './entry';
import { evidence } from './evidence';
import type { Evidence } from './evidence';
import { verdictOf } from './judging';
import { KINDS, measuring, recordSchema } from './kinds';
import { GATE_TABLE } from './gates/table';
import { RESTS_ON } from './gates/restsOn';
import { openEntry } from './readEntry';
import { costOf } from './releaseCost';
import { inHand } from './zones';

const UNIT = 'inv-1';
const laid = (modules: number, units = 1) => {
  const bare = siteOf(units, [plane('south', modules)]);
  return withRun(withStrings(bare, legalLayout(bare).strings), runOf(UNIT));
};
const design = laid(72);
const STRINGS = design.strings.map((s) => s.id);
const FIRST = STRINGS[0] ?? '';
const RELEASED = Date.parse('2026-05-01T08:00:00Z');
const logOf = (crew: Crew, later: readonly SiteDesign[] = [], entries: readonly Entry[] = crew.entries) => ({
  releases: [crew.design, ...later].map((d, i) => ({
    letter: String.fromCharCode(65 + i),
    atMs: i === 0 ? RELEASED : crew.nowMs + 1000 * i,
    design: d,
  })),
  entries,
});
const look = (crew: Crew, later: readonly SiteDesign[] = [], minutes = 1): Evidence =>
  evidence(logOf(crew, later), crew.nowMs + 60_000 * minutes);
const permitted = () => {
  const crew = new Crew(design);
  crew.site();
  crew.unit(UNIT);
  crew.prove('I-SETUP', UNIT);
  return crew;
};
const inverter = { scope: 'inverter', id: UNIT } as const;

describe('healthy work', () => {
  it('closes every gate up to the permit, and the unit goes on grid in any of the three orders', () => {
    for (const order of ['1', '2', '3'] as const) {
      const crew = permitted();
      expect(look(crew).gate('I-PERMIT', UNIT)?.state).toBe('passed');
      crew.switch(UNIT, order);
      const e = look(crew);
      expect(Object.fromEntries(e.notes)).toEqual({});
      expect(e.gate('I-ONGRID', UNIT)?.state).toBe('passed');
      expect(e.unit(UNIT)).toMatchObject({ switchOff: false, run: { live: true, stopped: null } });
    }
  });
  it('closes every later gate by its own kind, up to the hand-over', () => {
    const crew = permitted();
    crew.switch(UNIT);
    for (const id of STRINGS) crew.prove('D-ISC', id, { minutes: 0.1 });
    for (const gate of ['I-THERM', 'I-SISTER'] as const) crew.prove(gate, UNIT);
    for (const gate of ['S-BUS', 'S-METER', 'S-SOAK', 'S-PERF', 'S-HAND'] as const) crew.prove(gate);
    const e = look(crew);
    expect(Object.fromEntries(e.notes)).toEqual({});
    expect(e.gate('S-HAND', 'site')?.state).toBe('passed');
    crew.add('happening', inverter, { what: 'joint opened', seen: 'L2 loose' });
    expect(look(crew).gate('S-HAND', 'site')).toMatchObject({
      state: 'stale',
      why: expect.stringContaining('not closed any more'),
    });
  });
});

describe('kinds', () => {
  it('are one a file, with a form, a line and a judge; every gate that is measured has one', () => {
    expect(new Set(KINDS.map((k) => k.kind)).size).toBe(KINDS.length);
    const served = KINDS.flatMap((k) => k.gates);
    // The gate of the buses is read in parts of two kinds.
    expect(served.length - new Set(served).size).toBe(1);
    for (const gate of [
      'S-EARTH',
      'S-SUPPLY',
      'I-PE',
      'I-ACIR',
      'I-TORQ',
      'I-ACV',
      'I-RCD',
      'I-DCLAND',
      'D-POL',
      'D-VOC',
      'D-IR',
      'D-ISC',
      'I-THERM',
      'S-METER',
      'S-ESTOP',
      'I-ONGRID',
      'S-PTO',
    ] as const)
      expect(measuring(gate)?.gates, gate).toContain(gate);
  });
  it('say what every proof rests on, gate by gate of the table', () => {
    const known = new Set(GATE_TABLE.map((g) => g.id as string));
    expect(Object.keys(RESTS_ON).filter((g) => !known.has(g))).toEqual([]);
    expect(RESTS_ON['I-PERMIT']).toEqual(['supply', 'unitType', 'address', 'run', 'hung']);
  });
  it('refuse a reading outside the range of its instrument, or with the wrong one, or none', () => {
    const crew = permitted();
    const read = (over: object) => () =>
      recordSchema.parse({ ...crew.entries.find((e) => e.kind === 'string-test'), ...over });
    const values = { voltageV: 1600, cellC: 40, irradianceWm2: 700, lightAt: null, currentA: null };
    expect(read({ values })).toThrow(/outside the DC voltage range of PV test set: -1500 to 1500/);
    expect(read({ instrument: INSTRUMENTS.stopwatch })).toThrow(/not with a stopwatch/);
    expect(read({ instrument: null })).toThrow(/needs its instrument/);
    expect(read({ subject: { scope: 'inverter', id: UNIT } })).toThrow(/belongs to a string/);
    expect(read({ corrects: crew.entries[0]?.id, reason: ' ' })).toThrow(/needs a reason/);
    expect(() =>
      recordSchema.parse({
        ...crew.add('happening', inverter, { what: 'plug moved', seen: 'one' }),
        corrects: crew.entries[0]?.id,
        reason: 'no',
      }),
    ).toThrow(/is not corrected/);
  });
  it('give no verdict to a reading of what is not there, and say of a tick what it says', () => {
    const crew = permitted();
    const e = look(crew);
    const volts = crew.entries.find((x) => x.kind === 'string-test') as Entry;
    expect(verdictOf(e.judgement(volts))).toBe('holds');
    expect(verdictOf(e.judgement({ ...volts, subject: { scope: 'string', id: 'ghost' } }))).toBe('unknown');
    expect(verdictOf(e.judgement(crew.tick('I-MOUNT', UNIT, 'fail')))).toBe('stop');
    expect(verdictOf(e.judgement(crew.tick('I-ADDR', UNIT, 'pass')))).toBe('holds');
    expect(verdictOf({ checks: [], says: [] })).toBe('unknown');
  });
  it('leave a joint out of no torque, and judge each', () => {
    const joints = (change: (j: { at: string; appliedNm: number }) => object[]) => {
      const crew = new Crew(design);
      crew.site();
      for (const gate of ['I-MOUNT', 'I-PE', 'I-ACIR'] as const) crew.prove(gate, UNIT);
      const whole = crew.prove('I-TORQ', UNIT);
      crew.entries.pop();
      const { joints: all } = whole.values as { joints: { at: string; appliedNm: number }[] };
      crew.prove('I-TORQ', UNIT, { values: { joints: all.flatMap(change) } });
      return look(crew).gate('I-TORQ', UNIT)?.state;
    };
    expect(joints((j) => [j])).toBe('passed');
    expect(joints((j) => (j.at === 'board PE' ? [] : [j]))).toBe('open');
    expect(joints((j) => [{ ...j, appliedNm: j.at === 'unit L2' ? 31 : 25 }])).toBe('failed');
  });
  it('prove a split section by its parts alone', () => {
    const long = laid(20);
    const crew = new Crew({ ...long, strings: long.strings.map((s) => ({ ...s, modules: 20 })) });
    const id = crew.design.strings[0]?.id ?? '';
    crew.site();
    for (const gate of ['D-ID', 'D-POL'] as const) crew.prove(gate, id);
    const state = () => look(crew).gate('D-IR', id)?.state;
    crew.prove('D-IR', id, { values: { megohm: 0.4 } });
    expect(state()).toBe('open');
    crew.prove('D-IR', id, { values: { megohm: 30, part: 1, ofParts: 2 } });
    expect(state()).toBe('open');
    crew.prove('D-IR', id, { values: { megohm: 0.5, part: 2, ofParts: 2 } });
    expect(state()).toBe('failed');
    crew.prove('D-IR', id, { values: { megohm: 25, part: 2, ofParts: 2 } });
    expect(state()).toBe('passed');
  });
  it('let one reading of the light serve ten minutes of strings, and no longer', () => {
    const at = (minutes: number) => {
      const crew = new Crew(design);
      crew.site();
      const light = crew.nowMs;
      crew.prove('D-ID', FIRST, { minutes: minutes / 2 });
      crew.prove('D-POL', FIRST, { minutes: minutes / 2, values: { lightAt: new Date(light).toISOString() } });
      return look(crew).gate('D-VOC', FIRST)?.state;
    };
    expect([at(9), at(11)]).toEqual(['passed', 'open']);
  });
  it('find sisters among all lengths of a module, by volts a module', () => {
    const mixed = { ...design, strings: design.strings.map((s, i) => ({ ...s, modules: 17 + (i % 3) })) };
    const crew = new Crew(mixed);
    crew.site();
    for (const s of mixed.strings) crew.prove('D-POL', s.id, { minutes: 0.5 });
    const e = look(crew);
    const checks = e.judgement(crew.entries.at(-1) as Entry).checks;
    expect(checks.find((c) => c.id === 'proving.likeness')?.verdict).toBe('holds');
    expect(checks.some((c) => c.id === 'proving.expected-voltage')).toBe(false);
  });
});

describe('what lapses', () => {
  const later = (crew: Crew, day: string) => evidence(logOf(crew), Date.parse(`${day}T12:00:00Z`));
  it('the safe start and the permit with the site’s day, and raise no alarm', () => {
    const crew = permitted();
    crew.switch(UNIT);
    const e = later(crew, '2026-05-05');
    expect([e.gate('S-SAFE', 'site')?.state, e.gate('I-PERMIT', UNIT)?.state]).toEqual(['open', 'locked']);
    expect(e.unit(UNIT)).toMatchObject({ switchOff: false, run: { live: true } });
    const inTime = evidence(logOf(crew), Date.parse('2026-05-04T21:59:58Z'));
    expect(inTime.gate('I-PERMIT', UNIT)?.state).toBe('passed');
  });
  it('the operator’s letter after its last day, insulation after five years, a scan after twelve months', () => {
    const crew = permitted();
    crew.switch(UNIT);
    crew.prove('I-THERM', UNIT);
    expect([
      later(crew, '2026-12-31').gate('S-PTO', 'site')?.state,
      later(crew, '2027-01-01').gate('S-PTO', 'site')?.state,
    ]).toEqual(['passed', 'stale']);
    expect([
      later(crew, '2027-05-04').gate('I-THERM', UNIT)?.state,
      later(crew, '2027-05-05').gate('I-THERM', UNIT)?.state,
    ]).toEqual(['passed', 'stale']);
    expect([
      later(crew, '2031-05-04').gate('D-IR', FIRST)?.state,
      later(crew, '2031-05-05').gate('D-IR', FIRST)?.state,
    ]).toEqual(['passed', 'stale']);
  });
  it('a waiver after its review day', () => {
    const crew = new Crew(design);
    crew.site();
    crew.add(
      'waiver',
      inverter,
      { gate: 'I-MOUNT', entryId: null, reviewDays: 3 },
      { reason: 'bracket maker comes on Thursday' },
    );
    expect([
      later(crew, '2026-05-07').gate('I-MOUNT', UNIT)?.state,
      later(crew, '2026-05-08').gate('I-MOUNT', UNIT)?.state,
    ]).toEqual(['waived', 'locked']);
  });
  it('and without a time zone no safe start counts', () => {
    const crew = new Crew({ ...design, survey: { ...design.survey, timeZone: null } });
    crew.site();
    const e = look(crew);
    expect(e.gate('S-SAFE', 'site')).toMatchObject({ state: 'open', why: expect.stringContaining('time zone') });
  });
  it('by the site’s own clock, summer time included (rules of the European Union)', () => {
    const at = (iso: string) => siteDay(Date.parse(iso), 'Europe/Oslo');
    expect([at('2026-05-04T21:59:59Z'), at('2026-05-04T22:00:00Z'), at('2026-01-04T22:30:00Z')]).toEqual([
      '2026-05-04',
      '2026-05-05',
      '2026-01-04',
    ]);
    expect(new Date(dayEndMs(Date.parse('2026-03-28T12:00:00Z'), 'Europe/Oslo')).toISOString()).toBe(
      '2026-03-28T23:00:00.000Z',
    );
    expect(new Date(dayEndMs(Date.parse('2026-03-29T12:00:00Z'), 'Europe/Oslo')).toISOString()).toBe(
      '2026-03-29T22:00:00.000Z',
    );
    expect(new Date(dayStartMs('2026-10-26', 'Europe/Oslo')).toISOString()).toBe('2026-10-25T23:00:00.000Z');
    expect([monthsLater('2026-01-31', 1), monthsLater('2024-02-29', 12), monthsLater('2026-05-04', 60)]).toEqual([
      '2026-02-28',
      '2025-02-28',
      '2031-05-04',
    ]);
  });
});

describe('switching', () => {
  it('stops at a guard that is lost, goes on only from the start after isolation, and never skips', () => {
    const crew = permitted();
    crew.step(UNIT, '1', 'LOCKED_OFF');
    crew.step(UNIT, '1', 'AC_CLOSED');
    expect(look(crew).next(UNIT, '1')).toMatchObject({ state: 'DC_CLOSED', lost: [] });
    crew.add('happening', { scope: 'site', id: 'site' }, { what: 'storm', seen: 'lightning' }, { role: 'helper' });
    const e = look(crew);
    expect(e.unit(UNIT).run.stopped).toBe('the day is not safe any more');
    expect(e.next(UNIT, '1')?.lost[0]).toMatch(/the order stopped/);
    crew.prove('S-SAFE');
    expect(look(crew).next(UNIT, '1')?.lost[0]).toMatch(/the order stopped/);
    crew.switch(UNIT, 'off');
    expect(Object.fromEntries(look(crew).notes)).toEqual({});
    expect(look(crew).next(UNIT, '1')).toMatchObject({ state: 'LOCKED_OFF', lost: [] });
    crew.switch(UNIT);
    expect(look(crew).unit(UNIT).run.live).toBe(true);
  });
  it.each([
    ['AC_CLOSED', { l12V: 409 }, /over 1 % from the 400.7 V/],
    ['DC_CLOSED', { [FIRST]: 700 }, /over 3 % from its own/],
    ['SELF_CHECK', { faultCodes: 1 }, /fault code/],
    ['GRID_WAIT', { lineV: 441 }, /outside 340 to 440 V/],
    ['GRID_WAIT', { frequencyHz: 50.2 }, /outside 49.5 to 50.1 Hz/],
    ['RAMP', { powerKw: 0 }, /No power yet/],
    ['ON_GRID', { powerKw: 0.9 }, /not above 1 %/],
    ['ON_GRID', { powerKw: 99 }, /more than .* that 700 W/],
    ['ON_GRID', { powerKw: 1.2 }, /under .* that 700 W/],
  ] as const)('takes %s with its readings alone: %j', (state, readings, why) => {
    const crew = permitted();
    for (const s of ['LOCKED_OFF', 'AC_CLOSED', 'DC_CLOSED', 'SELF_CHECK', 'GRID_WAIT', 'RAMP', 'ON_GRID'] as const) {
      if (s === state) break;
      crew.step(UNIT, '1', s);
    }
    const bad = crew.step(UNIT, '1', state, { readings });
    const e = look(crew);
    expect(e.notes.get(bad.id)).toMatch(why);
    expect(e.next(UNIT, '1')?.state).toBe(state);
  });
  it.each([
    ['STOP', { powerKw: 1 }, /not under 1 %/],
    ['AC_OPEN', { dcA: 0.3 }, /still flows/],
    ['DC_OPEN', { clampA: 0.3 }, /still flows/],
    ['PROVE_DEAD', { l2peV: 25.1 }, /L2–PE: 25.1 V is not dead/],
    ['PROVE_DEAD', { dcMinusV: -60.1 }, /DC − to PE: -60.1 V is not dead/],
    ['PROVE_DEAD', { knownAfterV: 3 }, /meter is not proved/],
  ] as const)('isolates with readings: %s %j', (state, readings, why) => {
    const crew = permitted();
    for (const s of ['STOP', 'AC_OPEN', 'DC_OPEN', 'DISCHARGE', 'PROVE_DEAD'] as const) {
      if (s === state) break;
      crew.step(UNIT, 'off', s);
    }
    const bad = crew.step(UNIT, 'off', state, { readings });
    expect(look(crew).notes.get(bad.id)).toMatch(why);
  });
  it('counts no wait that was not waited, and none longer than the time between', () => {
    const crew = permitted();
    crew.step(UNIT, '1', 'LOCKED_OFF');
    const short = crew.step(UNIT, '1', 'AC_CLOSED', { waitedS: 9.9 });
    expect(look(crew).notes.get(short.id)).toMatch(/Wait 1 s longer/);
    const typed = crew.step(UNIT, '1', 'AC_CLOSED', { minutes: 0.01, waitedS: 10 });
    expect(look(crew).notes.has(typed.id)).toBe(false);
    for (const s of ['DC_CLOSED', 'SELF_CHECK'] as const) crew.step(UNIT, '1', s);
    const early = crew.step(UNIT, '1', 'GRID_WAIT', { minutes: 0.5 });
    expect(look(crew).notes.get(early.id)).toMatch(/Only 30 s lie between/);
  });
  it('takes a switch that was closed against the rules as closed: the alarm is on until it is proved dead', () => {
    const crew = new Crew(design);
    crew.site();
    crew.step(UNIT, '1', 'AC_CLOSED', { role: 'helper' });
    expect(look(crew).unit(UNIT)).toMatchObject({ switchOff: true, run: { live: true } });
    crew.switch(UNIT, 'off');
    expect(look(crew).unit(UNIT)).toMatchObject({ switchOff: false, run: { live: false } });
  });
  it('raises the alarm by a lost proof, keeps it over the day’s end, and ends it with a new permit', () => {
    const crew = permitted();
    crew.switch(UNIT);
    crew.add('happening', inverter, { what: 'joint opened', seen: 'L2 loose' });
    expect(look(crew).unit(UNIT).why[0]).toMatch(/I-ACV@inv-1 is not closed/);
    crew.wait(24 * 60);
    expect(look(crew).unit(UNIT).switchOff).toBe(true);
    crew.prove('S-SAFE');
    for (const gate of ['I-TORQ', 'I-ACV', 'I-COVER'] as const) crew.prove(gate, UNIT);
    expect(look(crew).unit(UNIT).why).toEqual(['the permit was withdrawn and not given anew']);
    crew.prove('I-PERMIT', UNIT);
    expect(look(crew).unit(UNIT).switchOff).toBe(false);
  });
  it('begins anew on a unit that was replaced', () => {
    const crew = permitted();
    crew.switch(UNIT);
    crew.add('happening', inverter, { what: 'unit replaced', seen: 'new serial' });
    const e = look(crew);
    expect(e.unit(UNIT)).toMatchObject({ switchOff: false, run: { live: false, done: [] } });
    expect(
      ['I-MOUNT', 'I-PE', 'I-ADDR', 'I-TORQ', 'I-SETUP', 'I-ONGRID', 'I-PERMIT'].map(
        (g) => e.gate(g as 'I-PE', UNIT)?.state,
      ),
    ).toEqual(Array(7).fill('stale'));
    expect(e.gate('D-VOC', FIRST)?.state).toBe('passed');
  });
  it('stops the order where a step is corrected to a reading that is not as expected', () => {
    const crew = permitted();
    crew.step(UNIT, '1', 'LOCKED_OFF');
    const ac = crew.step(UNIT, '1', 'AC_CLOSED');
    crew.step(UNIT, '1', 'AC_CLOSED', { corrects: ac.id, reason: 'typed the wrong phase', readings: { l12V: 300 } });
    expect(look(crew).unit(UNIT).run.stopped).toMatch(/AC_CLOSED was corrected/);
  });
  it('is live again where what was proved dead turns out not to have been', () => {
    const crew = permitted();
    crew.switch(UNIT);
    crew.switch(UNIT, 'off');
    const dead = crew.entries.find((e) => e.values['state'] === 'PROVE_DEAD') as Entry;
    crew.step(UNIT, 'off', 'PROVE_DEAD', { corrects: dead.id, reason: 'the lead was not in', readings: { l12V: 400 } });
    expect(look(crew).unit(UNIT).run.live).toBe(true);
  });
});

/** The mounting of the unit found healthy, or said to be loose. */
const say = (crew: Crew, result: 'pass' | 'fail', over: Over) =>
  result === 'pass' ? crew.prove('I-MOUNT', UNIT, over) : crew.tick('I-MOUNT', UNIT, 'fail', over);

describe('clocks', () => {
  const twoPhones = (seconds: number, order: readonly ['pass' | 'fail', 'pass' | 'fail']) => {
    const crew = new Crew(design);
    crew.site();
    crew.prove('I-MOUNT', UNIT);
    say(crew, order[0], { device: { id: 'p2' } });
    say(crew, order[1], { device: { id: 'p3' }, minutes: seconds / 60 });
    return look(crew).gate('I-MOUNT', UNIT)?.state;
  };
  it('leave two entries within two seconds open: the worse order counts', () => {
    expect([
      twoPhones(1.9, ['fail', 'pass']),
      twoPhones(2.1, ['fail', 'pass']),
      twoPhones(1.9, ['pass', 'fail']),
    ]).toEqual(['failed', 'passed', 'failed']);
  });
  it('are corrected by their offset, and a device keeps its own sequence whatever its clock says', () => {
    const crew = new Crew(design);
    crew.site();
    crew.prove('I-MOUNT', UNIT, {
      device: { id: 'p2', offsetMs: 3_600_000 },
      doneAt: new Date(crew.nowMs - 3_540_000).toISOString(),
    });
    expect(look(crew).gate('I-MOUNT', UNIT)?.state).toBe('passed');
    crew.tick('I-MOUNT', UNIT, 'fail', { device: { id: 'p2' }, doneAt: '2020-01-01T00:00:00Z' });
    expect(look(crew).gate('I-MOUNT', UNIT)?.state).toBe('failed');
  });
  it('that leave everything open cost the proofs concerned, not the program', () => {
    const crew = new Crew(design);
    crew.site();
    for (let i = 0; i < 24; i++)
      say(crew, i % 2 ? 'pass' : 'fail', {
        device: { id: `p${i % 6}`, roundTripMs: 4e6 },
        minutes: 0.01,
      });
    expect(look(crew).closed('I-MOUNT', UNIT)).toBe(false);
  });
});

describe('the door', () => {
  it('refuses what does not count while whoever makes it stands there, and keeps what was made before', () => {
    const crew = permitted();
    const tick = crew.tick('I-COVER', UNIT, 'pass', { role: 'lead' });
    crew.entries.pop();
    expect(admit(logOf(crew), tick, crew.nowMs).refusal).toMatchObject({
      pointer: '/values',
      detail: expect.stringContaining('signed by the electrician'),
    });
    const late = admit(logOf(crew), tick, crew.nowMs + 121_000);
    expect([late.refusal, late.why]).toEqual([null, expect.stringContaining('signed by the electrician')]);
  });
  it('refuses what names a part, a release or an entry that is not there, or a time to come, however late it is', () => {
    const crew = permitted();
    const [first] = crew.entries;
    const ask = (over: Partial<Entry>, laterMs = 1e9) => {
      const entry = { ...(first as Entry), id: 'own', ...over };
      return admit(logOf(crew), entry, crew.nowMs + laterMs).refusal;
    };
    expect(ask({})).toBeNull();
    expect(ask({ release: 'B' })).toMatchObject({
      pointer: '/release',
      detail: expect.stringContaining('no release B'),
    });
    expect(ask({ subject: { scope: 'inverter', id: 'inv-9' } })).toMatchObject({
      pointer: '/subject/id',
      detail: expect.stringContaining('no inverter inv-9'),
    });
    expect(ask({ subject: { scope: 'string', id: UNIT } })).toMatchObject({
      pointer: '/subject/id',
      detail: expect.stringContaining('no string inv-1'),
    });
    expect(ask({ subject: { scope: 'string', id: FIRST } })).toBeNull();
    expect(ask({ subject: inverter })).toBeNull();
    expect(ask({ corrects: 'ghost', reason: 'typed wrong' })).toMatchObject({ pointer: '/corrects' });
    expect(ask({ corrects: first?.id ?? '', reason: 'typed wrong' })).toBeNull();
    const at = (ms: number) => ask({ doneAt: new Date(crew.nowMs + ms).toISOString(), device: null }, 0);
    expect([at(300_000), at(300_001)?.pointer]).toEqual([null, '/doneAt']);
  });
  it('takes nothing from before its release was made, but for what clocks drift', () => {
    const crew = permitted();
    const [first] = crew.entries as [Entry];
    const at = (ms: number, nowMs = crew.nowMs) => {
      const entry = { ...first, id: 'own', device: null, doneAt: new Date(RELEASED + ms).toISOString() };
      return admit(logOf(crew), entry, nowMs).refusal;
    };
    expect(at(-300_000)).toBeNull();
    expect(at(-300_001)).toMatchObject({ pointer: '/doneAt', detail: expect.stringContaining('2026-05-01T08:00:00') });
    // A release whose clock ran ahead keeps nobody from working on it now.
    expect(at(-3_600_000, RELEASED - 3_600_000)).toBeNull();
  });
  it('takes a signature from an electrician with a licence that is valid then, and from no other', () => {
    const crew = permitted();
    const why = (over: Parameters<Crew['add']>[3]) => {
      const entry = crew.add('signature', inverter, { statement: 'Left feeding.' }, over);
      crew.entries.pop();
      return admit(logOf(crew), entry, crew.nowMs).refusal?.detail ?? null;
    };
    expect(why({ role: 'electrician', licensedUntil: '2099-01-01' })).toBeNull();
    for (const role of ['lead', 'helper', 'designer', 'reader'] as const)
      expect(why({ role })).toMatch(/by an electrician/);
    expect(why({ role: 'electrician', licensedUntil: '2020-01-01' })).toMatch(/valid licence/);
    expect(why({ role: 'electrician', licensedUntil: null as never })).toMatch(/valid licence/);
  });
  it('points at the correction where that is what does not count', () => {
    const crew = permitted();
    const cover = crew.entries.find((e) => e.values['gate'] === 'I-COVER') as Entry;
    const wrong = crew.tick('I-COVER', UNIT, 'fail', { corrects: cover.id, reason: 'saw it open', role: 'helper' });
    crew.entries.pop();
    expect(admit(logOf(crew), wrong, crew.nowMs + 120_000).refusal?.pointer).toBe('/corrects');
    expect(admit(logOf(crew), wrong, crew.nowMs + 120_001).refusal).toBeNull();
  });
  it('keeps hands and live work apart on one unit, and gives one person one live gate', () => {
    const crew = new Crew(design);
    crew.site();
    for (const gate of ['I-MOUNT', 'I-PE'] as const) crew.prove(gate, UNIT);
    crew.add('work', inverter, { gate: 'I-TORQ', doing: 'begins' }, { by: 'Ada' });
    const ask = (entry: Entry) => {
      crew.entries.pop();
      return admit(logOf(crew), entry, crew.nowMs).refusal?.detail ?? null;
    };
    expect(inHand(look(crew, [], 0)).map((w) => w.by)).toEqual(['Ada']);
    expect(ask(crew.prove('I-ACIR', UNIT, { by: 'Bo' }))).toMatch(/Ada works hands on I-TORQ/);
    expect(ask(crew.add('work', inverter, { gate: 'I-TORQ', doing: 'begins' }, { by: 'Bo' }))).toMatch(
      /Ada has I-TORQ in hand/,
    );
    crew.add('work', inverter, { gate: 'I-TORQ', doing: 'ends' }, { by: 'Ada' });
    expect(inHand(look(crew, [], 0))).toEqual([]);
    expect(ask(crew.add('work', inverter, { gate: 'I-ACIR', doing: 'begins' }, { by: 'Bo' }))).toBeNull();
    crew.add('work', inverter, { gate: 'I-ACIR', doing: 'begins' }, { by: 'Bo' });
    expect(
      ask(crew.add('work', { scope: 'string', id: FIRST }, { gate: 'D-POL', doing: 'begins' }, { by: 'Bo' })),
    ).toMatch(/one person, one live gate/);
    expect(ask(crew.prove('I-ACIR', UNIT, { by: 'Bo' }))).toBeNull();
  });
  it('reads an entry of the first edition as one that proves nothing', () => {
    const old = {
      id: '01900000-0000-7000-8000-000000000001',
      kind: 'torque',
      subject: inverter,
      doneAt: '2026-05-04T10:00:00+02:00',
      by: 'R. Vahl',
      role: 'electrician',
      instrument: { name: 'w', serial: 's', calibratedUntil: '2027-01-01' },
      release: 'A',
      corrects: null,
      reason: null,
      values: { appliedNm: 25, joints: 5, witnessMarks: true },
    };
    const entry = openEntry(old);
    expect(entry).toMatchObject({
      kind: 'older',
      device: null,
      values: { kind: 'torque', said: JSON.stringify(old.values) },
    });
    const crew = permitted();
    crew.entries.push(entry);
    expect(look(crew).gate('I-TORQ', UNIT)?.state).toBe('passed');
    expect(openEntry({ ...old, kind: 'signature', values: { statement: 'switched on' } }).kind).toBe('signature');
  });
});

describe('a release', () => {
  it('says what it would cost before it is made', () => {
    const crew = permitted();
    const cable = withRun(design, runOf(UNIT, { sectionMm2: 150 }));
    const cost = costOf(logOf(crew), cable, crew.nowMs);
    expect(cost.map((c) => c.key)).toEqual(
      expect.arrayContaining(['I-PE@inv-1', 'I-ACIR@inv-1', 'I-TORQ@inv-1', 'I-ACV@inv-1', 'I-PERMIT@inv-1']),
    );
    expect(cost.find((c) => c.key === 'I-PE@inv-1')?.why).toBe('this design changes what it rests on');
    expect(costOf(logOf(crew), { ...design, board: { ...design.board, label: 'PVB' } }, crew.nowMs)).toEqual([]);
    expect(costOf({ releases: [], entries: [] }, design, crew.nowMs)).toEqual([]);
    // The same facts with their keys in another order are the same facts: rows and files write them differently.
    const turned = (x: unknown): unknown =>
      Array.isArray(x)
        ? x.map(turned)
        : x && typeof x === 'object'
          ? Object.fromEntries(
              Object.entries(x)
                .reverse()
                .map(([k, v]) => [k, turned(v)]),
            )
          : x;
    expect(costOf(logOf(crew), turned(design) as SiteDesign, crew.nowMs)).toEqual([]);
  });
  it('judges a reading by the newest as well as by its own, and the worse counts for good', () => {
    const crew = permitted();
    const colder = { ...design, survey: { ...design.survey, coldestC: -45 } };
    expect(look(crew, [colder]).gate('D-VOC', FIRST)?.state).toBe('failed');
    expect(
      look(crew, [colder, { ...design, board: { ...design.board, label: 'PVB' } }]).gate('D-VOC', FIRST)?.state,
    ).toBe('failed');
  });
  it('counts the residual-current gate per run, by what is fitted there', () => {
    const two = laid(72, 2);
    const fitted = withRun(two, runOf(UNIT, { residualFitted: true }));
    const e = look(new Crew(withRun(fitted, runOf('inv-2'))));
    expect([e.gate('I-RCD', UNIT)?.state, e.gate('I-RCD', 'inv-2')?.state]).toEqual(['locked', 'n/a']);
  });
});
