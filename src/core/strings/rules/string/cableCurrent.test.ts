import { expect, it } from 'vitest';
import { known, lacking } from '../../../kernel/answer';
import { edges } from '../../../testing/edges';
import { onInput } from '../../../testing/subjects';
import { CABLE_CURRENT } from './cableCurrent';

/** One string: 1.25 × 14.21 A; no rear light on a pitched roof (IEC 62548-1). */
const ONE_A = 1.25 * 14.21;
/** 6 mm² beside another, 50 °C: 57 A, no credit under 60 °C (EN 50618, recalled); in bundles of 3, 4, 5, 6: × 0.7, 0.65, 0.6, 0.57. */
const bundle = (
  circuitsTogether: number | null,
  parallel = 1,
  fuseA: number | null = null,
  ambientC: number | null = 50,
) => onInput({ parallel, cable: { circuitsTogether, fuseA, ambientC } });

/** Two strings joined so many metres before their input. */
const y = (circuitsTogether: number, parallel: number, sharedM: number | null = 5, fuseA: number | null = null) =>
  onInput({
    parallel,
    joined: 2,
    sharedM: sharedM === null ? lacking('where the Y sits') : known(sharedM),
    cable: { circuitsTogether, fuseA, ambientC: 50 },
  });

edges(CABLE_CURRENT, () => ({
  holds: [bundle(3), bundle(20), bundle(6, 1, 32), bundle(5, 2)],
  stops: [
    // Unfused two on a Y of a tracker with two more: 2 × 17.76 A forward and 2 × 17.76 A back.
    y(5, 2),
    bundle(5, 3),
    bundle(6, 1, 33),
    bundle(3, 4),
    bundle(20, 1, null, 110),
  ],
  without: {
    'current the DC cable may carry': bundle(null),
    'rear-side share of the plane': onInput({ plane: { rearShare: null } }),
    'where the Y sits': y(3, 2, null),
  },
  numbers: [
    [bundle(3), { value: ONE_A, limit: 57 * 0.7 }],
    [bundle(3, 3), { value: 2 * ONE_A, limit: 57 * 0.7 }],
    [bundle(3, 3, 25), { value: 25 }],
    // Two strings join 5 m before the input: the shared part carries both; a Y at the input leaves nothing to share.
    [y(3, 2), { value: 2 * ONE_A }],
    [y(3, 2, 0), { value: ONE_A }],
    [y(3, 5), { value: 4 * ONE_A }],
    [y(3, 2, 5, 25), { value: 50 }],
    [onInput({ plane: { rearShare: 0.1 } }), { value: ONE_A * 1.08 }],
    [bundle(3, 1, null, 90), { limit: 57 * 0.7 * Math.sqrt(30 / 60) }],
  ],
  says: [
    [bundle(3, 3), /39\.9 A$/, /N_p − 1.*N_p = 3: 35\.5\d A$/],
    [bundle(3, 3, 25), /39\.9 A$/, /= 17\.76 A, string fuse 25 A: 25\.00 A$/],
    [y(3, 2), /39\.9 A$/, /N_p = 2/, /^5\.0 m from the Y to the input carry 2 strings: 35\.5\d A$/],
  ],
}));

/** The same cable by the American school: 10 AWG, 40 A at 90 °C, 30 A at 60 °C (NFPA 70, Table 310.16, recalled). */
const american = (over: NonNullable<Parameters<typeof onInput>[0]>['cable'], parallel = 1) =>
  onInput({
    survey: { school: 'NEC' },
    parallel,
    cable: { sectionMm2: 5.26, circuitsTogether: 1, fuseA: null, ambientC: 30, ...over },
  });
const of = (about: ReturnType<typeof onInput>) => CABLE_CURRENT.check(about, { element: 'string', path: '' });

it('judges by the NEC school what flows for hours at the ends, and all else where the cable lies', () => {
  // At the ends 1.25 × 17.76 A on 30 A; in use 17.76 A on 40 A.
  expect(of(american({}))).toMatchObject({ verdict: 'holds', value: 1.25 * ONE_A, limit: 30 });
  // Nine circuits are 18 conductors, × 0.5, at 61…65 °C × 0.65: 13 A in use.
  expect(of(american({ circuitsTogether: 9, ambientC: 62 }))).toMatchObject({ verdict: 'stop', value: ONE_A });
  expect(of(american({ circuitsTogether: 9, ambientC: 62 })).limit).toBeCloseTo(40 * 0.5 * 0.65, 9);
  // 14 AWG has 15 A at its ends.
  expect(of(american({ sectionMm2: 2.08 }))).toMatchObject({ verdict: 'stop', value: 1.25 * ONE_A, limit: 15 });
  // A metric section is the American size below it; 2.5 mm² is 14 AWG.
  expect(of(american({ sectionMm2: 2.5 })).limit).toBe(15);
  expect(of(american({ sectionMm2: 6 })).limit).toBe(30);
  // Fused at 35 A the fuse rules, where the cable lies.
  expect(of(american({ fuseA: 35 }, 3))).toMatchObject({ value: 35, limit: 40, verdict: 'holds' });
  expect(of(american({ fuseA: 45 }, 3)).verdict).toBe('stop');
  expect(of(american({})).working[1]).toBe('at the ends 1.25 × 17.76 A');
});

it('has no answer by the NEC school beyond its tables', () => {
  expect(of(american({ ambientC: 90 })).working).toEqual(['Missing: an ambient factor for 90 °C at 90 °C insulation']);
  expect(of(american({ ambientC: null })).verdict).toBe('unknown');
});

it('has no current of EN 50618 for American sizes', () =>
  expect(of(onInput({ cable: { sectionMm2: 5.26 } })).working).toEqual([
    'Missing: a current of EN 50618 for 5.26 mm²',
  ]));

it('borrows no table for the AU/NZ school', () =>
  expect(of(onInput({ survey: { school: 'AU/NZ' } })).verdict).toBe('unknown'));
