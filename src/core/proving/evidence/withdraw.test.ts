import { describe, expect, it } from 'vitest';
import { Crew } from '../../testing/crew';
import { handedOver, twoUnits } from '../../testing/handedOver';
import { evidence } from '../evidence';
import { HAPPENINGS } from '../tables/happenings';

const design = twoUnits;
const releases = [{ letter: 'A', atMs: Date.parse('2026-05-01T08:00:00Z'), design }];
const ONE = 'inv-1';
const OF_ONE = design.strings.filter((s) => s.place?.inverterId === ONE).map((s) => s.id);
const FIRST = OF_ONE[0] ?? '';
const look = (crew: Crew) => evidence({ releases, entries: crew.entries }, crew.nowMs + 60_000);

const before = handedOver();

const told = (what: string, scope: 'site' | 'inverter' | 'string', id: string): Crew => {
  const crew = new Crew(design, new Date(before.nowMs + 60_000).toISOString(), 'phone-9');
  const over = { role: 'helper', id: '01969a0f-0000-7000-8000-000000000001' } as const;
  crew.add('happening', { scope, id } as never, { what, seen: 'seen by somebody' }, over);
  return crew;
};
const after = (crew: Crew) =>
  evidence({ releases, entries: [...before.entries, ...crew.entries] }, crew.nowMs + 60_000);

/** Gates that are not closed any more. */
function lost(what: string, scope: 'site' | 'inverter' | 'string', id: string): string[] {
  return [...after(told(what, scope, id)).gates].flatMap(([key, g]) =>
    ['passed', 'n/a'].includes(g.state) ? [] : [key],
  );
}

/** Gates of one unit, of both, and of strings. */
const at = (unit: string, gates: string) => gates.split(' ').map((g) => `I-${g}@${unit}`);
const both = (gates: string) => [...at(ONE, gates), ...at('inv-2', gates)];
const strings = (ids: readonly string[], gates: string) =>
  ids.flatMap((id) => gates.split(' ').map((g) => `D-${g}@${id}`));
const ALL = design.strings.map((s) => s.id);

/** What each takes, by the gate table's own column of what makes a gate stale and by what rests on it (common practice). */
const TAKES: Readonly<Record<(typeof HAPPENINGS)[number]['what'], readonly string[]>> = {
  'joint opened': [...at(ONE, 'TORQ ACV RCD COVER PERMIT THERM'), 'S-HAND'],
  'AC cable damaged': [...at(ONE, 'ACIR TORQ ACV RCD COVER PERMIT'), 'S-HAND'],
  'AC cable touched': [...at(ONE, 'ACIR TORQ ACV RCD COVER PERMIT'), 'S-HAND'],
  'AC side touched': [...at(ONE, 'ACV RCD PERMIT'), 'S-HAND'],
  'earth fault on the DC side': [...strings(OF_ONE, 'IR'), ...at(ONE, 'DCLAND COVER PERMIT'), 'S-HAND'],
  'earth fault on the string': [...strings([FIRST], 'IR'), ...at(ONE, 'DCLAND COVER PERMIT'), 'S-HAND'],
  'string cable damaged': [...strings([FIRST], 'POL VOC IR'), ...at(ONE, 'DCLAND COVER PERMIT'), 'S-HAND'],
  'string re-made': [...strings([FIRST], 'ID POL VOC IR ISC'), ...at(ONE, 'DCLAND COVER PERMIT SISTER'), 'S-HAND'],
  'earth opened': [...at(ONE, 'PE ACIR TORQ ACV RCD DCLAND COVER PERMIT'), 'S-HAND'],
  'earth bar opened': [
    'S-EARTH',
    'S-SUPPLY',
    ...both('PE ACIR TORQ ACV RCD DCLAND COVER PERMIT'),
    ...strings(ALL, 'IR'),
    'S-HAND',
  ],
  'cover opened': [...at(ONE, 'COVER PERMIT'), 'S-HAND'],
  'plug moved': [...at(ONE, 'DCLAND COVER PERMIT'), 'S-HAND'],
  'unit unsafe': at(ONE, 'PERMIT'),
  'unit moved': [...at(ONE, 'MOUNT PE ACIR TORQ ACV RCD DCLAND COVER PERMIT'), 'S-HAND'],
  'unit replaced': [
    ...at(ONE, 'MOUNT PE ACIR TORQ ACV RCD ADDR DCLAND COVER PERMIT SETUP ONGRID DRY THERM SISTER'),
    ...['S-BUS', 'S-METER', 'S-ESTOP', 'S-SOAK', 'S-PERF', 'S-HAND'],
  ],
  'residual-current device replaced': [...at(ONE, 'RCD PERMIT'), 'S-HAND'],
  'parameter changed': [...at(ONE, 'SETUP'), 'S-HAND'],
  'contact wiring touched': [...at(ONE, 'DRY'), 'S-HAND'],
  'supply or transformer changed': ['S-SUPPLY', ...both('ACV RCD PERMIT'), 'S-HAND'],
  'CT or meter touched': ['S-METER', 'S-HAND'],
  'stop loop touched': ['S-ESTOP', 'S-HAND'],
  'array changed': ['S-PERF', 'S-HAND'],
  'drawing revised': ['S-DOC', ...both('PERMIT'), 'S-HAND'],
  storm: ['S-SAFE'],
  'site unsafe': ['S-SAFE'],
  'new crew member': ['S-SAFE'],
  // The weather holds up work, and takes no proof.
  'rain or wet fog': [],
  'dry again': [],
};

