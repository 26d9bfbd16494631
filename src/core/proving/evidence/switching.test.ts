import { describe, expect, it } from 'vitest';
import { withRun } from '../../ac/edits';
import { Crew } from '../../testing/crew';
import { runOf } from '../../testing/examples';
import { twoUnits } from '../../testing/handedOver';
import type { Entry } from '../entry';
import { evidence } from '../evidence';
import type { OrderName, StepState } from '../tables/energiseOrders';
import { stepsOf } from '../tables/energiseOrders';

const UNIT = 'inv-1';
const inverter = { scope: 'inverter', id: UNIT } as const;
const releasesOf = (crew: Crew) => [{ letter: 'A', atMs: Date.parse('2026-05-01T08:00:00Z'), design: crew.design }];
const look = (crew: Crew) => evidence({ releases: releasesOf(crew), entries: crew.entries }, crew.nowMs + 60_000);
const note = (crew: Crew, entry: Entry) => look(crew).notes.get(entry.id);
const run = (crew: Crew) => look(crew).unit(UNIT).run;
const lost = (crew: Crew, order: OrderName = '1') => look(crew).next(UNIT, order)?.lost;

function permitted(design = twoUnits): Crew {
  const crew = new Crew(design);
  crew.site();
  crew.unit(UNIT);
  for (const gate of ['I-RCD', 'I-PERMIT', 'I-SETUP'] as const) crew.prove(gate, UNIT);
  return crew;
}
const steps = (crew: Crew, order: OrderName, upTo: StepState): Entry[] => {
  const made: Entry[] = [];
  for (const { state } of stepsOf(order)) {
    made.push(crew.step(UNIT, order, state));
    if (state === upTo) break;
  }
  return made;
};

describe('the guards of a step', () => {
  it('are the safe day, the permit and what the step itself asks: each named while it is open', () => {
    expect(lost(permitted())).toEqual([]);
    const bare = new Crew(twoUnits);
    expect(lost(bare)?.slice(0, 2)).toEqual(['gate S-SAFE is not closed', 'gate I-PERMIT@inv-1 is not closed']);
    const crew = permitted();
    steps(crew, '1', 'AC_CLOSED');
    expect(look(crew).next(UNIT, '1')).toMatchObject({ state: 'DC_CLOSED', lost: [] });
    crew.add('happening', { scope: 'string', id: 's-1' }, { what: 'string cable damaged', seen: 'a squirrel' });
    const said = lost(crew) ?? [];
    expect(said[0]).toBe(
      'the order stopped: the permit was withdrawn; isolate the unit and prove it dead, then begin again',
    );
    expect(said).toContain('gate I-PERMIT@inv-1 is not closed');
    expect(said).toContain('gate D-VOC@s-1 is not closed');
    expect(said).not.toContain('gate D-VOC@s-2 is not closed');
    expect(note(crew, crew.step(UNIT, '1', 'DC_CLOSED'))).toBe(said.join('; '));
    // A string of another unit is no guard of this one.
    expect(said.join()).not.toMatch(/s-3|s-4|inv-2/);
  });
  it('never stand in the way of switching off', () => {
    expect(lost(new Crew(twoUnits), 'off')).toEqual([]);
    const crew = permitted();
    crew.switch(UNIT);
    crew.add('happening', inverter, { what: 'unit unsafe', seen: 'smoke' });
    expect(look(crew).next(UNIT, 'off')).toMatchObject({ state: 'STOP', lost: [] });
  });
  it('hold one order to its end, and none while the unit is being switched off', () => {
    const crew = permitted();
    steps(crew, '2', 'LOCKED_OFF');
    expect(lost(crew, '1')).toEqual(['order 2 was begun']);
    expect(lost(crew, '2')).toEqual([]);
    steps(crew, 'off', 'STOP');
    expect(lost(crew, '2')).toEqual([
      'the order stopped: it was switched off; isolate the unit and prove it dead, then begin again',
      'the unit is being switched off',
    ]);
    expect(look(crew).next(UNIT, 'off')?.state).toBe('AC_OPEN');
  });
  it('ask an electrician with a licence of that day, the step that is next, and its wait', () => {
    const crew = permitted();
    const said = (state: StepState, over = {}) => {
      const step = crew.step(UNIT, '1', state, over);
      const why = note(crew, step);
      crew.entries.pop();
      return why;
    };
    for (const over of [{ role: 'lead', licensedUntil: null }, { licensedUntil: '2026-05-03' }] as const)
      expect(said('LOCKED_OFF', over)).toBe('A step is made by an electrician with a valid licence.');
    expect(said('AC_CLOSED')).toBe('AC_CLOSED is not the next step: LOCKED_OFF is.');
    expect(said('LOCKED_OFF')).toBeUndefined();
    crew.switch(UNIT);
    crew.step(UNIT, '1', 'SETTLED');
    expect(said('SETTLED')).toBe('Nothing is left to do in this order: SETTLED was not asked for.');
    expect(look(crew).next(UNIT, '1')).toBeNull();
  });
  it('leave a unit live that somebody says was switched on, allowed or not, and no other', () => {
    const said = (order: '1' | 'off', state: StepState) => {
      const crew = permitted();
      const entry = crew.step(UNIT, order, state, { role: 'helper' });
      expect(note(crew, entry)).toMatch(/made by an electrician/);
      return run(crew).live;
    };
    expect([said('1', 'AC_CLOSED'), said('1', 'LOCKED_OFF')]).toEqual([true, false]);
    expect(stepsOf('off').map(({ state }) => said('off', state))).toEqual(stepsOf('off').map(() => false));
  });
  it('are not closed without the grid code that sets the windows and the wait', () => {
    const crew = permitted({ ...twoUnits, survey: { ...twoUnits.survey, gridCode: null } });
    expect(lost(crew)).toEqual(['gate I-PERMIT@inv-1 is not closed']);
  });
});

