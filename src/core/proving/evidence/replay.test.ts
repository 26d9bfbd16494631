import fc from 'fast-check';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { withStrings } from '../../strings/arrange';
import { legalLayout } from '../../strings/layout/legalLayout';
import { Crew } from '../../testing/crew';
import { plane, siteOf } from '../../testing/examples';
import { anyHistory } from '../../testing/randomRecord';
import type { Entry } from '../entry';
import { evidence } from '../evidence';
import { stepsOf } from '../tables/energiseOrders';
import { Application } from './apply';
import type { Worked } from './worked';
import { workedThrough } from './worked';

/** How much of a log is gone through again, counted by the items that are applied, and what stands side by side where the order is open. */

const bare = siteOf(2, [plane('south', 18 * 8)]);
const design = withStrings(bare, legalLayout(bare).strings);
const releases = [{ letter: 'A', atMs: Date.parse('2026-05-01T08:00:00Z'), design }];
const strings = design.strings.map((s) => s.id);
const [UNIT, OTHER] = design.inverters.map((i) => i.id) as [string, string];

const NOW = Date.parse('2026-05-04T21:00:00Z');
const work = (entries: readonly Entry[], was: Worked | null = null) =>
  workedThrough({ releases, entries: [...entries] }, NOW, was);
const PARTS = ['S@site', `I@${UNIT}`, `I@${OTHER}`, ...strings.map((id) => `D@${id}`)];
const stateOf = ({ replay }: Worked) => replay.states.map((s) => s.moment.text(PARTS)).sort();

const EVERYWHERE = { least: 1, share: 0 };
const idOf = (n: number) => `01969a00-0000-7000-8000-${String(n).padStart(12, '0')}`;

const look = (entries: readonly Entry[]) => evidence({ releases, entries }, NOW);

/** Items that are applied while something is worked through. */
function applied(run: () => Worked): { readonly count: number; readonly done: Worked } {
  const item = vi.spyOn(Application.prototype, 'item');
  const done = run();
  const count = item.mock.calls.length;
  item.mockRestore();
  return { count, done };
}
afterEach(() => void vi.restoreAllMocks());

/** A day of ticks on two units, a minute apart, on one phone. */
function day(count: number) {
  const crew = new Crew(design, '2026-05-04T06:00:00+02:00');
  crew.site();
  for (let n = 0; crew.entries.length < count; n++)
    crew.tick('I-MOUNT', n % 2 ? UNIT : OTHER, n % 3 ? 'pass' : 'fail', { minutes: 0.5 });
  return crew;
}

describe('a log that is taken up again', () => {
  it('is gone through once, and at its end only from the last place that was kept', () => {
    const crew = day(1000);
    const first = applied(() => work(crew.entries));
    // One for each entry, one for the release.
    expect(first.count).toBe(1001);
    const same = applied(() => work(crew.entries, first.done));
    expect(same.count).toBe(0);
    crew.prove('I-MOUNT', UNIT);
    const more = applied(() => work(crew.entries, first.done));
    expect(more.count).toBe(1);
    expect(stateOf(more.done)).toEqual(stateOf(work(crew.entries)));
  });
  it('is gone through from a little before where late mail belongs, however far back that is', () => {
    const crew = day(1000);
    for (const back of [1, 60, 200, 500, 900]) {
      const at = crew.entries.length - back;
      const late = crew.entries[at] as Entry;
      const others = crew.entries.filter((e) => e !== late);
      const before = work(others);
      const { count, done } = applied(() => work([...others, late], before));
      // What comes after it on its device has to be looked at again, and at most an eighth more than that, or 128 entries.
      expect(count).toBeGreaterThanOrEqual(back);
      expect(count).toBeLessThanOrEqual(back + Math.max(128, back / 8) + 10);
      expect(stateOf(done)).toEqual(stateOf(work(crew.entries)));
    }
  });
  it('of another device is gone through from its own time on, whatever was written before on others', () => {
    const crew = day(600);
    const mid = crew.entries[300] as Entry;
    const doneAt = new Date(Date.parse(mid.doneAt) + 15_000).toISOString();
    const before = work(crew.entries);
    const entry = { ...crew.tick('I-PE', UNIT, 'fail', { device: { id: 'p9' } }), doneAt } as Entry;
    const { count, done } = applied(() => work([...crew.entries], before));
    expect(entry.device?.id).toBe('p9');
    expect(count).toBe(1);
    expect(done.entries.length).toBe(crew.entries.length);
    const late = [...crew.entries.slice(0, -1), entry];
    const again = applied(() => work(late, before));
    expect(again.count).toBeGreaterThanOrEqual(300);
    expect(again.count).toBeLessThan(300 + 140);
    expect(stateOf(again.done)).toEqual(stateOf(work(late)));
  });
});

