import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { Crew, healthy } from '../testing/crew';
import { twoUnits } from '../testing/handedOver';
import { recordKindsPage } from '../testing/recordKindsPage';
import type { Entry, EntrySubject } from './entry';
import { evidence } from './evidence';
import { KINDS, kindNamed, measuring, measuringBeside, recordSchema } from './kinds';

const released = [{ letter: 'A', atMs: 0, design: twoUnits }];
const PARTS: readonly EntrySubject[] = [
  { scope: 'site', id: 'site' },
  { scope: 'inverter', id: 'inv-1' },
  { scope: 'string', id: 's-1' },
];
const judged = (entry: Entry) =>
  evidence({ releases: released, entries: [entry] }, Date.parse(entry.doneAt)).judgement(entry);

describe('kinds of record', () => {
  it('stand in docs/records.md as they are: fields, what they ask, what they say, how they are written', () =>
    expect(readFileSync('docs/records.md', 'utf8')).toBe(recordKindsPage()));

  it('have names of their own, and one measurement for each gate that closes by one', () => {
    expect(new Set(KINDS.map((k) => k.kind)).size).toBe(KINDS.length);
    expect(() => kindNamed('guess')).toThrow(/kind must be one of ac-insulation, .* \(got guess\)/);
    for (const k of KINDS) for (const gate of k.gates) expect([measuring(gate), ...measuringBeside(gate)]).toContain(k);
    // Buses first, the ways beside them as parts of the same gate; no other gate has two.
    expect(measuring('S-BUS')?.kind).toBe('bus-scan');
    const gates = [...new Set(KINDS.flatMap((k) => k.gates))];
    expect(gates.flatMap((g) => measuringBeside(g).map((k) => [g, k.kind]))).toEqual([['S-BUS', 'way-test']]);
    expect(measuring('I-MOUNT')?.kind).toBe('mounted');
    expect(measuring('I-ADDR')?.kind).toBe('addressed');
    expect(measuring('I-COVER')).toBeUndefined();
  });

  it.each(KINDS.filter((k) => k.instrument).flatMap((k) => k.scopes.map((scope) => [k.kind, scope] as const)))(
    '%s of a part that the design does not know (%s) proves nothing',
    (kind, scope) => {
      const there = PARTS.find((p) => p.scope === scope) as EntrySubject;
      if (scope === 'site') return;
      const gone = { ...there, id: `${there.id}9` } as EntrySubject;
      const entry = new Crew(twoUnits).add(kind, gone, healthy(kind, twoUnits, there));
      const { checks, says } = judged(entry);
      expect(checks).toEqual([]);
      expect(says.map((s) => s.result)).toEqual(says.map(() => null));
      const { gates } = kindNamed(kind);
      expect(says.length > 0).toBe(gates.length > 0);
      // The same where it is there says something of every gate of that part.
      const own = judged(new Crew(twoUnits).add(kind, there, healthy(kind, twoUnits, there)));
      expect(own.says.map((s) => [s.gate, s.result])).toEqual(says.map((s) => [s.gate, 'pass']));
    },
  );

  it('are written as they are found, not only as they are wished for', () => {
    const line = (kind: string, part: EntrySubject, over: object) => {
      const k = kindNamed(kind);
      const values = { ...healthy(kind, twoUnits, part), ...over };
      return [k.line(values as never), k.printed?.row(values as never).at(-1)];
    };
    const [site, unit, string] = PARTS as [EntrySubject, EntrySubject, EntrySubject];
    expect(line('stop', site, { restarted: true })[0]).toBe('0.1 % left after 1.2 s, came back by itself');
    expect(line('permission', site, { limitKw: 30 })[0]).toBe('operator letter 26-0418, valid to 2026-12-31, 30 kW');
    expect(line('dc-insulation', string, { part: 2, ofParts: 3 })[0]).toBe('42 MΩ at 1500 V, 60 s, part 2 of 3');
    expect(line('string-test', string, { currentA: 4.2 })).toEqual([expect.stringMatching(/, 4\.2 A$/), '4.2 A']);
    const rapid = (over: object) => line('rapid-shutdown', unit, { outsideV: 12, seconds: 9, ...over });
    expect([
      rapid({ insideV: 40, listedSystem: '' }),
      rapid({ insideV: null, listedSystem: 'HC-1' }),
      rapid({ insideV: 40, listedSystem: 'HC-1' }),
      rapid({ insideV: null, listedSystem: '' }),
    ]).toEqual([
      ['12 V outside, 40 V inside after 9 s', '40 V'],
      ['12 V outside, HC-1 inside after 9 s', 'HC-1'],
      ['12 V outside, 40 V inside after 9 s', 'HC-1'],
      ['12 V outside, not read inside after 9 s', '–'],
    ]);
    const setUp = (exportLimitKw: number | null) =>
      kindNamed('set-up').printed?.row({ ...healthy('set-up', twoUnits, unit), exportLimitKw } as never);
    expect([setUp(null), setUp(60)]).toEqual([expect.arrayContaining(['no limit']), expect.arrayContaining(['60 kW'])]);
    expect(line('torque', unit, { witnessMarks: false })).toEqual([expect.stringMatching(/, not marked$/), 'no']);
    const landed = { inputs: [810, 790, 800].map((voltageV, i) => ({ stringId: `s-${i}`, voltageV })) };
    expect(kindNamed('landing').line(landed as never)).toMatch(/^3 inputs, 790\.0 to 810\.0 V/);
    expect(kindNamed('landing').printed?.row(landed as never)).toEqual(['3', '790.0 V', '810.0 V']);
    const torqued = { joints: [25, 22, 28].map((appliedNm) => ({ at: 'x', appliedNm })), witnessMarks: true };
    expect(kindNamed('torque').line(torqued as never)).toBe('3 joints, 22 to 28 N·m, marked');
    expect(kindNamed('torque').printed?.row(torqued as never)).toEqual(['3', '22 N·m', '28 N·m', 'yes']);
    expect(kindNamed('supply').printed?.row({ ...healthy('supply', twoUnits, site), npeV: null } as never)[2]).toBe(
      '–',
    );
    const said = (kind: string, values: object) => kindNamed(kind).line(values as never);
    expect(said('gate', { gate: 'I-MOUNT', result: 'fail', evidence: 'loose' })).toBe('I-MOUNT failed: loose');
    expect(said('step', { order: 'off', state: 'PROVE_DEAD', seen: 'dead' })).toBe('off: prove dead, dead');
    const came = { serial: 'SN-1', packagingWhole: false, photos: [], items: [{ item: 'cap', got: 8, damaged: 2 }] };
    expect(said('received', came)).toBe('serial SN-1; 1 things counted, 2 damaged, packaging damaged');
    expect(kindNamed('received').printed?.row(came as never)).toEqual(['SN-1', '8 cap (2 damaged)']);
    const fixed = { ...healthy('mounted', twoUnits, unit), fixings: [24, 22, 23] };
    expect(kindNamed('mounted').printed?.row(fixed as never)[1]).toBe('3, 22 to 24 N·m');
    expect(said('open-point', { closed: true, text: 'label', owner: 'Ada' })).toBe('closed: label (Ada)');
  });
});

