import { expect, it } from 'vitest';
import type { ModuleType } from '../../../equipment/moduleType';
import { edges } from '../../../testing/edges';
import { M575 } from '../../../testing/examples';
import { acInsulationReading, dcInsulationReading } from '../../insulation';
import { RESISTANCE } from './resistance';

/** 17 modules: 1.25 × 877.5 V asks for 1500 V and 1 MΩ (IEC 62446-1, 6.7, Table 2; recalled). */
const dc = (megohm: number, testV = 1500, modules = 17, over: { seconds?: number; ofParts?: number } = {}) =>
  dcInsulationReading(M575, modules, { testV, megohm, seconds: 60, ...over }, 1100);
/** Of a string that hangs on no unit yet. */
const onNothing = dcInsulationReading(M575, 17, { testV: 1500, megohm: 4, seconds: 60 }, null);
/** Sheets that give a size of 2 m²: 17 of them are 34 m², and may leak to 40/34 MΩ together (IEC 61215-2, MQT 03; recalled). */
const sized = (over: Partial<ModuleType> = {}, ofParts = 1) =>
  dcInsulationReading(
    { ...M575, lengthMm: 2000, widthMm: 1000, ...over },
    17,
    { testV: 1500, megohm: 4, seconds: 60, ofParts },
    null,
  );
const ac = (megohm: number, testV = 500, seconds = 60) => acInsulationReading(400, { testV, megohm, seconds });
edges(RESISTANCE, () => ({
  holds: [dc(1), dc(200), ac(10), dc(1, 1000, 12)],
  tight: [ac(9.99), ac(1)],
  // 36 modules are 20.7 kW: one low reading over all of them condemns nothing, over a third it does. A fail needs no full minute.
  stops: [dc(0.99), ac(0.99), dc(50, 1501), dc(0.99, 1500, 36, { ofParts: 3 }), dc(0.99, 1500, 17, { seconds: 5 })],
  // Too low a voltage proves nothing, and over 10 kW a low reading is split before anything is condemned.
  without: { 'a test that proves something': dc(50, 1000) },
  says: [
    [dc(4), /4 MΩ ≥ 1 MΩ at 1500 V The unit starts above 0.037 MΩ/],
    [onNothing, /^4 MΩ ≥ 1 MΩ at 1500 V$/],
    [sized(), /^4 MΩ ≥ 1 MΩ at 1500 V Healthy modules of this size may leak down to 1\.176 MΩ together\.$/],
    [sized({}, 2), /down to 2\.353 MΩ/],
    [sized({ lengthMm: null }), /^4 MΩ ≥ 1 MΩ at 1500 V$/],
    [sized({ widthMm: null }), /^4 MΩ ≥ 1 MΩ at 1500 V$/],
  ],
  numbers: [
    [dc(4), { value: 4, limit: 1, margin: 300 }],
    [dc(0.6, 250, 1), { value: 0.6, limit: 0.5, margin: 20 }],
  ],
}));

it('proves nothing under a minute, or over a large section that reads low', () => {
  const verdict = (r: ReturnType<typeof dc>) => RESISTANCE.check(r, { element: 'string', path: '' }).verdict;
  expect([dc(50, 1500, 17, { seconds: 59 }), ac(50, 500, 59), dc(0.99, 1500, 36)].map(verdict)).toEqual([
    'unknown',
    'unknown',
    'unknown',
  ]);
});
