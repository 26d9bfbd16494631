import { describe, expect, it } from 'vitest';
import { torqueTarget } from '../ac/torque';
import { withRun } from '../ac/edits';
import type { SiteDesign } from '../design';
import type { Instrument } from '../equipment/instrument';
import type { Check } from '../kernel/check';
import type { LiftWay } from '../mounting/lift/liftWay';
import { BLANK_LIFT } from '../mounting/lift/liftWay';
import { lineOf } from '../site/line';
import { Crew, INSTRUMENTS, healthy } from '../testing/crew';
import type { Over } from '../testing/crew';
import { runOf } from '../testing/examples';
import { twoUnits } from '../testing/handedOver';
import type { Entry, EntrySubject } from './entry';
import { evidence } from './evidence';
import { gateRow } from './gates/machine';
import type { Judgement, Result } from './kind';
import { KINDS, kindNamed } from './kinds';
import { FIELD_CAUSES } from './tables/fieldCauses';

/** What kinds ask of a reading that is not as it should be. Limits are those of the rules and their sources; here the right thing is compared. */

const SITE: EntrySubject = { scope: 'site', id: 'site' };
const UNIT: EntrySubject = { scope: 'inverter', id: 'inv-1' };
const STRING: EntrySubject = { scope: 'string', id: 's-1' };
const OTHER: EntrySubject = { scope: 'string', id: 's-2' };

/** A reading beside others of the same crew, held against a design. */
function judged(
  kind: string,
  part: EntrySubject,
  values: object,
  { design = twoUnits, over = {}, beside = [] }: { design?: SiteDesign; over?: Over; beside?: readonly Beside[] } = {},
): Judgement {
  const crew = new Crew(twoUnits);
  for (const b of beside) crew.add(kind, b.part, { ...healthy(kind, twoUnits, b.part), ...b.values }, { minutes: 0.1 });
  const entry = crew.add(kind, part, { ...healthy(kind, twoUnits, part), ...values }, { minutes: 0.1, ...over });
  const releases = [{ letter: 'A', atMs: 0, design }];
  return evidence({ releases, entries: crew.entries }, crew.nowMs).judgement(entry);
}
interface Beside {
  readonly part: EntrySubject;
  readonly values: object;
}
const HELPER: Over = { role: 'helper', licensedUntil: null };
/** One of two parts of a string, read well. */
const partRead = (crew: Crew, part: number, { values, ...over }: Over & { values?: object } = {}) =>
  crew.add(
    'dc-insulation',
    STRING,
    { ...healthy('dc-insulation', twoUnits, STRING), part, ofParts: 2, ...values },
    { minutes: 5, ...over },
  );
/** What is not as it should be: rule and verdict of every check that does not hold. */
const odd = ({ checks }: Judgement) => checks.flatMap((c) => (c.verdict === 'holds' ? [] : [`${c.id} ${c.verdict}`]));
const says = (j: Judgement) => j.says.map((s) => `${s.gate} ${s.result}`);
const told = ({ checks }: Judgement, id: string): readonly string[] =>
  checks.filter((c: Check) => c.id === `proving.${id}` && c.verdict !== 'holds').flatMap((c) => c.working);
const survey = (over: object): SiteDesign => ({ ...twoUnits, survey: { ...twoUnits.survey, ...over } });
const type = (over: object): SiteDesign => ({
  ...twoUnits,
  equipment: { ...twoUnits.equipment, inverters: twoUnits.equipment.inverters.map((t) => ({ ...t, ...over })) },
});
const LAPSED: Instrument = { ...INSTRUMENTS['earth tester'], calibratedUntil: '2026-05-03' };

describe('earths', () => {
  it('ask for length, section and metal of each conductor that nobody drew', () => {
    const nothing = {
      firstLengthM: null,
      firstMm2: null,
      firstMetal: null,
      secondLengthM: null,
      secondMm2: null,
      secondMetal: null,
    };
    expect(told(judged('earth', SITE, nothing), 'earth-continuity')).toEqual(
      ['bar to transformer earth', 'bar to the furthest frames'].map(
        (name) => `Missing: length of the ${name}, section of the ${name}, metal of the ${name}`,
      ),
    );
    for (const [missing, what] of [
      [{ firstLengthM: null }, 'length of the bar to transformer earth'],
      [{ firstMm2: null }, 'section of the bar to transformer earth'],
      [{ secondMetal: null }, 'metal of the bar to the furthest frames'],
    ] as const)
      expect(told(judged('earth', SITE, missing), 'earth-continuity')).toEqual([`Missing: ${what}`]);
    expect(says(judged('earth', SITE, { secondMetal: null }))).toEqual(['S-EARTH null']);
  });
  it('of a unit are those that its run draws; the way to the chassis is measured', () => {
    // What was typed for drawn conductors is not what counts.
    const typed = { firstLengthM: 4000, firstMm2: 1, firstMetal: 'Al', secondMm2: 1, secondMetal: 'Al' };
    expect(odd(judged('earth', UNIT, typed))).toEqual([]);
    expect(told(judged('earth', UNIT, { ...typed, secondLengthM: null }), 'earth-continuity')).toEqual([
      'Missing: length of the chassis earth',
    ]);
    const bare = { ...twoUnits, runs: [] };
    expect(odd(judged('earth', UNIT, {}, { design: bare }))).toEqual([]);
    expect(
      told(judged('earth', UNIT, { firstMm2: null, secondMm2: null }, { design: bare }), 'earth-continuity'),
    ).toEqual(['Missing: section of the PE bar', 'Missing: section of the chassis earth']);
    const long = withRun(twoUnits, runOf('inv-1', { lengthM: 900, peMm2: 16 }));
    expect(odd(judged('earth', UNIT, { firstOhm: 1.1 }, { design: long }))).toEqual([]);
    expect(odd(judged('earth', UNIT, { firstOhm: 1.1 }))).toEqual(['proving.earth-continuity stop']);
    expect(odd(judged('earth', UNIT, { secondOhm: 1.1 }))).toEqual(['proving.earth-continuity stop']);
  });
  it('are those of the unit’s own run', () => {
    const two: EntrySubject = { scope: 'inverter', id: 'inv-2' };
    const long = withRun(twoUnits, runOf('inv-2', { lengthM: 900, peMm2: 16, externalEarthMm2: 16 }));
    expect(odd(judged('earth', two, { firstOhm: 1.1 }, { design: long }))).toEqual([]);
    expect(odd(judged('earth', UNIT, { firstOhm: 1.1 }, { design: long }))).toEqual(['proving.earth-continuity stop']);
    // Without an external earth there is a joint less, and it is the second unit's run that says so.
    const plain = withRun(twoUnits, runOf('inv-2', { externalEarthMm2: null }));
    const joints = (design: SiteDesign, part: EntrySubject) =>
      judged('torque', part, {}, { design }).checks.filter((c) => c.id === 'proving.torque').length;
    expect(joints(plain, UNIT) - joints(plain, two)).toBe(1);
  });
  it('have a form that asks for what no design draws', () => {
    const asked = (design: SiteDesign, part: EntrySubject) =>
      kindNamed('earth')
        .form?.(design, part)
        ?.groups.map((g) => [g.title, g.paths.length]);
    expect(asked(twoUnits, UNIT)).toEqual([
      ['First: PE bar. Second: chassis stud', 6],
      ['Conductors, where the design does not draw them', 1],
    ]);
    expect(asked({ ...twoUnits, runs: [] }, UNIT)?.[1]).toEqual(['Conductors, where the design does not draw them', 6]);
    expect(asked(twoUnits, SITE)?.[1]).toEqual(['The two conductors', 6]);
  });
});