describe('late mail', () => {
  const subject = { scope: 'inverter', id: UNIT } as const;
  it('may belong as far back as its clock is uncertain', () => {
    const crew = day(500);
    // Around a place that the replay is taken up from: so far back it lies a multiple of 128 from the beginning.
    for (let at = 364; at < 404; at += 8) {
      const mid = crew.entries[at] as Entry;
      const others = crew.entries.slice(0, 500);
      const late = new Crew(design, mid.doneAt, 'slow');
      const entry = late.add(
        'happening',
        subject,
        { what: 'unit moved', seen: 'slipped' },
        {
          minutes: 0,
          id: '01969a00-0000-7000-8000-0000000fffff',
          // Ten minutes there and back: it may have been twenty entries earlier or later.
          device: { roundTripMs: 600_000 },
        },
      );
      const before = work(others);
      expect(stateOf(work([...others, entry], before)), `at ${at}`).toEqual(stateOf(work([...others, entry])));
    }
  });
  it('that belongs between the work of a device moves what came after it there, whatever its clock said', () => {
    const crew = new Crew(design, '2026-05-04T06:00:00+02:00');
    crew.site();
    while (crew.entries.length < 500)
      crew.tick('I-MOUNT', OTHER, crew.entries.length % 3 ? 'pass' : 'fail', { minutes: 0.5 });
    // A phone that runs through hours of the others' work; one entry comes late, stamped eighty minutes ahead of itself.
    const begun = Date.parse(crew.entries[0]?.doneAt as string);
    const all = Array.from({ length: 12 }, (_, i) =>
      crew.tick('I-MOUNT', UNIT, i % 4 === 1 ? 'pass' : 'fail', {
        device: { id: 'odd' },
        doneAt: new Date(begun + 1000 * (3000 + 1000 * i)).toISOString(),
      }),
    );
    const others = crew.entries.filter((e) => !all.includes(e));
    for (let missing = 0; missing < all.length; missing++) {
      const rest = all.filter((_, i) => i !== missing);
      const before = work([...others, ...rest]);
      const late = all[missing] as Entry;
      const ahead = new Date(Date.parse(late.doneAt) + 5_000_000).toISOString();
      const log = [...others, ...rest, { ...late, doneAt: ahead }];
      expect(stateOf(work(log, before)), `without ${missing}`).toEqual(stateOf(work(log)));
    }
  });
});

