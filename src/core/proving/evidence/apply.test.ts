import { describe, expect, it } from 'vitest';
import type { SiteDesign } from '../../design';
import { Crew } from '../../testing/crew';
import { handedOver, twoUnits } from '../../testing/handedOver';
import type { Entry } from '../entry';
import { evidence } from '../evidence';

const [ONE, TWO] = ['inv-1', 'inv-2'] as const;
const releasesOf = (crew: Crew, ...later: readonly SiteDesign[]) => [
  { letter: 'A', atMs: Date.parse('2026-05-01T08:00:00Z'), design: crew.design },
  ...later.map((design, i) => ({ letter: 'BC'.charAt(i), atMs: crew.nowMs + 60_000 * (i + 1), design })),
];
const look = (crew: Crew, ...later: readonly SiteDesign[]) =>
  evidence({ releases: releasesOf(crew, ...later), entries: crew.entries }, crew.nowMs + 600_000);
const note = (crew: Crew, entry: Entry) => look(crew).notes.get(entry.id);
/** The strings of the second unit hang on nothing. */
const loose: SiteDesign = {
  ...twoUnits,
  strings: twoUnits.strings.map((s) => (s.place?.inverterId === TWO ? { ...s, place: null } : s)),
};

describe('a reading', () => {
  it('counts upwards only where every need was closed, and says which were not: six at most', () => {
    const crew = new Crew(twoUnits);
    crew.prove('S-DOC');
    expect(note(crew, crew.tick('I-COVER', ONE, 'pass'))).toBe(
      'Not closed when it was made: I-TORQ@inv-1, I-DCLAND@inv-1, I-ADDR@inv-1, S-SAFE.',
    );
    const landed = note(crew, crew.prove('I-DCLAND', ONE));
    expect(landed?.split(', ')).toHaveLength(6);
    expect(look(crew).gate('I-COVER', ONE)?.state).toBe('locked');
  });
  it('of a unit on which nothing hangs proves nothing, and one that a release emptied is proved anew', () => {
    const crew = new Crew(loose);
    crew.site();
    for (const g of ['I-MOUNT', 'I-PE'] as const) crew.prove(g, TWO);
    const landing = { inputs: [{ stringId: twoUnits.strings[0]?.id, voltageV: 800 }], clicked: true, capped: true };
    crew.prove('I-DCLAND', TWO, { values: landing });
    expect(look(crew).gate('I-DCLAND', TWO)).toMatchObject({ state: 'locked', waitsFor: [] });
    const emptied = look(handedOver(), loose);
    expect(emptied.gate('I-DCLAND', TWO)).toMatchObject({ state: 'locked', waitsFor: [] });
    expect(emptied.gate('I-COVER', TWO)).toMatchObject({ state: 'stale', waitsFor: ['I-DCLAND@inv-2'] });
    expect(emptied.gate('I-DCLAND', ONE)?.state).toBe('passed');
  });
  it('is noted with the first thing that is wrong with it', () => {
    const crew = new Crew(twoUnits);
    crew.site();
    // Both gates of a string test: its polarity waits for the tag, and so does its voltage.
    const entry = crew.add(
      'string-test',
      { scope: 'string', id: 's-1' },
      { voltageV: 800, cellC: 41, irradianceWm2: 700, lightAt: null, currentA: null },
    );
    expect(note(crew, entry)).toBe('Not closed when it was made: D-ID@s-1.');
  });
});

describe('a site whose survey names no time zone', () => {
  it('has no safe day, and closes what needs none', () => {
    const nowhere = { ...twoUnits, survey: { ...twoUnits.survey, timeZone: null } };
    const crew = new Crew(nowhere);
    const safe = crew.prove('S-SAFE');
    const papers = crew.prove('S-DOC');
    expect(note(crew, safe)).toBe(
      'The survey names no time zone: nobody can say when the day of this safe start ends.',
    );
    expect(note(crew, papers)).toBeUndefined();
    expect([look(crew).gate('S-SAFE', 'site')?.state, look(crew).gate('S-DOC', 'site')?.state]).toEqual([
      'open',
      'passed',
    ]);
    expect(note(crew, crew.tick('S-SAFE', 'site', 'fail'))).toBeUndefined();
    expect(look(crew).gate('S-SAFE', 'site')?.state).toBe('failed');
  });
});

describe('a tick', () => {
  it('belongs to the scope of its gate, and to a part that is there', () => {
    const crew = new Crew(twoUnits);
    crew.site();
    const unit = { scope: 'inverter', id: ONE } as const;
    const astray = crew.add('gate', unit, { gate: 'S-DOC', result: 'fail', evidence: 'not my gate' });
    expect(note(crew, astray)).toBe('Gate S-DOC belongs to a site.');
    expect(look(crew).gate('S-DOC', 'site')?.state).toBe('passed');
    expect(note(crew, crew.tick('I-COVER', 'inv-9', 'pass'))).toBe('The newest release has no such inverter.');
  });
});
