/** Slack of floating point: a number that was built to sit on a limit holds. */
export const ROUNDING = 1e-9;

/** ⌊x⌋, where a hair under a whole number is that number. */
export const floored = (x: number): number => Math.floor(x + ROUNDING);
/** ⌈x⌉, where a hair over a whole number is that number. */
export const ceiled = (x: number): number => Math.ceil(x - ROUNDING);
/** value ≤ limit but for rounding, relative to the limit. False for NaN. */
export const within = (value: number, limit: number): boolean => value <= limit * (1 + ROUNDING);
