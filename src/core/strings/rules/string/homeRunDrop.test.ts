import { expect, it } from 'vitest';
import { known, lacking } from '../../../kernel/answer';
import type { DcCable } from '../../part';
import { edges } from '../../../testing/edges';
import { onInput } from '../../../testing/subjects';
import { HOME_RUN_DROP } from './homeRunDrop';

/** Per cent a metre: 2 × 3.39 Ω/km (6 mm², IEC 60228 class 5, recalled) at 60 °C × 13.44 A on 17 × 42.8 V. */
const A_METRE = (100 * ((2 * 3.39) / 1000) * (1 + 0.00393 * 40) * 13.44) / (17 * 42.8);
const drop = (percent: number, cable: Partial<DcCable> = {}) => onInput({ lengthM: percent / A_METRE, cable });
const AGREED = { dropReason: 'long roof, agreed', dropMostPercent: 2.5, dropStringIds: ['s-1'] };
/** Two strings on a Y so far from the input, both with this home run. */
const y = (lengthM: number, sharedM: number | null) =>
  onInput({
    lengthM,
    joined: 2,
    sharedM: sharedM === null ? lacking('where the Y of tracker 1, input 1 sits') : known(sharedM),
  });

edges(HOME_RUN_DROP, () => ({
  holds: [drop(1), drop(0.2)],
  tight: [drop(1.001), drop(2), drop(2.5, AGREED)],
  // A reason without a bound, past its bound, or for another string accepts nothing.
  stops: [
    drop(2.001),
    drop(2.501, AGREED),
    drop(2.1, { ...AGREED, dropMostPercent: null }),
    drop(2.1, { ...AGREED, dropStringIds: ['s-2'] }),
    drop(2.1, { ...AGREED, dropReason: '' }),
    y(70, 70),
  ],
  without: {
    'section of the DC cable': onInput({ cable: { sectionMm2: null } }),
    'length of the home run, or both places': onInput({ lengthM: null }),
    'where the Y sits': y(40, null),
  },
  numbers: [
    [onInput({ lengthM: 40 }), { value: 40 * A_METRE, limit: 2 }],
    // 10 m alone and 30 m with twice the current; a Y at the input shares no cable.
    [y(40, 30), { value: (10 + 2 * 30) * A_METRE }],
    [y(40, 0), { value: 40 * A_METRE }],
    // 12 m of leads and return, one conductor, are 6 m there and back.
    [onInput({ lengthM: 40, string: { leadsM: 12 } }), { value: 46 * A_METRE }],
  ],
  says: [
    [y(40, null), /^Missing: where the Y of tracker 1, input 1 sits$/],
    [y(40, 30), /30\.0 m of it with the current of 2 strings/, /13\.44 A/],
    [onInput({ lengthM: 40, string: { leadsM: 12 } }), /12 m of leads and return/, /./],
  ],
}));

it('shows why more was accepted, and no negative margin then', () => {
  const c = HOME_RUN_DROP.check(drop(2.5, AGREED), { element: 'string', path: '' });
  expect([c.margin, c.working.at(-1)]).toEqual([null, 'Accepted to 2.5 %: long roof, agreed']);
});
