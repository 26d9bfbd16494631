import fc from 'fast-check';
import { withRun } from '../ac/edits';
import type { SiteDesign } from '../design';
import { generator } from '../kernel/generator';
import { dayEndMs, siteDay } from '../kernel/siteDay';
import type { Entry, EntrySubject, Role } from '../proving/entry';
import { trueMs } from '../proving/entry';
import type { Evidence } from '../proving/evidence';
import type { Release, SiteLog } from '../proving/evidence/log';
import { inputsOf } from '../proving/evidence/siteModel';
import type { GateId } from '../proving/gates/machine';
import { gateRow } from '../proving/gates/machine';
import { GATE_TABLE } from '../proving/gates/table';
import { measuring } from '../proving/kinds';
import type { StepState } from '../proving/tables/energiseOrders';
import { stepsOf } from '../proving/tables/energiseOrders';
import { withStrings } from '../strings/arrange';
import { legalLayout } from '../strings/layout/legalLayout';
import { Crew, healthy } from './crew';
import { plane, runOf, siteOf } from './examples';
import type { Labels, NaiveSite, Says } from './naiveRecord';

/** Random histories of one unit with one string: several phones, clocks that are off, late mail, corrections, releases, days that end. */

const ZONE = 'Europe/Oslo';
const UNIT = 'inv-1';

const design: SiteDesign = (() => {
  const bare = siteOf(1, [plane('south', 18)]);
  return withRun(withStrings(bare, legalLayout(bare).strings), runOf(UNIT));
})();
const STRING = design.strings[0]?.id ?? '';

/** What a later release changes: nothing, the run, the address, the supply, or the whole unit. */
const CHANGES: readonly ((d: SiteDesign) => SiteDesign)[] = [
  (d) => ({ ...d, board: { ...d.board, label: 'PV board' } }),
  (d) => withRun(d, runOf(UNIT, { sectionMm2: 150 })),
  (d) => ({ ...d, chain: { ...d.chain, devices: d.chain.devices.map((c) => ({ ...c, address: 77 })) } }),
  (d) => ({ ...d, survey: { ...d.survey, gridCode: 'VDE-AR-N 4105' } }),
  (d) => ({ ...d, equipment: { ...d.equipment, inverters: d.equipment.inverters.map((t) => ({ ...t, massKg: 90 })) } }),
  () => design,
];

/** What a measurement says, as its label wants it. */
const VALUES: Readonly<Record<string, Readonly<Partial<Record<Says, Readonly<Record<string, unknown>>>>>>> = {
  'ac-insulation': { pass: {}, caution: { megohm: 4 }, fail: { megohm: 0.2 }, none: { testV: 100 } },
  mounted: { pass: {}, fail: { safetyScrews: 1 } },
  torque: { pass: {}, fail: { boardTargetNm: 12 } },
  'dc-insulation': { pass: {}, none: { testV: 250 } },
  'string-test': { pass: {}, fail: { voltageV: -700 } },
  earth: { pass: {}, fail: { firstOhm: 9 }, none: { testA: 0.01 } },
  landing: { pass: {} },
  permission: { pass: {} },
  supply: { pass: {}, fail: { l1peV: 0.1 } },
  addressed: { pass: {}, fail: { address: 9 }, none: { from: 'stand-in' } },
  'set-up': { pass: {}, fail: { passwordChanged: false }, none: { from: 'stand-in' } },
  'bus-scan': { pass: {}, caution: { groundV: 3 }, fail: { pairOhm: 40 }, none: { from: 'stand-in' } },
  'ac-voltages': { pass: {}, fail: { l12V: 480, l23V: 480, l31V: 480 } },
};
const HAPPENINGS: readonly [string, EntrySubject['scope']][] = [
  ['joint opened', 'inverter'],
  ['unit unsafe', 'inverter'],
  ['site unsafe', 'site'],
  ['storm', 'site'],
  ['plug moved', 'inverter'],
  ['earth fault on the string', 'string'],
  ['string re-made', 'string'],
  ['earth bar opened', 'site'],
  ['parameter changed', 'inverter'],
  ['unit replaced', 'inverter'],
];
const GATES = GATE_TABLE.filter(
  (g) => !g.applies.startsWith('battery') && !['I-RCD', 'S-ESTOP', 'I-RAPID', 'I-DRY'].includes(g.id),
).map((g) => g.id as GateId);
const PEOPLE: readonly { role: Role; licensedUntil?: string | null }[] = [
  { role: 'electrician' },
  { role: 'electrician' },
  { role: 'electrician', licensedUntil: '2026-05-03' },
  { role: 'lead' },
  { role: 'helper' },
  { role: 'designer' },
];

