import { describe, expect, it } from 'vitest';
import { withRun } from '../ac/edits';
import type { Check } from '../kernel/check';
import { withStrings } from '../strings/arrange';
import { legalLayout } from '../strings/layout/legalLayout';
import { Crew } from '../testing/crew';
import { plane, runOf, siteOf } from '../testing/examples';
import type { Entry } from './entry';
import { evidence } from './evidence';
import type { Evidence } from './evidence';
import { GATE_TABLE } from './gates/table';
import type { GateRow } from './gates/machine';
import { gateRow, judgeWaiver, wantsSafeDay } from './gates/machine';
import { notThere, onSite, onString, onUnit } from './judging';
import { costOf } from './releaseCost';
import type { StepState } from './tables/energiseOrders';
import { stepsOf } from './tables/energiseOrders';
import { lineOf } from '../site/line';

/** What a screen asks of a record: also of an empty one, of a part that is not there, and where the clocks leave the order open. */

const UNIT = 'inv-1';
const bare = siteOf(2, [plane('south', 144)]);
const design = withRun(withStrings(bare, legalLayout(bare).strings), runOf(UNIT));
const RELEASED = Date.parse('2026-05-01T08:00:00Z');
const releases = [{ letter: 'A', atMs: RELEASED, design }];
const logOf = (crew: Crew, entries: readonly Entry[] = crew.entries) => ({ releases, entries });
const look = (crew: Crew): Evidence => evidence(logOf(crew), crew.nowMs + 60_000);
const said = (c: Check) => `${c.id} ${c.subject.path} ${c.verdict} ${c.value}`;
const inverter = { scope: 'inverter', id: UNIT } as const;

describe('an empty record', () => {
  it('without a release proves nothing, knows no unit, and waits for nothing', () => {
    const e = evidence({ releases: [], entries: [] }, RELEASED);
    expect([...e.gates]).toEqual([]);
    expect([e.gate('S-SAFE', 'site'), e.closed('S-SAFE', 'site'), e.newest]).toEqual([undefined, false, undefined]);
    expect([e.readings('S-SAFE', 'site'), e.checks, e.switchOff, e.next(UNIT, '1')]).toEqual([[], [], [], null]);
    expect(e.today).toBe('2026-05-01');
  });
  it('with a release has every gate open or waiting, and the first step of an order waits for the permit', () => {
    const e = evidence({ releases, entries: [] }, RELEASED);
    expect(new Set([...e.gates].map(([, g]) => g.state))).toEqual(new Set(['open', 'locked', 'n/a']));
    expect(e.next(UNIT, '1')).toMatchObject({
      state: 'LOCKED_OFF',
      lost: ['gate S-SAFE is not closed', 'gate I-PERMIT@inv-1 is not closed'],
    });
    expect(e.next('nowhere', '1')?.lost).toContain('gate I-PERMIT@nowhere is not closed');
    expect([e.readings('S-SAFE', 'site'), e.readings('I-MOUNT', 'nowhere')]).toEqual([[], []]);
  });
});

describe('entries', () => {
  it('are found by their id, and judged against the release they were made on', () => {
    const crew = new Crew(design);
    crew.site();
    const earth = crew.entries.find((x) => x.kind === 'earth') as Entry;
    const e = look(crew);
    expect(e.entry(earth.id)).toBe(earth);
    expect(e.entry('nowhere')).toBeUndefined();
    expect(e.judgement(earth).checks.length).toBeGreaterThan(0);
    expect(e.judgement({ ...earth, release: 'B' })).toEqual({ checks: [], says: [] });
  });
  it('answer with their checks until something corrects them', () => {
    const crew = new Crew(design);
    crew.site();
    const earth = crew.entries.find((x) => x.kind === 'earth') as Entry;
    const before = look(crew);
    const own = before.judgement(earth).checks.map(said);
    expect(own.length).toBeGreaterThan(0);
    expect(before.checks.map(said)).toEqual(crew.entries.flatMap((x) => before.judgement(x).checks.map(said)));
    const anew = crew.prove('S-EARTH', 'site', { corrects: earth.id, reason: 'wrong clamp' });
    const after = look(crew);
    const left = crew.entries.filter((x) => x !== earth);
    expect(after.checks.map(said)).toEqual(left.flatMap((x) => after.judgement(x).checks.map(said)));
    expect(after.judgement(anew).checks.map(said)).toHaveLength(own.length);
  });
});