describe('a lapsed calibration', () => {
  it('softens whatever was measured with it, to the last day printed', () => {
    expect(odd(judged('earth', SITE, {}, { over: { instrument: LAPSED } }))).toEqual(['proving.calibration tight']);
    const last = { ...LAPSED, calibratedUntil: '2026-05-04' };
    expect(odd(judged('earth', SITE, {}, { over: { instrument: last } }))).toEqual([]);
  });
});

describe('the supply and a unit’s voltages', () => {
  it('are held against survey, code and, at the unit, its own sheet', () => {
    expect(odd(judged('ac-voltages', UNIT, {}, { design: type({ lineMinV: 405 }) }))).toEqual([
      'proving.unit-window stop',
    ]);
    expect(odd(judged('ac-voltages', UNIT, {}, { design: type({ lineMaxV: 399 }) }))).toEqual([
      'proving.unit-window stop',
    ]);
    expect(odd(judged('ac-voltages', UNIT, { frequencyHz: 45 }))).toEqual(['proving.frequency stop']);
    expect(odd(judged('ac-voltages', UNIT, { rotation: 'reversed' }))).toEqual(['proving.rotation tight']);
    const blind = { design: survey({ lineV: null }) };
    for (const [kind, part] of [
      ['supply', SITE],
      ['ac-voltages', UNIT],
    ] as const)
      expect(odd(judged(kind, part, {}, blind))).toContain('proving.supply-signature unknown');
  });
  it('want the repeat at the board and not at the unit, and the neutral where the unit has one', () => {
    const once = { l1peLowV: null, l2peLowV: null, l3peLowV: null };
    expect(odd(judged('supply', SITE, once))).toEqual(['proving.supply-signature tight']);
    expect(says(judged('supply', SITE, once))).toEqual(['S-SUPPLY caution']);
    const bare = { l1nV: null, l2nV: null, l3nV: null, npeV: null };
    const five = type({ wiring: '5-wire' });
    expect(odd(judged('ac-voltages', UNIT, bare, { design: five }))).toContain('proving.neutral-read unknown');
    expect(odd(judged('ac-voltages', UNIT, bare, { design: type({ wiring: '3-wire plus PE' }) }))).not.toContain(
      'proving.neutral-read unknown',
    );
    const title = (design: SiteDesign) => kindNamed('ac-voltages').form?.(design, UNIT)?.groups[0]?.title;
    expect(title(five)).toBe('At the line side of the open isolator');
    expect(title(type({ wiring: '3-wire plus PE' }))).toMatch(/; no neutral at this unit$/);
    const board = (design: SiteDesign) => kindNamed('supply').form?.(design, SITE)?.groups[0]?.title;
    expect(board(twoUnits)).toBe('Ten voltages');
    expect(board(survey({ service: 'earthed wye, neutral not brought out' }))).toBe('Nine voltages: no neutral is run');
  });
});

