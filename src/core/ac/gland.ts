import type { Diameter } from '../conductor/school';
import type { AcBay, InverterType } from '../equipment/inverterType';
import { CONDUCTORS } from './wiring';
import type { AcRun } from './part';

/** Cables a gland clamps, mm; null while the sheet gives only one end. */
export function clampRange(bay: AcBay): { readonly minMm: number; readonly maxMm: number } | null {
  const { glandClampMinMm: minMm, glandClampMaxMm: maxMm } = bay;
  return minMm === null || maxMm === null ? null : { minMm, maxMm };
}

/** Cables that come through the wall of a unit: one a set, or every single. Null while cores, sets, or the place of the PE are not said. */
export function cablesThroughWall(
  { cores, parallel, peInCable }: Pick<AcRun, 'cores' | 'parallel' | 'peInCable'>,
  wiring: InverterType['wiring'],
): number | null {
  if (cores === null || parallel === null) return null;
  if (cores === '1-core') return parallel * CONDUCTORS[wiring];
  // A PE beside the cable comes through the wall as well.
  return peInCable === null ? null : parallel + (peInCable ? 0 : 1);
}

/** What to do with the gland's removable inner seal. */
export function sealAdvice(d: Pick<Diameter, 'lowMm' | 'highMm'>, splitMm: number | null): string {
  if (splitMm === null) return 'No removable seal on the data sheet.';
  if (d.lowMm >= splitMm) return `Remove the inner seal (cable from ${splitMm} mm up).`;
  return d.highMm < splitMm
    ? `Keep the inner seal (cable under ${splitMm} mm).`
    : `Measure the cable: the inner seal comes out from ${splitMm} mm up.`;
}
