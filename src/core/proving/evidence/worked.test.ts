import { describe, expect, it } from 'vitest';
import { withStrings } from '../../strings/arrange';
import { legalLayout } from '../../strings/layout/legalLayout';
import { Crew } from '../../testing/crew';
import { plane, siteOf } from '../../testing/examples';
import type { Entry } from '../entry';
import type { Evidence } from '../evidence';
import { evidence } from '../evidence';

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