describe('insulation', () => {
  it('of an AC run is tested for the higher of the survey’s and the unit’s voltage', () => {
    expect(says(judged('ac-insulation', UNIT, {}))).toEqual(['I-ACIR pass']);
    expect(says(judged('ac-insulation', UNIT, {}, { design: type({ nominalLineV: 800 }) }))).toEqual(['I-ACIR null']);
    expect(says(judged('ac-insulation', UNIT, {}, { design: survey({ lineV: 690 }) }))).toEqual(['I-ACIR null']);
    expect(says(judged('ac-insulation', UNIT, {}, { design: survey({ lineV: null }) }))).toEqual(['I-ACIR pass']);
  });
  it('of a split section closes with its last part, by the newest reading of each', () => {
    const part = (n: number, over: object = {}) => ({ part: STRING, values: { part: n, ofParts: 3, ...over } });
    const last = (beside: readonly Beside[], over: object = {}) =>
      says(judged('dc-insulation', STRING, { part: 3, ofParts: 3, ...over }, { beside }))[0];
    expect(last([part(1), part(2)])).toBe('D-IR pass');
    expect(last([part(1)])).toBe('D-IR null');
    expect(last([])).toBe('D-IR null');
    expect(last([part(1), part(2, { megohm: 0.2 })])).toBe('D-IR null');
    expect(last([part(1), part(2, { megohm: 0.2 }), part(2)])).toBe('D-IR pass');
    expect(last([part(1), part(2), part(2, { megohm: 0.2 })])).toBe('D-IR null');
    expect(last([part(1), part(2)], { megohm: 0.2 })).toBe('D-IR fail');
    // Split anew into another number of parts: what was read of the old ones is no part of it.
    expect(last([part(1), part(2), part(1, { ofParts: 2 })])).toBe('D-IR null');
    expect(last([part(1), { part: { scope: 'string', id: 's-2' }, values: { part: 2, ofParts: 3 } }])).toBe(
      'D-IR null',
    );
    expect(last([part(1), part(3)])).toBe('D-IR null');
    const typed = (part: number) =>
      kindNamed('dc-insulation').values.safeParse({ testV: 1500, megohm: 9, seconds: 60, part, ofParts: 3 });
    expect([3, 4].map((n) => typed(n).success)).toEqual([true, false]);
  });
  it.each<[string, Result, (crew: Crew) => void]>([
    ['nothing between', 'pass', () => undefined],
    ['the string made anew', null, (crew) => crew.add('happening', STRING, { what: 'string re-made', seen: 'plug' })],
    [
      'an earth fault of its unit',
      null,
      (crew) => crew.add('happening', UNIT, { what: 'earth fault on the DC side', seen: 'code' }),
    ],
    [
      'a fault of another string',
      'pass',
      (crew) => crew.add('happening', OTHER, { what: 'string cable damaged', seen: 'cut' }),
    ],
    [
      'a cover that was opened',
      'pass',
      (crew) => crew.add('happening', UNIT, { what: 'cover opened', seen: 'to look' }),
    ],
    [
      'the string made anew at the very moment of the reading',
      null,
      (crew) => {
        const { doneAt } = crew.entries.at(-1) as Entry;
        crew.add('happening', STRING, { what: 'string re-made', seen: 'plug' }, { doneAt });
      },
    ],
    ['the gate failed by hand', null, (crew) => crew.tick('D-IR', STRING.id, 'fail')],
    ['the gate ticked as passed by hand', 'pass', (crew) => crew.tick('D-IR', STRING.id, 'pass')],
    ['another gate failed by hand', 'pass', (crew) => crew.tick('D-ID', STRING.id, 'fail')],
    ['the same gate of another string failed', 'pass', (crew) => crew.tick('D-IR', OTHER.id, 'fail')],
    ['a helper who reads it low', null, (crew) => partRead(crew, 1, { values: { megohm: 0.2 }, ...HELPER })],
    ['a helper who reads it well', 'pass', (crew) => partRead(crew, 1, HELPER)],
  ])('of a split section takes a part with all that stands beside it: %s', (_, result, between) => {
    const crew = new Crew(twoUnits);
    partRead(crew, 1);
    between(crew);
    const last = partRead(crew, 2);
    const releases = [{ letter: 'A', atMs: 0, design: twoUnits }];
    expect(evidence({ releases, entries: crew.entries }, crew.nowMs).judgement(last).says[0]?.result).toBe(result);
  });
  it('of a split section is closed by its last part, not by one that another came after', () => {
    const crew = new Crew(twoUnits);
    const first = partRead(crew, 1);
    const last = partRead(crew, 2);
    crew.add('happening', STRING, { what: 'string re-made', seen: 'plug' });
    const releases = [{ letter: 'A', atMs: 0, design: twoUnits }];
    const e = evidence({ releases, entries: crew.entries }, crew.nowMs);
    // What happens behind the last part makes the gate stale, and changes nothing of what was read.
    expect([first, last].map((part) => e.judgement(part).says[0]?.result)).toEqual([null, 'pass']);
  });
  it('of a split section is as good as its worst part, and proves nothing by one that a helper read', () => {
    const by = (over: Over) => {
      const crew = new Crew(twoUnits);
      partRead(crew, 1, over);
      const last = partRead(crew, 2);
      const releases = [{ letter: 'A', atMs: 0, design: twoUnits }];
      return evidence({ releases, entries: crew.entries }, crew.nowMs).judgement(last).says[0]?.result;
    };
    expect(by({})).toBe('pass');
    expect(by(HELPER)).toBeNull();
    expect(by({ instrument: { ...INSTRUMENTS['insulation tester'], calibratedUntil: '2026-05-03' } })).toBe('caution');
  });
});

describe('landing', () => {
  /** Every string on one unit. */
  const all: SiteDesign = {
    ...twoUnits,
    strings: twoUnits.strings.map((s, i) => ({
      ...s,
      place: { inverterId: 'inv-1', tracker: i + 1, input: 1, branch: 1 as const },
    })),
  };
  const inputs = (change: (v: number, i: number) => number | null) => {
    const { inputs: own } = healthy('landing', twoUnits, UNIT) as { inputs: { stringId: string; voltageV: number }[] };
    return {
      inputs: own.flatMap((x, i) => {
        const voltageV = change(x.voltageV, i);
        return voltageV === null ? [] : [{ ...x, voltageV }];
      }),
    };
  };
  it('asks for every string that hangs there, by its input', () => {
    const j = judged(
      'landing',
      UNIT,
      inputs((v, i) => (i === 0 ? null : v)),
    );
    expect(odd(j)).toEqual(['proving.landed-input unknown']);
    expect(told(j, 'landed-input')).toEqual(['Missing: voltage at this input']);
    expect(judged('landing', UNIT, {}).checks.filter((c) => c.id === 'proving.landed-input')).toHaveLength(
      lineOf(twoUnits).unit('inv-1')?.strings.length ?? -1,
    );
  });
  it('counts a reversed string among nobody’s sisters', () => {
    // Of three others one is reversed: two are too few to be held against.
    const volts = [50, 50, -50, 47];
    const read = { inputs: all.strings.map((s, i) => ({ stringId: s.id, voltageV: s.modules * (volts[i] ?? 0) })) };
    expect(odd(judged('landing', UNIT, read, { design: all }))).toEqual(['proving.landed-input stop']);
  });
  it('stops at a string that is reversed, or over its limit', () => {
    for (const wrong of [(v: number) => -v, () => 0, () => 1490])
      expect(
        odd(
          judged(
            'landing',
            UNIT,
            inputs((v, i) => (i === 0 ? wrong(v) : v)),
          ),
        ),
      ).toEqual(['proving.landed-input stop']);
    const unknown = judged('landing', UNIT, {}, { design: survey({ building: null }) });
    expect(new Set(told(unknown, 'landed-input'))).toEqual(new Set(['Missing: DC limit']));
  });
  it('holds an input against the median of three alike and more, carried to its length', () => {
    // Four strings on one unit: three others are enough, two are not.
    const perModule = (of: SiteDesign, volts: readonly number[]) => ({
      inputs: of.strings.map((s, i) => ({ stringId: s.id, voltageV: s.modules * (volts[i] ?? 0) })),
    });
    expect(all.strings).toHaveLength(4);
    const read = (volts: readonly number[], design = all) =>
      odd(judged('landing', UNIT, perModule(design, volts), { design }));
    expect(read([50, 50, 50, 50])).toEqual([]);
    expect(read([50, 50, 50, 47])).toEqual(['proving.landed-input stop']);
    expect(read([50, 50, 47], { ...all, strings: all.strings.slice(0, 3) })).toEqual([]);
    // A shorter one is like the others module by module.
    const mixed = { ...all, strings: all.strings.map((s, i) => (i === 3 ? { ...s, modules: s.modules - 4 } : s)) };
    expect(read([50, 50, 50, 50], mixed)).toEqual([]);
  });
});

