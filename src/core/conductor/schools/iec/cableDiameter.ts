import { exactly } from '../../../kernel/publishedTable';
import type { LaidCable } from '../../laid';
import type { Diameter } from '../../school';
import { CABLE_DIAMETER } from './tables/cableDiameter';

/** Cable diameter, mm: as measured, or built up by IEC 60502-1 (recalled) with the −3…+10 % of real cables (common practice). */
export function cableDiameter(run: Pick<LaidCable, 'cores' | 'sectionMm2' | 'cableDiameterMm'>): Diameter | undefined {
  const coreMm = run.sectionMm2 === null ? null : (exactly(CABLE_DIAMETER, run.sectionMm2, 'core') ?? null);
  if (run.cableDiameterMm !== null) {
    const mm = run.cableDiameterMm;
    return { lowMm: mm, nominalMm: mm, highMm: mm, coreMm, measured: true };
  }
  const mm =
    run.sectionMm2 === null || run.cores === null ? undefined : exactly(CABLE_DIAMETER, run.sectionMm2, run.cores);
  return mm === undefined ? undefined : { lowMm: 0.97 * mm, nominalMm: mm, highMm: 1.1 * mm, coreMm, measured: false };
}
