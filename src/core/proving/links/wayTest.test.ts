import { describe, expect, it } from 'vitest';
import { Crew } from '../../testing/crew';
import { twoUnits } from '../../testing/handedOver';
import { ethernet, radio } from '../../testing/otherWays';
import { evidence } from '../evidence';
import { wayPart } from './parts';
import { waysOf } from './wayTest';

const otherWays = {
  ethernet: [ethernet({ id: 'e1', label: 'Hall', units: 2 }), ethernet({ id: 'e2', label: 'Yard', units: 3 })],
  radio: [radio({ id: 'e1', label: 'Gate house' })],
  carriers: [],
  servicePorts: [],
};
const design = { ...twoUnits, chain: { ...twoUnits.chain, otherWays } };
const SITE = { scope: 'site', id: 'site' } as const;
const trial = (over: object) => ({
  way: 'ethernet',
  wayId: 'e1',
  when: 'at another hour',
  unitsOn: 2,
  unitsAnswered: 2,
  polls: 100,
  worstGood: 100,
  ...over,
});
const judged = (over: object) => {
  const crew = new Crew(design);
  const entry = crew.add('way-test', SITE, trial(over));
  const { checks } = evidence(
    { releases: [{ letter: 'A', atMs: 0, design }], entries: crew.entries },
    crew.nowMs,
  ).judgement(entry);
  const units = checks.find((c) => c.id === 'proving.way-units');
  return [units?.subject.path, units?.verdict, ...(units?.working ?? [])];
};

describe('a way that was tried', () => {
  it('is one of those of the release, by its kind and its id', () => {
    expect(waysOf(otherWays).map((w) => [w.way, w.id, w.units])).toEqual([
      ['ethernet', 'e1', 2],
      ['ethernet', 'e2', 3],
      ['radio', 'e1', undefined],
    ]);
    expect(judged({})).toEqual(['Ethernet Hall', 'holds', '2 of 2 answer over Hall']);
    expect(judged({ wayId: 'e2' })).toEqual([
      'Ethernet Yard',
      'stop',
      '2 of 2 answer over Yard',
      '3 are planned on it',
    ]);
    expect(judged({ way: 'radio' })).toEqual(['radio link Gate house', 'holds', '2 of 2 answer over Gate house']);
    expect(judged({ way: 'radio', wayId: 'e2' }).slice(0, 2)).toEqual(['radio link e2', 'unknown']);
  });
  it('is one part at any hour; a carrier is two', () => {
    const part = (way: 'ethernet' | 'carriers', when: 'at night' | 'at another hour' | 'at full power') =>
      wayPart({ way, wayId: 'x', when });
    expect(part('ethernet', 'at night')).toBe(part('ethernet', 'at another hour'));
    expect(part('carriers', 'at night')).not.toBe(part('carriers', 'at full power'));
  });
});
