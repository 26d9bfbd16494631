import { describe, expect, it } from 'vitest';
import { Crew } from '../testing/crew';
import type { Over } from '../testing/crew';
import { twoUnits } from '../testing/handedOver';
import { admit } from './door';
import type { Entry } from './entry';
import { evidence } from './evidence';
import type { GateId } from './gates/machine';
import { stepsOf } from './tables/energiseOrders';
import type { StepState } from './tables/energiseOrders';
import { inHand, zoneTrouble } from './zones';

/** Hands and live never at once on one unit, one person one live gate: common practice. */

const releases = [{ letter: 'A', atMs: Date.parse('2026-05-01T08:00:00Z'), design: twoUnits }];
const [ONE, TWO] = ['inv-1', 'inv-2'] as const;
const of = (unit: string) => twoUnits.strings.find((s) => s.place?.inverterId === unit)?.id ?? '';
const look = (crew: Crew, entries: readonly Entry[] = crew.entries) => evidence({ releases, entries }, crew.nowMs);
const work = (
  crew: Crew,
  by: string,
  gate: GateId,
  object: string,
  doing: 'begins' | 'ends' = 'begins',
  over: Over = {},
) => crew.add('work', Crew.subject(gate, object), { gate, doing }, { by, ...over });
const held = (crew: Crew) => inHand(look(crew)).map((w) => `${w.by} ${w.gate}@${w.object}`);
/** What stands in the way of the newest entry. */
const trouble = (crew: Crew) => zoneTrouble(crew.entries.at(-1) as Entry, look(crew));
const asked = (crew: Crew, ...args: [by: string, gate: GateId, object: string, doing?: 'begins' | 'ends']) => {
  work(crew, ...args);
  const said = trouble(crew);
  crew.entries.pop();
  return said;
};

describe('work in hand', () => {
  it('is what somebody began, since when, until whoever has it puts it down', () => {
    const crew = new Crew(twoUnits);
    const begun = work(crew, 'Ada', 'I-TORQ', ONE);
    work(crew, 'Bo', 'I-TORQ', TWO);
    work(crew, 'Ada', 'I-COVER', ONE);
    expect(inHand(look(crew))[0]).toEqual({ gate: 'I-TORQ', object: ONE, by: 'Ada', since: begun.doneAt });
    work(crew, 'Bo', 'I-TORQ', ONE, 'ends');
    expect(held(crew)).toEqual(['Ada I-TORQ@inv-1', 'Bo I-TORQ@inv-2', 'Ada I-COVER@inv-1']);
    work(crew, 'Ada', 'I-TORQ', ONE, 'ends');
    expect(held(crew)).toEqual(['Bo I-TORQ@inv-2', 'Ada I-COVER@inv-1']);
  });
  it('ends with its reading or its signature by whoever has it, and with nobody else’s', () => {
    const crew = new Crew(twoUnits);
    work(crew, 'Ada', 'I-TORQ', ONE);
    work(crew, 'Ada', 'I-COVER', ONE);
    crew.prove('I-TORQ', ONE, { by: 'Bo' });
    crew.prove('I-TORQ', TWO, { by: 'Ada' });
    expect(held(crew)).toEqual(['Ada I-TORQ@inv-1', 'Ada I-COVER@inv-1']);
    crew.prove('I-TORQ', ONE, { by: 'Ada' });
    expect(held(crew)).toEqual(['Ada I-COVER@inv-1']);
    crew.tick('I-COVER', ONE, 'pass', { by: 'Ada' });
    expect(held(crew)).toEqual([]);
  });
  it('goes by when it was done, not by when it came', () => {
    const crew = new Crew(twoUnits);
    work(crew, 'Ada', 'I-TORQ', ONE);
    work(crew, 'Ada', 'I-TORQ', ONE, 'ends');
    expect(inHand(look(crew, [...crew.entries].reverse()))).toEqual([]);
  });
  it('is of today alone, by the site’s days', () => {
    // 00:30 and 23:30 of the same day in Oslo; the first is the day before in UTC.
    const crew = new Crew(twoUnits, '2026-05-04T00:30:00+02:00');
    work(crew, 'Ada', 'I-TORQ', ONE);
    crew.wait(23 * 60 - 2);
    expect(held(crew)).toEqual(['Ada I-TORQ@inv-1']);
    crew.wait(60);
    expect(held(crew)).toEqual([]);
  });
  it('of somebody who is gone is put down by whoever leads, with a reason, and by nobody else', () => {
    const crew = new Crew(twoUnits);
    work(crew, 'Ada', 'I-TORQ', ONE);
    const reason = 'bay looked into, Ada told by phone';
    const ends = (over: Over) => {
      work(crew, 'Bo', 'I-TORQ', ONE, 'ends', over);
      const said = [held(crew).length, trouble(crew)];
      crew.entries.pop();
      return said;
    };
    const refused = [1, expect.stringMatching(/^Ada has I-TORQ in hand, and puts it down; .* at least 15 characters/)];
    expect(ends({ role: 'lead', reason })).toEqual([0, null]);
    expect(ends({ role: 'electrician', reason })).toEqual([0, null]);
    expect(ends({ role: 'lead', reason: 'x'.repeat(15) })).toEqual([0, null]);
    expect(ends({ role: 'lead', reason: ` ${'x'.repeat(14)} ` })).toEqual(refused);
    expect(ends({ role: 'lead' })).toEqual(refused);
    expect(ends({ role: 'helper', reason })).toEqual(refused);
    expect(ends({ role: 'electrician', licensedUntil: '2026-05-03', reason })).toEqual(refused);
    // What nobody has in hand there may be said to be over.
    expect(asked(crew, 'Bo', 'I-COVER', ONE, 'ends')).toBeNull();
    // A reading by another ends nothing, whatever it gives as its reason.
    crew.prove('I-TORQ', ONE, { by: 'Bo', reason });
    expect(held(crew)).toEqual(['Ada I-TORQ@inv-1']);
  });
  it('leaves out the one entry that is asked about', () => {
    const crew = new Crew(twoUnits);
    const begun = work(crew, 'Ada', 'I-TORQ', ONE);
    expect(inHand(look(crew), begun)).toEqual([]);
  });
});

