import { describe, expect, it } from 'vitest';
import { Crew } from '../testing/crew';
import type { Over } from '../testing/crew';
import { twoUnits } from '../testing/handedOver';
import { admit } from './door';
import type { Entry } from './entry';
import { evidence } from './evidence';
import type { GateId } from './gates/machine';
import { GATE_TABLE } from './gates/table';
import type { StepState } from './tables/energiseOrders';
import { ORDER_NAMES, stepsOf } from './tables/energiseOrders';
import { waitsForDry, wet, wetTrouble } from './weather';
import { zoneTrouble } from './zones';

/** No DC or live work in rain, condensing fog or over 95 % humidity, covers shut; earth checks on dead metal go on: common practice. */

const releases = [{ letter: 'A', atMs: Date.parse('2026-05-01T08:00:00Z'), design: twoUnits }];
const ONE = 'inv-1';
const STRING = twoUnits.strings.find((s) => s.place?.inverterId === ONE)?.id ?? '';
const look = (crew: Crew, entries: readonly Entry[] = crew.entries) => evidence({ releases, entries }, crew.nowMs);
const says = (crew: Crew, what: 'rain or wet fog' | 'dry again', over: Over = {}, ends?: readonly string[]) =>
  crew.add('happening', Crew.subject('S-SAFE', 'site'), { what, seen: 'looked up', ...(ends && { ends }) }, over);
const rain = (crew: Crew, over: Over = {}) => says(crew, 'rain or wet fog', { by: 'Ole', role: 'helper', ...over });
const refused = (crew: Crew, entry: Entry) => {
  crew.entries.splice(crew.entries.indexOf(entry), 1);
  return admit({ releases, entries: crew.entries }, entry, crew.nowMs).refusal?.detail ?? null;
};
const WET =
  'It is wet on site (Ole: looked up): no DC or live work, covers shut, until an electrician says that it is dry';

