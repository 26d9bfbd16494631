import type { Diameter } from '../conductor/school';
import type { AcBay } from '../equipment/inverterType';

/** Cables a gland clamps, mm; null while the sheet gives only one end. */
export function clampRange(bay: AcBay): { readonly minMm: number; readonly maxMm: number } | null {
  const { glandClampMinMm: minMm, glandClampMaxMm: maxMm } = bay;
  return minMm === null || maxMm === null ? null : { minMm, maxMm };
}

/** What to do with the gland's removable inner seal. */
export function sealAdvice(d: Diameter, splitMm: number | null): string {
  if (splitMm === null) return 'No removable seal on the data sheet.';
  if (d.lowMm >= splitMm) return `Remove the inner seal (cable from ${splitMm} mm up).`;
  return d.highMm < splitMm
    ? `Keep the inner seal (cable under ${splitMm} mm).`
    : `Measure the cable: the inner seal comes out from ${splitMm} mm up.`;
}
