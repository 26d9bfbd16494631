import { edges } from '../../../testing/edges';
import { acRun } from '../../../testing/subjects';
import { DESIGN_CURRENT } from './designCurrent';

/** 110 kVA at 400 V are 158.771 A. */
const BY_POWER = 110_000 / (Math.sqrt(3) * 400);
const sheet = (ratio: number | null) => acRun({ type: { outputMaxA: ratio === null ? null : ratio * BY_POWER } });

edges(DESIGN_CURRENT, () => ({
  holds: [sheet(0.995), sheet(1), sheet(1.15)],
  tight: [sheet(1.1501), sheet(null)],
  stops: [sheet(0.9949)],
  without: {},
  numbers: [
    [sheet(null), { value: BY_POWER / 0.9 }],
    [sheet(1.1), { value: 1.1 * BY_POWER }],
  ],
  says: [
    [sheet(null), /110000 VA \/ \(√3 × 400 V\) = 158\.8 A$/, /= I_calc \/ 0\.90 = 176\.4 A, provisional$/],
    [sheet(1), /158\.8 A$/, /1\.000 of I_calc/],
    [sheet(0.99), /158\.8 A$/, /0\.990 of I_calc/, /^Below rated power/],
    [sheet(1.2), /158\.8 A$/, /1\.200 of I_calc/, /inrush or fault current/],
  ],
}));
