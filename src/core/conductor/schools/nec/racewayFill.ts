import type { Answer } from '../../../kernel/answer';
import { given, known, lacking } from '../../../kernel/answer';
import { exactly } from '../../../kernel/publishedTable';
import type { LineAndPe } from '../../laid';
import { sizeName } from './sizes';
import { RACEWAY_AREA_IN2, WIRE_AREA } from './tables/wireArea';

export interface RacewayFill {
  readonly percent: number;
  /** Most by the number of wires, per cent (chapter 9, Table 1; recalled). */
  readonly mostPercent: number;
  readonly wires: number;
  readonly wireIn2: number;
  readonly insideIn2: number;
}

const mostFor = (wires: number) => (wires === 1 ? 53 : wires === 2 ? 31 : 40);

/**
 * Fill of a raceway, per cent of its inside: all its wires, the equipment grounding conductor too (NFPA 70, chapter 9, Tables 1, 4 and 5;
 * recalled). lines: conductors of one set beside the grounding one.
 */
export function racewayFill(line: LineAndPe, lines: number): Answer<RacewayFill> {
  const asked = given(
    {
      raceway: line.raceway,
      'trade size of the raceway': line.racewaySize,
      insulation: line.insulation,
      section: line.sectionMm2,
      'PE section': line.peMm2,
      'cables in parallel': line.parallel,
      'other circuits in the group': line.otherCircuits,
    },
    (k) => k,
  );
  if (asked.value === null) return asked;
  const k = asked.value;
  if (k['other circuits in the group'] > 0) return lacking('wires of the other circuits in this raceway');
  if (k['cables in parallel'] > 1 && line.racewayPerSet === null)
    return lacking('whether each set has a raceway of its own');
  const column = k.insulation === 'XLPE' ? 'XHHW-2' : 'THWN-2';
  const wire = exactly(WIRE_AREA, k.section, column);
  // A grounding conductor of a size that XHHW-2 does not print comes as THWN-2, or bare, which is less.
  const earth = exactly(WIRE_AREA, k['PE section'], column) ?? exactly(WIRE_AREA, k['PE section'], 'THWN-2');
  if (wire === undefined || earth === undefined)
    return lacking(`a wire area of ${sizeName(wire === undefined ? k.section : k['PE section'])} ${column}`);
  const sets = line.racewayPerSet ? 1 : k['cables in parallel'];
  const wires = sets * lines + 1;
  const wireIn2 = sets * lines * wire + earth;
  const insideIn2 = RACEWAY_AREA_IN2[k['trade size of the raceway']]?.[k.raceway.slice(0, 3) as 'EMT'];
  if (insideIn2 === undefined) return lacking('a raceway of this trade size');
  return known({ percent: (100 * wireIn2) / insideIn2, mostPercent: mostFor(wires), wires, wireIn2, insideIn2 });
}
