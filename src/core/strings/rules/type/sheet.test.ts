import { expect, it } from 'vitest';
import { inverterFindings } from '../../../equipment/inverterSheet';
import type { InverterType } from '../../../equipment/inverterType';
import { edges } from '../../../testing/edges';
import { T100 } from '../../../testing/examples';
import { INVERTER_SHEET } from './sheet';

const sheet = (over: Partial<InverterType>, bay: Partial<InverterType['bay']> = {}): InverterType => ({
  ...T100,
  ...over,
  bay: { ...T100.bay, ...bay },
});

/** What stops, just past where it does, by its code. */
const STOPS: readonly (readonly [string, InverterType])[] = [
  ['IS01', sheet({ startV: 1000.1 })],
  ['IS02', sheet({ fullPowerMinV: 199.9 })],
  ['IS02', sheet({ fullPowerMaxV: 1000.1 })],
  ['IS03', sheet({ dcMaxW: 49_999 })],
  ['IS03', sheet({ dcMaxW: 400_001 })],
  ['IS05', sheet({ ratedW: 110_001 })],
  ['IS06', sheet({}, { glandClampMinMm: 60.1 })],
  ['IS07', sheet({}, { torqueMinNm: 30.1 })],
  ['IS08', sheet({ lineMinV: 400.1 })],
  ['IS08', sheet({ lineMaxV: 399.9 })],
];

edges(INVERTER_SHEET, () => ({
  holds: [
    T100,
    sheet({ startV: 1000, fullPowerMinV: 200, fullPowerMaxV: 1000 }),
    sheet({ dcMaxW: 100_000 }),
    sheet({ dcMaxW: 220_000 }),
    sheet({ ratedW: 110_000 }),
    sheet({}, { glandClampMinMm: 47, glandClampMaxMm: 47, torqueMinNm: 25, torqueMaxNm: 25 }),
    sheet({ lineMinV: null, lineMaxV: null, startV: null, dcMaxW: null, fullPowerMinV: null, fullPowerMaxV: null }),
  ],
  tight: [
    sheet({ dcMaxW: 99_999 }),
    sheet({ dcMaxW: 220_001 }),
    sheet({ dcMaxW: 50_000 }),
    sheet({ dcMaxW: 400_000 }),
    sheet({}, { glandSealSplitMm: 34 }),
    sheet({}, { glandSealSplitMm: 61 }),
  ],
  stops: STOPS.map(([, t]) => t),
  without: {},
}));

it.each(STOPS)('%s alone is what is wrong, and it says so in words', (code, t) => {
  const errors = inverterFindings(t).filter((f) => f.severity === 'error');
  expect(errors.map((f) => f.code)).toEqual([code]);
  expect(errors[0]!.text.length).toBeGreaterThan(20);
});
