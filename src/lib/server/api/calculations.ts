import type { Calculation } from '$core/kernel/discipline';

const offered = import.meta.glob<Readonly<Record<string, Calculation>>>('/src/core/*/calculations.ts', {
  eager: true,
  import: 'calculations',
});

/**
 * Every calculation of core as a call without a site, by its name: `POST /api/v1/calculations/{name}`. A folder of core offers what stands as
 * `calculations` in its `calculations.ts`; no screen loads them for being part of a discipline.
 */
export const CALCULATIONS: Readonly<Record<string, Calculation>> = Object.assign({}, ...Object.values(offered));
