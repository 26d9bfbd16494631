import type { InverterType } from '../equipment/inverterType';

/**
 * Whether a grid's nominal voltage suits a unit: the same nominal, or inside the grid window of its sheet; `null` where the two differ and the
 * sheet prints no window. Line to line, V. A grid of 415 V takes a 400 V unit whose window says so, and no other.
 */
export function suitsGrid(
  lineV: number,
  { nominalLineV, lineMinV, lineMaxV }: Pick<InverterType, 'nominalLineV' | 'lineMinV' | 'lineMaxV'>,
): boolean | null {
  if (lineMinV !== null && lineV < lineMinV) return false;
  if (lineMaxV !== null && lineV > lineMaxV) return false;
  if (lineV === nominalLineV) return true;
  return lineMinV !== null && lineMaxV !== null ? true : null;
}
