import { describe, expect, it } from 'vitest';
import { withStrings } from '../../strings/arrange';
import { legalLayout } from '../../strings/layout/legalLayout';
import { Crew } from '../../testing/crew';
import { plane, siteOf } from '../../testing/examples';
import { evidence } from '../evidence';
import type { GateId } from '../gates/machine';

const bare = siteOf(2, [plane('south', 18 * 8)]);
const design = withStrings(bare, legalLayout(bare).strings);
const releases = [{ letter: 'A', atMs: Date.parse('2026-05-01T08:00:00Z'), design }];
const [UNIT] = design.inverters.map((u) => u.id) as [string];
const look = (crew: Crew, laterMs = 60_000) => evidence({ releases, entries: crew.entries }, crew.nowMs + laterMs);

describe('why a gate is not closed', () => {
  const gateOf = (work: (crew: Crew) => unknown, gate: GateId, object: string) => {
    const crew = new Crew(design);
    crew.site();
    work(crew);
    const proof = look(crew).gate(gate, object);
    return [proof?.state, proof?.why];
  };
  it('is said where a reading proves nothing, and where the gate waits for others', () => {
    expect(gateOf((c) => c.prove('I-PE', UNIT, { role: 'helper', licensedUntil: null }), 'I-PE', UNIT)).toEqual([
      'locked',
      expect.stringMatching(/^Gate I-PE is signed by the electrician/),
    ]);
    const early = (c: Crew) => c.tick('I-COVER', UNIT, 'pass');
    expect(gateOf(early, 'I-COVER', UNIT)).toEqual(['locked', expect.stringMatching(/^Not closed when it was made: /)]);
    expect(gateOf(() => undefined, 'I-COVER', UNIT)).toEqual(['locked', null]);
  });
  it('is the reading itself where that failed, and nothing where it passed', () => {
    expect(gateOf((c) => c.tick('I-MOUNT', UNIT, 'fail'), 'I-MOUNT', UNIT)).toEqual(['failed', null]);
    expect(gateOf((c) => c.prove('I-MOUNT', UNIT), 'I-MOUNT', UNIT)).toEqual(['passed', null]);
  });
});

describe('what a gate waits for', () => {
  it('is nothing once it is closed, also when the safe day of its work has ended', () => {
    const crew = new Crew(design);
    crew.site();
    crew.prove('I-MOUNT', UNIT);
    const next = look(crew, 24 * 3_600_000);
    expect(next.closed('S-SAFE', 'site')).toBe(false);
    expect(next.gate('I-MOUNT', UNIT)).toMatchObject({ state: 'passed', waitsFor: [] });
  });
});

describe('where the clocks leave the order open', () => {
  it('a gate is shown as the first of those orders that leave it worst', () => {
    const crew = new Crew(design);
    crew.site();
    const fail = crew.tick('I-MOUNT', UNIT, 'fail', { device: { id: 'p2' } });
    crew.prove('I-MOUNT', UNIT, { device: { id: 'p3' }, minutes: 0.005 });
    const e = look(crew);
    expect(e.gate('I-MOUNT', UNIT)).toMatchObject({ state: 'failed', by: { id: fail.id } });
    expect(e.gate('I-PE', UNIT)?.state).toBe('locked');
  });
});
