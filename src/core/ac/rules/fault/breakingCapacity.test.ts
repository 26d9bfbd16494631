import { edges } from '../../../testing/edges';
import { acRun } from '../../../testing/subjects';
import { BREAKING_CAPACITY } from './breakingCapacity';

// No main cable known: 1250 kVA of 6 % at 400 V give 1.05 · 400/(√3 · 7.68 mΩ) = 31.57 kA; three units add 1.2 · 480 A: 32.15 kA.
const bare = (breakerIcuKa: number | null, survey = {}) =>
  acRun({ run: { breakerIcuKa }, survey, board: { mainLengthM: null } });

edges(BREAKING_CAPACITY, () => ({
  holds: [bare(36), bare(32.2), acRun({ run: { breakerIcuKa: 30 } })],
  stops: [bare(32.1), bare(25), acRun({ run: { breakerIcuKa: 25 } })],
  without: {
    'breaking capacity of the breaker at this voltage': bare(null),
    'short-circuit current at the board': bare(36, { transformerImpedancePercent: null }),
  },
  numbers: [[bare(36), { value: 0.42 / (Math.sqrt(3) * 0.00768) + 0.576, limit: 36 }]],
  says: [
    [
      bare(36),
      /^transformer 1250 kVA, 6 %, without the main cable, of which not all is known: 31\.57 kA/,
      /32\.15 kA; the breaker opens 36 kA$/,
    ],
    [acRun(), /main cable cold/, /./],
    [bare(36, { lineV: null, transformerKva: null }), /^Missing: nominal line voltage, transformer rating$/],
  ],
}));