describe('torque', () => {
  const studs = torqueTarget(lineOf(twoUnits).unit('inv-1')?.type.bay as never);
  const joints = (change: (at: string, nm: number) => number | null) => {
    const own = healthy('torque', twoUnits, UNIT) as { joints: { at: string; appliedNm: number }[] };
    return {
      joints: own.joints.flatMap(({ at, appliedNm }) => {
        const nm = change(at, appliedNm);
        return nm === null ? [] : [{ at, appliedNm: nm }];
      }),
    };
  };
  it('is asked of every joint, by name', () => {
    const j = judged(
      'torque',
      UNIT,
      joints((at, nm) => (at === 'board L2' ? null : nm)),
    );
    expect(odd(j)).toEqual(['proving.torque unknown']);
    expect(told(j, 'torque')).toEqual(['Missing: torque applied at board L2']);
  });
  it('is held against the studs at the unit, and against the print at the board', () => {
    const high = (studs?.highNm ?? 0) + 0.1;
    expect(
      odd(
        judged(
          'torque',
          UNIT,
          joints((at, nm) => (at === 'unit L1' ? high : nm)),
        ),
      ),
    ).toEqual(['proving.torque stop']);
    const print = { boardTargetNm: 40 };
    const board = (nm: number) =>
      odd(judged('torque', UNIT, { ...print, ...joints((at, x) => (at.startsWith('board') ? nm : x)) }));
    expect(new Set(board(40))).toEqual(new Set());
    expect(new Set(board(35.9))).toEqual(new Set(['proving.torque stop']));
  });
  it('wants marks, and a tool in its range', () => {
    expect(new Set(odd(judged('torque', UNIT, { witnessMarks: false })))).toEqual(
      new Set(['proving.witness-marks tight']),
    );
    const tool = (max: number): Over => ({
      instrument: {
        ...INSTRUMENTS['torque tool'],
        ranges: [{ of: 'torque', min: 0.1, max, accuracyPercent: null, digits: null, resolution: null }],
      },
    });
    expect(new Set(odd(judged('torque', UNIT, {}, { over: tool(400) })))).toEqual(
      new Set(['proving.torque-tool stop']),
    );
    const silent = { instrument: { ...INSTRUMENTS['torque tool'], ranges: [] } };
    expect(new Set(odd(judged('torque', UNIT, {}, { over: silent })))).toEqual(
      new Set(['proving.torque-tool unknown']),
    );
  });
  it('looks at the order in which the joints were tightened, where somebody stood there', () => {
    const { joints } = healthy('torque', twoUnits, UNIT) as { joints: { at: string; appliedNm: number }[] };
    const apart = (s: number, order = joints) => ({ joints: order.map((j, i) => ({ ...j, afterS: s * i })) });
    expect(odd(judged('torque', UNIT, apart(30)))).toEqual([]);
    const back = judged('torque', UNIT, apart(30, [...joints].reverse()));
    expect(odd(back)).toEqual(['proving.tightening-order tight']);
    expect(told(back, 'tightening-order')).toContain('unit PE after the lines: the earth comes first');
    const asked = (values: object) =>
      kindNamed('torque').question?.(
        { ...healthy('torque', twoUnits, UNIT), ...values } as never,
        { design: twoUnits, subject: UNIT, instrument: null } as never,
      );
    expect([asked(apart(30)), asked({})]).toEqual([null, null]);
    expect(asked(apart(2))).toBe(
      `${joints.length - 1} of ${joints.length} joints were typed sooner than anybody tightens the next. Entered later from paper? Keep a photo of it.`,
    );
    expect(odd(judged('torque', UNIT, apart(2, [...joints].reverse())))).toEqual([]);
  });
  it('asks about equal figures of a tool that is read off, at each end by its own target', () => {
    const own = healthy('torque', twoUnits, UNIT);
    const asked = (over: object, instrument: Instrument | null = INSTRUMENTS['torque tool']) =>
      kindNamed('torque').question?.(
        { ...own, ...over } as never,
        { design: twoUnits, subject: UNIT, instrument } as never,
      );
    expect(asked({ mode: 'readout' })).toMatch(/joints read .* N·m\. A tool that is read off usually varies/);
    expect(asked({ mode: 'click' })).toBeNull();
    expect(asked({ mode: 'readout' }, null)).toBeNull();
    expect(asked({ mode: 'readout' })).toBe(asked({ mode: 'readout' }));
    // Two ends of five and six joints with other targets: too few of each to ask about.
    expect(asked({ mode: 'readout', boardTargetNm: 30 })).toBeNull();
    // Against a small target one display step is wide, and equal figures are likely.
    const nine = (end: RegExp) => {
      const { at } = (own['joints'] as { at: string }[]).find((j) => end.test(j.at)) as { at: string };
      const joints = Array.from({ length: 9 }, () => ({ at, appliedNm: 25 }));
      return asked({ mode: 'readout', boardTargetNm: 0.5, joints });
    };
    expect([nine(/unit/), nine(/board/)]).toEqual([expect.stringMatching(/9 joints read/), null]);
  });
});