describe('the weather', () => {
  it('is wet once anybody says so, and dry again by whoever may sign the safe start', () => {
    const crew = new Crew(twoUnits);
    expect([wet(look(crew)), wetTrouble(look(crew))]).toEqual([null, null]);
    const said = rain(crew);
    expect(wet(look(crew))).toEqual({ by: 'Ole', since: said.doneAt, seen: 'looked up', said: [said.id] });
    expect(wetTrouble(look(crew))).toBe(WET);
    for (const over of [{ role: 'helper' }, { role: 'lead' }, { licensedUntil: '2026-05-03' }] as const) {
      const dry = says(crew, 'dry again', over);
      expect(wet(look(crew))).not.toBeNull();
      expect(refused(crew, dry)).toMatch(/^That it is dry is said by whoever may sign the safe start\. Gate S-SAFE/);
    }
    // Nothing else that happens says that it is dry.
    crew.add('happening', Crew.subject('S-SAFE', 'site'), { what: 'new crew member', seen: 'Cy came' });
    expect(wet(look(crew))).not.toBeNull();
    const dry = says(crew, 'dry again');
    expect(wet(look(crew))).toBeNull();
    expect(refused(crew, dry)).toBeNull();
  });
  it('is the newest that anybody said, whatever order it came in', () => {
    const crew = new Crew(twoUnits);
    rain(crew);
    says(crew, 'dry again');
    const again = rain(crew, { by: 'Ada' });
    rain(crew, { by: 'Bo' });
    expect(wet(look(crew))?.by).toBe('Bo');
    expect(wet(look(crew, crew.entries.slice(0, 3)))?.since).toBe(again.doneAt);
    expect(wet(look(crew, [...crew.entries].reverse()))?.by).toBe('Bo');
    says(crew, 'dry again');
    expect(wet(look(crew, [...crew.entries].reverse()))).toBeNull();
  });
  it('lasts over midnight, until the safe start of the next day, which reads it too: one that counts, and no fail', () => {
    const crew = new Crew(twoUnits);
    rain(crew);
    crew.wait(24 * 60);
    expect(wet(look(crew))).not.toBeNull();
    const failed = crew.tick('S-SAFE', 'site', 'fail');
    crew.tick('S-SAFE', 'site', 'pass', { corrects: failed.id, reason: 'the wrong button' });
    expect(look(crew).closed('S-SAFE', 'site')).toBe(true);
    expect(wet(look(crew))).not.toBeNull();
    crew.tick('S-SAFE', 'site', 'pass', { role: 'helper' });
    crew.tick('S-DOC', 'site', 'pass');
    expect(wet(look(crew))).not.toBeNull();
    crew.tick('S-SAFE', 'site', 'pass');
    expect(wet(look(crew))).toBeNull();
  });
  it('stays wet where clocks leave open which was said last, and goes by the sequence of one device whatever its clock says', () => {
    const on = (id: string, seq: number, offsetMs: number, roundTripMs: number): Over => ({
      device: { id, seq, offsetMs, roundTripMs },
    });
    // Half a minute apart: uncertain by 20 s each, by 15 (the ends meet), then by 10.
    for (const [roundTripMs, isWet] of [
      [40_000, true],
      [30_000, true],
      [20_000, false],
    ] as const) {
      const crew = new Crew(twoUnits);
      const said = rain(crew, on('a', 1, 0, roundTripMs));
      const dry = says(crew, 'dry again', on('b', 1, 0, roundTripMs));
      const apart = Date.parse(dry.doneAt) - Date.parse(said.doneAt);
      const later = { ...dry, doneAt: new Date(Date.parse(dry.doneAt) + 30_000 - apart).toISOString() };
      expect(wet(look(crew, [said, later])) !== null).toBe(isWet);
      expect(wet(look(crew, [said, { ...later, device: { ...later.device, id: 'a', seq: 2 } } as Entry]))).toBeNull();
      expect(
        wet(look(crew, [{ ...said, device: { ...said.device, id: 'b', seq: 2 } } as Entry, later])),
      ).not.toBeNull();
    }
  });
  it('is ended by whoever had it before them, whatever the clocks say, and by nobody who did not', () => {
    // A phone that never spoke to the server: its clock is uncertain by a minute.
    const far: Over = { device: { id: 'far', seq: 1, offsetMs: 0, roundTripMs: 120_000 }, minutes: 0 };
    const crew = new Crew(twoUnits);
    const said = rain(crew, far);
    const again = rain(crew, { ...far, by: 'Bo' });
    says(crew, 'dry again', { minutes: 0 });
    expect(wet(look(crew))?.said).toEqual([said.id, again.id]);
    says(crew, 'dry again', { minutes: 0, role: 'helper' }, [said.id, again.id]);
    expect(wet(look(crew))?.said).toEqual([said.id, again.id]);
    says(crew, 'dry again', { minutes: 0 }, [said.id]);
    expect(wet(look(crew))?.said).toEqual([again.id]);
    says(crew, 'dry again', { minutes: 0 }, wet(look(crew))?.said);
    expect(wet(look(crew))).toBeNull();
    expect(wet(look(crew, [...crew.entries].reverse()))).toBeNull();
  });
});

it('goes by the times of entries that name no device', () => {
  const crew = new Crew(twoUnits);
  const said = rain(crew, { device: null });
  expect(wet(look(crew))).not.toBeNull();
  const dry = says(crew, 'dry again', { minutes: 10, device: null });
  expect(wet(look(crew))).toBeNull();
  expect(
    wet(look(crew, [said, { ...dry, device: { id: 'a', seq: 1, offsetMs: 0, roundTripMs: 0 } } as Entry])),
  ).toBeNull();
  expect(
    wet(look(crew, [{ ...said, device: { id: 'a', seq: 9, offsetMs: 0, roundTripMs: 0 } } as Entry, dry])),
  ).toBeNull();
});

