import { describe, expect, it } from 'vitest';
import { Crew } from '../../testing/crew';
import { twoUnits } from '../../testing/handedOver';
import type { Entry } from '../entry';
import { evidence } from '../evidence';
import { bothLapses, lapsesOf } from './lapses';

const ZONE = 'Europe/Oslo';
const UNIT = 'inv-1';
const at = (iso: string) => Date.parse(iso);
const crew = (start: string) => new Crew(twoUnits, start);
const FAR = at('2040-01-01T00:00:00Z');
const RELEASES = [{ letter: 'A', atMs: at('2026-05-01T08:00:00Z'), design: twoUnits }];
const shown = (entries: readonly Entry[], nowMs = FAR) =>
  [...lapsesOf(entries, RELEASES, ZONE, nowMs)].map(([ms, keys]) => [new Date(ms).toISOString(), [...keys]]);
const look = (c: Crew, iso: string, releases = RELEASES) => evidence({ releases, entries: c.entries }, at(iso));

describe('midnights at which something lapses', () => {
  it('are the end of the day on which it was made; of both days where the clock leaves it open', () => {
    const noon = crew('2026-05-04T12:00:00+02:00');
    expect(shown([noon.prove('S-SAFE')])).toEqual([['2026-05-04T22:00:00.000Z', ['S-SAFE']]]);
    expect(shown([noon.prove('I-PERMIT', UNIT)])).toEqual([['2026-05-04T22:00:00.000Z', ['I-PERMIT@inv-1']]]);
    const late = crew('2026-05-04T23:58:59.500+02:00');
    expect(shown([late.prove('S-SAFE')])).toEqual([
      ['2026-05-04T22:00:00.000Z', ['S-SAFE']],
      ['2026-05-05T22:00:00.000Z', ['S-SAFE']],
    ]);
  });
  it('are none to come, and one that is now', () => {
    const entries = [crew('2026-05-04T12:00:00+02:00').prove('S-SAFE')];
    const midnight = at('2026-05-04T22:00:00Z');
    expect([midnight - 1, midnight].map((ms) => shown(entries, ms).length)).toEqual([0, 1]);
  });
  it('of gates that last for months are the day after the same day so many months later', () => {
    const c = crew('2026-05-04T12:00:00+02:00');
    expect(shown([c.prove('I-THERM', UNIT)])).toEqual([['2027-05-04T22:00:00.000Z', ['I-THERM@inv-1']]]);
    expect(shown([c.prove('D-IR', 's-1')])).toEqual([['2031-05-04T22:00:00.000Z', ['D-IR@s-1']]]);
    expect(shown([c.prove('S-ESTOP')])).toEqual([['2027-05-04T22:00:00.000Z', ['S-ESTOP']]]);
    expect(shown([c.prove('D-IR', 's-1')], at('2031-05-04T22:00:00Z')).length).toBe(1);
    expect(shown([c.prove('D-IR', 's-1')], at('2031-05-04T21:59:59Z'))).toEqual([]);
  });
  it('of what says so itself are the day after its last one, and of everything else none', () => {
    const c = crew('2026-05-04T12:00:00+02:00');
    expect(shown([c.prove('S-PTO')])).toEqual([['2026-12-31T23:00:00.000Z', ['S-PTO']]]);
    expect(shown([c.prove('I-MOUNT', UNIT), c.prove('I-PE', UNIT), c.prove('D-POL', 's-1')])).toEqual([]);
    const unit = { scope: 'inverter', id: UNIT } as const;
    expect(shown([c.add('happening', unit, { what: 'joint opened', seen: 'L2 loose' })])).toEqual([]);
  });
  it('of a waiver are the day after its review', () => {
    const c = crew('2026-05-04T12:00:00+02:00');
    const unit = { scope: 'inverter', id: UNIT } as const;
    const waiver = c.add(
      'waiver',
      unit,
      { gate: 'I-MOUNT', entryId: null, reviewDays: 3 },
      { reason: 'bracket comes' },
    );
    expect(shown([waiver])).toEqual([['2026-05-07T22:00:00.000Z', ['I-MOUNT@inv-1']]]);
  });
  it('come after the release that it was made on, though its clock was behind that', () => {
    const released = (iso: string) => [{ letter: 'A', atMs: at(iso), design: twoUnits }];
    const late = released('2026-05-05T00:02:00+02:00');
    const c = crew('2026-05-04T23:58:00+02:00');
    const safe = c.tick('S-SAFE', 'site', 'pass');
    const ends = (releases: typeof late) => [...lapsesOf([safe], releases, ZONE, FAR).keys()];
    expect(ends(late)).toEqual([at('2026-05-06T00:00:00+02:00')]);
    expect(ends(released('2026-05-04T23:59:00+02:00'))).toEqual([at('2026-05-05T00:00:00+02:00')]);
    const state = (iso: string) => look(c, iso, late).gate('S-SAFE', 'site')?.state;
    expect([state('2026-05-05T23:59:59+02:00'), state('2026-05-06T00:00:00+02:00')]).toEqual(['passed', 'open']);
  });
  it('are none of a gate at a part that has no such gate', () => {
    const c = crew('2026-05-04T12:00:00+02:00');
    const wrong = { ...c.prove('S-SAFE'), subject: { scope: 'inverter', id: UNIT } as const };
    expect(shown([wrong])).toEqual([]);
  });
  it('of two parts of a log are taken together', () => {
    const c = crew('2026-05-04T12:00:00+02:00');
    const [safe, permit] = [[c.prove('S-SAFE')], [c.prove('I-PERMIT', UNIT)]];
    const [a, b] = [lapsesOf(safe, RELEASES, ZONE, FAR), lapsesOf(permit, RELEASES, ZONE, FAR)];
    expect([...bothLapses(a, b)]).toEqual([...lapsesOf([...safe, ...permit], RELEASES, ZONE, FAR)]);
    expect([...bothLapses(a, new Map())]).toEqual([...a]);
    expect([...bothLapses(new Map(), b)]).toEqual([...b]);
    expect([...a.values()].map((keys) => [...keys])).toEqual([['S-SAFE']]);
  });
});