describe('a part that the design does not have', () => {
  it('is proved by no kind, and no kind fails inside over it', () => {
    const bare = { ...twoUnits, inverters: [], strings: [], runs: [], hung: [] };
    const gone = { ...bare, chain: { ...bare.chain, devices: [] } };
    const beside = ['as-drilled', 'received', 'lift'];
    for (const k of KINDS.filter(({ kind, gates }) => (gates.length > 0 && kind !== 'step') || beside.includes(kind)))
      for (const part of [UNIT, STRING].filter((p) => k.scopes.includes(p.scope))) {
        const says = judged(k.kind, part, {}, { design: gone }).says;
        const own = k.gates.filter((gate) => gateRow(gate).scope === part.scope);
        expect(
          says.map((s) => [s.gate, s.result]),
          k.kind,
        ).toEqual(own.map((gate) => [gate, null]));
      }
  });
});

describe('on the wall', () => {
  const body = (over: object): SiteDesign => ({
    ...twoUnits,
    equipment: {
      ...twoUnits.equipment,
      inverters: twoUnits.equipment.inverters.map((t) => ({ ...t, body: { ...t.body, ...over } })),
    },
  });
  const holes = twoUnits.equipment.inverters[0]?.body.bracketHoles ?? [];
  it('holes as drilled are held against the set-out of every bracket with two holes or more', () => {
    const of = (design: SiteDesign, values = healthy('as-drilled', design, UNIT)) =>
      judged('as-drilled', UNIT, values, { design });
    expect(of(twoUnits).checks.map((c) => `${c.id} ${c.verdict}`)).toEqual(['proving.holes-as-drilled holds']);
    const two = body({ bracketHoles: holes.slice(0, 2) });
    expect(of(two).checks.map((c) => c.verdict)).toEqual(['holds']);
    // One hole turns a bracket any way, and without the wall nobody knows where the holes belong.
    const measured = healthy('as-drilled', twoUnits, UNIT);
    for (const nowhere of [body({ bracketHoles: holes.slice(0, 1) }), { ...twoUnits, hung: [] }])
      expect(of(nowhere, measured)).toEqual({ checks: [], says: [] });
  });
  it('holes that nobody measured are named', () => {
    const { holes: all } = healthy('as-drilled', twoUnits, UNIT) as { holes: readonly { name: string }[] };
    expect(told(judged('as-drilled', UNIT, { holes: all.slice(1) }), 'holes-as-drilled')[0]).toBe(
      `Missing: hole ${all[0]?.name}`,
    );
  });
  it('a bracket has as many fixings to tighten as its sheet has holes, four where it gives none', () => {
    const fixings = (design: SiteDesign) =>
      Object.keys(kindNamed('mounted').form?.(design, UNIT)?.schema.shape ?? {}).filter((k) => /^fixing\d/.test(k))
        .length;
    expect([twoUnits, body({ bracketHoles: holes.slice(0, 3) }), body({ bracketHoles: [] })].map(fixings)).toEqual([
      4, 3, 4,
    ]);
  });
});

describe('strings', () => {
  const perModule = 50;
  const strings: readonly EntrySubject[] = twoUnits.strings.map(({ id }) => ({ scope: 'string', id }));
  const volts = (part: EntrySubject, of = perModule) => of * (lineOf(twoUnits).string(part.id)?.string.modules ?? 0);
  it('are held against their sisters from three on, each by its newest reading, and against what is expected before', () => {
    const others = (...of: readonly (readonly [number, number])[]): Beside[] =>
      of.map(([n, v]) => ({
        part: strings[n] as EntrySubject,
        values: { voltageV: volts(strings[n] as EntrySubject, v) },
      }));
    const ids = (beside: readonly Beside[], voltageV = volts(STRING)) =>
      judged('string-test', STRING, { voltageV }, { beside }).checks.map((c) => c.id);
    expect(ids(others([1, 50], [2, 50]))).toContain('proving.expected-voltage');
    expect(ids(others([1, 50], [2, 50], [2, 50]))).toContain('proving.expected-voltage');
    expect(ids(others([1, 50], [2, 50], [3, 50]))).toContain('proving.likeness');
    // One that reads reversed is nobody's sister.
    expect(ids(others([1, 50], [2, 50], [3, -50]))).toContain('proving.expected-voltage');
    const like = (beside: readonly Beside[]) =>
      judged('string-test', STRING, { voltageV: volts(STRING) }, { beside }).checks.find(
        (c) => c.id === 'proving.likeness',
      )?.verdict;
    expect(like(others([1, 50], [2, 50], [3, 50]))).toBe('holds');
    expect(like(others([1, 40], [2, 40], [3, 40], [1, 50], [2, 50], [3, 50]))).toBe('holds');
    expect(like(others([1, 50], [2, 50], [3, 50], [1, 40], [2, 40], [3, 40]))).toBe('stop');
  });
  it('have a polarity of their own beside everything else', () => {
    expect(says(judged('string-test', STRING, { voltageV: -volts(STRING) }))).toEqual(['D-POL fail', 'D-VOC fail']);
    expect(says(judged('string-test', STRING, { lightAt: '2026-05-04T03:00:00.000Z' }))).toEqual([
      'D-POL pass',
      'D-VOC null',
    ]);
    expect(
      says(
        judged(
          'string-test',
          STRING,
          {},
          { over: { instrument: { ...INSTRUMENTS['PV tester'], calibratedUntil: '2026-05-03' } } },
        ),
      ),
    ).toEqual(['D-POL pass', 'D-VOC caution']);
  });
  it('are swapped with the nearest other length of the plan, and with none where all are alike', () => {
    const swapped = FIELD_CAUSES.find((c) => c.cause === 'swapped')?.words ?? '';
    const { voltageV } = healthy('string-test', twoUnits, STRING) as { voltageV: number };
    const own = lineOf(twoUnits).string(STRING.id)?.string.modules ?? 0;
    const said = (others: readonly number[], modules: number) => {
      const strings = twoUnits.strings.map((s, i) => ({ ...s, modules: others[i - 1] ?? own }));
      const j = judged(
        'string-test',
        STRING,
        { voltageV: (voltageV * modules) / own },
        { design: { ...twoUnits, strings } },
      );
      return j.checks.find((c) => c.id === 'proving.cause')?.working.join(' ') ?? '';
    };
    expect(said([6, 12], 12)).toContain(swapped);
    expect(said([12, 6], 12)).toContain(swapped);
    expect(said([6, 12], 6)).not.toContain(swapped);
    expect(said([], 12)).not.toContain(swapped);
  });
  it('carry a current like their sisters in the same light', () => {
    const current = (n: number, currentA: number): Beside => ({
      part: strings[n] as EntrySubject,
      values: { currentA },
    });
    const healthyA = (healthy('string-current', twoUnits, STRING) as { currentA: number }).currentA;
    const three = [1, 2, 3].map((n) => current(n, healthyA));
    expect(says(judged('string-current', STRING, {}, { beside: three }))).toEqual(['D-ISC pass']);
    expect(says(judged('string-current', STRING, { currentA: 0.93 * healthyA }, { beside: three }))).toEqual([
      'D-ISC caution',
    ]);
    expect(
      says(judged('string-current', STRING, { currentA: 0.93 * healthyA }, { beside: three.slice(0, 2) })),
    ).toEqual(['D-ISC pass']);
    const again = [...three, current(1, 0.93 * healthyA), current(2, 0.93 * healthyA)];
    expect(says(judged('string-current', STRING, { currentA: 0.93 * healthyA }, { beside: again }))).toEqual([
      'D-ISC pass',
    ]);
    expect(says(judged('string-current', STRING, { irradianceEndWm2: 600 }))).toEqual(['D-ISC null']);
  });
});

