import { describe, expect, it } from 'vitest';
import type { Entry } from '$core/proving/entry';
import { Crew } from '$core/testing/crew';
import { withStrings } from '$core/strings/arrange';
import { legalLayout } from '$core/strings/layout/legalLayout';
import { plane, siteOf } from '$core/testing/examples';
import { lightAtHand } from './lightAtHand';

const bare = siteOf(1, [plane('south', 72)]);
const design = withStrings(bare, legalLayout(bare).strings);
const string = design.strings[0]?.id ?? '';
const READ_MS = Date.parse('2026-05-04T10:00:00Z');
const MIN_MS = 60_000;

/** A reading of a string by this or another phone, so many minutes after ten. */
function reading(minutes: number, { device = 'mine', lightAt = null as string | null } = {}): Entry {
  const doneAt = new Date(READ_MS + minutes * MIN_MS).toISOString();
  return new Crew(design).prove('D-VOC', string, { doneAt, device: { id: device }, values: { lightAt } });
}
const at = (minutes: number, ...entries: Entry[]) => lightAtHand(entries, 'mine', READ_MS + minutes * MIN_MS);

describe('a light at hand', () => {
  it('stands for ten minutes, and says how old it is', () => {
    expect(at(3.9, reading(0))).toMatchObject({ at: '2026-05-04T10:00:00.000Z', ageMin: 3 });
    expect([at(10, reading(0)) !== null, at(10.01, reading(0))]).toEqual([true, null]);
  });
  it('stands at once, though the clock that is looked at stood still for a moment', () => {
    expect(at(-0.2, reading(0))).toMatchObject({ ageMin: 0 });
  });
  it('is the newest that was read, not one that was taken over', () => {
    const over = reading(8, { lightAt: '2026-05-04T10:00:00.000Z' });
    expect(at(9, reading(0), reading(4), over)).toMatchObject({ at: '2026-05-04T10:04:00.000Z', ageMin: 5 });
    expect(at(12, reading(0), over)).toBeNull();
  });
  it('was read by this device: another clock cannot say how old it is', () => {
    expect(at(1, reading(0, { device: 'theirs' }))).toBeNull();
    expect(at(1)).toBeNull();
  });
});
