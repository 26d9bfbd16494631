/** Die colour of copper lugs by the area of the conductor, mm²: a colour repeats, the index on the lug decides (common practice). */
export const LUG_COLOURS: readonly (readonly [areaMm2: number, colour: string])[] = [
  [13.3, 'blue'],
  [21.15, 'grey'],
  [33.63, 'brown'],
  [42.41, 'green'],
  [53.48, 'pink'],
  [67.43, 'black'],
  [85.03, 'orange'],
  [107.22, 'purple'],
  [126.68, 'yellow'],
  [152.01, 'white'],
  [177.35, 'red'],
  [202.68, 'blue'],
  [253.35, 'brown'],
  [304.02, 'green'],
  [380.03, 'black'],
];
