/** Preferred rated currents of breakers, A (IEC 60059, recalled). */
export const BREAKER_RATINGS_A: readonly number[] = [
  16, 20, 25, 32, 40, 50, 63, 80, 100, 125, 160, 200, 250, 315, 400, 500, 630, 800, 1000, 1250,
];
