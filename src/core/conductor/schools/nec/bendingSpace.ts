import type { Answer } from '../../../kernel/answer';
import { known, lacking } from '../../../kernel/answer';
import { exactly } from '../../../kernel/publishedTable';
import { sizeName } from './sizes';
import { BENDING_312_6 } from './tables/bendingSpace';

const MM_PER_IN = 25.4;

/** Bending space from a terminal to the wall it faces, mm, for one wire a terminal (NFPA 70, 312.6(B)(2); recalled). */
export function bendingSpaceMm(areaMm2: number, wires: number): Answer<number> {
  if (wires > 1) return lacking(`bending space for ${wires} wires a terminal (not in the program yet)`);
  const spaceIn = exactly(BENDING_312_6, areaMm2, 'space in');
  return spaceIn === undefined
    ? lacking(`a bending space for ${sizeName(areaMm2)} (${BENDING_312_6.source})`)
    : known(MM_PER_IN * spaceIn);
}