const objectOf = (scope: string): EntrySubject =>
  ({ scope, id: scope === 'site' ? 'site' : scope === 'inverter' ? UNIT : STRING }) as EntrySubject;

export interface History {
  readonly log: SiteLog;
  readonly labels: Labels;
  readonly site: NaiveSite;
  readonly nowMs: number;
  /** How many events at the start are always the same. */
  readonly prefix: string;
  readonly beginning: readonly string[];
}

/** Beginnings that every history shares, the labels of their readings with them. */
const BEGINNINGS: readonly { readonly name: string; readonly crew: Crew }[] = [
  { name: 'nothing', crew: new Crew(design) },
  {
    name: 'site',
    crew: (() => {
      const c = new Crew(design);
      c.site();
      return c;
    })(),
  },
  {
    name: 'permitted',
    crew: (() => {
      const c = new Crew(design);
      c.site();
      c.unit(UNIT);
      c.prove('I-SETUP', UNIT);
      return c;
    })(),
  },
  {
    name: 'on grid',
    crew: (() => {
      const c = new Crew(design);
      c.site();
      c.unit(UNIT);
      c.switch(UNIT);
      return c;
    })(),
  },
];
const labelsOf = (entries: readonly Entry[]): [string, Record<string, Says>][] =>
  entries.flatMap((e): [string, Record<string, Says>][] => {
    const gates = GATES.filter((g) => measuring(g)?.kind === e.kind && gateRow(g).scope === e.subject.scope);
    return gates.length && e.kind !== 'step' ? [[e.id, Object.fromEntries(gates.map((g) => [g, 'pass' as Says]))]] : [];
  });

