import { afterEach, describe, expect, it, vi } from 'vitest';
import { withStrings } from '../../strings/arrange';
import { legalLayout } from '../../strings/layout/legalLayout';
import { Crew } from '../../testing/crew';
import { plane, siteOf } from '../../testing/examples';
import type { Entry } from '../entry';
import type { Result } from '../kind';
import { kindNamed } from '../kinds';
import { EntryIndex } from './entries';
import { Neighbours } from './neighbours';
import { Times } from './times';
import { worse } from '../judging';
import { Verdicts, blankMemory } from './verdicts';

/** What an entry says is asked once, and again only where those it was held against changed. */

const bare = siteOf(1, [plane('south', 144)]);
const design = withStrings(bare, legalLayout(bare).strings);
const release = { letter: 'A', atMs: 0, design };
const like = design.strings.filter((s) => s.modules === design.strings[0]?.modules).map((s) => s.id);
const crew = new Crew(design);
const times = new Times('UTC');
const among = (entries: readonly Entry[]) => new Neighbours(entries, EntryIndex.of(entries), times);
const among1 = (entries: readonly Entry[], memory = blankMemory()) => new Verdicts(among(entries), times, memory);

/** A healthy reading of a string, or one so many volts off, a minute after the last. */
function reading(string: number, offV = 0, minutes = 1): Entry {
  const entry = crew.prove('D-VOC', like[string] ?? '', { minutes });
  if (offV === 0) return entry;
  const values = { ...(entry.values as object), voltageV: (entry.values as { voltageV: number }).voltageV + offV };
  return { ...entry, values } as Entry;
}
const judging = () => vi.spyOn(kindNamed('string-test'), 'judge');
afterEach(() => void vi.restoreAllMocks());

describe('of two answers', () => {
  it('a fail is worst, then one that proves nothing, then a caution', () => {
    const ranked: readonly Result[] = ['fail', null, 'caution', 'pass'];
    for (const [i, a] of ranked.entries())
      for (const [j, b] of ranked.entries()) expect(worse(a, b)).toBe(ranked[Math.min(i, j)]);
  });
});

describe('what an entry says', () => {
  it('is an answer for each of its gates, and none for another', () => {
    const entry = reading(0);
    const verdicts = among1([entry]);
    expect(verdicts.says(entry, release, 'D-VOC')).toBe('pass');
    expect(verdicts.says(entry, release, 'D-IR')).toBeNull();
    expect(verdicts.of(entry, release).checks.length).toBeGreaterThan(0);
  });
  it('is nothing of any of its gates where the arithmetic has no answer, and a fault of the program stays one', () => {
    const entry = reading(0);
    const failing = (cause: Error) =>
      judging().mockImplementation(() => {
        throw cause;
      });
    failing(new RangeError('irradiance must be above 0'));
    expect(among1([entry]).of(entry, release)).toEqual({
      checks: [],
      says: kindNamed('string-test').gates.map((gate) => ({ gate, result: null })),
    });
    failing(new TypeError('a slip'));
    expect(() => among1([entry]).of(entry, release)).toThrow('a slip');
  });
  it('is judged once, again for another design, and every time for an entry made up for one question', () => {
    const entry = reading(0);
    const verdicts = among1([entry]);
    const judge = judging();
    for (let n = 0; n < 3; n++) verdicts.says(entry, release, 'D-VOC');
    expect(judge).toHaveBeenCalledTimes(1);
    verdicts.says(entry, { ...release, design: { ...design } }, 'D-VOC');
    expect(judge).toHaveBeenCalledTimes(2);
    for (let n = 0; n < 2; n++) verdicts.says(entry, release, 'D-VOC', true);
    expect(judge).toHaveBeenCalledTimes(4);
  });
});

