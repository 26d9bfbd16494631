import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { Crew, healthy, healthyScan } from '../../testing/crew';
import { ethernet } from '../../testing/otherWays';
import type { SiteDesign } from '../../design';
import { twoRepeated, twoUnits } from '../../testing/handedOver';
import type { Entry, EntrySubject } from '../entry';
import { evidence } from '../evidence';
import { KINDS, kindNamed } from '../kinds';
import { withChainNumbered, withDevices } from '../../links/edits';
import { newDevice } from '../../links/part';
import { busReadingOf } from '../links/scan';
import { lineOf } from '../../site/line';
import { inputsOf } from '../evidence/siteModel';
import { isClosed } from '../gates/machine';
import type { GateId } from '../gates/machine';

const A = { letter: 'A', atMs: 0, design: twoUnits };
const UNIT: EntrySubject = { scope: 'inverter', id: 'inv-1' };
const SITE: EntrySubject = { scope: 'site', id: 'site' };
const look = (crew: Crew, design = twoUnits) =>
  evidence({ releases: [{ ...A, design }], entries: crew.entries }, crew.nowMs + 1000);
/** Checks of one kind at a part: those that do not hold, by id. The letter of the operator is on record, with a limit where one is wanted. */
const said = (kind: string, subject: EntrySubject, over: object, design = twoUnits, limitKw: number | null = null) => {
  const crew = new Crew(design);
  crew.prove('S-PTO', 'site', { values: { limitKw } });
  const entry = crew.add(kind, subject, { ...healthy(kind, twoUnits, subject), ...over });
  const { checks, says } = look(crew, design).judgement(entry);
  return [says[0]?.result, ...checks.filter((c) => c.verdict !== 'holds').map((c) => `${c.id} ${c.verdict}`)];
};
const chainWith = (over: object, at = 0) => ({
  ...twoUnits,
  chain: {
    ...twoUnits.chain,
    devices: twoUnits.chain.devices.map((d, i) => (i === at ? { ...d, ...over } : d)),
  },
});

describe('what a stand-in says', () => {
  const bySource = KINDS.filter((k) => 'from' in k.values.shape);
  it('comes in three kinds of record', () =>
    expect(bySource.map((k) => k.kind)).toEqual(['addressed', 'bus-scan', 'set-up']));
  it.each(bySource)('$kind: closes no gate, and withdraws none that a real device closed', (k) => {
    const gate = k.gates[0] as GateId;
    const object = k.scopes[0] === 'site' ? 'site' : 'inv-1';
    const crew = new Crew(twoUnits);
    crew.site();
    for (const { id } of twoUnits.inverters) {
      crew.unit(id);
      for (const g of ['I-RCD', 'I-PERMIT'] as const) crew.prove(g, id);
      crew.switch(id);
    }
    if (gate === 'S-BUS') crew.prove(gate, object);
    const state = (of: Crew) => look(of).gate(gate, object)?.state ?? 'locked';
    expect(state(crew)).toBe('passed');
    crew.prove(gate, object, { values: { from: 'stand-in' } });
    expect(state(crew)).toBe('passed');
    const bare = new Crew(twoUnits, undefined, 'phone-2');
    for (const e of crew.entries) if (e.kind !== k.kind) bare.entries.push(e);
    bare.wait((crew.nowMs - bare.nowMs) / 60_000 + 1);
    const entry = bare.prove(gate, object, {
      values: { from: 'stand-in' },
      id: '01969a0f-0000-7000-8000-000000000001',
    });
    expect(isClosed(state(bare)), state(bare)).toBe(false);
    // Put right by a real reading it proves as little: the real one is an entry of its own.
    bare.prove(gate, object, {
      corrects: entry.id,
      reason: 'the real one',
      id: '01969a0f-0000-7000-8000-000000000002',
    });
    expect(isClosed(state(bare)), state(bare)).toBe(false);
    bare.prove(gate, object, { id: '01969a0f-0000-7000-8000-000000000003' });
    expect(isClosed(state(bare)), state(bare)).toBe(true);
  });
  it('that is wrong is wrong all the same', () =>
    expect(said('addressed', UNIT, { from: 'stand-in', address: 9 })).toEqual([
      'fail',
      'proving.real-device unknown',
      'proving.address-planned stop',
    ]));
});