describe('a log that can be taken up again behind every item', () => {
  const BEGUN = 20;
  const unit = { scope: 'inverter', id: UNIT } as const;
  const startMs = day(BEGUN).nowMs + 600_000;
  /** By whom, so many seconds on, known to so many seconds. */
  const at = (id: string, seconds: number, known = 1) => ({
    device: { id, roundTripMs: 2000 * known },
    doneAt: new Date(startMs + 1000 * seconds).toISOString(),
  });
  /** A day's beginning, and what comes behind it, in steps and at once. */
  const inSteps = (crew: Crew, ...steps: (readonly Entry[])[]) => {
    let entries: readonly Entry[] = crew.entries.slice(0, BEGUN);
    let was = workedThrough({ releases, entries }, NOW, null, EVERYWHERE);
    for (const step of steps) {
      entries = [...entries, ...step];
      was = workedThrough({ releases, entries }, NOW, was);
    }
    return { inSteps: stateOf(was), whole: stateOf(workedThrough({ releases, entries }, NOW, null, EVERYWHERE)) };
  };

  /** 95 to 105, 96 to 98, 97 to 107 seconds on: the first and the last are open, the one between is another unit's. */
  function openWork(): Crew {
    const crew = day(BEGUN);
    crew.prove('I-MOUNT', UNIT, at('p1', 10));
    crew.prove('I-MOUNT', UNIT, at('p2', 100, 5));
    crew.prove('I-MOUNT', OTHER, at('p3', 97));
    crew.add('happening', unit, { what: 'unit moved', seen: 'slipped' }, at('p4', 102, 5));
    return crew;
  }

  it('is not taken up in the middle of work whose order is open', () => {
    const crew = openWork();
    const next = crew.tick('I-PE', OTHER, 'fail', at('p5', 107));
    const told = inSteps(crew, crew.entries.slice(BEGUN, -1), [next]);
    expect(told.whole).toHaveLength(2);
    expect(told.inSteps).toEqual(told.whole);
  });
  it('takes a thing that is done ahead of its place for done', () => {
    const crew = openWork();
    // On the phone of the one before, and open beside the second: that one stands before both.
    crew.tick('I-MOUNT', OTHER, 'fail', at('p4', 98));
    const told = inSteps(crew, crew.entries.slice(BEGUN));
    expect(told.inSteps).toEqual(told.whole);
    expect(told.whole).toHaveLength(4);
    // Moved before the proof or after it, once: in half of them it stands.
    expect(work(crew.entries).replay.states.filter((s) => s.closed('I-MOUNT', UNIT))).toHaveLength(2);
  });
  it('knows late mail of no device, and of a place in the sequence that is taken', () => {
    const crew = day(BEGUN);
    const [first, second, alone] = [
      crew.tick('I-MOUNT', UNIT, 'fail', { ...at('p2', 100), device: { id: 'p2', seq: 7 }, id: idOf(9002) }),
      crew.prove('I-MOUNT', UNIT, { ...at('p2', 200), device: { id: 'p2', seq: 7 }, id: idOf(9001) }),
      { ...crew.tick('I-PE', OTHER, 'fail', at('p3', 150)), device: null },
    ];
    for (const steps of [
      [[first], [second]],
      [[second], [first]],
      [[first, second], [alone]],
    ]) {
      const told = inSteps(crew, ...steps);
      expect(told.inSteps).toEqual(told.whole);
    }
  });

  const RUNS = { numRuns: Math.min(400, 4 * Number(process.env['RANDOM_RUNS'] ?? 100)), seed: 71 };

  it('comes to the same as the whole, in whatever order its mail comes and whatever its clocks say', () => {
    fc.assert(
      fc.property(anyHistory, fc.integer({ min: 0, max: 16 }), ({ h }, seed) => {
        const placeOf = (e: Entry) => (e.id.charCodeAt(35) * 31 + seed) % 17;
        const arrived = [...h.log.entries].sort((a, b) => placeOf(a) - placeOf(b));
        let [done, nowMs] = [Math.floor((arrived.length * seed) / 17), h.nowMs];
        const first = () => ({ ...h.log, entries: arrived.slice(0, done) });
        let was = workedThrough(first(), nowMs, null, EVERYWHERE);
        while (done < arrived.length) {
          done += 1 + (seed % 3);
          nowMs += done % 3 ? 0 : 90_000_000;
          was = workedThrough(first(), nowMs, was);
          const whole = workedThrough(first(), nowMs, null, EVERYWHERE);
          const keys = ['S@site', 'I@inv-1', ...h.log.releases[0]!.design.strings.map((s) => `D@${s.id}`)];
          const texts = ({ replay }: Worked) => replay.states.map((s) => s.moment.text(keys)).sort();
          expect(texts(was)).toEqual(texts(whole));
        }
      }),
      RUNS,
    );
  });
});