describe('a happening', () => {
  it('finds the site handed over, with every gate closed', () => {
    const e = look(before);
    expect([...e.gates].filter(([, g]) => !['passed', 'n/a'].includes(g.state))).toEqual([]);
    expect(OF_ONE.length).toBeGreaterThan(1);
    expect(e.gate('I-RCD', ONE)?.state).toBe('passed');
  });

  it.each(HAPPENINGS.map((h) => [h.what, h.scope] as const))(
    '%s (%s) takes what rests on it, and no more',
    (what, scope) => {
      const id = scope === 'site' ? 'site' : scope === 'inverter' ? ONE : FIRST;
      expect(lost(what, scope, id).sort()).toEqual([...TAKES[what]].sort());
    },
  );

  it('raises the alarm on the unit whose permit it took, and on no other', () => {
    const alarms = (what: string, scope: 'site' | 'inverter', id: string) =>
      after(told(what, scope, id)).switchOff.map((u) => u.unit);
    expect(alarms('joint opened', 'inverter', ONE)).toEqual([ONE]);
    expect(alarms('earth bar opened', 'site', 'site')).toEqual([ONE, 'inv-2']);
    expect(alarms('parameter changed', 'inverter', ONE)).toEqual([]);
    expect(alarms('storm', 'site', 'site')).toEqual([]);
    // Another unit hangs there now: nothing of it is switched on.
    expect(alarms('unit replaced', 'inverter', ONE)).toEqual([]);
    expect(after(told('unit replaced', 'inverter', ONE)).unit('inv-2').run.live).toBe(true);
  });

  it('belongs to its own kind of part, else it says nothing', () => {
    const crew = told('joint opened', 'site', 'site');
    const e = after(crew);
    expect(e.notes.get(crew.entries[0]?.id ?? '')).toBe('joint opened happens to an inverter.');
    expect(e.gate('I-TORQ', ONE)?.state).toBe('passed');
  });

  it('stops every order that is under way when the day is not safe any more, and none that is over', () => {
    const crew = new Crew(design);
    crew.site();
    for (const { id } of design.inverters) {
      crew.unit(id);
      for (const gate of ['I-RCD', 'I-PERMIT', 'I-SETUP'] as const) crew.prove(gate, id);
    }
    crew.switch(ONE);
    crew.step('inv-2', '1', 'LOCKED_OFF');
    crew.add('happening', { scope: 'site', id: 'site' }, { what: 'storm', seen: 'lightning' });
    const e = look(crew);
    expect(e.unit('inv-2').run.stopped).toBe('the day is not safe any more');
    expect(e.unit(ONE).run.stopped).toBeNull();
    // A second one finds it stopped, and leaves the first reason.
    crew.add('happening', { scope: 'inverter', id: 'inv-2' }, { what: 'unit unsafe', seen: 'smoke' });
    expect(look(crew).unit('inv-2').run.stopped).toBe('the day is not safe any more');
    crew.add('happening', { scope: 'inverter', id: ONE }, { what: 'unit unsafe', seen: 'smoke' });
    expect(look(crew).unit(ONE).run.stopped).toBeNull();
  });

  it('leaves a proof with the first reason that took it', () => {
    const crew = new Crew(design);
    crew.site();
    for (const g of ['I-MOUNT', 'I-PE', 'I-ACIR'] as const) crew.prove(g, ONE);
    for (const what of ['AC cable touched', 'AC cable damaged'])
      crew.add('happening', { scope: 'inverter', id: ONE }, { what, seen: 'seen by somebody' });
    expect(look(crew).gate('I-ACIR', ONE)).toMatchObject({ state: 'stale', why: 'AC cable touched' });
  });

  it('makes a waiver stale, which never comes back', () => {
    const crew = new Crew(design);
    crew.site();
    const unit = { scope: 'inverter', id: ONE } as const;
    const values = { gate: 'I-ADDR', entryId: null, reviewDays: 30 };
    crew.prove('I-MOUNT', ONE);
    crew.add('waiver', unit, values, { reason: 'address plugs come next week' });
    expect(look(crew).gate('I-ADDR', ONE)?.state).toBe('waived');
    crew.add('happening', unit, { what: 'unit replaced', seen: 'new serial' });
    crew.prove('I-MOUNT', ONE);
    expect(look(crew).gate('I-ADDR', ONE)).toMatchObject({ state: 'stale', why: 'unit replaced' });
  });
});
