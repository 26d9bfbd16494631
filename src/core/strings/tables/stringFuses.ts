/** Standard ratings of PV string fuses (gPV), A (IEC 60269-6, recalled). */
export const STRING_FUSES_A: readonly number[] = [1, 2, 3, 4, 5, 6, 8, 10, 12, 15, 16, 20, 25, 30, 32, 35, 40, 50, 63];
