import { edges } from '../../../testing/edges';
import type { DrilledHoles } from './fit';
import { DRILLED_FIT } from './fit';

const at = (list: readonly (readonly [number, number])[]) => list.map(([xMm, yMm]) => ({ xMm, yMm }));
const NOMINAL = at([
  [1225, 160],
  [2025, 160],
  [1225, -140],
  [2025, -140],
]);
/** Measured A1 to A4 of the worked bracket: worst 1.847778 mm at A4. */
const MEASURED = at([
  [1226, 162],
  [2027, 163],
  [1226, -138],
  [2024, -137],
]);
const holes = (
  slotMm: number | null,
  boltMm: number | null = 10,
  measured: DrilledHoles['measured'] = MEASURED,
): DrilledHoles => ({
  names: ['A1', 'A2', 'A3', 'A4'],
  nominal: NOMINAL,
  measured,
  slotMm,
  boltMm,
});

edges(DRILLED_FIT, () => ({
  holds: [holes(13.7), holes(10, 10, NOMINAL)],
  tight: [holes(13.69), holes(12.47)],
  stops: [holes(12.46), holes(11)],
  without: {
    'every hole of the bracket': holes(13, 10, [...MEASURED.slice(0, 3), null]),
    'slot or hole of the bracket': holes(null),
    'bolt of the bracket': holes(14, null),
  },
  numbers: [[holes(14), { value: 1.8477781, limit: 2 }]],
  says: [
    [holes(13, 10, [null, ...MEASURED.slice(1)]), /^Missing: hole A1$/],
    [
      holes(14),
      /^moved 0\.75 mm right and 2\.50 mm up, turned 0\.0275°$/,
      /^left over: A1 0\.45, A2 1\.36, A3 0\.36, A4 1\.85 mm; play \(14 − 10\)\/2 = 2 mm$/,
      /^hang it$/,
    ],
    [holes(13), /./, /./, /^slot A4$/],
    [holes(11), /./, /./, /^drill A4 afresh, two depths away/],
  ],
}));