describe('the rest', () => {
  it('is held against the unit that it stands at', () => {
    expect(odd(judged('residual', UNIT, { ratedMa: 30, rampMa: 25 }))).toContain('proving.residual-floor stop');
    expect(odd(judged('residual', UNIT, {}, { design: type({ maxApparentVa: 900_000 }) }))).toContain(
      'proving.residual-floor stop',
    );
    expect(odd(judged('residual', UNIT, { atRatedMs: 301 }))).toContain('proving.residual-times stop');
    expect(odd(judged('residual', UNIT, { atFiveMs: 41 }))).toEqual(['proving.residual-five stop']);
    expect(odd(judged('residual', UNIT, { atFiveMs: null }))).toEqual([]);
    expect(odd(judged('residual', UNIT, { tripsAtHalf: true }))).toEqual(['proving.residual-ramp stop']);
    expect(says(judged('thermal', UNIT, { currentA: 1 }))).toEqual(['I-THERM null']);
    expect(says(judged('thermal', UNIT, { likeC: 20 }))).toEqual(['I-THERM fail']);
    expect(says(judged('thermal', UNIT, { ambientC: -39 }))).toEqual(['I-THERM fail']);
  });
  it('of the site is held against the code, the unit that came on and the day', () => {
    expect(says(judged('stop', SITE, {}, { design: survey({ gridCode: null }) }))).toEqual(['S-ESTOP null']);
    expect(says(judged('stop', SITE, { restarted: true }))).toEqual(['S-ESTOP fail']);
    expect(says(judged('meter', SITE, { unitId: 'inv-9' }))).toEqual(['S-METER null']);
    expect(says(judged('meter', SITE, { afterKw: 40 }))).toEqual(['S-METER fail']);
    for (const gap of ['change1Kw', 'change2Kw', 'change3Kw'])
      expect(says(judged('meter', SITE, { [gap]: null }))).toEqual(['S-METER null']);
    expect(says(judged('meter', SITE, { change2Kw: -17 }))).toEqual(['S-METER fail']);
    for (const gap of ['transformers', 'plateRatio', 'shownRatio'])
      for (const nothing of [null, undefined])
        expect(says(judged('meter', SITE, { [gap]: nothing }))).toEqual(['S-METER null']);
    expect(says(judged('meter', SITE, { shownRatio: 40 }))).toEqual(['S-METER fail']);
    const until = (validUntil: string) => says(judged('permission', SITE, { validUntil }))[0];
    expect([until('2026-05-04'), until('2026-05-03')]).toEqual(['S-PTO pass', 'S-PTO null']);
  });
});

