/** Rise from unit to board that leaves the trip margin to the grid, per cent of nominal (common practice: the 1 % school). */
export const RISE_WANTED_PERCENT = 1;
export const RISE_LIMIT_PERCENT = 2;
