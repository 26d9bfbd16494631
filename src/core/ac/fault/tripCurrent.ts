import type { Answer } from '../../kernel/answer';
import { known, lacking } from '../../kernel/answer';
import type { AcRun } from '../part';

/** Instantaneous trip of miniature breakers by their curve, times their rating: the upper end of each (IEC 60898-1; recalled). */
const CURVE_MULTIPLE = { B: 5, C: 10, D: 20 } as const;
/** A magnetic setting trips within ±20 % (IEC 60947-2; recalled). */
const SETTING_TOLERANCE = 1.2;

export interface TripCurrent {
  readonly currentA: number;
  readonly words: string;
}

/** Current at which the breaker of a run trips at once for certain, A: the curve's upper end, or 1.2 times the magnetic setting. */
export function tripCurrent({ breakerTrip, breakerA, magneticA }: AcRun): Answer<TripCurrent> {
  if (breakerTrip === null) return lacking('trip of the breaker');
  if (breakerTrip === 'magnetic setting')
    return magneticA === null
      ? lacking('magnetic setting of the breaker')
      : known({ currentA: SETTING_TOLERANCE * magneticA, words: `${SETTING_TOLERANCE} · ${magneticA} A set` });
  if (breakerA === null) return lacking('breaker');
  const multiple = CURVE_MULTIPLE[breakerTrip];
  return known({ currentA: multiple * breakerA, words: `curve ${breakerTrip}: ${multiple} · ${breakerA} A` });
}