describe('a wait', () => {
  it('is no longer than the time between the steps, as far as the clocks can tell', () => {
    const grid = (seconds: number) => {
      const crew = permitted();
      steps(crew, '1', 'SELF_CHECK');
      return note(crew, crew.step(UNIT, '1', 'GRID_WAIT', { minutes: seconds / 60, waitedS: 60 }));
    };
    // Sixty seconds are asked, and each of the two clocks may be a second off.
    expect([grid(58), grid(57.9)]).toEqual([
      undefined,
      'Only 58 s lie between this step and the one before: 60 s are asked.',
    ]);
    const off = permitted();
    steps(off, 'off', 'DC_OPEN');
    expect(note(off, off.step(UNIT, 'off', 'DISCHARGE', { minutes: 0.5 }))).toMatch(/^Only 30 s lie between/);
    // A step without a wait may follow at once.
    const quick = permitted();
    steps(quick, '1', 'DC_CLOSED');
    expect(note(quick, quick.step(UNIT, '1', 'SELF_CHECK', { minutes: 0.001 }))).toBeUndefined();
  });
});

describe('switching off', () => {
  it('leaves a unit that was on switched off and dead, and the order to begin anew', () => {
    const crew = permitted();
    crew.switch(UNIT);
    expect(run(crew)).toMatchObject({ order: '1', live: true, isolating: false });
    steps(crew, 'off', 'PROVE_DEAD');
    expect(run(crew)).toMatchObject({ isolating: true, live: true });
    expect(run(crew).off.length).toBe(5);
    crew.step(UNIT, 'off', 'SAFE');
    expect(run(crew)).toMatchObject({ order: null, done: [], stopped: null, isolating: false, live: false });
    // It was over when it was switched off: nothing stopped.
    const half = permitted();
    half.switch(UNIT);
    steps(half, 'off', 'STOP');
    expect(run(half).stopped).toBeNull();
  });
  describe('with DC first', () => {
    const sheet = (dcOpensFirst: boolean | null) => ({
      ...twoUnits,
      equipment: {
        ...twoUnits.equipment,
        inverters: twoUnits.equipment.inverters.map((t) => ({ ...t, dcOpensFirst })),
      },
    });
    const running = (allowed: boolean | null): Crew => {
      const crew = permitted(sheet(allowed));
      crew.switch(UNIT);
      return crew;
    };
    it('is for units whose sheet says that their DC switches break the full current', () => {
      for (const silent of [null, false]) {
        const crew = running(silent);
        expect(lost(crew, 'off-dc')?.[0]).toMatch(/does not say that its DC switches may be opened first/);
        expect(note(crew, crew.step(UNIT, 'off-dc', 'STOP'))).toMatch(/open AC first$/);
        crew.step(UNIT, 'off', 'STOP');
        expect(note(crew, crew.step(UNIT, 'off-dc', 'DC_OPEN_FIRST'))).toMatch(/open AC first$/);
        // Nothing else of switching off asks the sheet, or anything.
        expect(lost(crew, 'off')).toEqual([]);
      }
      expect(lost(running(true), 'off-dc')).toEqual([]);
    });
    it('opens DC, then AC, and ends as the other does: proved dead', () => {
      const crew = running(true);
      const made = steps(crew, 'off-dc', 'PROVE_DEAD');
      expect(made.map((e) => e.values['state'])).toEqual([
        'STOP',
        'DC_OPEN_FIRST',
        'AC_OPEN',
        'DISCHARGE',
        'PROVE_DEAD',
      ]);
      expect(run(crew)).toMatchObject({ isolating: true, live: true });
      crew.step(UNIT, 'off-dc', 'SAFE');
      expect(run(crew)).toMatchObject({ order: null, isolating: false, live: false });
    });
    it('with a switch that did not break the current goes on with AC, and none of its steps is left out', () => {
      const crew = running(true);
      crew.step(UNIT, 'off-dc', 'STOP');
      const stuck = crew.step(UNIT, 'off-dc', 'DC_OPEN_FIRST', { readings: { clampA: 14 } });
      expect(note(crew, stuck)).toMatch(/^14 A still flows: leave every plug and DC switch shut/);
      expect([look(crew).next(UNIT, 'off')?.state, look(crew).next(UNIT, 'off-dc')?.state]).toEqual([
        'AC_OPEN',
        'DC_OPEN_FIRST',
      ]);
      crew.step(UNIT, 'off', 'AC_OPEN');
      expect(look(crew).next(UNIT, 'off')?.state).toBe('DC_OPEN');
      crew.step(UNIT, 'off', 'DC_OPEN');
      expect(look(crew).next(UNIT, 'off-dc')?.state).toBe('DC_OPEN_FIRST');
      expect(note(crew, crew.step(UNIT, 'off-dc', 'SAFE'))).toMatch(/^SAFE is not the next step: DC_OPEN_FIRST is/);
      for (const state of ['DISCHARGE', 'PROVE_DEAD', 'SAFE'] as const) crew.step(UNIT, 'off', state);
      expect(run(crew)).toMatchObject({ isolating: false, live: false });
    });
    it('in the middle is no way to leave out that AC is open', () => {
      const crew = running(true);
      steps(crew, 'off-dc', 'DC_OPEN_FIRST');
      expect(look(crew).next(UNIT, 'off')?.state).toBe('AC_OPEN');
      expect(note(crew, crew.step(UNIT, 'off', 'DISCHARGE'))).toMatch(/^DISCHARGE is not the next step: AC_OPEN is/);
    });
    it('makes no proof stale when a sheet comes to allow it', () => {
      const crew = running(null);
      const later = [...releasesOf(crew), { letter: 'B', atMs: crew.nowMs, design: sheet(true) }];
      const now = evidence({ releases: later, entries: crew.entries }, crew.nowMs + 60_000);
      expect([now.closed('I-PERMIT', UNIT), now.closed('I-TORQ', UNIT)]).toEqual([true, true]);
    });
  });
  it('can be begun again after it was done', () => {
    const crew = permitted();
    steps(crew, 'off', 'SAFE');
    expect(look(crew).next(UNIT, 'off')?.state).toBe('STOP');
    steps(crew, 'off', 'STOP');
    expect(run(crew).off.length).toBe(1);
    expect(look(crew).next(UNIT, 'off')?.state).toBe('AC_OPEN');
  });
});

