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

it.each(['NEC', 'AU/NZ'] as const)('borrows no table for the %s school', (school) =>
  expect(CABLE_CURRENT.check(onInput({ survey: { school } }), { element: 'string', path: '' }).verdict).toBe('unknown'),
);