describe('a bus that was scanned', () => {
  const scan = (over: object, design = twoUnits) => said('bus-scan', SITE, over, design);
  const units = (
    healthy('bus-scan', twoUnits, SITE) as { units: { address: number; serials: string[]; good: number }[] }
  ).units;
  const [one, two] = units as [(typeof units)[number], (typeof units)[number]];
  it('is held against the plan by serial', () => {
    expect(scan({})).toEqual(['pass']);
    const crossed = [
      { ...one, serials: two.serials },
      { ...two, serials: one.serials },
    ];
    expect(scan({ units: crossed })).toEqual(['fail', 'proving.bus-every-once stop']);
    expect(scan({ units: [...units, { address: 9, serials: ['X-1'], good: 100 }] })).toEqual([
      'fail',
      'proving.bus-every-once stop',
    ]);
    // One that came back a few times and another that nobody heard.
    expect(scan({ units: [one, { ...two, good: 95 }] })).toEqual(['caution', 'proving.bus-losses tight']);
    expect(scan({ units: [one] })).toEqual(['fail', 'proving.bus-every-once stop', 'proving.bus-losses stop']);
  });
  it('proves nothing where the plan does not know a serial, an address, the pair', () => {
    const open = (design: typeof twoUnits) => scan({}, design).slice(0, 2);
    expect(open(chainWith({ serial: null }))).toEqual([null, 'proving.bus-every-once unknown']);
    expect(open(chainWith({ address: null }, 1))[1]).toBe('proving.bus-every-once unknown');
    const line = { ...twoUnits.chain.line, areaMm2: null };
    expect(open({ ...twoUnits, chain: { ...twoUnits.chain, line } })).toEqual([null, 'proving.bus-pair-ohm unknown']);
    const bare = twoUnits.chain.devices.map((d) => ({ ...d, terminated: false }));
    expect(open({ ...twoUnits, chain: { ...twoUnits.chain, devices: bare } })).toEqual([
      null,
      'proving.bus-pair-ohm unknown',
    ]);
  });
  it('has no more answers than questions, and every address once', () => {
    const { values } = kindNamed('bus-scan');
    const good = healthy('bus-scan', twoUnits, SITE);
    expect(values.safeParse(good).success).toBe(true);
    expect(values.safeParse({ ...good, polls: 99 }).error?.issues[0]?.message).toMatch(/No more come back/);
    expect(values.safeParse({ ...good, units: [one, one] }).error?.issues[0]?.message).toMatch(/stands once/);
  });
  it('typed by hand becomes the same record', () => {
    const form = kindNamed('bus-scan').form?.(twoUnits, SITE);
    const typed = { ...form?.blank, pairOhm: 61, groundV: 0.2, serial0: 'SN-inv-1', good0: 100, serial1: '', good1: 0 };
    expect(form?.toValues?.(typed)).toEqual({
      from: 'over the bus',
      bitRate: 9600,
      polls: 100,
      pairOhm: 61,
      groundV: 0.2,
      units: [
        { address: 1, serials: ['SN-inv-1'], good: 100 },
        { address: 2, serials: [], good: 0 },
      ],
    });
  });
});

/** What a scan of a bus says, otherwise as planned: its result, and the checks that do not hold. */
function saidOfScan(design: SiteDesign, values: object) {
  const crew = new Crew(design);
  crew.site();
  const entry = crew.add('bus-scan', SITE, { ...healthyScan(design, 1), ...values });
  const { checks, says } = look(crew, design).judgement(entry);
  return [says[0]?.result, ...checks.filter((c) => c.verdict !== 'holds').map((c) => `${c.id} ${c.verdict}`)];
}

