import { describe, expect, it } from 'vitest';
import { withRun } from '../../ac/edits';
import type { SiteDesign } from '../../design';
import { withHung } from '../../mounting/edits';
import { Crew } from '../../testing/crew';
import { runOf } from '../../testing/examples';
import { handedOver, twoUnits } from '../../testing/handedOver';
import { evidence } from '../evidence';

const before = handedOver();
const A = { letter: 'A', atMs: Date.parse('2026-05-01T08:00:00Z'), design: twoUnits };
const after = (...later: readonly SiteDesign[]) =>
  evidence(
    {
      releases: [
        A,
        ...later.map((design, i) => ({ letter: 'BCD'.charAt(i), atMs: before.nowMs + 60_000 * (i + 1), design })),
      ],
      entries: before.entries,
    },
    before.nowMs + 600_000,
  );
const lost = (...later: readonly SiteDesign[]) =>
  [...after(...later).gates].flatMap(([key, g]) => (['passed', 'n/a'].includes(g.state) ? [] : [key]));

const survey = (over: object): SiteDesign => ({ ...twoUnits, survey: { ...twoUnits.survey, ...over } });
const strings = (change: (s: SiteDesign['strings'][number], i: number) => object): SiteDesign => ({
  ...twoUnits,
  strings: twoUnits.strings.map((s, i) => ({ ...s, ...change(s, i) })),
});
/** Gates of one unit, of both, and of strings. */
const at = (unit: string, gates: string) => gates.split(' ').map((g) => `I-${g}@${unit}`);
const both = (gates: string) => [...at('inv-1', gates), ...at('inv-2', gates)];
const of = (ids: readonly string[], gates: string) => ids.flatMap((id) => gates.split(' ').map((g) => `D-${g}@${id}`));
const ALL = twoUnits.strings.map((s) => s.id);

const withBody = (body: object): SiteDesign => ({
  ...twoUnits,
  equipment: {
    ...twoUnits.equipment,
    inverters: twoUnits.equipment.inverters.map((t) => ({ ...t, body: { ...t.body, ...body } })),
  },
});

/** A change of the design, and the proofs it costs: what each gate rests on (`gates/restsOn.ts`), and what rests on those (common practice). */
const CHANGES: readonly (readonly [string, SiteDesign, readonly string[]])[] = [
  ['a label, on which nothing rests', { ...twoUnits, board: { ...twoUnits.board, label: 'PVB' } }, []],
  [
    'the grid code',
    survey({ gridCode: 'VDE-AR-N 4105' }),
    [
      ...['S-EARTH', 'S-SUPPLY', 'S-PTO', 'S-METER', 'S-HAND'],
      ...both('PE ACIR TORQ ACV RCD DCLAND COVER PERMIT SETUP'),
      ...of(ALL, 'IR'),
    ],
  ],
  [
    'the body of the unit’s sheet: nothing measured rests on how wide it is',
    withBody({ widthMm: 990, handles: [] }),
    [],
  ],
  [
    'one unit at another place',
    withHung(twoUnits, [{ inverterId: 'inv-1', wallId: 'east', xMm: 900, yMm: 600 }]),
    ['S-HAND', ...at('inv-1', 'MOUNT PE ACIR TORQ ACV RCD DCLAND COVER PERMIT')],
  ],
  [
    'a figure of the unit’s sheet',
    {
      ...twoUnits,
      equipment: {
        ...twoUnits.equipment,
        inverters: twoUnits.equipment.inverters.map((t) => ({ ...t, massKg: 91 })),
      },
    },
    [
      ...both('MOUNT PE ACIR TORQ ACV RCD ADDR DCLAND COVER PERMIT SETUP ONGRID DRY THERM SISTER'),
      ...['S-BUS', 'S-ESTOP', 'S-SOAK', 'S-PERF', 'S-HAND'],
    ],
  ],
  [
    'the AC run of one unit',
    withRun(twoUnits, runOf('inv-1', { sectionMm2: 150 })),
    [...at('inv-1', 'PE ACIR TORQ ACV RCD DCLAND COVER PERMIT THERM'), 'S-HAND'],
  ],
  [
    'a bus address',
    {
      ...twoUnits,
      chain: {
        ...twoUnits.chain,
        devices: twoUnits.chain.devices.map((d) => (d.inverterId === 'inv-1' ? { ...d, address: 77 } : d)),
      },
    },
    [...at('inv-1', 'ADDR COVER PERMIT SETUP'), 'S-BUS', 'S-HAND'],
  ],
  [
    'the input of a string',
    strings((s, i) => (i === 0 && s.place ? { place: { ...s.place, tracker: 9 } } : {})),
    [...at('inv-1', 'DCLAND COVER PERMIT SISTER'), 'S-PERF', 'S-HAND'],
  ],
  [
    'the modules of a string',
    strings((_, i) => (i === 0 ? { modules: 17 } : {})),
    [...of(['s-1'], 'ID POL VOC IR ISC'), ...at('inv-1', 'DCLAND COVER PERMIT SISTER'), 'S-PERF', 'S-HAND'],
  ],
  [
    'the unit of a string',
    strings((s, i) => (i === 0 && s.place ? { place: { ...s.place, inverterId: 'inv-2', tracker: 9 } } : {})),
    [...of(['s-1'], 'ID POL VOC IR ISC'), ...both('DCLAND COVER PERMIT SISTER'), 'S-PERF', 'S-HAND'],
  ],
  [
    'the legal limit of the strings',
    survey({ building: 'one- or two-family dwelling' }),
    [...of(ALL, 'VOC IR'), ...both('DCLAND COVER PERMIT'), 'S-HAND'],
  ],
];

