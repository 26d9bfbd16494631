import { describe, expect, it } from 'vitest';
import { Crew } from '../../testing/crew';
import { plane, siteOf } from '../../testing/examples';
import type { Entry } from '../entry';
import { gateRow } from '../gates/machine';
import { correctionTrouble } from './corrections';
import { isElectrician, signs, standing, whyNot } from './people';

const DAY = '2026-05-04';
const crew = new Crew(siteOf(2, [plane('south', 36)]));
const tick = crew.tick('I-COVER', 'inv-1', 'pass');
const step = crew.step('inv-1', '1', 'SELF_CHECK');
const changed = (entry: Entry, over: Partial<Entry>): Entry => ({
  ...entry,
  id: 'other',
  reason: 'typed wrong',
  ...over,
});
const trouble = (over: Partial<Entry>, target: Entry | undefined = tick) =>
  correctionTrouble(changed(tick, over), target, DAY);

describe('a correction', () => {
  it('stands for the same gate or step of the same part, with a reason', () => {
    expect(trouble({})).toBeNull();
    expect(correctionTrouble(changed(step, {}), step, DAY)).toBeNull();
  });
  it('stands for nothing else', () => {
    for (const reason of [null, '', '  ']) expect(trouble({ reason })).toMatch(/needs a reason/);
    expect(trouble({ kind: 'torque' })).toMatch(/of kind torque cannot correct one of kind gate/);
    expect(trouble({ subject: { scope: 'inverter', id: 'inv-2' } })).toMatch(/same part/);
    expect(trouble({ subject: { scope: 'string', id: 'inv-1' } })).toMatch(/same part/);
    expect(trouble({ values: { ...tick.values, gate: 'I-MOUNT' } })).toMatch(/same gate/);
    const of = (values: object) =>
      correctionTrouble(changed(step, { values: { ...step.values, ...values } }), step, DAY);
    expect(of({ state: 'RAMP' })).toMatch(/same step/);
    expect(of({ order: '2' })).toMatch(/same step/);
    expect(of({ seen: 'something else' })).toBeNull();
  });
  it('is made by nobody below who made the entry', () => {
    expect(trouble({ role: 'lead', licensedUntil: null })).toMatch(/corrected by an electrician or above/);
    expect(trouble({ licensedUntil: '2026-05-03' })).toMatch(/corrected by an electrician/);
    const byHelper = { ...tick, role: 'helper' as const };
    for (const role of ['helper', 'lead', 'electrician'] as const) expect(trouble({ role }, byHelper)).toBeNull();
    for (const role of ['designer', 'reader'] as const) expect(trouble({ role }, byHelper)).toMatch(/helper or above/);
  });
});

describe('who signs', () => {
  const as = (role: Entry['role'], licensedUntil: string | null = null) => ({ ...tick, role, licensedUntil });
  it('ranks helper, lead, electrician; an electrician by a licence valid that day, its last day included', () => {
    expect((['designer', 'reader', 'helper', 'lead'] as const).map((r) => standing(as(r), DAY))).toEqual([0, 0, 1, 2]);
    expect([DAY, '2026-05-05', '2026-05-03', null].map((until) => standing(as('electrician', until), DAY))).toEqual([
      3, 3, 1, 1,
    ]);
    expect(
      [as('electrician', DAY), as('electrician', '2026-05-03'), as('lead', DAY)].map((e) => isElectrician(e, DAY)),
    ).toEqual([true, false, false]);
  });
  it('signs by rank, and without a licence only what a helper may', () => {
    const may = (gate: 'D-ID' | 'I-MOUNT' | 'I-COVER', e: Entry) => signs(gateRow(gate), e, DAY);
    expect((['D-ID', 'I-MOUNT', 'I-COVER'] as const).map((g) => may(g, as('helper')))).toEqual([true, false, false]);
    expect((['D-ID', 'I-MOUNT', 'I-COVER'] as const).map((g) => may(g, as('lead')))).toEqual([true, true, false]);
    expect((['D-ID', 'I-MOUNT', 'I-COVER'] as const).map((g) => may(g, as('electrician', DAY)))).toEqual([
      true,
      true,
      true,
    ]);
    expect((['D-ID', 'I-MOUNT', 'I-COVER'] as const).map((g) => may(g, as('electrician', '2026-05-03')))).toEqual([
      true,
      false,
      false,
    ]);
    expect(may('D-ID', as('reader'))).toBe(false);
  });
  it('says why not', () => {
    expect(whyNot(gateRow('I-COVER'), as('lead'), DAY)).toBe(
      'Gate I-COVER is signed by the electrician; a lead may not.',
    );
    expect(whyNot(gateRow('I-COVER'), as('electrician', '2026-05-03'), DAY)).toMatch(
      /valid on 2026-05-04 \(this one ended 2026-05-03\)/,
    );
    expect(whyNot(gateRow('I-COVER'), as('electrician'), DAY)).toMatch(/none is given/);
  });
});
