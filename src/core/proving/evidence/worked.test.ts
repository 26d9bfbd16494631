import { describe, expect, it } from 'vitest';
import { withStrings } from '../../strings/arrange';
import { legalLayout } from '../../strings/layout/legalLayout';
import { Crew, INSTRUMENTS, healthy } from '../../testing/crew';
import { plane, siteOf } from '../../testing/examples';
import type { Entry } from '../entry';
import type { Evidence } from '../evidence';
import { evidence } from '../evidence';
import type { GateId } from '../gates/machine';
import type { Release, SiteLog } from './log';
import { workedThrough } from './worked';

const bare = siteOf(2, [plane('south', 18 * 8)]);
const design = withStrings(bare, legalLayout(bare).strings);
const releases = [{ letter: 'A', atMs: Date.parse('2026-05-01T08:00:00Z'), design }];
const strings = design.strings.map((s) => s.id);

const shown = (e: Evidence) => [
  ...[...e.gates].map(([key, g]) => `${key} ${g.state} ${g.why} ${g.by?.id}`),
  ...[...e.notes].map((n) => n.join(' ')).sort(),
];
const latest = (entries: readonly Entry[]) => Math.max(...entries.map((e) => Date.parse(e.doneAt))) + 1000;

/** Entries as they arrive, each worked through on top of the ones before, and held against the whole log. */
function grown(arrived: readonly Entry[], first = 1): Evidence {
  let e = evidence({ releases, entries: arrived.slice(0, first) }, latest(arrived.slice(0, first)));
  for (let n = first; n < arrived.length; n++) {
    const log = { releases, entries: arrived.slice(0, n + 1) };
    const nowMs = Math.max(e.nowMs, latest(log.entries));
    e = evidence(log, nowMs, e);
    expect(shown(e)).toEqual(shown(evidence(log, nowMs)));
  }
  return e;
}

/** A crew before its string tests, and its readings `percent` off what a healthy string shows. */
function atThePlugs() {
  const crew = new Crew(design);
  crew.site();
  for (const unit of design.inverters) for (const g of ['I-MOUNT', 'I-PE'] as const) crew.prove(g, unit.id);
  for (const id of strings) crew.prove('D-ID', id);
  const healthyV = Number(new Crew(design).prove('D-POL', strings[0] ?? '').values['voltageV']);
  const read = (n: number, percent: number, over = {}) =>
    crew.prove('D-POL', strings[n] ?? '', { ...over, values: { voltageV: healthyV * (1 + percent / 100) } });
  return { crew, read };
}

