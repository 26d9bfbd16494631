import { expect, it } from 'vitest';
import { edges } from '../../../testing/edges';
import { onInput } from '../../../testing/subjects';
import { HOME_RUN_DROP } from './homeRunDrop';

/** Per cent a metre: 2 × 3.39 Ω/km (6 mm², IEC 60228 class 5, recalled) at 60 °C × 13.44 A on 17 × 42.8 V. */
const A_METRE = (100 * ((2 * 3.39) / 1000) * (1 + 0.00393 * 40) * 13.44) / (17 * 42.8);
const drop = (percent: number, dropReason = '') => onInput({ lengthM: percent / A_METRE, cable: { dropReason } });

edges(HOME_RUN_DROP, {
  holds: [drop(1), drop(0.2)],
  tight: [drop(1.001), drop(2), drop(2.5, 'long roof, agreed')],
  stops: [drop(2.001)],
  without: {
    'section of the DC cable': onInput({ cable: { sectionMm2: null } }),
    'length of the home run, or both places': onInput({ lengthM: null }),
  },
  numbers: [[onInput({ lengthM: 40 }), { value: 40 * A_METRE, limit: 2 }]],
});

it('shows why more was accepted, and no negative margin then', () => {
  const c = HOME_RUN_DROP.check(drop(2.5, 'long roof, agreed'), { element: 'string', path: '' });
  expect([c.margin, c.working.at(-1)]).toEqual([null, 'Accepted: long roof, agreed']);
});