describe('a form', () => {
  it('has a place for every field of its schema, each empty or with the usual, and asks for those that nobody drew', () => {
    for (const k of KINDS)
      for (const part of PARTS.filter((p) => k.scopes.includes(p.scope))) {
        const form = k.form?.(twoUnits, part);
        if (!form) continue;
        const fields = Object.keys(form.schema.shape).sort();
        const asked = form.groups.flatMap((g) => g.paths).sort();
        expect([k.kind, Object.keys(form.blank).sort()]).toEqual([k.kind, fields]);
        if (['earth', 'set-up'].includes(k.kind)) expect(fields).toEqual(expect.arrayContaining(asked));
        else expect([k.kind, asked]).toEqual([k.kind, fields]);
      }
  });
  const [, unit, string] = PARTS as [EntrySubject, EntrySubject, EntrySubject];
  const fill = (kind: string, part: EntrySubject, typed: Readonly<Record<string, unknown>>) => {
    const form = kindNamed(kind).form?.(twoUnits, part);
    return form?.toValues?.({ ...form.blank, ...typed });
  };
  it('of a landing has a field for every string that hangs there, in the printed order, and no other', () => {
    const hung = twoUnits.strings.filter((s) => s.place?.inverterId === unit.id);
    const typed = Object.fromEntries(hung.map((_, i) => [`input${i}`, 800 + i]));
    expect(fill('landing', unit, { ...typed, clicked: true, capped: true })).toEqual({
      inputs: hung.map((s, i) => ({ stringId: s.id, voltageV: 800 + i })),
      clicked: true,
      capped: true,
    });
  });
  it('of a box asks for everything on the packing list, nothing of it damaged until somebody says so', () => {
    const packing = [
      { item: 'bracket', perUnit: 1 },
      { item: 'cap', perUnit: 8 },
    ];
    const inverters = twoUnits.equipment.inverters.map((t) => ({ ...t, body: { ...t.body, packing } }));
    const design = { ...twoUnits, equipment: { ...twoUnits.equipment, inverters } };
    const form = kindNamed('received').form?.(design, unit);
    expect(form?.blank).toMatchObject({ got0: null, damaged0: 0, got1: null, damaged1: 0 });
    expect(form?.blank).toMatchObject({ packagingWhole: false, carrierTold: false });
    expect(form?.groups[1]?.paths).toEqual(['got0', 'damaged0', 'got1', 'damaged1']);
    expect(form?.toValues?.({ ...form.blank, serial: 'SN-1', got0: 1, got1: 7, damaged1: 2 })).toMatchObject({
      items: [
        { item: 'bracket', got: 1, damaged: 0 },
        { item: 'cap', got: 7, damaged: 2 },
      ],
    });
  });
  it('of an address says nothing of a serial that nobody read back', () => {
    const typed = { address: 3, from: 'at the unit' };
    expect(fill('addressed', unit, { ...typed, serial: '' })).toEqual({ ...typed, serial: null });
    expect(fill('addressed', unit, { ...typed, serial: 'SN-1' })).toEqual({ ...typed, serial: 'SN-1' });
  });
  it('of the joints has a field for every one, at both ends', () => {
    const { joints } = healthy('torque', twoUnits, unit) as { joints: readonly { readonly at: string }[] };
    const typed = Object.fromEntries(joints.map((_, i) => [`joint${i}`, 20 + i]));
    expect(fill('torque', unit, { ...typed, boardTargetNm: 31, mode: 'readout', witnessMarks: true })).toEqual({
      joints: joints.map(({ at }, i) => ({ at, appliedNm: 20 + i })),
      boardTargetNm: 31,
      mode: 'readout',
      witnessMarks: true,
    });
  });
  it('of the joints notes when each was typed, and says nothing of when where one was not', () => {
    const form = kindNamed('torque').form?.(twoUnits, unit);
    const { joints } = healthy('torque', twoUnits, unit) as { joints: readonly { readonly at: string }[] };
    const typed = Object.fromEntries(joints.map((_, i) => [`joint${i}`, 20]));
    const at = (path: string) => (path === 'joint0' ? null : 1000 - 10.04 * Number(path.slice(5)));
    const made = form?.toValues?.(typed, at) as { joints: { afterS?: number }[] };
    expect(made.joints.map((j) => j.afterS)).toEqual(
      joints.map((_, i) => (i === 0 ? undefined : Math.round(100.4 * (joints.length - 1 - i)) / 10)),
    );
  });
  it('of joints tried again has a field for every one, and says nothing of those that nobody tried', () => {
    const { joints } = healthy('torque', twoUnits, unit) as { joints: readonly { readonly at: string }[] };
    const form = kindNamed('retorque').form?.(twoUnits, unit);
    expect(form?.groups[0]?.paths).toHaveLength(joints.length);
    const rest = { boardTargetNm: 31, why: 'a mark moved' };
    const turned = 'turned';
    const made = form?.toValues?.({ ...form.blank, joint1: 'held', joint3: turned, ...rest }) as Record<
      string,
      unknown
    >;
    expect(made).toEqual({
      joints: [
        { at: joints[1]?.at, how: 'held' },
        { at: joints[3]?.at, how: turned },
      ],
      ...rest,
    });
    const { line, printed } = kindNamed('retorque');
    expect(line(made as never)).toBe(`2 joints, found loose: ${joints[3]?.at}; a mark moved`);
    expect(printed?.row(made as never)).toEqual(['2', joints[3]?.at, 'a mark moved']);
    const held = { ...made, joints: [{ at: 'unit PE', how: 'held' }] };
    expect([line(held as never), printed?.row(held as never)]).toEqual([
      '1 joints, all held; a mark moved',
      ['1', 'none', 'a mark moved'],
    ]);
  });
  it('of micro-ohms has a field for every line and neutral, and says nothing of those that nobody read', () => {
    const form = kindNamed('joint-ohms').form?.(twoUnits, unit);
    const alike = healthy('joint-ohms', twoUnits, unit)['joints'] as readonly { readonly at: string }[];
    expect(form?.groups[0]?.paths).toHaveLength(alike.length);
    expect(fill('joint-ohms', unit, { joint0: 18, joint2: 19.5, testA: 100 })).toEqual({
      joints: [
        { at: alike[0]?.at, microOhm: 18 },
        { at: alike[2]?.at, microOhm: 19.5 },
      ],
      testA: 100,
    });
    expect(kindNamed('joint-ohms').form?.(twoUnits, { scope: 'inverter', id: 'nobody' })?.groups[0]?.paths).toEqual([]);
  });
  it('of a bracket has a field for every fixing, and of its holes one for X and Y of each', () => {
    const { fixings, ...rest } = healthy('mounted', twoUnits, unit) as { fixings: readonly number[] };
    const tightened = Object.fromEntries(fixings.map((_, i) => [`fixing${i}`, 20 + i]));
    expect(fill('mounted', unit, { ...rest, ...tightened })).toEqual({
      ...rest,
      fixings: fixings.map((_, i) => 20 + i),
    });
    const { holes } = healthy('as-drilled', twoUnits, unit) as { holes: readonly { readonly name: string }[] };
    const drilled = Object.fromEntries(
      holes.flatMap((_, i) => [
        [`x${i}`, 100 + i],
        [`y${i}`, 200 + i],
      ]),
    );
    expect(fill('as-drilled', unit, drilled)).toEqual({
      holes: holes.map(({ name }, i) => ({ name, xMm: 100 + i, yMm: 200 + i })),
    });
  });
  it('of an open point leaves it open, with or without a day', () => {
    const typed = { text: 'label', severity: 'work', owner: 'Ada' };
    expect(fill('open-point', string, { ...typed, due: '' })).toEqual({ ...typed, due: null, closed: false });
    expect(fill('open-point', string, { ...typed, due: '2026-06-01' })).toMatchObject({ due: '2026-06-01' });
  });
});

