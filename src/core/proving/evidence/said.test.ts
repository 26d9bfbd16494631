import { describe, expect, it } from 'vitest';
import { withStrings } from '../../strings/arrange';
import { legalLayout } from '../../strings/layout/legalLayout';
import type { Over } from '../../testing/crew';
import { Crew } from '../../testing/crew';
import { plane, siteOf } from '../../testing/examples';
import type { Entry } from '../entry';
import { evidence } from '../evidence';
import type { GateId } from '../gates/machine';

const bare = siteOf(1, [plane('south', 36)]);
const design = withStrings(bare, legalLayout(bare).strings);
const releases = [{ letter: 'A', atMs: Date.parse('2026-05-01T08:00:00Z'), design }];
const UNIT = 'inv-1';
const inverter = { scope: 'inverter', id: UNIT } as const;
const REASON = 'damp morning, dried and looked at';
const look = (crew: Crew) => evidence({ releases, entries: crew.entries }, crew.nowMs + 60_000);
const gate = (crew: Crew, id: GateId = 'I-ACIR') => look(crew).gate(id, UNIT);
const note = (crew: Crew, entry: Entry) => look(crew).notes.get(entry.id);

/** A crew at the insulation of the AC run; 4 MΩ is a caution, 0.2 MΩ a fail. */
function atTheRun() {
  const crew = new Crew(design);
  crew.site();
  for (const g of ['I-MOUNT', 'I-PE'] as const) crew.prove(g, UNIT);
  const read = (megohm: number, over: Over = {}) => crew.prove('I-ACIR', UNIT, { ...over, values: { megohm } });
  const accept = (of: Entry, over: Over & { readonly subject?: Entry['subject'] } = {}) =>
    crew.add('acceptance', over.subject ?? inverter, { gate: 'I-ACIR', entryId: of.id }, { reason: REASON, ...over });
  const waive = (entryId: string | null, id: GateId = 'I-MOUNT', over: Over = {}, reviewDays = 5) =>
    crew.add('waiver', inverter, { gate: id, entryId, reviewDays }, { reason: REASON, ...over });
  return { crew, read, accept, waive };
}

describe('an accepted caution', () => {
  it('counts for the very reading that it names, and ends with it', () => {
    const { crew, read, accept } = atTheRun();
    const first = read(4);
    expect(gate(crew)?.state).toBe('caution');
    accept(first);
    expect(gate(crew)?.state).toBe('accepted');
    const second = read(3);
    expect(gate(crew)?.state).toBe('caution');
    accept(second);
    expect(gate(crew)?.state).toBe('accepted');
    read(0.2);
    expect(gate(crew)?.state).toBe('failed');
  });
  it('ends where its reading is put right, and counts again for the correction by name', () => {
    const { crew, read, accept } = atTheRun();
    const first = read(4);
    accept(first);
    const right = read(5, { corrects: first.id, reason: 'misread the scale' });
    expect(gate(crew)?.state).toBe('caution');
    expect(note(crew, accept(first))).toMatch(/Only the newest reading/);
    accept(right);
    expect(gate(crew)?.state).toBe('accepted');
  });
  it('is given by an electrician with a licence and a reason that says something, and by nobody else', () => {
    const { crew, read, accept } = atTheRun();
    const first = read(4);
    for (const over of [
      { role: 'lead' },
      { role: 'helper' },
      { licensedUntil: '2026-05-03' },
      { licensedUntil: null },
    ] as const)
      expect(note(crew, accept(first, over))).toMatch(/by an electrician with a valid licence/);
    for (const reason of ['looks all right', ' looks all right  ', null])
      expect(note(crew, accept(first, { reason }))).toBe(
        reason?.trim().length === 15 ? undefined : 'Give a reason of at least 15 characters.',
      );
    const short = atTheRun();
    expect(note(short.crew, short.accept(short.read(4), { reason: '  looks allright  ' }))).toMatch(/at least 15/);
  });
  it('is of no pass, no fail, no older reading, and of no other part', () => {
    const { crew, read, accept } = atTheRun();
    for (const megohm of [200, 0.2]) expect(note(crew, accept(read(megohm)))).toMatch(/only where it is a caution/);
    const [older, newer] = [read(4), read(4)];
    expect(note(crew, accept(older))).toMatch(/Only the newest reading/);
    expect(gate(crew)?.state).toBe('caution');
    expect(note(crew, accept(newer, { subject: { scope: 'string', id: design.strings[0]?.id ?? '' } }))).toMatch(
      /Only the newest/,
    );
    expect(gate(crew)?.state).toBe('caution');
    // Nor by an entry that calls the unit a string.
    expect(note(crew, accept(newer, { subject: { scope: 'string', id: UNIT } }))).toMatch(/Only the newest/);
    expect(gate(crew)?.state).toBe('caution');
    // A reading that does not count has nothing to accept, though it is the newest and a caution.
    const unsigned = read(4, { role: 'helper', licensedUntil: null });
    expect(note(crew, accept(unsigned))).toMatch(/Only the newest/);
  });
});