describe('a log that grows', () => {
  it('lets sisters that come later judge an earlier reading anew', () => {
    const { crew, read } = atThePlugs();
    read(0, -2);
    expect(grown(crew.entries).gate('D-VOC', strings[0] ?? '')?.state).toBe('caution');
    for (const n of [1, 2, 3]) read(n, 3);
    expect(grown(crew.entries, crew.entries.length - 4).gate('D-VOC', strings[0] ?? '')?.state).toBe('failed');
  });

  it('lets a sister that was put right judge an earlier reading anew', () => {
    const { crew, read } = atThePlugs();
    read(0, -2);
    const [wrong] = [1, 2, 3].map((n) => read(n, -2));
    for (const n of [4, 5]) read(n, -2);
    expect(grown(crew.entries).gate('D-VOC', strings[0] ?? '')?.state).toBe('caution');
    const right = (n: number, id = '') => read(n, 3, { corrects: id, reason: 'read off the wrong range' });
    const others = crew.entries.slice(-5).map((e) => e.id);
    expect(others[0]).toBe(wrong?.id);
    others.slice(0, 3).forEach((id, n) => right(n + 1, id));
    expect(grown(crew.entries, crew.entries.length - 5).gate('D-VOC', strings[0] ?? '')?.state).toBe('failed');
  });

  it('is the same log when mail comes late, a clock is wrong, or a correction comes before what it corrects', () => {
    const { crew, read } = atThePlugs();
    const odd = read(0, -12);
    read(0, 0, { corrects: odd.id, reason: 'leads were swapped' });
    for (let n = 1; n < 6; n++)
      read(n, 0, { minutes: 0.02, device: { id: 'phone-2', offsetMs: n % 2 ? 4000 : -4000 } });
    crew.add('happening', { scope: 'site', id: 'site' }, { what: 'storm', seen: 'lightning close by' });
    const { entries } = crew;
    for (const step of [1, 3, 5, 7]) {
      const mixed = entries.map((_, i) => entries[(i * step) % entries.length] as Entry);
      if (new Set(mixed).size === entries.length) grown(mixed, 4);
    }
    grown([...entries.slice(0, -4), ...entries.slice(-4).reverse()], entries.length - 4);
  });

  it('judges a part anew where something that happened to it between is told late', () => {
    const { crew } = atThePlugs();
    const subject = { scope: 'string', id: strings[0] ?? '' } as const;
    const part = (n: number) =>
      crew.add('dc-insulation', subject, { ...healthy('dc-insulation', design, subject), part: n, ofParts: 2 });
    part(1);
    const fault = crew.add('happening', subject, { what: 'string re-made', seen: 'plug' }, { device: { id: 'p2' } });
    crew.prove('D-POL', subject.id);
    const last = part(2);
    const others = crew.entries.filter((e) => e !== fault);
    const before = evidence({ releases, entries: others }, crew.nowMs);
    expect(before.judgement(last).says[0]?.result).toBe('pass');
    const after = grown([...others, fault], others.length);
    expect(after.judgement(last).says[0]?.result).toBeNull();
    expect(after.closed('D-IR', subject.id)).toBe(false);
  });

  it('is taken up again in the middle of a long log', () => {
    const { crew, read } = atThePlugs();
    for (let round = 0; round < 40; round++)
      for (let n = 0; n < 8; n++) read(n, round % 9 === n ? -2.9 : 0, { minutes: 3 });
    const { entries } = crew;
    expect(entries.length).toBeGreaterThan(300);
    const late = entries.filter((_, i) => i % 29 === 0);
    grown([...entries.filter((e) => !late.includes(e)), ...late], entries.length - late.length);
  });

  it('ends its days without anybody writing anything', () => {
    const { crew } = atThePlugs();
    const e = evidence({ releases, entries: crew.entries }, crew.nowMs);
    expect(e.closed('S-SAFE', 'site')).toBe(true);
    expect(evidence(e.log, e.untilMs - 1, e).closed('S-SAFE', 'site')).toBe(true);
    const after = evidence(e.log, e.untilMs + 1000, e);
    expect(after.closed('S-SAFE', 'site')).toBe(false);
    expect(shown(after)).toEqual(shown(evidence(e.log, e.untilMs + 1000)));
  });

  it('leaves what was proved before as it was, whatever is tried on top of it', () => {
    const { crew, read } = atThePlugs();
    read(0, -2);
    const kept = [...crew.entries];
    const before = evidence({ releases, entries: kept }, crew.nowMs);
    const told = shown(before);
    for (const n of [1, 2, 3]) read(n, 3);
    const tried = evidence({ releases, entries: [...crew.entries] }, crew.nowMs, before);
    expect(tried.gate('D-VOC', strings[0] ?? '')?.state).toBe('failed');
    expect(shown(before)).toEqual(told);
    // The sisters that were only tried judge nothing in what comes instead of them.
    const instead = [...kept, crew.tick('D-ID', strings[7] ?? '', 'fail')];
    expect(shown(evidence({ releases, entries: instead }, crew.nowMs, before))).toEqual(
      shown(evidence({ releases, entries: instead }, crew.nowMs)),
    );
  });
});