describe('work in the wet', () => {
  const held = GATE_TABLE.map((g) => g.id).filter(waitsForDry);
  it('waits where it is live or a cover is off; earths, covers, tags and papers do not', () => {
    expect(held).toEqual(expect.arrayContaining(['S-SUPPLY', 'I-ACIR', 'I-ACV', 'I-TORQ', 'I-DCLAND', 'I-THERM']));
    expect(held).toEqual(expect.arrayContaining(['D-POL', 'D-VOC', 'D-IR', 'D-ISC']));
    const free: readonly GateId[] = ['S-EARTH', 'I-PE', 'I-COVER', 'I-MOUNT', 'D-ID', 'S-SAFE', 'I-PERMIT', 'S-METER'];
    expect(held.filter((id) => free.includes(id))).toEqual([]);
  });
  it('is neither begun nor read, and what shows something bad is taken all the same', () => {
    const crew = new Crew(twoUnits);
    crew.site();
    crew.prove('I-MOUNT', ONE);
    rain(crew);
    const begins = (gate: GateId, object: string) =>
      refused(crew, crew.add('work', Crew.subject(gate, object), { gate, doing: 'begins' }));
    expect([begins('I-TORQ', ONE), begins('D-POL', STRING)]).toEqual([`${WET}.`, `${WET}.`]);
    expect([begins('I-PE', ONE), begins('I-COVER', ONE)]).toEqual([null, null]);
    expect(refused(crew, crew.prove('I-PE', ONE))).toBeNull();
    expect(refused(crew, crew.prove('D-ID', STRING))).toBeNull();
    crew.prove('D-ID', STRING);
    expect(refused(crew, crew.prove('D-POL', STRING))).toBe(`${WET}.`);
    expect(refused(crew, crew.prove('D-POL', STRING, { values: { voltageV: -700 } }))).toBeNull();
    // What was measured before it began to rain is put right at any time; mail that comes late is a fact.
    says(crew, 'dry again');
    const read = crew.prove('D-POL', STRING);
    rain(crew);
    const right = crew.prove('D-POL', STRING, { corrects: read.id, reason: 'a digit was mistyped' });
    expect(refused(crew, right)).toBeNull();
    const mail = crew.prove('D-POL', STRING);
    crew.wait(10);
    expect(refused(crew, mail)).toBeNull();
  });
  it('that is in hand is put down', () => {
    const crew = new Crew(twoUnits);
    crew.site();
    const hands = (doing: 'begins' | 'ends') =>
      crew.add('work', Crew.subject('I-TORQ', ONE), { gate: 'I-TORQ', doing });
    hands('begins');
    rain(crew);
    expect(refused(crew, hands('ends'))).toBeNull();
  });
  it('unlocks and closes nothing; what runs is watched on, and switching off waits for no weather', () => {
    const crew = new Crew(twoUnits);
    crew.site();
    crew.unit(ONE);
    for (const gate of ['I-RCD', 'I-PERMIT', 'I-SETUP'] as const) crew.prove(gate, ONE);
    rain(crew);
    const waits = (order: (typeof ORDER_NAMES)[number], state: StepState) => {
      const step = crew.step(ONE, order, state);
      const said = zoneTrouble(step, look(crew));
      const right = zoneTrouble({ ...step, corrects: step.id }, look(crew));
      crew.entries.pop();
      expect(right).toBeNull();
      return said !== null;
    };
    const held = ORDER_NAMES.map((o) => stepsOf(o).flatMap((s) => (waits(o, s.state) ? [s.state] : [])));
    expect(held).toEqual([
      ['LOCKED_OFF', 'AC_CLOSED', 'DC_CLOSED'],
      ['LOCKED_OFF', 'DC_CLOSED', 'AC_CLOSED'],
      ['LOCKED_OFF', 'AC_CLOSED', 'AUX_DC_CLOSED', 'DC_CLOSED'],
      [],
      [],
    ]);
  });
});
