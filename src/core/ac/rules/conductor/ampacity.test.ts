import { edges } from '../../../testing/edges';
import { acRun } from '../../../testing/subjects';
import { AMPACITY } from './ampacity';

/** Cu 120 mm² XLPE on a perforated tray: 346 A × 0.91 (40 °C) × 0.82 (three circuits) (IEC 60364-5-52, B.52.12, .14, .17; recalled). */
const IZ = 346 * 0.91 * 0.82;
const breaker = (breakerA: number | null) => acRun({ run: { breakerA } });

edges(AMPACITY, () => ({
  holds: [breaker(0.95 * IZ), breaker(160)],
  tight: [breaker(0.951 * IZ), breaker(IZ)],
  stops: [breaker(1.001 * IZ)],
  without: { breaker: breaker(null), 'current the cable may carry': acRun({ run: { ambientC: null } }) },
  numbers: [[breaker(200), { value: 200, limit: IZ }]],
}));
