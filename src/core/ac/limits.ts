/** Rise from unit to board that leaves the trip margin to the grid, per cent of nominal (common practice: the 1 % school). */
export const RISE_WANTED_PERCENT = 1;
export const RISE_LIMIT_PERCENT = 2;

/** Room to the trip level that is wanted, per cent of it (common practice). */
export const TRIP_RESERVE_PERCENT = 2;
