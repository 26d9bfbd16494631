import { describe, expect, it } from 'vitest';
import { Crew, healthy } from '../testing/crew';
import { twoUnits } from '../testing/handedOver';
import { admit } from './door';
import { evidence } from './evidence';
import type { GateId } from './gates/machine';
import { opening } from './kinds';
import { inHand } from './zones';

/** Readings that nobody has to make, close nothing, and take a proof with them where they are bad: common practice. */

const releases = [{ letter: 'A', atMs: Date.parse('2026-05-01T08:00:00Z'), design: twoUnits }];
const [UNIT, STRING] = ['inv-1', twoUnits.strings.find((s) => s.place?.inverterId === 'inv-1')?.id ?? ''];
const look = (crew: Crew) => evidence({ releases, entries: crew.entries }, crew.nowMs);
const state = (crew: Crew, gate: GateId, object: string) => look(crew).gate(gate, object)?.state;

/** A kind, where it is read, the gate that it opens, and a reading of it that is bad, and one that says nothing. */
const joints = healthy('joint-ohms', twoUnits, Crew.subject('I-TORQ', UNIT))['joints'] as readonly {
  at: string;
  microOhm: number;
}[];
const CASES = [
  {
    kind: 'joint-ohms',
    gate: 'I-TORQ',
    object: UNIT,
    bad: { joints: joints.map((j, i) => (i === 1 ? { ...j, microOhm: 60 } : j)) },
    silent: { testA: 1 },
  },
  {
    kind: 'retorque',
    gate: 'I-TORQ',
    object: UNIT,
    bad: { joints: [{ at: 'unit L2', how: 'turned' }] },
    silent: { joints: [{ at: 'unit L2', how: 'held' }], boardTargetNm: 400 },
  },
  { kind: 'earth-fault', gate: 'D-IR', object: STRING, bad: { plusV: 600, minusV: 200 }, silent: { plusV: 1400 } },
] as const;

describe.each(CASES)('$kind', ({ kind, gate, object, bad, silent }) => {
  const subject = Crew.subject(gate, object);
  const read = (crew: Crew, over: object = {}) =>
    crew.add(kind, subject, { ...healthy(kind, twoUnits, subject), ...over }, { by: 'Ole', role: 'helper' });
  function proved(): Crew {
    const crew = new Crew(twoUnits);
    crew.site();
    crew.unit(UNIT);
    expect(state(crew, gate, object)).toBe('passed');
    return crew;
  }

  it('withdraws what it finds bad, whoever reads it, and what rests on it, until that is made anew', () => {
    const crew = proved();
    const rests: GateId = gate === 'I-TORQ' ? 'I-ACV' : 'I-DCLAND';
    expect(state(crew, rests, UNIT)).toBe('passed');
    read(crew, bad);
    expect(look(crew).gate(gate, object)).toMatchObject({ state: 'stale', why: expect.stringMatching(/: failed$/) });
    expect(state(crew, rests, UNIT)).toBe('stale');
    read(crew);
    expect(state(crew, gate, object)).toBe('stale');
    crew.prove(gate, object);
    expect(state(crew, gate, object)).toBe('passed');
    expect(opening(gate).map((k) => k.kind)).toContain(kind);
  });
  it('closes nothing where it is good, and takes nothing where it says nothing', () => {
    const crew = proved();
    const closed = () => [...look(crew).gates].filter(([, g]) => g.state === 'passed').map(([key]) => key);
    const before = closed();
    for (const over of [{}, silent]) {
      const entry = read(crew, over);
      expect(look(crew).judgement(entry).says).toEqual([]);
      expect(closed()).toEqual(before);
    }
    const fresh = new Crew(twoUnits);
    read(fresh);
    expect(state(fresh, gate, object)).toBe('locked');
  });
  it('is work on that gate: not in the wet, unless what it shows is bad, and it ends nobody’s work in hand', () => {
    const crew = proved();
    crew.add('work', subject, { gate, doing: 'begins' }, { by: 'Ole' });
    read(crew);
    expect(inHand(look(crew)).map((w) => w.by)).toEqual(['Ole']);
    const refused = (over: object) => {
      const entry = read(crew, over);
      crew.entries.pop();
      return admit({ releases, entries: crew.entries }, entry, crew.nowMs).refusal?.detail ?? null;
    };
    expect([refused({}), refused(bad)]).toEqual([null, null]);
    crew.add('happening', Crew.subject('S-SAFE', 'site'), { what: 'rain or wet fog', seen: 'looked up' });
    expect([refused({}), refused(bad)]).toEqual([expect.stringMatching(/^It is wet on site/), null]);
  });
});

it('a joint that held is held by a tool in whose range its target lies', () => {
  const crew = new Crew(twoUnits);
  const subject = Crew.subject('I-TORQ', UNIT);
  const verdict = (at: string, boardTargetNm: number) => {
    const entry = crew.add('retorque', subject, {
      ...healthy('retorque', twoUnits, subject),
      joints: [{ at, how: 'held' }],
      boardTargetNm,
    });
    return look(crew)
      .judgement(entry)
      .checks.find((c) => c.id === 'proving.held-torque')?.verdict;
  };
  // The wrench goes from 10 to 60 N·m and holds from 20 % of that; a joint that is not there has no target.
  expect([verdict('board L1', 25), verdict('board L1', 61), verdict('elsewhere', 25)]).toEqual([
    'holds',
    'unknown',
    'unknown',
  ]);
});

it('is found between module 5 and 6 of twenty at 642 and 214 V of 870 V (node equations, worked value)', () => {
  const design = { ...twoUnits, strings: twoUnits.strings.map((s) => ({ ...s, modules: 20 })) };
  const crew = new Crew(design);
  const entry = crew.add('earth-fault', Crew.subject('D-IR', STRING), {
    plusV: 642,
    minusV: 214,
    openV: 870,
    meterMohm: 10,
  });
  const [check] = evidence({ releases: [{ letter: 'A', atMs: 0, design }], entries: [entry] }, crew.nowMs).checks;
  expect(check).toMatchObject({ id: 'proving.earth-fault-place', verdict: 'stop', value: 5 });
  expect(check?.working.join(' ')).toMatch(/between module 5 and 6 .*164 kΩ/);
});