describe('in a longer log', () => {
  it('it is judged again only where others came to stand beside it', () => {
    const [a, b, c] = [reading(0), reading(1), reading(2)];
    const memory = blankMemory();
    const before = among1([a, b], memory);
    before.says(a, release, 'D-VOC');
    const judge = judging();
    const later = reading(3, 0, 60);
    const beside = before.among(among([a, b, later]));
    expect(beside.says(a, release, 'D-VOC')).toBe('pass');
    beside.says(a, release, 'D-VOC');
    expect(judge).not.toHaveBeenCalled();
    const nearer = before.among(among([a, b, c]));
    for (let n = 0; n < 3; n++) nearer.says(a, release, 'D-VOC');
    expect(judge).toHaveBeenCalledTimes(1);
    // Back among the earlier ones it is held against them again.
    before.says(a, release, 'D-VOC');
    expect(judge).toHaveBeenCalledTimes(2);
  });
  it('a reading in another’s place, as many as before, is found out', () => {
    const [a, b, c] = [reading(0), reading(1), reading(2)];
    const memory = blankMemory();
    among1([a, b], memory).says(a, release, 'D-VOC');
    const judge = judging();
    among1([a, c], memory).says(a, release, 'D-VOC');
    expect(judge).toHaveBeenCalledTimes(1);
  });
});

describe('what others change', () => {
  const entries = () => [reading(0, -15, 60), reading(1), reading(2), reading(3)] as const;
  it('are those that say something else beside the new ones, and no others', () => {
    const [off, b, c, d] = entries();
    const memory = blankMemory();
    const before = among1([off, b], memory);
    for (const e of [off, b]) before.says(e, release, 'D-VOC');
    expect(before.says(off, release, 'D-VOC')).toBe('pass');
    const after = before.among(among([off, b, c, d]));
    expect(after.changedBy([c, d], before, [release])).toEqual([off]);
    expect(after.says(off, release, 'D-VOC')).toBe('caution');
  });
  it('are none where nothing was asked beside them yet, where they say the same, or stand too far off', () => {
    const [off, b, c, d] = entries();
    const memory = blankMemory();
    const unasked = among1([off, b], memory);
    expect(unasked.among(among([off, b, c])).changedBy([c], unasked, [release])).toEqual([]);
    unasked.says(b, release, 'D-VOC');
    expect(unasked.among(among([off, b, c, d])).changedBy([c, d], unasked, [release])).toEqual([]);
    const healthy = [reading(0, 0, 60), reading(1), reading(2)];
    const more = reading(3);
    const before = among1(healthy, memory);
    for (const e of healthy) before.says(e, release, 'D-VOC');
    expect(before.among(among([...healthy, more])).changedBy([more], before, [release])).toEqual([]);
    const far = reading(3, 0, 60);
    const alone = among1([off, b, c, d], memory);
    for (const e of [off, b, c, d]) alone.says(e, release, 'D-VOC');
    expect(alone.among(among([off, b, c, d, far])).changedBy([far], alone, [release])).toEqual([]);
  });
  it('are told by any of the releases, and nothing is changed where there is none', () => {
    const [off, b, c, d] = entries();
    const other = { ...release, letter: 'B', design: { ...design } };
    const memory = blankMemory();
    const before = among1([off, b], memory);
    before.says(off, other, 'D-VOC');
    const after = before.among(among([off, b, c, d]));
    expect(after.changedBy([c, d], before, [release, other])).toEqual([off]);
    expect(after.changedBy([c, d], before, [])).toEqual([]);
  });
  it('count a correction in the place of what it corrects as changed, whatever it says', () => {
    const [off, b, c] = entries();
    const right = {
      ...crew.prove('D-VOC', like[0] ?? '', { corrects: off.id, reason: 'typed wrong' }),
    };
    const memory = blankMemory();
    const all = [off, b, right];
    const before = among1(all, memory);
    for (const e of all) before.says(e, release, 'D-VOC');
    const changed = before.among(among([...all, c])).changedBy([c], before, [release]);
    expect(changed.map((e) => e.id)).toContain(off.id);
  });
});