describe('a bus with a repeater', () => {
  const cut = twoRepeated(12);
  const whole = healthyScan(cut, 1);
  const at = (values: object) => saidOfScan(cut, values);
  it('is measured on both sides of it: no reading behind it, no bus', () => {
    expect(whole).toMatchObject({ beyond: [{ repeaterId: 'rpt' }] });
    expect(at({})).toEqual(['pass']);
    expect(at({ beyond: undefined })).toEqual([null, 'proving.bus-pair-ohm unknown']);
    expect(at({ beyond: [{ repeaterId: 'another', pairOhm: 60 }] })).toEqual([null, 'proving.bus-pair-ohm unknown']);
    // One terminator of the pair behind is off.
    expect(at({ beyond: [{ repeaterId: 'rpt', pairOhm: 120 }] })).toEqual(['fail', 'proving.bus-pair-ohm stop']);
    expect(at({ pairOhm: 120 })).toEqual(['fail', 'proving.bus-pair-ohm stop']);
  });
  it('is no unit that a scan misses, and what it is set to is what its gate was closed on', () => {
    expect(busReadingOf(cut, { ...whole, from: 'over the bus' }).unaddressed).toEqual([]);
    const open = withDevices(
      cut,
      cut.chain.devices.map((c) => ({ ...c, terminatedBeyond: false })),
    );
    expect(inputsOf(open, 'S-BUS', 'site')).not.toBe(inputsOf(cut, 'S-BUS', 'site'));
  });
  it.each([
    ['another bit rate', { bitRate: 19_200 as const }],
    ['another cable', { line: { ...cut.chain.line, areaMm2: 1 } }],
    ['another order', { devices: cut.chain.devices.toReversed() }],
    ['one device more', { devices: [...cut.chain.devices, newDevice('mtr', 'meter', 'MTR')] }],
  ])('rests on how it is wired and spoken to: %s costs the proof', (_, over) => {
    const next = { ...cut, chain: { ...cut.chain, ...over } };
    expect(inputsOf(next, 'S-BUS', 'site')).not.toBe(inputsOf(cut, 'S-BUS', 'site'));
    // What the unit was set to speak at is part of its set-up.
    expect(inputsOf(next, 'I-SETUP', 'inv-1') === inputsOf(cut, 'I-SETUP', 'inv-1')).toBe(!('bitRate' in over));
  });
  it('keeps the proof where serials are kept that a scan brought, or metres are measured', () => {
    const told = withDevices(
      cut,
      cut.chain.devices.map((c) => ({ ...c, serial: `S-${c.id}`, hopM: 11 })),
    );
    expect(inputsOf(told, 'S-BUS', 'site')).toBe(inputsOf(cut, 'S-BUS', 'site'));
  });
  it('has a field for each repeater, and an empty one is no reading', () => {
    const form = kindNamed('bus-scan').form?.(cut, SITE);
    expect(form?.groups[0]?.paths).toEqual(['pairOhm', 'beyond0', 'groundV']);
    const typed = { ...form?.blank, pairOhm: 61, groundV: 0.2, serial0: '', good0: 100, serial1: '', good1: 100 };
    expect(form?.toValues?.(typed)).toMatchObject({ beyond: [] });
    expect(form?.toValues?.({ ...typed, beyond0: 60.5 })).toMatchObject({
      beyond: [{ repeaterId: 'rpt', pairOhm: 60.5 }],
    });
    const { values } = kindNamed('bus-scan');
    const twice = [1, 2].map(() => ({ repeaterId: 'rpt', pairOhm: 60 }));
    expect(values.safeParse({ ...whole, beyond: twice }).error?.issues[0]?.message).toMatch(
      /Every repeater stands once/,
    );
  });
});

