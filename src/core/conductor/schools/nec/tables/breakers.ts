/** Standard ratings of breakers and fuses, A (NFPA 70, Table 240.6(A); recalled). */
export const STANDARD_OCPD_A: readonly number[] = [
  15, 20, 25, 30, 35, 40, 45, 50, 60, 70, 80, 90, 100, 110, 125, 150, 175, 200, 225, 250, 300, 350, 400, 450, 500, 600,
  700, 800, 1000, 1200, 1600, 2000, 2500, 3000, 4000,
];
