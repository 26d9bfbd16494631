import type { SchoolName } from '../conductor/school';

/**
 * Rise of a run that leaves the trip margin to the grid, per cent of nominal, wanted and at most (common practice: the 1 % school; the NEC school
 * takes 2 and 3 % to the point of connection, AS/NZS 4777.1 1 and 2 %).
 */
export const RISE_PERCENT: Readonly<Record<SchoolName, { readonly wanted: number; readonly most: number }>> = {
  IEC: { wanted: 1, most: 2 },
  NEC: { wanted: 2, most: 3 },
  'AU/NZ': { wanted: 1, most: 2 },
};

/**
 * The same from the unit to the point of connection, behind the main cable (common practice; AS/NZS 4777.1, recalled).
 */
export const RISE_TO_GRID_PERCENT: typeof RISE_PERCENT = {
  IEC: { wanted: 2, most: 3 },
  NEC: { wanted: 2, most: 3 },
  'AU/NZ': { wanted: 1, most: 2 },
};

/** Room to the trip level that is wanted, per cent of it (common practice). */
export const TRIP_RESERVE_PERCENT = 2;