describe('a waiver', () => {
  it('names the newest fail, or a gate that was never tested', () => {
    const { crew, waive } = atTheRun();
    expect(note(crew, waive(null))).toMatch(/names the newest fail of I-MOUNT, or a gate that was never tested/);
    const fail = crew.tick('I-MOUNT', UNIT, 'fail');
    expect(note(crew, waive(null))).toMatch(/names the newest fail/);
    const again = crew.tick('I-MOUNT', UNIT, 'fail');
    expect(note(crew, waive(fail.id))).toMatch(/names the newest fail/);
    expect(gate(crew, 'I-MOUNT')?.state).toBe('failed');
    waive(again.id);
    expect(gate(crew, 'I-MOUNT')?.state).toBe('waived');
    const pass = crew.prove('I-MOUNT', UNIT);
    expect(gate(crew, 'I-MOUNT')?.state).toBe('passed');
    expect(note(crew, waive(pass.id))).toMatch(/names the newest fail/);
    expect(gate(crew, 'I-MOUNT')?.state).toBe('passed');
  });
  it('is given by who may, for as long as may be, of what can be waived', () => {
    const { crew, waive } = atTheRun();
    const said = (...args: Parameters<typeof waive>) => note(crew, waive(...args));
    expect(said(null, 'I-ADDR', { role: 'helper', licensedUntil: null })).toMatch(/Only a lead or electrician/);
    // Without a valid licence an electrician waives no more than a helper.
    expect(said(null, 'I-ADDR', { licensedUntil: '2026-05-03' })).toMatch(/Only a lead or electrician/);
    expect(said(null, 'I-ADDR', { reason: 'no' })).toMatch(/at least 15/);
    expect(said(null, 'I-ADDR', {}, 90)).toBeUndefined();
    expect(said(null, 'I-ADDR', { role: 'lead', licensedUntil: null })).toBeUndefined();
    expect(said(null, 'I-PE')).toMatch(/can never be waived/);
    expect(said(null, 'I-TORQ', { role: 'lead', licensedUntil: null })).toMatch(/Only an electrician/);
    expect(said(null, 'S-DOC')).toMatch(/names the newest fail of S-DOC/);
    // A gate that was never tested has no fail to name.
    expect(said('01969a00-0000-7000-8000-00000000ffff', 'I-ADDR')).toMatch(/names the newest fail of I-ADDR/);
    expect(gate(crew, 'I-PE')?.state).toBe('passed');
  });
  it('of a gate that rests on others stands only while they do, and of one that rests on none stands alone', () => {
    const { crew, waive } = atTheRun();
    waive(null, 'I-TORQ');
    expect(gate(crew, 'I-TORQ')).toMatchObject({ state: 'stale', why: 'its needs were not closed' });
    crew.prove('I-ACIR', UNIT);
    expect(gate(crew, 'I-TORQ')?.state).toBe('stale');
    const other = atTheRun();
    other.crew.prove('I-ACIR', UNIT);
    other.waive(null, 'I-TORQ');
    expect(gate(other.crew, 'I-TORQ')?.state).toBe('waived');
    other.read(0.2);
    expect(gate(other.crew, 'I-TORQ')).toMatchObject({ state: 'stale', why: 'I-ACIR@inv-1 is not closed any more' });
    // All but one of what it rests on is not enough: its address is waived and its joints are tight, and nothing is landed.
    const cover = atTheRun();
    for (const g of ['I-ACIR', 'I-TORQ'] as const) cover.crew.prove(g, UNIT);
    cover.waive(null, 'I-ADDR');
    cover.waive(null, 'I-COVER');
    expect(gate(cover.crew, 'I-COVER')).toMatchObject({ state: 'stale', why: 'its needs were not closed' });
    // A day that is not safe any more costs no waiver, and hinders none.
    const late = atTheRun();
    late.crew.prove('I-ACIR', UNIT);
    late.crew.add('happening', { scope: 'site', id: 'site' }, { what: 'storm', seen: 'lightning' });
    late.waive(null, 'I-TORQ');
    expect(gate(late.crew, 'I-TORQ')?.state).toBe('waived');
    // Before anything is fixed to the wall its address can be waived: it goes stale with nothing.
    const early = new Crew(design);
    early.add('waiver', inverter, { gate: 'I-ADDR', entryId: null, reviewDays: 5 }, { reason: REASON });
    expect(gate(early, 'I-ADDR')?.state).toBe('waived');
  });
});