describe('midnights', () => {
  it('that pass before work already on record are gone through where they belong', () => {
    const crew = day(20);
    const safe = crew.entries.find((e) => e.values['gate'] === 'S-SAFE') as Entry;
    const tomorrow = new Date(Date.parse(safe.doneAt) + 24 * 3_600_000).toISOString();
    // A phone whose clock is a day ahead: its safe start of tomorrow is known today already.
    crew.prove('S-SAFE', 'site', { doneAt: tomorrow, device: { id: 'ahead' } });
    const at = (nowMs: number, was: Worked | null) =>
      workedThrough({ releases, entries: [...crew.entries] }, nowMs, was, EVERYWHERE);
    const later = NOW + 24 * 3_600_000;
    const today = at(NOW, null);
    expect(stateOf(at(later, today))).toEqual(stateOf(at(later, null)));
    expect(stateOf(at(later, today))).not.toEqual(stateOf(today));
  });

  it('behind which nothing new lapses are not gone through again', () => {
    const crew = day(300);
    crew.wait(20 * 60);
    crew.prove('S-SAFE');
    for (let n = 0; n < 200; n++) crew.tick('I-MOUNT', UNIT, 'fail', { minutes: 0.5 });
    const at = (nowMs: number, was: Worked | null) =>
      workedThrough({ releases, entries: [...crew.entries] }, nowMs, was);
    const first = applied(() => at(crew.nowMs, null));
    // Every entry, the release, and the midnight between the days.
    expect(first.count).toBe(crew.entries.length + 2);
    crew.prove('I-MOUNT', OTHER);
    expect(applied(() => at(crew.nowMs, first.done)).count).toBe(1);
    // The next one ends the second safe day, and is gone through by itself.
    const tomorrow = applied(() => at(crew.nowMs + 24 * 3_600_000, first.done));
    expect(tomorrow.count).toBe(2);
  });
});