describe('a step put right', () => {
  const right = { reason: 'typed the wrong phase' };
  it('as expected stands in its place, and nothing stops', () => {
    const crew = permitted();
    const [first, ac, dc] = steps(crew, '1', 'DC_CLOSED');
    const again = crew.step(UNIT, '1', 'AC_CLOSED', { ...right, corrects: ac?.id ?? '', readings: { l12V: 402 } });
    expect(run(crew).done.map((d) => d.id)).toEqual([first?.id, again.id, dc?.id]);
    expect(run(crew)).toMatchObject({ stopped: null });
    expect(look(crew).next(UNIT, '1')).toMatchObject({ state: 'SELF_CHECK', lost: [] });
    // The next correction names the newer one.
    const bad = crew.step(UNIT, '1', 'AC_CLOSED', { ...right, corrects: again.id, readings: { l12V: 300 } });
    expect(run(crew).stopped).toMatch(/^AC_CLOSED was corrected: L1–L2: 300 V is over 1 %/);
    const good = crew.step(UNIT, '1', 'AC_CLOSED', { ...right, corrects: bad.id });
    expect(run(crew).done.map((d) => d.id)).toEqual([first?.id, good.id, dc?.id]);
    expect(run(crew).stopped).toMatch(/^AC_CLOSED was corrected/);
  });
  it('on grid, that was not on grid, leaves the gate open and stops nothing that is over', () => {
    const crew = permitted();
    crew.switch(UNIT);
    const onGrid = crew.entries.at(-1) as Entry;
    expect(look(crew).gate('I-ONGRID', UNIT)?.state).toBe('passed');
    const better = crew.step(UNIT, '1', 'ON_GRID', { ...right, corrects: onGrid.id });
    expect(look(crew).gate('I-ONGRID', UNIT)?.by?.id).toBe(better.id);
    crew.step(UNIT, '1', 'ON_GRID', { ...right, corrects: better.id, readings: { powerKw: 0.1 } });
    expect(look(crew).gate('I-ONGRID', UNIT)?.state).toBe('open');
    expect(run(crew).stopped).toBeNull();
    expect(run(crew).live).toBe(true);
  });
  it('of one that never counted changes nothing', () => {
    const crew = permitted();
    const early = crew.step(UNIT, '1', 'AC_CLOSED');
    const was = run(crew);
    crew.step(UNIT, '1', 'AC_CLOSED', { ...right, corrects: early.id, readings: { l12V: 300 } });
    expect(run(crew)).toEqual(was);
    expect(was.live).toBe(true);
    const begun = permitted();
    steps(begun, '1', 'LOCKED_OFF');
    const refused = begun.step(UNIT, '1', 'AC_CLOSED', { readings: { l12V: 300 } });
    begun.step(UNIT, '1', 'AC_CLOSED', { ...right, corrects: refused.id, readings: { l12V: 301 } });
    expect(run(begun)).toMatchObject({ stopped: null, done: [expect.anything()] });
  });
  it('while it is being switched off goes back to before that step', () => {
    const crew = permitted();
    crew.switch(UNIT);
    const [stop, open] = steps(crew, 'off', 'DC_OPEN');
    crew.step(UNIT, 'off', 'AC_OPEN', { ...right, corrects: open?.id ?? '', readings: { dcA: 4 } });
    expect(run(crew)).toMatchObject({ isolating: true, live: true });
    expect(run(crew).off.map((d) => d.id)).toEqual([stop?.id]);
    crew.step(UNIT, 'off', 'STOP', { ...right, corrects: stop?.id ?? '', readings: { powerKw: 40 } });
    expect(run(crew)).toMatchObject({ isolating: false, off: [] });
  });
  it('after it was proved dead, that was not dead: the unit is live, and an order that was begun since has stopped', () => {
    const crew = permitted();
    crew.switch(UNIT);
    const off = steps(crew, 'off', 'SAFE');
    const dead = off.find((e) => e.values['state'] === 'PROVE_DEAD')?.id ?? '';
    const wrong = { ...right, corrects: dead, readings: { l12V: 400 } };
    crew.step(UNIT, 'off', 'PROVE_DEAD', wrong);
    expect(run(crew)).toMatchObject({ live: true, off: [], stopped: null, isolating: false });
    const begun = permitted();
    begun.switch(UNIT);
    const first = steps(begun, 'off', 'SAFE').find((e) => e.values['state'] === 'PROVE_DEAD')?.id ?? '';
    begun.step(UNIT, '1', 'LOCKED_OFF');
    expect(run(begun).live).toBe(false);
    begun.step(UNIT, 'off', 'PROVE_DEAD', { ...wrong, corrects: first });
    expect(run(begun)).toMatchObject({ live: true, stopped: 'it was not dead' });
  });
});