describe('an entry as it comes in', () => {
  const [site, unit, string] = PARTS as [EntrySubject, EntrySubject, EntrySubject];
  const good = (kind: string, part: EntrySubject, values = healthy(kind, twoUnits, part)) =>
    new Crew(twoUnits).add(kind, part, values);
  const issues = (entry: object) => {
    const read = recordSchema.safeParse(entry);
    return read.success ? [] : read.error.issues.map((i) => [i.path.join('.'), i.message]);
  };
  it('belongs to a part of its kind', () => {
    const entry = good('torque', unit);
    expect(issues(entry)).toEqual([]);
    expect(issues({ ...entry, subject: string })).toEqual([
      ['subject', 'Torque of the power joints belongs to an inverter.'],
    ]);
    expect(issues({ ...good('earth', site), subject: string })).toEqual([
      ['subject', 'Earth continuity belongs to a site or an inverter.'],
    ]);
  });
  it('is put right with a reason, where its kind can be', () => {
    const corrects = '01969a00-0000-7000-8000-00000000000f';
    for (const reason of [null, '  '])
      expect(issues({ ...good('torque', unit), corrects, reason })).toEqual([
        ['reason', 'A correction needs a reason.'],
      ]);
    expect(issues({ ...good('torque', unit), corrects, reason: 'misread' })).toEqual([]);
    const signed = new Crew(twoUnits).add('signature', site, { statement: 'taken over' });
    expect(issues({ ...signed, corrects, reason: 'misread' })).toEqual([
      ['corrects', 'A signature is not corrected: make a new entry.'],
    ]);
  });
  it('counts no more damaged than came, everything once, and works no contact that is not wired', () => {
    const held = (kind: string, values: object) => issues({ ...good(kind, unit), values });
    const box = (...items: readonly object[]) => held('received', { ...healthy('received', twoUnits, unit), items });
    const cap = { item: 'cap', got: 2, damaged: 2 };
    expect(box(cap)).toEqual([]);
    expect(box({ ...cap, damaged: 3 })).toEqual([['values.items.0.damaged', 'No more are damaged than came.']]);
    expect(box(cap, cap)).toEqual([['values.items', 'Every thing is counted once.']]);
    const worked = healthy('contacts', twoUnits, unit) as { contacts: readonly { readonly contact: string }[] };
    const [first] = worked.contacts;
    const other = { ...first, contact: 'demand mode' };
    const both = { ...worked, contacts: [first, other], notWired: [first?.contact] };
    expect(held('contacts', both)).toEqual([['values.notWired', 'A contact that was worked is wired.']]);
  });
  it('has its instrument, of a kind that reads this, within its range, where it measures at all', () => {
    const entry = good('dc-insulation', string);
    expect(issues({ ...entry, instrument: null })).toEqual([['instrument', 'A measurement needs its instrument.']]);
    expect(issues({ ...entry, instrument: { ...entry.instrument, kind: 'clamp meter' } })).toEqual([
      [
        'instrument.kind',
        'Insulation of a string is measured with an insulation tester or a PV tester, not with a clamp meter.',
      ],
    ]);
    const range = { of: 'insulation', min: 1, max: 42, accuracyPercent: null, digits: null, resolution: null };
    const read = (over: object) =>
      issues({ ...entry, instrument: { ...entry.instrument, name: 'tester', ranges: [{ ...range, ...over }] } });
    expect(read({})).toEqual([]);
    expect(read({ min: 42, max: 50 })).toEqual([]);
    expect(read({ max: 41.9 })).toEqual([
      ['values.megohm', '42 is outside the insulation range of tester: 1 to 41.9.'],
    ]);
    expect(read({ min: 42.1, max: 99 })).toEqual([
      ['values.megohm', '42 is outside the insulation range of tester: 42.1 to 99.'],
    ]);
    // A range of something else holds nothing against it.
    expect(read({ of: 'resistance', max: 2 })).toEqual([]);
    expect(issues(new Crew(twoUnits).tick('I-MOUNT', 'inv-1', 'pass'))).toEqual([]);
  });
});