describe('an order that clocks leave open', () => {
  const beside = (id: string) => ({ device: { id }, minutes: 0.005 });
  it('is tried every way where it matters, and once where it does not', () => {
    const crew = day(20);
    crew.tick('I-MOUNT', UNIT, 'fail', { device: { id: 'p2' } });
    crew.prove('I-MOUNT', OTHER, beside('p3'));
    expect(work(crew.entries).replay.states).toHaveLength(1);
    crew.prove('I-MOUNT', UNIT, beside('p4'));
    expect(work(crew.entries).replay.states).toHaveLength(2);
    expect(look(crew.entries).gate('I-MOUNT', UNIT)?.state).toBe('failed');
    // Somebody looks again: what was open matters no more.
    crew.prove('I-MOUNT', UNIT);
    expect(look(crew.entries).gate('I-MOUNT', UNIT)?.state).toBe('passed');
  });
  it('keeps what was open through what concerns something else, and what comes on top of it is the same as the whole', () => {
    const crew = day(20);
    crew.tick('I-MOUNT', UNIT, 'fail', { device: { id: 'p2' } });
    crew.prove('I-MOUNT', UNIT, beside('p3'));
    const open = work(crew.entries);
    for (const id of strings.slice(0, 3)) crew.prove('D-ID', id);
    const after = work(crew.entries, open);
    expect(after.replay.states).toHaveLength(2);
    expect(stateOf(after)).toEqual(stateOf(work(crew.entries)));
  });
  it('keeps the order that each device gives its own work', () => {
    // One phone fails and then passes; another reports an opened earth at the same moment: it comes before, between or behind, and they never turn.
    const mounted = () => {
      const crew = new Crew(design, '2026-05-04T06:00:00+02:00');
      crew.site();
      for (const gate of ['I-MOUNT', 'I-PE'] as const) crew.prove(gate, UNIT);
      return crew;
    };
    const crew = mounted();
    const subject = { scope: 'inverter', id: UNIT } as const;
    crew.add('happening', subject, { what: 'earth opened', seen: 'clamp off' }, { device: { id: 'p2' } });
    crew.tick('I-PE', UNIT, 'fail', beside('p3'));
    crew.prove('I-PE', UNIT, beside('p3'));
    expect(look(crew.entries).gate('I-PE', UNIT)?.state).toBe('stale');
    // The other way round the failure stands last in every order.
    const turned = mounted();
    turned.add('happening', subject, { what: 'earth opened', seen: 'clamp off' }, { device: { id: 'p2' } });
    turned.prove('I-PE', UNIT, beside('p3'));
    turned.tick('I-PE', UNIT, 'fail', beside('p3'));
    expect(look(turned.entries).gate('I-PE', UNIT)?.state).toBe('failed');
  });
  it('takes along what a device did before the work that is in question', () => {
    const crew = new Crew(design, '2026-05-04T06:00:00+02:00');
    crew.site();
    crew.unit(UNIT);
    // Anew from the landing on: a string is told of on one phone, and on another it fails its test, and then is landed.
    const [first, second] = design.strings.filter((s) => s.place?.inverterId === UNIT).map((s) => s.id) as [
      string,
      string,
    ];
    const before = crew.entries.findIndex((e) => e.kind === 'landing');
    const entries = crew.entries.slice(0, before);
    const from = crew.entries.length;
    crew.tick('D-ID', first, 'pass', { device: { id: 'p2' } });
    crew.tick('D-VOC', second, 'fail', beside('p3'));
    const landed = crew.prove('I-DCLAND', UNIT, beside('p3'));
    const e = look([...entries, ...crew.entries.slice(from)]);
    expect(e.gate('I-DCLAND', UNIT)?.state).toBe('locked');
    expect(e.notes.get(landed.id)).toBe(`Not closed when it was made: D-VOC@${second}.`);
  });
  it('is kept in so many states at most: past that one of them stands, with open what they differ in', () => {
    const told = (count: number) => {
      const crew = day(20);
      for (const id of strings) crew.prove('D-ID', id);
      for (const id of strings.slice(0, count)) {
        crew.tick('D-ID', id, 'fail', { device: { id: `a-${id}` } });
        crew.tick('D-ID', id, 'pass', beside(`b-${id}`));
      }
      const closed = strings.filter((id) => look(crew.entries).closed('D-ID', id)).length;
      return [work(crew.entries).replay.states.length, closed];
    };
    expect(told(6)).toEqual([64, strings.length - 6]);
    expect(told(7)).toEqual([1, strings.length - 7]);
  });
  it('of what comes to the same whichever was first is one state', () => {
    const crew = day(20);
    crew.prove('I-MOUNT', UNIT);
    const subject = { scope: 'inverter', id: UNIT } as const;
    for (let n = 0; n < 10; n++)
      crew.add('happening', subject, { what: 'unit moved', seen: 'slipped' }, beside(`m${n}`));
    expect(work(crew.entries).replay.states).toHaveLength(1);
    expect(look(crew.entries).gate('I-MOUNT', UNIT)).toMatchObject({ state: 'stale', why: 'unit moved' });
  });
  it('is not tried for work that commutes: six strings on six phones while the day ends on a seventh', () => {
    const crew = new Crew(design, '2026-05-04T06:00:00+02:00');
    crew.site();
    const near = (id: string) => ({ device: { id }, minutes: 0.001 });
    for (const id of strings.slice(0, 6)) crew.prove('D-ID', id, near(`s-${id}`));
    crew.tick('S-SAFE', 'site', 'fail', near('lead'));
    // Each before the end of the day, or behind it and without proof.
    expect(work(crew.entries).replay.states).toHaveLength(64);
  });
  it('kept as one of many states leaves a unit live that may have been switched on last', () => {
    const many = siteOf(2, [plane('south', 18 * 16)]);
    const wide = withStrings(many, legalLayout(many).strings);
    const crew = new Crew(wide, '2026-05-04T06:00:00+02:00');
    crew.site();
    crew.unit(UNIT);
    crew.step(UNIT, '1', 'LOCKED_OFF');
    const near = (id: string) => ({ device: { id }, minutes: 0.001 });
    crew.step(UNIT, '1', 'AC_CLOSED', near('r'));
    crew.add('happening', { scope: 'inverter', id: UNIT }, { what: 'unit replaced', seen: 'burnt' }, near('s'));
    const others = wide.strings.filter((s) => s.place?.inverterId === OTHER).map((s) => s.id);
    for (const id of others.slice(0, 6)) {
      crew.tick('D-ID', id, 'fail', { device: { id: `a-${id}` } });
      crew.prove('D-ID', id, beside(`b-${id}`));
    }
    const log = { releases: [{ ...releases[0]!, design: wide }], entries: crew.entries };
    expect(workedThrough(log, NOW, null).replay.states).toHaveLength(1);
    expect(evidence(log, NOW).unit(UNIT)).toMatchObject({ switchOff: true, run: { live: true } });
  });
  it('of more orders than can be tried leaves a unit off where it was only being switched off', () => {
    const crew = new Crew(design, '2026-05-04T06:00:00+02:00');
    crew.site();
    crew.unit(UNIT);
    const near = (id: string) => ({ device: { id }, minutes: 0.001 });
    crew.step(UNIT, 'off', stepsOf('off')[0]!.state, { device: { id: 'r0' } });
    for (let n = 0; n < 13; n++) crew.tick('I-PE', UNIT, n % 2 ? 'pass' : 'fail', near(`r${n + 1}`));
    crew.add('happening', { scope: 'inverter', id: UNIT }, { what: 'unit replaced', seen: 'burnt' }, near('s'));
    expect(look(crew.entries).unit(UNIT)).toMatchObject({ switchOff: false, run: { live: false } });
  });
  it('of more orders than can be tried leaves a unit live that may have been switched on last', () => {
    const crew = new Crew(design, '2026-05-04T06:00:00+02:00');
    crew.site();
    crew.unit(UNIT);
    crew.step(UNIT, '1', 'LOCKED_OFF');
    const near = (id: string) => ({ device: { id }, minutes: 0.001 });
    crew.step(UNIT, '1', 'AC_CLOSED', { device: { id: 'r0' } });
    for (let n = 0; n < 13; n++) crew.tick('I-PE', UNIT, n % 2 ? 'pass' : 'fail', near(`r${n + 1}`));
    crew.add('happening', { scope: 'inverter', id: UNIT }, { what: 'unit replaced', seen: 'burnt' }, near('s'));
    expect(look(crew.entries).unit(UNIT)).toMatchObject({ switchOff: true, run: { live: true } });
  });
  it('of more orders than can be tried is given up: what it touches is open, and the rest stands', () => {
    const crew = day(20);
    for (let n = 0; n < 14; n++)
      crew.tick('I-PE', UNIT, n % 2 ? 'pass' : 'fail', { device: { id: `q${n}` }, minutes: 0.001 });
    const { replay, known } = work(crew.entries);
    expect(replay.states.length).toBeLessThanOrEqual(64);
    expect(look(crew.entries).closed('I-PE', UNIT)).toBe(false);
    expect(look(crew.entries).closed('S-SAFE', 'site')).toBe(true);
    expect([...known.notes.values()].join()).not.toContain('undefined');
  });
});