describe('a release that changes', () => {
  it.each(CHANGES)('%s costs what rests on it, and no more', (_, design, costs) => {
    expect(lost(design).sort()).toEqual([...costs].sort());
  });

  it('and one that changes it back bring nothing back', () => {
    const run = CHANGES.find(([what]) => what === 'the AC run of one unit')?.[1] as SiteDesign;
    const e = after(run, twoUnits);
    expect(lost(run, twoUnits).sort()).toEqual(lost(run).sort());
    expect(e.gate('I-PE', 'inv-1')?.why).toBe('release B changed what it rests on');
    expect(e.unit('inv-1')).toMatchObject({ switchOff: true, run: { live: true, permitLost: true } });
    expect(e.unit('inv-2').switchOff).toBe(false);
  });

  it('and a proof made on the older drawing afterwards is a fact that proves nothing', () => {
    const run = CHANGES.find(([what]) => what === 'the AC run of one unit')?.[1] as SiteDesign;
    const crew = new Crew(twoUnits, new Date(before.nowMs + 3_600_000).toISOString(), 'phone-9');
    const id = (n: number) => `01969a0f-0000-7000-8000-00000000000${n}`;
    crew.prove('I-PE', 'inv-1', { release: 'A', id: id(1) });
    crew.prove('I-PE', 'inv-2', { release: 'A', id: id(2) });
    const releases = [A, { letter: 'B', atMs: before.nowMs + 60_000, design: run }];
    const look = () => evidence({ releases, entries: [...before.entries, ...crew.entries] }, crew.nowMs + 60_000);
    expect([look().gate('I-PE', 'inv-1')?.state, look().gate('I-PE', 'inv-2')?.state]).toEqual(['stale', 'passed']);
    crew.prove('I-PE', 'inv-1', { release: 'B', id: id(3) });
    expect(look().gate('I-PE', 'inv-1')?.state).toBe('passed');
    const ghost = crew.prove('I-PE', 'inv-1', { release: 'C', id: id(4) });
    expect(look().notes.get(ghost.id)).toBe('There is no release C of this site.');
    expect(look().gate('I-PE', 'inv-1')?.state).toBe('passed');
  });

  it('costs a waiver of what was never tested too, and leaves one of a part that is as it was', () => {
    const crew = new Crew(twoUnits);
    crew.site();
    for (const id of ['inv-1', 'inv-2']) {
      crew.prove('I-MOUNT', id);
      const values = { gate: 'I-ADDR', entryId: null, reviewDays: 30 };
      crew.add('waiver', { scope: 'inverter', id }, values, { reason: 'address plugs come next week' });
    }
    const address = CHANGES.find(([what]) => what === 'a bus address')?.[1] as SiteDesign;
    const back = [address, twoUnits].map((design, i) => ({
      letter: 'BC'.charAt(i),
      atMs: crew.nowMs + 60_000 * (i + 1),
      design,
    }));
    const e = evidence({ releases: [A, ...back], entries: crew.entries }, crew.nowMs + 600_000);
    expect(e.gate('I-ADDR', 'inv-1')).toMatchObject({ state: 'stale', why: 'release B changed what it rests on' });
    expect(e.gate('I-ADDR', 'inv-2')?.state).toBe('waived');
    expect(e.gate('I-DRY', 'inv-1')?.state).toBe('locked');
  });

  it('takes a part away, and its gates with it', () => {
    const one = {
      ...twoUnits,
      inverters: twoUnits.inverters.slice(0, 1),
      strings: twoUnits.strings.filter((s) => s.place?.inverterId === 'inv-1'),
      runs: twoUnits.runs.slice(0, 1),
      chain: { ...twoUnits.chain, devices: twoUnits.chain.devices.filter((d) => d.inverterId !== 'inv-2') },
    };
    const e = after(one);
    expect(e.gate('I-PE', 'inv-2')).toBeUndefined();
    expect(e.gate('I-PERMIT', 'inv-1')?.state).toBe('passed');
    const crew = new Crew(twoUnits, new Date(before.nowMs + 3_600_000).toISOString(), 'phone-9');
    const gone = crew.tick('I-COVER', 'inv-2', 'pass', { id: '01969a0f-0000-7000-8000-000000000009' });
    const releases = [A, { letter: 'B', atMs: before.nowMs + 60_000, design: one }];
    const later = evidence({ releases, entries: [...before.entries, gone] }, crew.nowMs + 60_000);
    expect(later.notes.get(gone.id)).toBe('The newest release has no such inverter.');
  });

  it('fits a device that nobody had costs the permit that did not wait for it, and stops the order', () => {
    const bare = { ...twoUnits, survey: { ...twoUnits.survey, rcdFitted: false, stopFitted: false } };
    const crew = new Crew(bare);
    crew.site();
    crew.unit('inv-1');
    crew.prove('I-SETUP', 'inv-1');
    crew.step('inv-1', '1', 'LOCKED_OFF');
    const log = (later: SiteDesign) => ({
      releases: [
        { ...A, design: bare },
        { letter: 'B', atMs: crew.nowMs + 60_000, design: later },
      ],
      entries: crew.entries,
    });
    const fitted = evidence(log({ ...bare, survey: { ...bare.survey, rcdFitted: true } }), crew.nowMs + 120_000);
    expect(fitted.gate('I-RCD', 'inv-1')?.state).toBe('open');
    expect(fitted.gate('I-PERMIT', 'inv-1')).toMatchObject({
      state: 'stale',
      why: 'I-RCD@inv-1 is not closed any more',
    });
    expect(fitted.unit('inv-1').run).toMatchObject({ stopped: 'the permit was withdrawn', permitLost: true });
    expect(fitted.gate('I-ACV', 'inv-1')?.state).toBe('passed');
    const same = evidence(log({ ...bare, board: { ...bare.board, label: 'PVB' } }), crew.nowMs + 120_000);
    expect(same.gate('I-PERMIT', 'inv-1')?.state).toBe('passed');
  });

  it('opens a gate that hand-over waited for, and with it hand-over alone', () => {
    const survey = { ...twoUnits.survey, stopFitted: false };
    const crew = handedOver();
    const e = evidence(
      {
        releases: [
          { ...A, design: { ...twoUnits, survey } },
          { letter: 'B', atMs: crew.nowMs + 60_000, design: twoUnits },
        ],
        entries: crew.entries.filter((x) => x.kind !== 'stop'),
      },
      crew.nowMs + 120_000,
    );
    expect(
      [...e.gates].filter(([, g]) => !['passed', 'n/a'].includes(g.state)).map(([key, g]) => [key, g.state]),
    ).toEqual([
      ['S-ESTOP', 'open'],
      ['S-HAND', 'stale'],
    ]);
    expect(e.gate('S-HAND', 'site')?.why).toBe('release B opened a gate');
  });

  it('is judged with its own release and the newest, and by no other', () => {
    const cold = survey({ coldestC: -45 });
    const volts = (releases: readonly SiteDesign[], made: string) => {
      const crew = new Crew(twoUnits);
      crew.site();
      crew.prove('D-ID', 's-1');
      crew.prove('D-POL', 's-1', { release: made });
      const at = Date.parse('2026-05-01T08:00:00Z');
      const frozen = releases.map((design, i) => ({ letter: 'ABC'.charAt(i), atMs: at + i, design }));
      return evidence({ releases: frozen, entries: crew.entries }, crew.nowMs + 60_000).gate('D-VOC', 's-1')?.state;
    };
    expect(volts([twoUnits], 'A')).toBe('passed');
    expect(volts([twoUnits, cold], 'A')).toBe('failed');
    expect(volts([cold, twoUnits], 'A')).toBe('failed');
    expect(volts([cold, twoUnits], 'B')).toBe('passed');
    expect(volts([cold, twoUnits, cold], 'B')).toBe('failed');
    expect(volts([twoUnits, cold, twoUnits], 'C')).toBe('passed');
  });

  it('leaves a unit without strings waiting for some', () => {
    const none = {
      ...twoUnits,
      strings: twoUnits.strings.map((s) => ({ ...s, place: s.place?.inverterId === 'inv-1' ? null : s.place })),
    };
    const e = after(none);
    // No input is left to judge: the reading proves nothing, and what rested on it is stale.
    expect(e.gate('I-DCLAND', 'inv-1')?.state).toBe('locked');
    expect(e.gate('I-COVER', 'inv-1')).toMatchObject({ state: 'stale', waitsFor: ['I-DCLAND@inv-1'] });
    const crew = new Crew(none);
    crew.site();
    for (const gate of ['I-MOUNT', 'I-PE'] as const) crew.prove(gate, 'inv-1');
    const landed = crew.tick('I-DCLAND', 'inv-1', 'fail');
    const covered = crew.tick('I-COVER', 'inv-1', 'pass');
    const bare = evidence({ releases: [{ ...A, design: none }], entries: crew.entries }, crew.nowMs + 60_000);
    expect(bare.notes.has(landed.id)).toBe(false);
    expect(bare.notes.get(covered.id)).toBe('Not closed when it was made: I-TORQ@inv-1, I-DCLAND@inv-1, I-ADDR@inv-1.');
  });
});