describe('work that is to begin', () => {
  it('is never live where another has hands, and never hands where another works live, on one unit', () => {
    const crew = new Crew(twoUnits);
    work(crew, 'Ada', 'I-TORQ', ONE);
    expect(asked(crew, 'Bo', 'I-ACIR', ONE)).toBe(
      'Ada works hands on I-TORQ of the same unit: never hands and live at once.',
    );
    // A string is of the unit on which it hangs.
    expect(asked(crew, 'Bo', 'D-POL', of(ONE))).toMatch(/Ada works hands on I-TORQ/);
    expect(asked(crew, 'Bo', 'D-POL', of(TWO))).toBeNull();
    expect(asked(crew, 'Bo', 'I-ACIR', TWO)).toBeNull();
    // Hands beside hands, and what touches nothing beside either.
    expect(asked(crew, 'Bo', 'I-COVER', ONE)).toBeNull();
    expect(asked(crew, 'Bo', 'I-ADDR', ONE)).toBeNull();
    // Whoever has it in hand knows.
    expect(asked(crew, 'Ada', 'I-ACIR', ONE)).toBeNull();
    work(crew, 'Ada', 'I-TORQ', ONE, 'ends');
    work(crew, 'Bo', 'D-POL', of(ONE));
    expect(asked(crew, 'Ada', 'I-COVER', ONE)).toMatch(/^Bo works live on D-POL of the same unit/);
    expect(asked(crew, 'Ada', 'I-COVER', TWO)).toBeNull();
    expect(asked(crew, 'Ada', 'I-ACV', ONE)).toBeNull();
    expect(asked(crew, 'Ada', 'I-ADDR', ONE)).toBeNull();
  });
  it('is not the gate that another has in hand at the same part', () => {
    const crew = new Crew(twoUnits);
    work(crew, 'Ada', 'I-ADDR', ONE);
    expect(asked(crew, 'Bo', 'I-ADDR', ONE)).toBe('Ada has I-ADDR in hand.');
    expect(asked(crew, 'Bo', 'I-ADDR', TWO)).toBeNull();
    expect(asked(crew, 'Ada', 'I-ADDR', ONE, 'ends')).toBeNull();
    expect(asked(crew, 'Bo', 'I-ADDR', TWO, 'ends')).toBeNull();
    expect(asked(crew, 'Ada', 'I-ADDR', ONE)).toBeNull();
  });
  it('is one live gate for one person, wherever it is', () => {
    const crew = new Crew(twoUnits);
    work(crew, 'Ada', 'I-ADDR', ONE);
    work(crew, 'Ada', 'I-COVER', ONE);
    work(crew, 'Cy', 'I-ACV', TWO);
    expect(asked(crew, 'Bo', 'I-ACIR', TWO)).toBeNull();
    work(crew, 'Bo', 'I-ACIR', TWO);
    expect(asked(crew, 'Bo', 'D-POL', of(TWO))).toBe(
      'Bo has the live gate I-ACIR in hand already: one person, one live gate.',
    );
    expect(asked(crew, 'Bo', 'I-ADDR', TWO)).toBeNull();
    expect(asked(crew, 'Bo', 'I-COVER', TWO)).toMatch(/^Cy works live on I-ACV/);
    // Hands in hand, then live: not two live gates.
    expect(asked(crew, 'Ada', 'D-POL', of(ONE))).toBeNull();
  });
});

