/** Sisters of a reading: like parts read within this of each other, ms (IEC 62446-1, 6.5; recalled). */
export const SISTERS_WITHIN_MS = 10 * 60_000;

/** How many of them make a likeness test (common practice). */
export const SISTERS_MIN = 3;