/** A history from sources of random numbers in [0, 1): the same numbers, the same history. `aside`: whether and how its days end. */
function randomHistory(next: () => number, length: number, aside: () => number): History {
  const whole = (n: number) => Math.floor(next() * n);
  const one = <T>(of: readonly T[]): T => of[whole(of.length)] as T;
  const beginning = one(BEGINNINGS);
  const entries: Entry[] = [...beginning.crew.entries];
  const labels = new Map<string, Record<string, Says>>(labelsOf(entries));
  const releases: Release[] = [{ letter: 'A', atMs: Date.parse('2026-05-01T08:00:00Z'), design }];
  const clocks = ['p1', 'p2', 'p3'].map((id) => ({
    id,
    offsetMs: one([0, 0, 40_000, -3_600_000]),
    roundTripMs: one([0, 400, 6000]),
    seq: 0,
  }));
  let ms = beginning.crew.nowMs + 60_000;
  let serial = 0;
  const made: Entry[] = [];

  const add = (
    kind: string,
    subject: EntrySubject,
    values: Readonly<Record<string, unknown>>,
    over: Record<string, unknown> = {},
  ): Entry => {
    const clock = one(clocks);
    clock.seq += 1;
    serial += 1;
    const person = one(PEOPLE);
    const known = releases.filter((r) => r.atMs <= ms);
    const crew = new Crew(design, undefined, clock.id);
    const entry = crew.add(kind, subject, values, {
      by: 'somebody',
      ...person,
      id: `01969a00-1111-7000-8000-${serial.toString(16).padStart(12, '0')}`,
      device: { seq: clock.seq, offsetMs: clock.offsetMs, roundTripMs: clock.roundTripMs },
      doneAt: new Date(ms - clock.offsetMs + (next() < 0.1 ? one([-20_000, 20_000]) : 0)).toISOString(),
      release: (next() < 0.8 ? known.at(-1) : one(known))?.letter ?? 'A',
      ...over,
    });
    made.push(entry);
    return entry;
  };
  const measure = (gate: GateId, over: Record<string, unknown> = {}) => {
    const by = measuring(gate);
    const subject = objectOf(gateRow(gate).scope);
    const says = by && VALUES[by.kind] ? one(Object.keys(VALUES[by.kind] ?? {}) as Says[]) : 'pass';
    if (!by || by.kind === 'step') return;
    const entry = add(by.kind, subject, { ...healthy(by.kind, design, subject), ...VALUES[by.kind]?.[says] }, over);
    const gates = GATES.filter((g) => measuring(g)?.kind === by.kind && gateRow(g).scope === subject.scope);
    labels.set(entry.id, Object.fromEntries(gates.map((g) => [g, says])));
  };
  const tick = (gate: GateId, over: Record<string, unknown> = {}) =>
    add(
      'gate',
      objectOf(gateRow(gate).scope),
      { gate, result: next() < 0.75 ? 'pass' : 'fail', evidence: 'looked at' },
      over,
    );
  const reason = () => one(['a good and long enough reason', 'short', null]);
  const earlier = () => (next() < 0.6 && made.length ? one(made) : one([...entries, ...made]));

  for (let i = 0; i < length; i++) {
    ms += one([300, 900, 2500, 7000, 60_000, 600_000]);
    if (next() < 0.03) ms = dayEndMs(ms, ZONE) + one([-1500, 200, 30_000_000]);
    const kind = next();
    if (kind < 0.3)
      measure(
        one(GATES.filter((g) => measuring(g) && measuring(g)?.kind !== 'step' && VALUES[measuring(g)?.kind ?? ''])),
      );
    else if (kind < 0.52) tick(one(GATES));
    else if (kind < 0.62) {
      const [what, scope] = one(HAPPENINGS);
      add('happening', objectOf(scope), { what, seen: 'seen so' });
    } else if (kind < 0.7) {
      const gate = next() < 0.6 ? 'I-ACIR' : one(GATES);
      const caution = made.find((e) => labels.get(e.id)?.[gate] === 'caution');
      add(
        'acceptance',
        objectOf(gateRow(gate).scope),
        {
          gate,
          entryId: (next() < 0.8 ? caution : undefined)?.id ?? earlier()?.id ?? '01969a00-1111-7000-8000-000000000fff',
        },
        { reason: reason() },
      );
    } else if (kind < 0.76) {
      const gate = one(['I-TORQ', 'I-COVER', 'D-ID', 'I-MOUNT', 'S-SOAK', one(GATES)] as GateId[]);
      const failed = [...made]
        .reverse()
        .find((e) => labels.get(e.id)?.[gate] === 'fail' || (e.kind === 'gate' && e.values['gate'] === gate));
      add(
        'waiver',
        objectOf(gateRow(gate).scope),
        { gate, entryId: next() < 0.3 ? null : (failed?.id ?? null), reviewDays: one([1, 2, 90]) },
        { reason: reason() },
      );
    } else if (kind < 0.86) {
      const target = earlier();
      if (
        !target ||
        !['gate', 'ac-insulation', 'mounted', 'torque', 'string-test', 'dc-insulation', 'earth'].includes(target.kind)
      )
        continue;
      const over = { corrects: target.id, reason: 'typed wrong' };
      if (target.kind === 'gate') tick(next() < 0.9 ? (target.values['gate'] as GateId) : one(GATES), over);
      else
        measure(
          GATES.find((g) => measuring(g)?.kind === target.kind && gateRow(g).scope === target.subject.scope) ??
            'I-ACIR',
          over,
        );
    } else if (kind < 0.96) {
      const off = next() < 0.4;
      const steps = stepsOf(off ? 'off' : '1').filter((s) => s.state !== 'SETTLED');
      // Mostly the run of steps that follow one another, with the time they take between.
      let at = next() < 0.7 ? 0 : whole(steps.length);
      const run = 1 + whole(off ? 6 : 4);
      for (let n = 0; n < run && at < steps.length; n++, at++) {
        ms += 900_000;
        const step = steps[at] as { state: StepState };
        const made1 = new Crew(design).step(UNIT, off ? 'off' : '1', step.state);
        add(
          'step',
          objectOf('inverter'),
          made1.values,
          next() < 0.85 ? { role: 'electrician', licensedUntil: '2027-12-31' } : {},
        );
        i++;
      }
    } else if (releases.length < 3) {
      const change = one(CHANGES);
      const last = releases.at(-1)?.design ?? design;
      releases.push({ letter: String.fromCharCode(65 + releases.length), atMs: ms, design: change(last) });
    }
  }
  if (aside() < 0.12) daysEnd();
  const nowMs = ms + (aside() < 0.9 ? 1 : 30) * 3_600_000;
  if (aside() < 0.1) rains();
  const all = [...entries, ...made];
  return {
    log: { releases, entries: all },
    labels,
    nowMs,
    prefix: beginning.name,
    beginning: entries.map((e) => e.id),
    site: {
      unit: UNIT,
      strings: [STRING],
      busFitted: true,
      rcd: false,
      stop: false,
      contacts: false,
      inputs: (letter, gate, object) =>
        inputsOf(releases.find((r) => r.letter === letter)?.design ?? design, gate as GateId, object),
      against: (letter, entry) => {
        const by = releases.find((r) => r.letter === letter)?.design ?? design;
        const planned = by.chain.devices[0]?.address;
        const { address, gridCode, units } = entry.values as Readonly<Record<string, unknown>>;
        const other =
          entry.kind === 'addressed'
            ? address !== planned
            : entry.kind === 'set-up'
              ? address !== planned || gridCode !== by.survey.gridCode
              : entry.kind === 'bus-scan' && (units as readonly { address: number }[])[0]?.address !== planned;
        return other ? 'fail' : undefined;
      },
      midnights: midnights(all, nowMs),
      day: (at) => siteDay(at, ZONE),
    },
  };

  /** Rain that somebody reports about the time of the last work, and somebody's word that it is over. */
  function rains(): void {
    for (const what of ['rain or wet fog', 'dry again']) {
      add('happening', objectOf('site'), { what, seen: 'looked up' });
      ms += 900;
    }
  }

  /** A fail of the day that is put right on the next one; a release about midnight, and work on it by a clock behind; a waiver from a phone days behind. */
  function daysEnd(): void {
    const electrician = { role: 'electrician', licensedUntil: '2027-12-31' };
    const says = (gate: GateId, result: Says, over: Record<string, unknown> = {}) =>
      add('gate', objectOf(gateRow(gate).scope), { gate, result, evidence: 'looked at' }, { ...electrician, ...over });
    const way = aside();
    const daily: GateId = aside() < 0.6 ? 'S-SAFE' : 'I-PERMIT';
    if (way < 0.4) {
      const failed = says(daily, 'fail');
      ms = dayEndMs(ms, ZONE) + (aside() < 0.3 ? 500 : 30_000_000);
      says(daily, 'pass', { corrects: failed.id, reason: 'typed wrong' });
    } else if (way < 0.7) {
      ms = dayEndMs(ms, ZONE) + 60_000;
      const letter = String.fromCharCode(65 + releases.length);
      releases.push({ letter, atMs: ms, design: releases.at(-1)?.design ?? design });
      says(daily, 'pass', { doneAt: new Date(ms - 180_000).toISOString(), device: null, release: letter });
    } else {
      const failed = says('I-MOUNT', 'fail');
      const days = 1 + Math.floor(3 * aside());
      ms += 60_000;
      add(
        'waiver',
        objectOf('inverter'),
        { gate: 'I-MOUNT', entryId: failed.id, reviewDays: 2 },
        {
          ...electrician,
          reason: 'a good and long enough reason',
          doneAt: new Date(ms - days * 86_400_000).toISOString(),
          device: { id: 'behind', seq: 1, offsetMs: 0, roundTripMs: 400 },
        },
      );
    }
  }
}

