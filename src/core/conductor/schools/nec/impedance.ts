import type { Answer } from '../../../kernel/answer';
import { known, lacking } from '../../../kernel/answer';
import { exactly } from '../../../kernel/publishedTable';
import type { Raceway } from '../../laid';
import type { Metal } from '../../metal';
import type { LoadedResistance } from '../../school';
import { sizeName } from './sizes';
import { IMPEDANCE_TABLE_9 } from './tables/impedance';

const METRES_PER_KFT = 304.8;
const TABLE_C = 75;
/** Temperature coefficient at 75 °C, 1/K (chapter 9, Table 8, note 2; recalled). */
const PER_K_75C: Readonly<Record<Metal, number>> = { Cu: 0.00323, Al: 0.0033 };

const MADE_OF: Readonly<Record<Raceway, 'PVC' | 'Al' | 'steel'>> = {
  'PVC 40': 'PVC',
  'EMT, steel': 'steel',
  'RMC, steel': 'steel',
  'RMC, aluminium': 'Al',
};

/** Resistance and reactance to neutral, Ω/m, of a conductor in its raceway: R_75·(1 + α_75·(θ − 75)) (NFPA 70, chapter 9, Table 9; recalled). */
export function conductorOhmPerM(
  metal: Metal,
  raceway: Raceway | null,
  sectionMm2: number,
  tempC: number = TABLE_C,
): Answer<LoadedResistance> {
  if (raceway === null) return lacking('raceway of the run');
  const made = MADE_OF[raceway];
  const r = exactly(IMPEDANCE_TABLE_9, sectionMm2, `${metal} ${made}`);
  const x = exactly(IMPEDANCE_TABLE_9, sectionMm2, made === 'steel' ? 'X steel' : 'X PVC or Al');
  if (r === undefined || x === undefined)
    return lacking(`an impedance of ${sizeName(sectionMm2)} ${metal} (${IMPEDANCE_TABLE_9.source})`);
  return known({
    ohmPerM: (r / METRES_PER_KFT) * (1 + PER_K_75C[metal] * (tempC - TABLE_C)),
    reactanceOhmPerM: x / METRES_PER_KFT,
    conductorC: tempC,
  });
}