describe('several buses', () => {
  const cut = twoRepeated(12);
  /** The second unit on a bus of its own, with a repeater behind it. */
  const two = withDevices(
    cut,
    cut.chain.devices.map((c, i) => ({ ...c, bus: i === 0 ? 1 : 2 })),
  );
  const form = kindNamed('bus-scan').form?.(two, SITE);
  const typed = { ...form?.blank, pairOhm: 61, groundV: 0.2, serial0: 'SN-1', good0: 100, serial1: 'SN-2', good1: 0 };
  it('are asked about in one form, each unit and repeater by its bus', () => {
    expect(form?.blank).toMatchObject({ bus: 1, beyond0: null, good0: null, serial1: '' });
    expect(form?.groups.map((g) => g.paths)).toEqual([
      ['pairOhm', 'beyond0', 'groundV'],
      ['bus', 'from', 'bitRate', 'polls'],
      ['serial0', 'good0', 'serial1', 'good1'],
    ]);
    const told = JSON.stringify(form && z.toJSONSchema(form.schema, { io: 'input' }));
    expect(told).toMatch(/Serial at \d+ on bus 2, INV-02/);
    expect(told).toMatch(/behind RPT-1 on bus 2, everything off/);
  });
  it('are recorded one by one: of units and repeaters on the other bus nothing is said', () => {
    const units = (bus: number, over = {}) => form?.toValues?.({ ...typed, bus, beyond0: 60, ...over });
    expect(units(1)).toMatchObject({ bus: 1, beyond: [], units: [{ serials: ['SN-1'], good: 100 }] });
    expect(units(2)).toMatchObject({
      beyond: [{ repeaterId: 'rpt', pairOhm: 60 }],
      units: [{ serials: ['SN-2'], good: 0 }],
    });
    expect(units(2, { good1: null, beyond0: null })).toMatchObject({ beyond: [], units: [] });
  });
  it('are written with their number, and who did not answer is not counted', () => {
    const { line, printed } = kindNamed('bus-scan');
    const scan = {
      ...typed,
      bus: 2,
      units: [
        { address: 1, serials: [], good: 0 },
        { address: 2, serials: [], good: 1 },
      ],
    };
    expect(line(scan as never)).toMatch(/^bus 2: 1 of 2 answered/);
    expect(printed?.row(scan as never).slice(0, 2)).toEqual(['2', '1 of 2']);
  });
});

describe('a bus whose terminators have a capacitor', () => {
  const line = { ...twoUnits.chain.line, terminatorKind: 'resistor and capacitor' as const, terminatorNf: 25 };
  const blocked = { ...twoUnits, chain: { ...twoUnits.chain, line: { ...line, delayNsPerM: 6, impedanceOhm: 120 } } };
  const whole = healthyScan(blocked, 1);
  const at = (values: object) => saidOfScan(blocked, values);
  it('reads open in ohms, and shows its ends by their capacitance alone', () => {
    expect(whole).toMatchObject({ pairOhm: 5000 });
    expect(at({})).toEqual(['pass']);
    expect(at({ pairNf: undefined })).toEqual([null, 'proving.bus-pair-capacitance unknown']);
    expect(at({ pairNf: 25 })).toEqual(['fail', 'proving.bus-pair-capacitance stop']);
    expect(at({ pairOhm: 120 })).toEqual(['fail', 'proving.bus-pair-ohm stop']);
  });
  it('asks for the capacitance in its form, and no other bus does', () => {
    const paths = (design: SiteDesign) => kindNamed('bus-scan').form?.(design, SITE)?.groups[0]?.paths;
    expect(paths(blocked)).toEqual(['pairOhm', 'pairNf', 'groundV']);
    expect(paths(twoUnits)).toEqual(['pairOhm', 'groundV']);
    const form = kindNamed('bus-scan').form?.(blocked, SITE);
    expect(form?.toValues?.({ ...form.blank, pairNf: 51 })).toMatchObject({ pairNf: 51 });
    expect(form?.blank).toHaveProperty('pairNf', null);
  });
  it('asks for it behind a repeater too', () => {
    const cut = twoRepeated(12);
    const behind = { ...cut, chain: { ...cut.chain, line: blocked.chain.line } };
    const form = kindNamed('bus-scan').form?.(behind, SITE);
    expect(form?.groups[0]?.paths).toEqual(['pairOhm', 'pairNf', 'beyond0', 'beyondNf0', 'groundV']);
    expect(form?.blank).toMatchObject({ beyond0: null, beyondNf0: null });
    expect(Object.keys(form?.schema.shape ?? {})).toContain('beyondNf0');
    expect(form?.toValues?.({ ...form.blank, beyond0: 5000, beyondNf0: 50 })).toMatchObject({
      beyond: [{ repeaterId: 'rpt', pairOhm: 5000, pairNf: 50 }],
    });
  });
  it('costs the proof where a release changes them', () =>
    expect(inputsOf(blocked, 'S-BUS', 'site')).not.toBe(inputsOf(twoUnits, 'S-BUS', 'site')));
});