/** Every midnight from the first entry to now. */
function midnights(entries: readonly Entry[], nowMs: number): number[] {
  const first = Math.min(nowMs, ...entries.map((e) => trueMs(e) - 60_000));
  const found: number[] = [];
  for (let at = dayEndMs(first, ZONE); at <= nowMs; at = dayEndMs(at, ZONE)) found.push(at);
  return found;
}

export const anyHistory = fc
  .record({ seed: fc.integer(), length: fc.integer({ min: 2, max: 8 }) })
  .map(({ seed, length }) => ({ seed, h: randomHistory(generator(seed), length, generator(seed + 6_000_003)) }));

const WORST = ['failed', 'stale', 'caution', 'locked', 'open', 'waived', 'accepted', 'passed', 'n/a'];
export const worstState = (states: ReadonlySet<string>): string | undefined => WORST.find((w) => states.has(w));

/** A history as somebody reads it who looks for the sentence that was broken. */
export const told = (h: History, e: Evidence): string =>
  h.log.entries
    .slice(h.beginning.length)
    .map((x) => {
      const where = `${x.id.slice(-3)} ${x.device?.id}#${x.device?.seq} ${new Date(trueMs(x)).toISOString()}`;
      const says = JSON.stringify(h.labels.get(x.id) ?? '');
      return `${where} ${x.role} ${x.kind} ${JSON.stringify(x.values).slice(0, 90)} ${says} ${e.notes.get(x.id) ?? ''}`;
    })
    .join('\n');
