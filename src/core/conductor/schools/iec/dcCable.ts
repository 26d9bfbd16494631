import { atOrAbove, exactly } from '../../../kernel/publishedTable';
import type { Answer } from '../../../kernel/answer';
import { known, lacking } from '../../../kernel/answer';
import { fixed } from '../../../kernel/quantity';
import { requireWithin } from '../../../kernel/require';
import { saidOfBundle } from '../../dcBundle';
import type { DcBundle, DcCableMode } from '../../laid';
import type { DcAmpacity } from '../../school';
import { PV_CABLE } from '../../tables/pvCable';
import { GROUPING_IN_AIR } from './tables/grouping';

/**
 * Current a DC cable may carry, A: I_z(two adjacent, 60 °C) · min(1, √((120 − T_a)/60)) · grouping (EN 50618 A.3; the root is the
 * thermal law; no credit below 60 °C; grouping as bunched circuits, IEC 60364-5-52 B.52.17; recalled). Undefined above 20 circuits.
 * T_a −25…120 °C; throws RangeError outside.
 */
export function dcAmpacityA(
  sectionMm2: number,
  mode: DcCableMode,
  ambientC: number,
  circuitsTogether: number,
): number | undefined {
  requireWithin('ambientC', ambientC, -25, 119.999, '°C');
  const base = exactly(PV_CABLE, sectionMm2, mode);
  const grouped = atOrAbove(GROUPING_IN_AIR, circuitsTogether, 'bunched');
  return base === undefined || grouped === undefined
    ? undefined
    : base * Math.min(1, Math.sqrt((120 - ambientC) / 60)) * grouped;
}

/** The same as the school answers it. */
export function dcAmpacity(bundle: DcBundle): Answer<DcAmpacity> {
  const said = saidOfBundle(bundle);
  if (said.value === null) return said;
  const { sectionMm2, mode, ambientC, circuitsTogether } = said.value;
  if (exactly(PV_CABLE, sectionMm2, mode) === undefined) return lacking(`a current of EN 50618 for ${sectionMm2} mm²`);
  const mayA = dcAmpacityA(sectionMm2, mode, ambientC, circuitsTogether);
  if (mayA === undefined) return lacking('a grouping factor above 20 circuits: split the bundle (SC06)');
  const words = `I_z = ${sectionMm2} mm², ${mode}, ${ambientC} °C, ${circuitsTogether} together = ${fixed(mayA, 1)} A`;
  return known({ mayA, ends: null, words });
}