describe('a lift', () => {
  const way = { ...BLANK_LIFT, by: 'lift table', people: 2, stairsDeg: 0, onWheels: false } as const;
  const on = (lift: Partial<LiftWay> = {}): SiteDesign => ({
    ...twoUnits,
    walls: twoUnits.walls.map((w) => ({ ...w, lift: { ...way, ...lift } })),
  });
  it('goes where the plan of the release holds, by the means at hand and not by those once planned', () => {
    expect(odd(judged('lift', UNIT, {}, { design: on() }))).toEqual([]);
    expect(odd(judged('lift', UNIT, {}, { design: on({ by: 'hoist', people: 1 }) }))).toEqual([]);
    // By hoist instead of the table that was planned: nobody knows the hoist.
    expect(told(judged('lift', UNIT, { by: 'hoist' }, { design: on() }), 'lift-accepted')[0]).toMatch(
      /^Missing: an answer to “Load where the hoist hangs”/,
    );
    expect(odd(judged('lift', UNIT, { people: 1 }, { design: on() }))).toEqual([
      'proving.lift-accepted stop',
      'mounting.people stop',
    ]);
  });
  it('by hand is accepted by the lead with a reason, and not without', () => {
    const byHand = (accepted: string) => odd(judged('lift', UNIT, { by: 'hand', accepted }, { design: on() }));
    expect(byHand('')).toEqual(['proving.lift-accepted stop', 'mounting.handles tight', 'mounting.people tight']);
    expect(byHand('one unit only, four used to it')).toEqual([
      'proving.lift-accepted tight',
      'mounting.handles tight',
      'mounting.people tight',
    ]);
    const heavy = { ...on(), equipment: type({ massKg: 110 }).equipment };
    expect(odd(judged('lift', UNIT, { by: 'hand', people: 3, accepted: 'so' }, { design: heavy }))).toContain(
      'mounting.handles stop',
    );
    expect(odd(judged('lift', UNIT, { people: 3 }, { design: heavy }))).toEqual([]);
  });
  it('of a unit that hangs nowhere is not known; of none it says nothing', () => {
    const nowhere = { ...on(), hung: [] };
    expect(told(judged('lift', UNIT, {}, { design: nowhere }), 'lift-accepted')).toEqual([
      'Missing: a wall that it hangs on',
    ]);
    expect(judged('lift', { scope: 'inverter', id: 'inv-9' }, {}, { design: on() })).toEqual({ checks: [], says: [] });
    expect(kindNamed('lift').form?.(nowhere, UNIT)).toBeNull();
    expect(kindNamed('lift').form?.(on(), UNIT)?.blank).toMatchObject({ by: 'lift table', people: null, gustMs: null });
  });
  it('is written with what was accepted', () => {
    const values = { ...healthy('lift', twoUnits, UNIT), accepted: 'short way' };
    expect(kindNamed('lift').line(values as never)).toBe('by lift table, 2 people, gusts 3 m/s; accepted: short way');
    expect(kindNamed('lift').printed?.row(values as never)).toEqual(['lift table', '2', '3', 'short way']);
  });
});

describe('a set-up sheet', () => {
  const at = (unit: string, values: object, beside: readonly Beside[] = []) =>
    odd(judged('set-up', { scope: 'inverter', id: unit }, values, { beside }));
  it('asks by what meter an export limit is kept, where one is set', () => {
    const meters = (exportLimitKw: number | null) =>
      [null, 'none', 'bus meter'].map((meter) =>
        at('inv-1', { exportLimitKw, meter }).filter((x) => x.startsWith('proving.set-up-meter')),
      );
    expect(meters(60)).toEqual([['proving.set-up-meter unknown'], ['proving.set-up-meter stop'], []]);
    expect(meters(null)).toEqual([[], [], []]);
  });
  it('wants the firmware of the units of its type that were set up before it, and says nothing against those', () => {
    const other = { scope: 'inverter', id: 'inv-2' } as const;
    const firmware = (own: string, beside: readonly Beside[]) =>
      at('inv-1', { firmware: own }, beside).filter((x) => x.startsWith('proving.set-up-firmware'));
    expect(firmware('4.2', [{ part: other, values: { firmware: '4.2' } }])).toEqual([]);
    expect(firmware('4.2', [{ part: other, values: { firmware: '4.1' } }])).toEqual(['proving.set-up-firmware tight']);
    // The newest of it counts, its own earlier sheet is no sister, and a stand-in is none either.
    const twice = ['4.1', '4.2'].map((f) => ({ part: other, values: { firmware: f } }));
    expect(firmware('4.2', twice)).toEqual([]);
    expect(firmware('4.2', [{ part: UNIT, values: { firmware: '4.1' } }])).toEqual([]);
    expect(firmware('4.2', [{ part: other, values: { firmware: '4.1', from: 'stand-in' } }])).toEqual([]);
    const types = twoUnits.equipment.inverters;
    const mixed = {
      ...twoUnits,
      equipment: {
        ...twoUnits.equipment,
        inverters: [...types, { ...(types[0] as (typeof types)[number]), id: 'other' }],
      },
      inverters: twoUnits.inverters.map((u) => (u.id === 'inv-2' ? { ...u, typeId: 'other' } : u)),
    };
    const beside = [{ part: other, values: { firmware: '4.1' } }];
    const own = (design: SiteDesign) => odd(judged('set-up', UNIT, { firmware: '4.2' }, { beside, design }));
    expect(own(twoUnits)).toContain('proving.set-up-firmware tight');
    expect(own(mixed)).not.toContain('proving.set-up-firmware tight');
  });
});