describe('a log that is not the one before with more', () => {
  const crew = new Crew(design);
  crew.site();
  for (const unit of design.inverters) for (const g of ['I-MOUNT', 'I-PE'] as const) crew.prove(g, unit.id);
  const nowMs = crew.nowMs + 60_000;
  const before = evidence({ releases, entries: crew.entries }, nowMs);
  const same = (log: SiteLog, atMs = nowMs) => {
    const anew = shown(evidence(log, atMs));
    expect(anew).not.toEqual(shown(before));
    expect(shown(evidence(log, atMs, before))).toEqual(anew);
  };

  it('is worked through anew where one of its entries is another, or gone', () => {
    const last = crew.entries.at(-1) as Entry;
    const failed = { ...last, kind: 'gate', values: { gate: 'I-PE', result: 'fail', note: '' } } as unknown as Entry;
    same({ releases, entries: [...crew.entries.slice(0, -1), failed] });
    same({ releases, entries: crew.entries.slice(0, -1) });
    same({ releases, entries: crew.entries.slice(1) });
    same({ releases, entries: [] });
  });
  it('is worked through anew where a release came, or another stands in the place of one', () => {
    const swapped = { ...design, inverters: design.inverters.slice(0, 1) };
    const second = { letter: 'B', atMs: nowMs - 30_000, design: swapped };
    same({ releases: [...releases, second], entries: crew.entries });
    const both = evidence({ releases: [...releases, second], entries: crew.entries }, nowMs);
    const instead = { releases: [...releases, { ...second, design: bare }], entries: crew.entries };
    expect(shown(evidence(instead, nowMs, both))).toEqual(shown(evidence(instead, nowMs)));
  });
  it('goes back with its clock: what ended with a day that has not ended yet is there again', () => {
    const after = evidence(before.log, before.untilMs + 1000);
    expect(after.closed('S-SAFE', 'site')).toBe(false);
    const back = evidence(before.log, before.untilMs - 1000, after);
    expect(back.closed('S-SAFE', 'site')).toBe(true);
    // The day ends at its midnight, not behind it.
    const at = evidence(before.log, before.untilMs, before);
    expect(at.closed('S-SAFE', 'site')).toBe(false);
    expect(shown(at)).toEqual(shown(evidence(before.log, before.untilMs)));
  });
  it('is judged by the days of the zone that its newest release names', () => {
    const late = new Crew(design, '2026-05-04T23:30:00+02:00');
    const tester = { ...INSTRUMENTS['earth tester'], calibratedUntil: '2026-05-04' };
    const earth = late.prove('S-EARTH', 'site', { instrument: tester });
    const zoned = (timeZone: string) => ({ ...design, survey: { ...design.survey, timeZone } });
    const releasesIn = (...zones: string[]) =>
      zones.map((zone, i) => ({ letter: 'AB'[i] as string, atMs: i, design: zoned(zone) }));
    const [first, second] = releasesIn('Europe/Copenhagen', 'Asia/Tokyo');
    const of = (log: SiteLog, was?: Evidence) => evidence(log, late.nowMs + 1000, was);
    const lapsed = (e: Evidence) =>
      e.judgement(earth).checks.some((c) => c.id === 'proving.calibration' && c.verdict === 'tight');
    const here = of({ releases: [first as Release], entries: late.entries });
    expect(lapsed(here)).toBe(false);
    // In Tokyo that was the day after.
    expect(lapsed(of({ releases: [first, second] as Release[], entries: late.entries }, here))).toBe(true);
  });
});

describe('what an entry can touch', () => {
  /** Two ticks that nobody can say the order of, and in how many states they leave the site. */
  const states = (a: readonly [GateId, string], b: readonly [GateId, string], of = releases) => {
    const crew = new Crew(design);
    crew.site();
    crew.tick(...a, 'pass', { device: { id: 'p2' } });
    crew.tick(...b, 'fail', { device: { id: 'p3' }, minutes: 0.005 });
    return workedThrough({ releases: of, entries: crew.entries }, crew.nowMs, null).replay.states.length;
  };
  const [UNIT, OTHER] = design.inverters.map((u) => u.id) as [string, string];
  const at = (unit: string) => design.strings.find((s) => s.place?.inverterId === unit)?.id ?? '';
  it('is its own unit with every string of it, wherever it ever hung', () => {
    expect(states(['D-ID', at(UNIT)], ['D-ID', at(UNIT)])).toBe(2);
    expect(states(['D-ID', at(UNIT)], ['D-ID', at(OTHER)])).toBe(1);
    expect(states(['I-COVER', UNIT], ['I-COVER', OTHER])).toBe(1);
    expect(states(['I-COVER', UNIT], ['I-COVER', UNIT])).toBe(2);
  });
  it('is a string by itself where it hangs nowhere', () => {
    expect(states(['D-ID', 'nowhere'], ['D-ID', 'nowhere'])).toBe(2);
    expect(states(['D-ID', 'nowhere'], ['D-ID', 'elsewhere'])).toBe(1);
  });
});