describe('a day that ends', () => {
  it('leaves a day that failed as it is, and nothing where nothing was', () => {
    const c = crew('2026-05-04T12:00:00+02:00');
    c.tick('S-SAFE', 'site', 'fail');
    expect(look(c, '2026-05-05T12:00:00Z').gate('S-SAFE', 'site')?.state).toBe('failed');
    c.prove('S-SAFE', 'site', { doneAt: '2026-05-05T14:00:00+02:00' });
    expect(look(c, '2026-05-05T12:30:00Z').gate('S-SAFE', 'site')?.state).toBe('passed');
    expect(look(c, '2026-05-06T12:30:00Z').gate('S-SAFE', 'site')?.state).toBe('open');
  });
  it('ends a fail that is put right on another day: today was not made safe by it', () => {
    const c = crew('2026-05-04T12:00:00+02:00');
    const failed = c.tick('S-SAFE', 'site', 'fail');
    const right = (iso: string) =>
      c.tick('S-SAFE', 'site', 'pass', { doneAt: iso, corrects: failed.id, reason: 'pressed the wrong one' });
    right('2026-05-05T09:00:00+02:00');
    const state = (iso: string) => look(c, iso).gate('S-SAFE', 'site');
    expect(state('2026-05-05T12:00:00+02:00')).toMatchObject({ state: 'stale', why: 'its day has ended' });
    expect(state('2026-05-06T12:00:00+02:00')?.state).toBe('open');
    // On its own day it does.
    const same = crew('2026-05-04T12:00:00+02:00');
    const wrong = same.tick('S-SAFE', 'site', 'fail');
    same.tick('S-SAFE', 'site', 'pass', { corrects: wrong.id, reason: 'pressed the wrong one' });
    const after = (iso: string) => look(same, iso).gate('S-SAFE', 'site')?.state;
    expect([after('2026-05-04T23:00:00+02:00'), after('2026-05-05T00:00:00+02:00')]).toEqual(['passed', 'open']);
  });
  it('lets no waiver stand that had ended before the fail that it names', () => {
    const unit = { scope: 'inverter', id: UNIT } as const;
    const waivedFor = (reviewDays: number) => {
      const c = crew('2026-05-02T12:00:00+02:00');
      c.site();
      const fail = c.tick('I-MOUNT', UNIT, 'fail', { doneAt: '2026-05-10T09:00:00+02:00' });
      const over = {
        doneAt: '2026-05-04T09:00:00+02:00',
        device: { id: 'behind', seq: 1 },
        reason: 'bracket comes later',
      };
      const waiver = c.add('waiver', unit, { gate: 'I-MOUNT', entryId: fail.id, reviewDays }, over);
      const e = look(c, '2026-05-10T12:00:00+02:00');
      return [e.gate('I-MOUNT', UNIT)?.state, e.notes.get(waiver.id)];
    };
    expect(waivedFor(6)).toEqual(['waived', undefined]);
    expect(waivedFor(5)).toEqual(['failed', expect.stringMatching(/^It held until 2026-05-09, before the fail/)]);
  });
  it('ends a waiver with its last day, and what a later reading proved not with it', () => {
    const c = crew('2026-05-04T12:00:00+02:00');
    c.site();
    const unit = { scope: 'inverter', id: UNIT } as const;
    const waive = (reviewDays: number) =>
      c.add('waiver', unit, { gate: 'I-ADDR', entryId: null, reviewDays }, { reason: 'address plugs come later' });
    waive(2);
    waive(3);
    const state = (iso: string) => look(c, iso).gate('I-ADDR', UNIT)?.state;
    // The later waiver rules; the day of the earlier one ends nothing.
    expect([state('2026-05-06T12:00:00Z'), state('2026-05-07T12:00:00Z'), state('2026-05-08T12:00:00Z')]).toEqual([
      'waived',
      'waived',
      'locked',
    ]);
  });
  it('ends a letter with its day, unless a longer one rules; and a letter that failed ends nothing', () => {
    const c = crew('2026-05-04T12:00:00+02:00');
    c.site();
    const letter = (validUntil: string) => c.prove('S-PTO', 'site', { values: { validUntil } });
    letter('2026-05-19');
    letter('2026-05-20');
    const pto = (iso: string) => look(c, iso).gate('S-PTO', 'site');
    expect([pto('2026-05-12T12:00:00Z')?.state, pto('2026-05-20T12:00:00Z')?.state]).toEqual(['passed', 'passed']);
    expect(pto('2026-05-21T12:00:00Z')).toMatchObject({ state: 'stale', why: 'it held until 2026-05-20' });
  });
});