describe('the alarm', () => {
  it('of a permit that ended with its day waits for a new one once a proof was lost since', () => {
    const crew = permitted();
    crew.switch(UNIT);
    crew.wait(24 * 60);
    expect(look(crew).unit(UNIT).why).toEqual([]);
    crew.add('happening', inverter, { what: 'AC side touched', seen: 'bars were looked at' });
    const stale = look(crew).gate('I-ACV', UNIT)?.why;
    expect(stale).toBe('AC side touched');
    crew.add('happening', inverter, { what: 'joint opened', seen: 'L2 loose' });
    // Why it was withdrawn first stays.
    expect(look(crew).gate('I-ACV', UNIT)?.why).toBe(stale);
    crew.prove('S-SAFE');
    for (const gate of ['I-TORQ', 'I-ACV', 'I-RCD', 'I-COVER'] as const) crew.prove(gate, UNIT);
    expect(look(crew).unit(UNIT).why).toEqual(['the permit was withdrawn and not given anew']);
  });

  it('says which gates are open and that the permit has to be given anew, on the unit that is live alone', () => {
    const crew = permitted();
    crew.add('happening', inverter, { what: 'earth opened', seen: 'the strap hangs down' });
    expect(look(crew).switchOff).toEqual([]);
    const live = permitted();
    live.switch(UNIT);
    live.add('happening', inverter, { what: 'earth opened', seen: 'the strap hangs down' });
    expect(look(live).switchOff).toEqual([
      {
        unit: UNIT,
        why: [
          ...['I-ACV', 'I-RCD', 'I-DCLAND', 'I-COVER'].map((g) => `${g}@inv-1 is not closed`),
          'the permit was withdrawn and not given anew',
        ],
      },
    ]);
  });
  it('asks of a unit without its device nothing of that device', () => {
    const bare = withRun(twoUnits, runOf(UNIT, { residualFitted: false }));
    const crew = new Crew(bare);
    crew.site();
    crew.unit(UNIT);
    crew.prove('I-SETUP', UNIT);
    expect(lost(crew)).toEqual([]);
  });

  it('is on where clocks leave open whether a switch was closed after the unit was proved dead', () => {
    const crew = permitted();
    const over = (n: number) => ({ device: { id: `p${n}`, roundTripMs: 4e6 }, minutes: 0.01 });
    for (const state of ['LOCKED_OFF', 'AC_CLOSED'] as const) crew.step(UNIT, '1', state, over(1));
    for (const { state } of stepsOf('off')) crew.step(UNIT, 'off', state, over(2));
    expect(run(crew).live).toBe(true);
    // So many orders that not all are tried: the same answer.
    for (let i = 0; i < 24; i++)
      if (i % 2) crew.prove('I-MOUNT', UNIT, over(3 + (i % 6)));
      else crew.tick('I-MOUNT', UNIT, 'fail', over(3 + (i % 6)));
    expect(run(crew).live).toBe(true);
    expect(look(crew).unit(UNIT).switchOff).toBe(true);
    // Told by one device, the order is its own, and the unit is dead.
    const sure = permitted();
    for (const state of ['LOCKED_OFF', 'AC_CLOSED'] as const) sure.step(UNIT, '1', state);
    for (const { state } of stepsOf('off')) sure.step(UNIT, 'off', state);
    expect(run(sure).live).toBe(false);
  });

  it('is not raised where nothing was switched, though more orders are open than can be tried: what was touched is proved anew', () => {
    const crew = permitted();
    crew.wait(120);
    const over = (n: number) => ({ device: { id: `p${n % 6}`, roundTripMs: 4e6 }, minutes: 0.01 });
    for (let i = 0; i < 24; i++) crew.prove('I-MOUNT', UNIT, over(i));
    for (let i = 0; i < 24; i++) crew.tick('D-ID', 's-1', 'pass', over(i));
    const open = { state: 'stale', why: 'the clocks leave the order of the work open' };
    expect([look(crew).gate('I-MOUNT', UNIT), look(crew).gate('D-ID', 's-1')]).toMatchObject([open, open]);
    expect(look(crew).unit(UNIT)).toMatchObject({ switchOff: false, run: { live: false } });
  });
});