describe('where the clocks leave the order open', () => {
  const device = (id: string) => ({ device: { id } });
  /** Devices are walked by their names: both ways round. */
  const EITHER = [
    ['p2', 'p3'],
    ['p3', 'p2'],
  ] as const;
  const beside = { device: { id: 'p3' }, minutes: 0.01 };
  it('a unit that was stopped in one order of the work is shown as stopped', () => {
    const crew = new Crew(design);
    crew.site();
    crew.unit(UNIT);
    crew.step(UNIT, '1', 'LOCKED_OFF', device('p2'));
    crew.tick('I-COVER', UNIT, 'fail', beside);
    const { run } = look(crew).unit(UNIT);
    expect(run.stopped).toBe('the permit was withdrawn');
    expect(run.done.map((d) => d.state)).toEqual(['LOCKED_OFF']);
  });
  it('it is shown so whichever of the orders is tried first', () => {
    for (const [step, fail] of EITHER) {
      const crew = new Crew(design);
      crew.site();
      crew.unit(UNIT);
      crew.step(UNIT, '1', 'LOCKED_OFF', device(step));
      crew.tick('I-COVER', UNIT, 'fail', { ...device(fail), minutes: 0.01 });
      expect(look(crew).unit(UNIT).run.stopped).toBe('the permit was withdrawn');
    }
  });
  it('an order that is over in one of them and stopped in another goes no further, and says why', () => {
    for (const [last, fail] of EITHER) {
      const crew = new Crew(design);
      crew.site();
      crew.unit(UNIT);
      const steps = stepsOf('1');
      for (const { state } of steps.slice(0, -1)) {
        if (state === 'ON_GRID')
          for (const gate of ['S-PTO', 'I-SETUP'] as const) crew.prove(gate, gate === 'S-PTO' ? 'site' : UNIT);
        crew.step(UNIT, '1', state);
      }
      crew.step(UNIT, '1', (steps.at(-1) as { state: StepState }).state, device(last));
      crew.tick('I-COVER', UNIT, 'fail', { ...device(fail), minutes: 0.01 });
      expect(look(crew).next(UNIT, '1')?.lost).toContain('the clocks leave open which step is next');
    }
  });
  it('the order that got less far counts, and no step is permitted', () => {
    const crew = new Crew(design);
    crew.site();
    crew.unit(UNIT);
    const permit = crew.entries.pop() as Entry;
    const step = crew.step(UNIT, '1', 'LOCKED_OFF', device('p2'));
    const by = (id: string) => ({
      ...permit,
      doneAt: step.doneAt,
      device: { id, seq: 1, offsetMs: 0, roundTripMs: 0 },
    });
    const signed = by('p3');
    for (const entries of [
      [...crew.entries, signed],
      [...crew.entries.slice(0, -1), signed, step],
      // A device that is walked before that of the step.
      [...crew.entries, by('p1')],
    ]) {
      const e = evidence(logOf(crew, entries), crew.nowMs + 60_000);
      expect(e.unit(UNIT).run).toMatchObject({ done: [], stopped: null });
      expect(e.next(UNIT, '1')?.lost).toContain('the clocks leave open which step is next');
    }
    // Once they do not, one step is next, and nothing stands in its way but what every order lacks.
    const later = { ...step, doneAt: new Date(Date.parse(step.doneAt) + 10_000).toISOString() };
    const e = evidence(logOf(crew, [...crew.entries.slice(0, -1), signed, later]), crew.nowMs + 60_000);
    expect(e.next(UNIT, '1')).toMatchObject({ state: 'AC_CLOSED', lost: [] });
    expect(e.unit(UNIT).run.done.map((d) => d.state)).toEqual(['LOCKED_OFF']);
  });
  it('a unit that is live in one order is live, and to be switched off where its permit is lost there', () => {
    const crew = new Crew(design);
    crew.site();
    crew.unit(UNIT);
    for (const { state } of stepsOf('1').slice(0, 2)) crew.step(UNIT, '1', state);
    crew.step(UNIT, '1', 'DC_CLOSED', device('p2'));
    crew.add('happening', inverter, { what: 'unit replaced', seen: 'another serial' }, beside);
    const e = look(crew);
    expect(e.unit(UNIT)).toMatchObject({ switchOff: true, run: { live: true, done: [] } });
    expect(e.switchOff.map((s) => s.unit)).toEqual([UNIT]);
    expect(e.switchOff[0]?.why.length).toBeGreaterThan(0);
  });
});