describe('a reading', () => {
  it('is not taken beside opposed work, by measurement or by signature, and is of no person’s count of live gates', () => {
    const crew = new Crew(twoUnits);
    work(crew, 'Ada', 'I-TORQ', ONE);
    crew.prove('I-ACIR', ONE, { by: 'Bo' });
    expect(trouble(crew)).toMatch(/^Ada works hands on I-TORQ/);
    crew.prove('I-ACIR', ONE, { by: 'Ada' });
    expect(trouble(crew)).toBeNull();
    work(crew, 'Ada', 'I-TORQ', ONE, 'ends');
    work(crew, 'Bo', 'I-ACIR', ONE);
    crew.tick('I-COVER', ONE, 'pass', { by: 'Ada' });
    expect(trouble(crew)).toMatch(/^Bo works live on I-ACIR/);
    crew.prove('D-POL', of(ONE), { by: 'Bo' });
    expect(trouble(crew)).toBeNull();
    // Each kind speaks of its gates at its own part: one at the whole site is beside no unit.
    crew.prove('S-SUPPLY', 'site', { by: 'Ada' });
    expect(trouble(crew)).toBeNull();
  });
  it('that shows something bad is taken from anybody, whoever has the gate in hand', () => {
    const crew = new Crew(twoUnits);
    work(crew, 'Ada', 'I-TORQ', ONE);
    const said = (values: Record<string, unknown>) => {
      const read = crew.prove('I-ACIR', ONE, { by: 'Bo', values });
      crew.entries.pop();
      return {
        says: look(crew)
          .judgement(read)
          .says.map((s) => s.result),
        trouble: zoneTrouble(read, look(crew)),
      };
    };
    expect(said({})).toMatchObject({ says: ['pass'], trouble: expect.stringMatching(/^Ada works hands/) });
    expect(said({ megohm: 0.2 })).toEqual({ says: ['fail'], trouble: null });
    // Too little voltage: it proves nothing, and withdraws what was proved.
    expect(said({ testV: 100 })).toEqual({ says: [null], trouble: null });
    crew.tick('I-TORQ', ONE, 'fail', { by: 'Bo' });
    expect(trouble(crew)).toBeNull();
    crew.tick('I-COVER', ONE, 'fail', { by: 'Bo' });
    expect(trouble(crew)).toBeNull();
    work(crew, 'Ada', 'D-POL', of(TWO));
    for (const [voltageV, says] of [
      [-700, ['fail', 'fail']],
      [300, ['pass', 'fail']],
    ] as const) {
      const read = crew.prove('D-POL', of(TWO), { by: 'Bo', values: { voltageV } });
      expect(
        look(crew)
          .judgement(read)
          .says.map((s) => s.result),
      ).toEqual(says);
      expect(trouble(crew)).toBeNull();
    }
  });
  it('of an unreleased site stands beside nothing', () => {
    const crew = new Crew(twoUnits);
    const first = crew.prove('D-POL', of(ONE), { by: 'Bo' });
    expect(zoneTrouble(first, evidence({ releases: [], entries: crew.entries }, crew.nowMs))).toBeNull();
  });
});