describe('a way beside the bus', () => {
  const hall = ethernet({ id: 'hall', units: 2 });
  const beside = {
    ...twoUnits,
    chain: {
      ...twoUnits.chain,
      otherWays: {
        ...twoUnits.chain.otherWays,
        ethernet: [hall],
        carriers: [{ id: 'line', label: 'Line', sameSecondary: true, sameBusbar: true }],
      },
    },
  };
  const tried = (crew: Crew, over: object = {}) =>
    crew.add('way-test', SITE, { ...healthy('way-test', beside, SITE), ...over });
  const carrier = { way: 'carriers', wayId: 'line' };
  const result = (crew: Crew, entry: Entry) => look(crew, beside).judgement(entry).says[0]?.result;
  it('is part of the gate of the buses: each of them tried, a carrier at full power and at night', () => {
    const crew = new Crew(beside);
    crew.site();
    expect(result(crew, crew.add('bus-scan', SITE, healthyScan(beside, 1)))).toBeNull();
    expect(result(crew, tried(crew))).toBeNull();
    expect(result(crew, tried(crew, { ...carrier, when: 'at full power' }))).toBeNull();
    const night = tried(crew, { ...carrier, when: 'at night' });
    expect(result(crew, night)).toBe('pass');
    expect(look(crew, beside).judgement(night).checks[0]?.subject.path).toBe('carrier Line');
    // Whichever comes last closes it, and what comes out badly since opens it.
    expect(result(crew, crew.add('bus-scan', SITE, healthyScan(beside, 1)))).toBe('pass');
    expect(result(crew, tried(crew, { unitsAnswered: 1 }))).toBe('fail');
    expect(result(crew, crew.add('bus-scan', SITE, healthyScan(beside, 1)))).toBeNull();
  });
  it('proves nothing at an easy hour, of another way, or with too few questions', () => {
    const crew = new Crew(beside);
    crew.site();
    expect(result(crew, tried(crew, { ...carrier, when: 'at another hour' }))).toBeNull();
    expect(result(crew, tried(crew, { wayId: 'elsewhere' }))).toBeNull();
    expect(result(crew, tried(crew, { polls: 99, worstGood: 99 }))).toBeNull();
    expect(result(crew, tried(crew, { worstGood: 50 }))).toBe('fail');
  });
  it('is chosen by its name, and a site without one is not asked', () => {
    const form = kindNamed('way-test').form?.(beside, SITE);
    const typed = { ...form?.blank, unitsAnswered: 2, worstGood: 100 };
    expect(typed).toMatchObject({ way: 'Ethernet Hall', unitsOn: 2 });
    expect(form?.toValues?.(typed)).toEqual(healthy('way-test', beside, SITE));
    expect(form?.toValues?.({ ...typed, way: 'carrier Line', when: 'at night' })).toMatchObject({
      ...carrier,
      when: 'at night',
    });
    expect(form?.schema.safeParse({ ...typed, way: 'Ethernet Yard' }).success).toBe(false);
    expect(kindNamed('way-test').form?.(twoUnits, SITE)).toBeNull();
  });
  it('has no more answers than units, nor than questions', () => {
    const { values } = kindNamed('way-test');
    const good = healthy('way-test', beside, SITE);
    expect(values.safeParse({ ...good, unitsAnswered: 3 }).error?.issues[0]?.message).toMatch(/No more answer/);
    expect(values.safeParse({ ...good, worstGood: 101 }).error?.issues[0]?.message).toMatch(/No more come back/);
  });
  it('costs the proof where a release adds one, or units to it', () => {
    const more = { ...beside.chain.otherWays, ethernet: [{ ...hall, units: 3 }] };
    const next = { ...beside, chain: { ...beside.chain, otherWays: more } };
    for (const other of [next, twoUnits])
      expect(inputsOf(other, 'S-BUS', 'site')).not.toBe(inputsOf(beside, 'S-BUS', 'site'));
  });
});

