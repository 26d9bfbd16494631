import type { InverterType } from '../equipment/inverterType';
import { within } from '../kernel/rounding';

/** How far a grid's nominal voltage may lie from a unit's and still be worth asking its sheet, share: 415 V on 400 V (common practice). */
const WORTH_ASKING = 0.05;

/**
 * Whether a grid's nominal voltage suits a unit: the same nominal, or inside the grid window of its sheet; `null` where the two differ a little
 * and the sheet prints no window. Line to line, V. A grid of 415 V takes a 400 V unit whose window says so, and no other.
 */
export function suitsGrid(
  lineV: number,
  { nominalLineV, lineMinV, lineMaxV }: Pick<InverterType, 'nominalLineV' | 'lineMinV' | 'lineMaxV'>,
): boolean | null {
  if ((lineMinV !== null && lineV < lineMinV) || (lineMaxV !== null && lineV > lineMaxV)) return false;
  if (lineV === nominalLineV || (lineMinV !== null && lineMaxV !== null)) return true;
  return within(Math.abs(lineV / nominalLineV - 1), WORTH_ASKING) ? null : false;
}