describe('where a part stands on the line', () => {
  const line = lineOf(design);
  const on = line.string(design.strings[0]?.id ?? '');
  const unit = line.unit(UNIT);
  it('is said as people say it, with its id', () => {
    if (!on || !unit) throw new Error('the site has both');
    expect(onString(on)).toEqual({
      element: 'string',
      path: 'INV-01 / tracker 1 / input 1 / string 1',
      id: on.string.id,
    });
    expect(onString({ ...on, place: null })).toMatchObject({ path: 'string 1' });
    expect(onString({ ...on, unit: null })).toMatchObject({ path: 'string 1' });
    expect(onUnit(unit, 'lug', 'joints')).toEqual({ element: 'lug', path: 'INV-01 / joints', id: UNIT });
    expect(onSite('grid', 'the supply')).toEqual({ element: 'grid', path: 'the supply', id: 'site' });
    expect(notThere(['D-VOC', 'D-POL'])).toEqual({
      checks: [],
      says: [
        { gate: 'D-VOC', result: null },
        { gate: 'D-POL', result: null },
      ],
    });
  });
});

describe('a release', () => {
  it('costs nothing where nothing is released, and names parts that go as no part of it', () => {
    const crew = new Crew(design);
    crew.site();
    for (const id of ['inv-1', 'inv-2']) crew.prove('I-MOUNT', id);
    expect(costOf({ releases: [], entries: crew.entries }, design, crew.nowMs)).toEqual([]);
    const without = {
      ...design,
      inverters: design.inverters.filter((i) => i.id !== 'inv-2'),
      strings: design.strings.filter((s) => s.place?.inverterId !== 'inv-2'),
    };
    const cost = costOf(logOf(crew), without, crew.nowMs);
    expect(cost.filter((c) => c.object === 'inv-2')).toEqual([
      { key: 'I-MOUNT@inv-2', gate: 'I-MOUNT', object: 'inv-2', why: 'it is no part of this design' },
    ]);
  });
});

describe('the table of gates', () => {
  it('wants a safe day for hands, live work, the permit and the tag, and for nothing else', () => {
    const wants = GATE_TABLE.filter(wantsSafeDay).map((g) => g.id);
    const byZone = GATE_TABLE.filter((g) => g.zone !== 'none').map((g) => g.id);
    expect(new Set(wants)).toEqual(new Set([...byZone, 'I-PERMIT', 'D-ID']));
    expect(wantsSafeDay(gateRow('S-DOC'))).toBe(false);
    expect(wantsSafeDay(gateRow('S-SAFE'))).toBe(false);
    expect(() => gateRow('X' as 'S-SAFE')).toThrow('gate must be one of the table (got X)');
  });
  it('lets a waiver stand from 15 characters and one day to 90 days, and never without them', () => {
    const row = GATE_TABLE.find((g) => g.waiver === 'electrician') as GateRow;
    const waived = (reason: string, days: number) => judgeWaiver(row, 'electrician', reason, days).waived;
    expect([waived('x'.repeat(15), 30), waived('x'.repeat(14), 30), waived(`${'x'.repeat(14)}    `, 30)]).toEqual([
      true,
      false,
      false,
    ]);
    expect([0, 1, 90, 91, Number.NaN].map((days) => waived('a reason that says it', days))).toEqual([
      false,
      true,
      true,
      false,
      false,
    ]);
  });
});