describe('buses that were scanned one by one', () => {
  const apart = withChainNumbered(chainWith({ bus: 2 }, 1));
  // A bus of one unit has an end and no other: its terminator is one alone, and so says the meter.
  const scanned = (crew: Crew, bus: number, over: object = {}) =>
    crew.prove('S-BUS', 'site', { values: { ...healthyScan(apart, bus), bus, ...over } });
  const begun = () => {
    const crew = new Crew(apart);
    crew.site();
    for (const { id } of apart.inverters) {
      crew.unit(id);
      for (const g of ['I-RCD', 'I-PERMIT'] as const) crew.prove(g, id);
      crew.switch(id);
    }
    return crew;
  };
  const state = (crew: Crew) => look(crew, apart).gate('S-BUS', 'site')?.state;
  it('close the gate with the last of them, whichever that is', () => {
    for (const [first, last] of [
      [1, 2],
      [2, 1],
    ] as const) {
      const crew = begun();
      scanned(crew, first);
      expect(state(crew)).toBe('open');
      scanned(crew, last);
      expect(state(crew)).toBe('passed');
    }
  });
  it('prove nothing by one bus scanned twice, by a bus that the plan does not have, or by one of the day before', () => {
    const crew = begun();
    scanned(crew, 1);
    scanned(crew, 1);
    expect(state(crew)).toBe('open');
    scanned(crew, 3);
    expect(state(crew)).not.toBe('passed');
    crew.wait(13 * 60);
    crew.prove('S-SAFE');
    scanned(crew, 2);
    expect(state(crew)).toBe('open');
    scanned(crew, 1);
    expect(state(crew)).toBe('passed');
  });
  it('fail with the one that fails, and stay open beside one that did not pass or that a stand-in said', () => {
    const failing = begun();
    scanned(failing, 1, { pairOhm: 999 });
    expect(state(failing)).toBe('failed');
    const beside = begun();
    scanned(beside, 1, { groundV: 9 });
    const second = scanned(beside, 2);
    expect(look(beside, apart).judgement(second).says).toEqual([{ gate: 'S-BUS', result: null }]);
    const tight = begun();
    scanned(tight, 1, { groundV: 3 });
    expect(look(tight, apart).judgement(scanned(tight, 2)).says).toEqual([{ gate: 'S-BUS', result: 'caution' }]);
    const simulated = begun();
    scanned(simulated, 1, { from: 'stand-in' });
    scanned(simulated, 2);
    expect(state(simulated)).toBe('open');
  });
  it.each([
    ['a unit that was replaced', (crew: Crew) => crew.add('happening', UNIT, { what: 'unit replaced', seen: 'burnt' })],
    ['the gate failed by hand', (crew: Crew) => crew.tick('S-BUS', 'site', 'fail')],
    ['an address written on it', (crew: Crew) => crew.add('addressed', UNIT, healthy('addressed', apart, UNIT))],
  ])('take from the other bus what it proved: %s', (_, happens) => {
    const crew = begun();
    scanned(crew, 1);
    happens(crew);
    const last = scanned(crew, 2);
    expect(look(crew, apart).judgement(last).says[0]?.result).toBeNull();
    scanned(crew, 1);
    expect(look(crew, apart).judgement(scanned(crew, 2)).says[0]?.result).toBe('pass');
  });
  it('go on beside an address written on their own bus, or by a stand-in, or a cover that was opened', () => {
    const other: EntrySubject = { scope: 'inverter', id: 'inv-2' };
    const crew = begun();
    scanned(crew, 1);
    crew.add('addressed', other, healthy('addressed', apart, other));
    crew.add('addressed', UNIT, { ...healthy('addressed', apart, UNIT), from: 'stand-in' });
    crew.add('happening', UNIT, { what: 'cover opened', seen: 'to look' });
    expect(look(crew, apart).judgement(scanned(crew, 2)).says[0]?.result).toBe('pass');
  });
  it('count where somebody made them who may sign, and a stand-in takes nothing from a real one', () => {
    const crew = begun();
    crew.prove('S-BUS', 'site', { role: 'helper', licensedUntil: null, values: { ...healthyScan(apart, 1), bus: 1 } });
    expect(look(crew, apart).judgement(scanned(crew, 2)).says[0]?.result).toBeNull();
    scanned(crew, 1);
    scanned(crew, 1, { from: 'stand-in' });
    expect(look(crew, apart).judgement(scanned(crew, 2)).says[0]?.result).toBe('pass');
  });
  it('ask for the units of their own bus alone, by whichever way they are typed', () => {
    const form = kindNamed('bus-scan').form?.(apart, SITE);
    expect(form?.groups.flatMap((g) => g.paths)).toContain('bus');
    expect(form?.schema.shape['good1']?.safeParse(null).success).toBe(true);
    const typed = { ...form?.blank, bus: 2, pairOhm: 120, groundV: 0, good0: null, serial1: 'SN-inv-2', good1: 100 };
    expect(form?.toValues?.(typed)).toMatchObject({
      bus: 2,
      units: [{ address: 1, serials: ['SN-inv-2'], good: 100 }],
    });
    const single = kindNamed('bus-scan').form?.(twoUnits, SITE);
    expect(single?.groups.flatMap((g) => g.paths)).not.toContain('bus');
    expect(single?.schema.shape['good1']?.safeParse(null).success).toBe(false);
  });
  it('go stale where a unit comes onto another bus', () =>
    expect(inputsOf(apart, 'I-ADDR', 'inv-2')).not.toBe(
      inputsOf(withChainNumbered(chainWith({ address: 1 }, 1)), 'I-ADDR', 'inv-2'),
    ));
});

