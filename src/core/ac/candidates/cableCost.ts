import type { Metal } from '../../conductor/metal';
import { requirePositive } from '../../kernel/require';

/** Mass of bare conductor, kg/(m·mm²): density of the metal (IEC 60028 and 60889; recalled). */
const KG_PER_M_MM2: Readonly<Record<Metal, number>> = { Cu: 8.89e-3, Al: 2.7e-3 };

/** Conductors of a run: metal, section, mm², cores of one cable, cables in parallel, one-way length, m. */
export interface Conductors {
  readonly metal: Metal;
  readonly sectionMm2: number;
  readonly cores: number;
  readonly parallel: number;
  readonly lengthM: number;
}

/** Mass of the bare conductors, kg: ρ·S·cores·n·L. All above 0 (RangeError). */
export function conductorKg(c: Conductors): number {
  requirePositive(c, 'sectionMm2', 'cores', 'parallel', 'lengthM');
  return KG_PER_M_MM2[c.metal] * c.sectionMm2 * c.cores * c.parallel * c.lengthM;
}

/** Making a cable of its metal, times the metal. */
const CABLE_OVER_METAL = 1.6;
const ENDS = 2;

/**
 * Cost of a run, in the currency of the metal's price: mass·price·1.6 + 2·cores·n·(2 + 0.1·S), lugs of aluminium twice (common practice; a
 * quotation wins). price of the metal per kg, above 0 (RangeError).
 */
export function runCost(c: Conductors, pricePerKg: number): number {
  requirePositive({ pricePerKg }, 'pricePerKg');
  const lugs = ENDS * c.cores * c.parallel * (2 + 0.1 * c.sectionMm2) * (c.metal === 'Al' ? 2 : 1);
  return conductorKg(c) * pricePerKg * CABLE_OVER_METAL + lugs;
}

/** Loss of a run at a current, W: 3·I²·R. I of the line, A · R of one conductor with its parallels, Ω. */
export const runLossW = (currentA: number, ohm: number): number => 3 * currentA ** 2 * ohm;

/** Shape of a day: what the square of its current makes of full-load hours (half-sine days; common practice). */
const DAY_SHAPE = 0.55;

/** Energy lost in a year, kWh: P_loss·H·0.55/1000. H full-load hours, 0…8784. */
export const lossKwhPerYear = (lossW: number, fullLoadHours: number): number =>
  (lossW * fullLoadHours * DAY_SHAPE) / 1000;

/** What one kilowatt-hour a year is worth over so many years: (1 − qᴺ)/(1 − q)/(1 + i), q = (1 + g)/(1 + i) (idea of IEC 60287-3-2; recalled). */
export function presentWorth(years: number, interest: number, growth: number): number {
  const q = (1 + growth) / (1 + interest);
  return Math.abs(1 - q) < 1e-12 ? years / (1 + interest) : (1 - q ** years) / (1 - q) / (1 + interest);
}

/** Over how long a heavier cable is weighed, and at what interest and rise of prices a year (common practice, said beside the figure). */
export const WEIGHED = { years: 20, interest: 0.06, growth: 0.02 } as const;

/** What less loss is worth over those years, in the currency of a kilowatt-hour's price. kWh a year, price per kWh, both from 0. */
export const worthOfSaved = (kwhPerYear: number, pricePerKwh: number): number =>
  kwhPerYear * pricePerKwh * presentWorth(WEIGHED.years, WEIGHED.interest, WEIGHED.growth);
