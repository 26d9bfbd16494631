import type { ShortCircuited } from '../../school';

/** ICEA P-32-382: c and b by metal, first and last temperature by insulation, °C (recalled). */
const METAL = { Cu: { c: 0.0297, b: 234 }, Al: { c: 0.0125, b: 228 } } as const;
const HEATS = { PVC: { fromC: 75, toC: 150 }, XLPE: { fromC: 90, toC: 250 } } as const;
const MM2_PER_CMIL = 5.067075e-4;

/** k of the adiabatic equation, A·√s/mm²: (I/A)²·t = c·log10((T_2 + b)/(T_1 + b)), A in circular mils (ICEA P-32-382; recalled). */
export function adiabaticK({ metal, insulation }: Pick<ShortCircuited, 'metal' | 'insulation'>): number {
  const { c, b } = METAL[metal];
  const { fromC, toC } = HEATS[insulation];
  return Math.sqrt(c * Math.log10((toC + b) / (fromC + b))) / MM2_PER_CMIL;
}