describe('a unit that is set up', () => {
  it('is held against survey, chain and sheet', () => {
    expect(said('set-up', UNIT, {})).toEqual(['pass']);
    expect(said('set-up', UNIT, { address: null })).toEqual([null, 'proving.set-up-bus unknown']);
    expect(said('set-up', UNIT, {}, twoUnits, 60)).toEqual(['fail', 'proving.set-up-export stop']);
    expect(said('set-up', UNIT, { exportLimitKw: 60, meter: 'bus meter' }, twoUnits, 60)).toEqual(['pass']);
    const crew = new Crew(twoUnits);
    const early = crew.add('set-up', UNIT, healthy('set-up', twoUnits, UNIT));
    const verdict = () => look(crew).judgement(early).says[0]?.result;
    expect(verdict()).toBeNull();
    // A letter that comes later counts as well, and the newest of them.
    crew.prove('S-PTO');
    expect(verdict()).toBe('pass');
    crew.prove('S-PTO', 'site', { values: { limitKw: 60 } });
    expect(verdict()).toBe('fail');
    // Not one that somebody else wrote down.
    crew.prove('S-PTO', 'site', { role: 'helper', licensedUntil: null });
    expect(verdict()).toBe('fail');
    // Nor an electrician whose licence had run out when it came.
    crew.prove('S-PTO', 'site', { licensedUntil: '2026-05-03' });
    expect(verdict()).toBe('fail');
    crew.prove('S-PTO', 'site', { licensedUntil: '2026-05-04' });
    expect(verdict()).toBe('pass');
    // Without a bus nobody asks for an address.
    const alone = { ...twoUnits, chain: { ...twoUnits.chain, devices: [] } };
    expect(said('set-up', UNIT, { address: null, bitRate: null }, alone)).toEqual(['pass']);
    expect(said('set-up', UNIT, { nominalV: 480, passwordChanged: false })).toEqual([
      'fail',
      'proving.set-up-nominal stop',
      'proving.set-up-password stop',
    ]);
  });
  it.each(['password: 1234', 'PIN=0000', 'the code is 77', 'passcode: x', 'pwd = y'])(
    'keeps no secret on record: %s',
    (secret) => {
      const { values } = kindNamed('set-up');
      const good = healthy('set-up', twoUnits, UNIT);
      expect(values.safeParse({ ...good, remoteOwner: secret }).error?.issues[0]?.message).toMatch(/No password here/);
      expect(values.safeParse({ ...good, firmware: 'grid code V2, code-base 4.1' }).success).toBe(true);
    },
  );
});