describe('what the instrument may err by', () => {
  /** ± 10 % of the reading and 2 digits of the last place. */
  const mayErr = (
    kind: keyof typeof INSTRUMENTS,
    of: Instrument['ranges'][number]['of'],
    resolution: number,
  ): Over => ({
    instrument: {
      ...INSTRUMENTS[kind],
      ranges: [{ of, min: -1e5, max: 1e5, accuracyPercent: 10, digits: 2, resolution }],
    },
  });
  const with10 = (kind: string, part: EntrySubject, values: object, over: Over) => judged(kind, part, values, { over });

  // U = 10 % of 27.2 V and 0.2 V: 2.92 V, more than the 2.8 V that are left to 30 V. At 27.0 V it is 2.9 V of 3.0 V.
  it('softens a reading that holds within it, and one past its limit stays past it', () => {
    const meter = mayErr('multimeter', 'DC voltage', 0.1);
    const rapid = (outsideV: number, over: Over) => with10('rapid-shutdown', UNIT, { outsideV, insideV: 20 }, over);
    expect(odd(rapid(27.2, {}))).toEqual([]);
    expect(odd(rapid(27.2, meter))).toEqual(['proving.rapid-outside tight']);
    expect(told(rapid(27.2, meter), 'rapid-outside')[1]).toBe('inside what the instrument may err by: ± 2.92 V');
    expect(odd(rapid(27.0, meter))).toEqual([]);
    expect(odd(rapid(30.1, meter))).toEqual(['proving.rapid-outside stop']);
    expect(says(rapid(27.2, meter))).toEqual(['I-RAPID caution']);
  });
  it('is that of the quantity that was read, and of nothing else', () => {
    const other = mayErr('multimeter', 'AC voltage', 0.1);
    expect(odd(with10('rapid-shutdown', UNIT, { outsideV: 29.9, insideV: 20 }, other))).toEqual([]);
    const silent: Over = {
      instrument: {
        ...INSTRUMENTS.multimeter,
        ranges: [
          { of: 'DC voltage', min: 0, max: 1e5, accuracyPercent: null, digits: 2, resolution: 10 },
          { of: 'AC voltage', min: 0, max: 1e5, accuracyPercent: 50, digits: 2, resolution: 10 },
        ],
      },
    };
    expect(odd(with10('rapid-shutdown', UNIT, { outsideV: 29.9, insideV: 20 }, silent))).toEqual([]);
  });
  it('is asked of every limit that an instrument is read against', () => {
    const tester = mayErr('insulation tester', 'insulation', 0.01);
    expect(odd(with10('dc-insulation', STRING, { megohm: 1.1 }, tester))).toEqual(['proving.insulation tight']);
    expect(odd(with10('dc-insulation', STRING, { megohm: 1.14 }, tester))).toEqual([]);
    const watch = mayErr('stopwatch', 'time', 0.1);
    expect(odd(with10('stop', SITE, { secondsToZero: 4.5, statedS: 5 }, watch))).toEqual(['proving.stop tight']);
    const trips = mayErr('residual-current tester', 'trip time', 1);
    expect(odd(with10('residual', UNIT, { delayed: false, atRatedMs: 280 }, trips))).toEqual([
      'proving.residual-times tight',
    ]);
    const delayed = (atRatedMs: number) =>
      odd(with10('residual', UNIT, { delayed: true, atRatedMs, atFiveMs: null }, trips));
    expect([delayed(140), delayed(300), delayed(460)]).toEqual([
      ['proving.residual-times tight'],
      [],
      ['proving.residual-times tight'],
    ]);
    const five = (delayedType: boolean, atFiveMs: number) =>
      odd(with10('residual', UNIT, { delayed: delayedType, atRatedMs: 200, atFiveMs }, trips));
    expect([five(false, 30), five(false, 36), five(false, 41)]).toEqual([
      [],
      ['proving.residual-five tight'],
      ['proving.residual-five stop'],
    ]);
    expect([five(true, 49), five(true, 55), five(true, 100), five(true, 140)]).toEqual([
      ['proving.residual-five stop'],
      ['proving.residual-five tight'],
      [],
      ['proving.residual-five tight'],
    ]);
    // Rated 1100 mA: U of a ramp that trips at 1000 mA is 102 mA, at 950 mA 97 mA of 150.
    const ramps = mayErr('residual-current tester', 'residual current', 1);
    const ramp = (rampMa: number) => odd(with10('residual', UNIT, { rampMa }, ramps));
    expect([ramp(1000), ramp(950), ramp(600)]).toEqual([
      ['proving.residual-ramp tight'],
      [],
      ['proving.residual-ramp tight'],
    ]);
    const ohms = mayErr('earth tester', 'resistance', 0.001);
    const limitOhm = judged('earth', UNIT, {}).checks.find((c) => c.id === 'proving.earth-continuity')?.limit ?? 0;
    const earth = (share: number, over: Over) =>
      with10('earth', UNIT, { firstOhm: share * limitOhm, nullOhm: 0 }, over).checks[0]?.verdict;
    expect([earth(0.95, ohms), earth(0.95, {}), earth(1.05, ohms)]).toEqual(['tight', 'holds', 'stop']);
  });
});

describe('rapid shutdown', () => {
  it('is judged where the unit is, and a part that is not there proves nothing', () => {
    expect(says(judged('rapid-shutdown', UNIT, {}))).toEqual(['I-RAPID pass']);
    expect(says(judged('rapid-shutdown', { scope: 'inverter', id: 'gone' }, {}))).toEqual(['I-RAPID null']);
    expect(says(judged('rapid-shutdown', UNIT, { seconds: 31 }))).toEqual(['I-RAPID null']);
    expect(says(judged('rapid-shutdown', UNIT, { outsideV: 31 }))).toEqual(['I-RAPID fail']);
  });
  it('reads every voltage inside the range of the meter', () => {
    const kind = kindNamed('rapid-shutdown');
    const read = (insideV: number | null) =>
      kind.measured?.({ ...healthy('rapid-shutdown', twoUnits, UNIT), outsideV: 12, insideV } as never);
    const outside = { of: 'DC voltage', value: 12, path: 'outsideV' };
    expect(read(40)).toEqual([outside, { of: 'DC voltage', value: 40, path: 'insideV' }]);
    expect(read(null)).toEqual([outside]);
  });
  it('is asked for on the form of the set-up sheet, where the site has to have it', () => {
    const groups = (design: SiteDesign) => kindNamed('set-up').form?.(design, UNIT)?.groups ?? [];
    const nec = groups(survey({ school: 'NEC', building: 'other building' }));
    expect(nec.filter((g) => g.paths.includes('rapidShutdown'))).toEqual([{ title: 'NEC', paths: ['rapidShutdown'] }]);
    expect(groups(twoUnits).flatMap((g) => g.paths)).not.toContain('rapidShutdown');
  });
  it('is asked for on the set-up sheet of a site that has to have it', () => {
    const at = (over: object, rapidShutdown: boolean | null) =>
      odd(judged('set-up', UNIT, { rapidShutdown }, { design: survey(over) }));
    const nec = { school: 'NEC', building: 'other building' };
    const rapid = (said: readonly string[]) => said.filter((x) => x.startsWith('proving.set-up-rapid'));
    expect([null, true, false].map((v) => rapid(at(nec, v)))).toEqual([
      ['proving.set-up-rapid unknown'],
      [],
      ['proving.set-up-rapid stop'],
    ]);
    expect(rapid(at({ ...nec, building: 'not on a building' }, null))).toEqual([]);
    expect(rapid(at({}, null))).toEqual([]);
  });
});
