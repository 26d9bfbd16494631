import { DISCIPLINES } from '$core/design';
import { designCalculations } from '$core/design/calculations';
import type { Calculation } from '$core/kernel/discipline';
import { provingCalculations } from '$core/proving/calculations';

/** Every calculation of core as a call without a site, by its name: `POST /api/v1/calculations/{name}`. */
export const CALCULATIONS: Readonly<Record<string, Calculation>> = Object.assign(
  {},
  ...DISCIPLINES.map((d) => d.calculations),
  provingCalculations,
  designCalculations,
);