describe('contacts that were worked', () => {
  const one = { contact: 'stop', logic: 'normally closed', supervised: false, acted: true, seconds: 1, mostS: 5 };
  const notWired = ['ripple control', 'generator start', 'demand mode'];
  it('pass where each acts in time, and a stop is not lost by a broken wire', () => {
    expect(said('contacts', UNIT, { contacts: [one], notWired })).toEqual(['pass']);
    expect(said('contacts', UNIT, { contacts: [{ ...one, logic: 'normally open' }], notWired })).toEqual([
      'fail',
      'proving.stop-circuit stop',
    ]);
    const ripple = { ...one, contact: 'ripple control', acted: false };
    expect(said('contacts', UNIT, { contacts: [one, ripple], notWired: notWired.slice(1) })).toEqual([
      'fail',
      'proving.contact-acted stop',
    ]);
  });
  it('prove nothing of one that nobody worked or said not to be wired', () => {
    expect(said('contacts', UNIT, { contacts: [one], notWired: notWired.slice(1) })).toEqual([
      null,
      'proving.every-contact unknown',
    ]);
    const fitted = { ...twoUnits, survey: { ...twoUnits.survey, stopFitted: true } };
    const rippleOnly = {
      contacts: [{ ...one, contact: 'ripple control' }],
      notWired: ['stop', ...notWired.slice(1)],
      ripple: [{ percent: 0, beforeKw: 40, powerKw: 0, seconds: 12 }],
      rippleNotWired: [100, 60, 30],
    };
    expect(said('contacts', UNIT, rippleOnly, fitted)).toEqual(['caution', 'proving.every-contact tight']);
  });
  it('of a ripple control are its steps, each with the power that it leaves', () => {
    const ratedKw = (lineOf(twoUnits).unit('inv-1')?.type.ratedW ?? 0) / 1000;
    const step = (percent: number, share: number, over: object = {}) => ({
      percent,
      beforeKw: 0.9 * ratedKw,
      powerKw: share * ratedKw,
      seconds: 12,
      ...over,
    });
    const worked = (ripple: readonly object[], rippleNotWired: readonly number[] = []) =>
      said('contacts', UNIT, {
        contacts: [one, { ...one, contact: 'ripple control' }],
        notWired: notWired.slice(1),
        ripple,
        rippleNotWired,
      });
    const all = [step(100, 0.9), step(60, 0.6), step(30, 0.3), step(0, 0)];
    expect(worked(all)).toEqual(['pass']);
    expect(worked(all.slice(1))).toEqual([null, 'proving.every-ripple-step unknown']);
    expect(worked(all.slice(1), [100])).toEqual(['pass']);
    expect(worked([], [100, 60, 30, 0])).toEqual(['fail', 'proving.every-ripple-step stop']);
    expect(worked([step(100, 0.9), step(60, 0.3), ...all.slice(2)])).toEqual(['fail', 'proving.ripple-step stop']);
    const dim = step(60, 0.5, { beforeKw: 0.5 * ratedKw });
    expect(worked([step(100, 0.9), dim, ...all.slice(2)])).toEqual([null, 'proving.ripple-step unknown']);
    const { values } = kindNamed('contacts');
    const wrong = (over: object) => values.safeParse({ contacts: [one], ...over }).error?.issues[0]?.message;
    expect(wrong({ ripple: [step(60, 0.6), step(60, 0.6)] })).toBe('Every step stands once.');
    expect(wrong({ ripple: [step(60, 0.6)], rippleNotWired: [60] })).toBe('A step that was worked is wired.');
    const typed = kindNamed('contacts').form?.(twoUnits, UNIT)?.toValues?.({
      step60: true,
      beforeKw60: 90,
      powerKw60: 60,
      stepS60: 9,
      step30: false,
      step0: null,
    });
    expect(typed).toMatchObject({
      ripple: [{ percent: 60, beforeKw: 90, powerKw: 60, seconds: 9 }],
      rippleNotWired: [30],
    });
  });
  it('are those that are wired, each once', () => {
    const form = kindNamed('contacts').form?.(twoUnits, UNIT);
    const typed = { ...form?.blank, fitted0: true, acted0: true, seconds0: 1, mostS0: 5 };
    const nothing = { ripple: [], rippleNotWired: [] };
    expect(form?.toValues?.(typed)).toEqual({ contacts: [one], notWired: [], ...nothing });
    expect(form?.toValues?.({ ...typed, fitted1: false })).toEqual({
      contacts: [one],
      notWired: ['ripple control'],
      ...nothing,
    });
    // Whether one is wired is nobody's default.
    expect(form?.schema.safeParse(typed).error?.issues.map((i) => i.path[0])).toEqual([
      'fitted1',
      'fitted2',
      'fitted3',
    ]);
    const { values } = kindNamed('contacts');
    expect(values.safeParse({ contacts: [] }).error?.issues[0]?.message).toMatch(/one contact at least/);
    expect(values.safeParse({ contacts: [one], notWired: ['stop'] }).error?.issues[0]?.message).toMatch(/is wired/);
    expect(values.safeParse({ contacts: [one, one] }).error?.issues[0]?.message).toMatch(/stands once/);
  });
});
