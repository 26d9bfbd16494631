import type { Answer } from '../../../kernel/answer';
import { known, lacking } from '../../../kernel/answer';
import { atOrAbove, atOrAboveHeld, exactly, keysOf } from '../../../kernel/publishedTable';
import { fixed } from '../../../kernel/quantity';
import { saidOfBundle } from '../../dcBundle';
import type { DcBundle } from '../../laid';
import type { DcAmpacity } from '../../school';
import { CONTINUOUS } from './equipmentEarth';
import { sizeName } from './sizes';
import { AMBIENT_310_15, BUNDLED_310_15 } from './tables/adjustment';
import { AMPACITY_310_16 } from './tables/ampacity';

/** There and back: conductors of one circuit. */
const OF_A_CIRCUIT = 2;

/**
 * Current of a DC cable of copper with 90 °C insulation, A: A(90 °C)·C_t·C_a by the conditions of use, and at its ends the 60 °C column, which
 * is that of terminals nobody marked, against 125 % of the current (NFPA 70, 690.8(B), 310.15, 110.14(C); recalled). Whatever way it lies it is
 * taken as in a raceway, where it carries less than in free air. A metric section counts as the American size below it. Off a table no answer.
 */
export function dcAmpacity(bundle: DcBundle): Answer<DcAmpacity> {
  const said = saidOfBundle(bundle);
  if (said.value === null) return said;
  const { sectionMm2, ambientC, circuitsTogether } = said.value;
  const size = keysOf(AMPACITY_310_16, 'Cu90').findLast((mm2) => mm2 <= sectionMm2);
  const useA = size && exactly(AMPACITY_310_16, size, 'Cu90');
  const endsA = size && exactly(AMPACITY_310_16, size, 'Cu60');
  const ct = atOrAbove(AMBIENT_310_15, ambientC, '90');
  const carrying = OF_A_CIRCUIT * circuitsTogether;
  const ca = atOrAboveHeld(BUNDLED_310_15, carrying, 'share');
  if (!size || !useA || !endsA || ca === undefined)
    return lacking(`a table value for ${sectionMm2} mm² Cu (${AMPACITY_310_16.source})`);
  if (ct === undefined) return lacking(`an ambient factor for ${ambientC} °C at 90 °C insulation`);
  const mayA = useA * ct * ca;
  return known({
    mayA,
    ends: { mayA: endsA, duty: CONTINUOUS },
    words: `${sizeName(size)}: A(90 °C) · C_t · C_a = ${useA} A × ${ct} (${ambientC} °C) × ${ca} (${carrying} current-carrying) = ${fixed(mayA, 1)} A; at its ends ${endsA} A (60 °C column)`,
  });
}
