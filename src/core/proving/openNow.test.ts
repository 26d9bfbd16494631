import { describe, expect, it } from 'vitest';
import { Crew } from '../testing/crew';
import { twoUnits } from '../testing/handedOver';
import { evidence } from './evidence';
import type { GateId, GateRow } from './gates/machine';
import { GATE_TABLE } from './gates/table';
import { canBeWorked, openNow } from './openNow';
import type { Role } from './entry';

/** What is open is shown by role, and what most gates wait for first: common practice. */

const ROWS: readonly GateRow[] = GATE_TABLE;
const releases = [{ letter: 'A', atMs: Date.parse('2026-05-01T08:00:00Z'), design: twoUnits }];
const look = (crew: Crew) => evidence({ releases, entries: crew.entries }, crew.nowMs);
const ids = (crew: Crew, role: Role | null = null) => openNow(look(crew), role).map((o) => o.gate.id);
const UNITS = twoUnits.inverters.map((i) => i.id);

/** By walking the table afresh for each gate, until nothing new is met. */
function waitFor(id: GateId): number {
  const met = new Set<GateId>();
  const walk = (at: GateId) => {
    for (const row of ROWS.filter(
      (r) => (r.needs as readonly GateId[]).includes(at) && !r.applies.startsWith('battery'),
    ))
      if (!met.has(row.id)) {
        met.add(row.id);
        walk(row.id);
      }
  };
  walk(id);
  return met.size;
}

describe('what is open now', () => {
  it('is on the first morning the papers, the permission and the safe start, the start first', () => {
    const crew = new Crew(twoUnits);
    expect(ids(crew)).toEqual(['S-SAFE', 'S-DOC']);
    crew.prove('S-DOC');
    expect(ids(crew)).toEqual(['S-SAFE', 'S-PTO']);
  });
  it('stands in the order of how many gates wait for it, counted through the table', () => {
    const crew = new Crew(twoUnits);
    for (const gate of ['S-DOC', 'S-SAFE', 'S-EARTH'] as const) crew.prove(gate);
    const open = openNow(look(crew), null);
    expect(open.map((o) => o.unlocks)).toEqual(open.map((o) => waitFor(o.gate.id)));
    expect(open.map((o) => o.unlocks)).toEqual(open.map((o) => o.unlocks).toSorted((a, b) => b - a));
    expect(waitFor('S-HAND')).toBe(0);
    expect(waitFor('S-PERF')).toBe(1);
  });
  it('names every part at which it can be worked, and drops those that are done', () => {
    const crew = new Crew(twoUnits);
    crew.site();
    const at = (gate: GateId) => openNow(look(crew), null).find((o) => o.gate.id === gate)?.objects;
    expect(at('I-MOUNT')).toEqual(UNITS);
    expect(at('D-ID')).toEqual(twoUnits.strings.filter((s) => s.place).map((s) => s.id));
    crew.prove('I-MOUNT', UNITS[0]);
    expect(at('I-MOUNT')).toEqual(UNITS.slice(1));
    expect(at('I-PE')).toEqual(UNITS.slice(0, 1));
    expect(at('I-ACIR')).toBeUndefined();
  });
  it('is for each role what it signs', () => {
    const crew = new Crew(twoUnits);
    crew.site();
    expect(ids(crew, 'helper')).toEqual(['D-ID']);
    expect(ids(crew, 'lead')).toEqual(['I-MOUNT', 'D-ID']);
    expect(ids(crew, 'electrician')).toEqual(ids(crew));
    expect([ids(crew, 'designer'), ids(crew, 'reader')]).toEqual([[], []]);
  });
  it('is what failed, wants to be accepted, or went stale with its needs closed again; nothing where nothing is released', () => {
    expect((['open', 'failed', 'caution'] as const).every((state) => canBeWorked({ state, waitsFor: ['x'] }))).toBe(
      true,
    );
    expect([[], ['I-PE@inv-1']].map((waitsFor) => canBeWorked({ state: 'stale', waitsFor }))).toEqual([true, false]);
    expect(
      (['locked', 'passed', 'accepted', 'waived', 'n/a'] as const).some((state) =>
        canBeWorked({ state, waitsFor: [] }),
      ),
    ).toBe(false);
    expect(openNow(evidence({ releases: [], entries: [] }, 0), null)).toEqual([]);
  });
});
