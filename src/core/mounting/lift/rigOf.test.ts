import { describe, expect, it } from 'vitest';
import { hoisted, slung } from '../../testing/lifts';
import { hungUnit } from '../../testing/subjects';
import { rigOf } from './rigOf';

describe('a unit on its hook', () => {
  it('says what its sheet and its way lack', () => {
    const bare = hoisted({ hookMm: null }, { eyeThread: null, eyeSpacingMm: null }, null);
    expect(rigOf(bare).missing).toEqual([
      'mass of T100',
      'eye bolts of T100',
      'spacing of the eye bolts of T100',
      'hook over the eye bolts',
    ]);
    expect(rigOf(slung(null, null)).missing).toEqual(['legs of the sling', 'lean of a sling leg']);
    expect(rigOf(slung(3, null)).missing).toEqual(['lean of a sling leg']);
    expect(rigOf(hungUnit({ lift: { by: null } })).missing).toEqual(['how units go up on the wall']);
  });
  it('hangs plumb on one leg, whatever lean is typed', () => {
    expect(rigOf(slung(1, 50)).value).toMatchObject({ legs: 1, leanDeg: 0, legKg: 112, eyes: null });
  });
});
