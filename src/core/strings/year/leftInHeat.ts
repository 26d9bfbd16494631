import type { SiteInverter } from '../../site/parts';

/** Share of its rating that a unit still gives, 0…1, by the air outside, °C; null for a unit of which it is not known: then nothing is taken off. */
export type LeftInHeat = (unit: SiteInverter) => ((ambientC: number) => number) | null;