describe('a correction', () => {
  it('stands in the place of its reading: what came later still rules', () => {
    const { crew, read } = atTheRun();
    const first = read(200);
    read(4);
    read(0.2, { corrects: first.id, reason: 'typed the wrong line' });
    expect(gate(crew)?.state).toBe('caution');
    expect(
      look(crew)
        .readings('I-ACIR', UNIT)
        .map((r) => r.result),
    ).toEqual(['fail', 'caution']);
  });
  it('of a ruling reading takes what rests on it along, and brings nothing back', () => {
    const { crew, read } = atTheRun();
    const first = read(200);
    crew.prove('I-TORQ', UNIT);
    const wrong = read(0.2, { corrects: first.id, reason: 'typed the wrong line' });
    expect([gate(crew)?.state, gate(crew, 'I-TORQ')?.state]).toEqual(['failed', 'stale']);
    read(200, { corrects: wrong.id, reason: 'it was right the first time' });
    expect([gate(crew)?.state, gate(crew, 'I-TORQ')?.state]).toEqual(['passed', 'stale']);
  });
  it('a second one of the same entry does not count: the newer one is corrected', () => {
    const { crew, read } = atTheRun();
    const first = read(200);
    const second = read(0.2, { corrects: first.id, reason: 'typed the wrong line' });
    const third = read(200, { corrects: first.id, reason: 'typed the wrong line' });
    expect(note(crew, third)).toBe('That entry has been corrected already: correct the newer one.');
    expect(gate(crew)?.state).toBe('failed');
    expect(note(crew, second)).toBeUndefined();
    // Beside other readings too.
    read(200);
    expect(note(crew, read(0.3, { corrects: first.id, reason: 'typed the wrong line' }))).toMatch(/corrected already/);
    expect(gate(crew)?.state).toBe('passed');
  });
  it('of a reading that no gate here took says nothing of any', () => {
    const { crew } = atTheRun();
    const tick = crew.add('gate', inverter, { gate: 'S-DOC', result: 'fail', evidence: 'drawings are missing' });
    const right = crew.add(
      'gate',
      inverter,
      { gate: 'S-DOC', result: 'pass', evidence: 'drawings are here' },
      { corrects: tick.id, reason: 'looked again' },
    );
    expect(note(crew, tick)).toBe('Gate S-DOC belongs to a site.');
    expect(note(crew, right)).toBeUndefined();
    expect(look(crew).gate('S-DOC', 'site')?.state).toBe('passed');
  });
  it('raises only where its maker may sign, lowers whoever made it, and never ticks a measured gate', () => {
    const crew = new Crew(design);
    crew.site();
    const fail = crew.tick('S-DOC', 'site', 'fail', { role: 'helper', licensedUntil: null });
    const raise = crew.tick('S-DOC', 'site', 'pass', {
      corrects: fail.id,
      reason: 'looked again',
      role: 'helper',
      licensedUntil: null,
    });
    expect(note(crew, raise)).toMatch(/signed by the lead; a helper may not/);
    // The same again raises nothing, whoever says it.
    const again = crew.tick('S-DOC', 'site', 'fail', {
      corrects: fail.id,
      reason: 'said it badly',
      role: 'helper',
      licensedUntil: null,
    });
    expect(note(crew, again)).toBeUndefined();
    crew.entries.pop();
    expect(look(crew).gate('S-DOC', 'site')?.state).toBe('failed');
    crew.tick('S-DOC', 'site', 'pass', {
      corrects: fail.id,
      reason: 'looked again',
      role: 'lead',
      licensedUntil: null,
    });
    expect(look(crew).gate('S-DOC', 'site')?.state).toBe('passed');
    const open = crew.tick('I-PE', UNIT, 'fail');
    const ticked = crew.tick('I-PE', UNIT, 'pass', { corrects: open.id, reason: 'looked again' });
    expect(note(crew, ticked)).toMatch(/closes by its measurement/);
    expect(gate(crew, 'I-PE')?.state).toBe('failed');
  });
  it('signs nothing that nobody signed: what a helper may not say stays unsaid, however often it is put right', () => {
    const { crew, read } = atTheRun();
    const helper: Over = { role: 'helper', licensedUntil: null };
    const unsigned = read(200, helper);
    expect(gate(crew)?.state).toBe('open');
    const again = read(210, { ...helper, corrects: unsigned.id, reason: 'misread the scale' });
    expect(gate(crew)?.state).toBe('open');
    // Downwards it counts: a fail is a fail whoever reads it off.
    read(0.2, { ...helper, corrects: again.id, reason: 'misread the scale' });
    expect(gate(crew)?.state).toBe('failed');
    crew.entries.pop();
    // Nor does one who may: the same reading said again is no raise. It is measured anew.
    read(210, { corrects: again.id, reason: 'misread the scale' });
    expect(gate(crew)?.state).toBe('open');
    read(210);
    expect(gate(crew)?.state).toBe('passed');
  });
  it('refreshes no proof that is stale', () => {
    const { crew, read } = atTheRun();
    const first = read(4);
    crew.add('happening', inverter, { what: 'AC cable touched', seen: 'moved on the ladder' });
    read(200, { corrects: first.id, reason: 'misread the scale' });
    expect(gate(crew)).toMatchObject({ state: 'stale', why: 'AC cable touched' });
  });
  it('of what is not there says so, and of a reading made when it could not be worked proves nothing', () => {
    const { crew, read } = atTheRun();
    expect(note(crew, read(200, { corrects: '01969a00-0000-7000-8000-00000000ffff', reason: 'typed wrong' }))).toMatch(
      /not on record here/,
    );
    const early = new Crew(design);
    const first = early.prove('I-ACIR', UNIT, { values: { megohm: 0.2 } });
    early.site();
    for (const g of ['I-MOUNT', 'I-PE'] as const) early.prove(g, UNIT);
    early.prove('I-ACIR', UNIT, { corrects: first.id, reason: 'misread the scale', values: { megohm: 200 } });
    expect(gate(early)?.state).toBe('open');
  });
});