describe('switching', () => {
  /** Both units proved as far as their permits, nothing switched on. */
  function permitted(): Crew {
    const crew = new Crew(twoUnits);
    crew.site();
    for (const unit of [ONE, TWO]) {
      crew.unit(unit);
      for (const gate of ['I-RCD', 'I-PERMIT'] as const) crew.prove(gate, unit);
    }
    return crew;
  }
  const step = (crew: Crew, unit: string, order: '1' | 'off', state: StepState) => {
    const said = zoneTrouble(crew.step(unit, order, state), look(crew));
    crew.entries.pop();
    return said;
  };
  const FIRST = stepsOf('1')[0]?.state as StepState;
  const OFF = stepsOf('off')[0]?.state as StepState;

  it('on waits until nobody has hands in the unit or in the earth of the site, whoever it is; off waits for nobody', () => {
    const crew = permitted();
    expect(step(crew, ONE, '1', FIRST)).toBeNull();
    const begun = work(crew, 'Ada', 'I-TORQ', ONE);
    const switcher = 'Ilse Brandvik';
    for (const who of ['Ada', switcher]) {
      crew.entries.splice(crew.entries.indexOf(begun), 1, { ...begun, by: who });
      expect(step(crew, ONE, '1', FIRST)).toBe(
        `${who} has hands on I-TORQ: nothing is switched on before it is put down`,
      );
      expect([step(crew, ONE, 'off', OFF), step(crew, TWO, '1', FIRST)]).toEqual([null, null]);
      crew.entries.splice(
        crew.entries.findIndex((e) => e.id === begun.id),
        1,
        begun,
      );
    }
    // A step put right is taken: it says what is so, and raises nothing.
    const corrects = crew.step(TWO, '1', FIRST).id;
    work(crew, 'Ada', 'I-COVER', TWO);
    const put = crew.step(TWO, '1', FIRST, { corrects, reason: 'a lock was left on' });
    expect([zoneTrouble(put, look(crew)), zoneTrouble({ ...put, corrects: null }, look(crew))]).toEqual([
      null,
      'Ada has hands on I-COVER: nothing is switched on before it is put down',
    ]);
    work(crew, 'Ada', 'I-COVER', TWO, 'ends');
    work(crew, 'Ada', 'I-TORQ', ONE, 'ends');
    expect(step(crew, ONE, '1', FIRST)).toBeNull();
    // Measuring live is no hands inside, and whoever watches the start has it in hand.
    work(crew, 'Ada', 'I-ACV', ONE);
    work(crew, 'Bo', 'I-ONGRID', ONE);
    expect([step(crew, ONE, '1', FIRST), step(crew, ONE, 'off', OFF)]).toEqual([null, null]);
    work(crew, 'Cy', 'S-EARTH', 'site');
    expect(step(crew, TWO, '1', FIRST)).toMatch(/^Cy has hands on S-EARTH/);
    expect(
      admit({ releases, entries: crew.entries.slice(0, -1) }, crew.entries.at(-1) as Entry, crew.nowMs).refusal,
    ).toBeNull();
  });
  it('leaves no hands to begin where something may be on, and says of which unit', () => {
    const crew = permitted();
    crew.switch(ONE);
    const tag = (unit: string) => twoUnits.inverters.find((i) => i.id === unit)?.tag;
    expect(asked(crew, 'Ada', 'I-TORQ', ONE)).toBe(
      `${tag(ONE)} may be switched on: switch it off in its order and prove it dead before hands go in.`,
    );
    expect(asked(crew, 'Ada', 'S-EARTH', 'site')).toMatch(/may be switched on/);
    expect(asked(crew, 'Ada', 'I-TORQ', TWO)).toBeNull();
    expect([asked(crew, 'Ada', 'I-THERM', ONE), asked(crew, 'Ada', 'I-ADDR', ONE)]).toEqual([null, null]);
    expect(asked(crew, 'Ada', 'I-TORQ', ONE, 'ends')).toBeNull();
    // What was done is a fact.
    crew.prove('I-TORQ', ONE, { by: 'Ada' });
    expect(trouble(crew)).toBeNull();
    crew.switch(ONE, 'off');
    expect([asked(crew, 'Ada', 'I-TORQ', ONE), asked(crew, 'Ada', 'S-EARTH', 'site')]).toEqual([null, null]);
  });
});
