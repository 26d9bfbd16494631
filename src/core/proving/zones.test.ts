import { describe, expect, it } from 'vitest';
import { Crew } from '../testing/crew';
import type { Over } from '../testing/crew';
import { twoUnits } from '../testing/handedOver';
import type { Entry } from './entry';
import { evidence } from './evidence';
import type { GateId } from './gates/machine';
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
    expect(asked(crew, 'Bo', 'I-ADDR', ONE, 'ends')).toBeNull();
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
  it('of an unreleased site stands beside nothing', () => {
    const crew = new Crew(twoUnits);
    const first = crew.prove('D-POL', of(ONE), { by: 'Bo' });
    expect(zoneTrouble(first, evidence({ releases: [], entries: crew.entries }, crew.nowMs))).toBeNull();
  });
});
