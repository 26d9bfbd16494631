import type { InverterType } from '../../equipment/inverterType';
import type { ModuleType } from '../../equipment/moduleType';
import type { Plane } from '../../site/parts';
import type { Survey } from '../../site/survey';
import { VOC_CORRECTION } from '../tables/vocCorrection';

/**
 * Limits of a string from the sheets, by a second path: in volts per kelvin, by counting up, with the law written down again. Nothing here is
 * shared with the window, the currents or the fuses that a layout is made with; what is published is read from the same tables.
 */

/** One module on the coldest morning, V; null where the survey or a clause leaves it open. */
export function coldModuleV(module: ModuleType, plane: Plane, survey: Survey, siteW: number): number | null {
  const { coldestC, coldMethod, countUocTolerance } = survey;
  if (coldestC === null) return null;
  if (coldMethod === 'engineered') return engineeredV(module, plane, survey, siteW);
  const tolerance = countUocTolerance ? module.uocTolerancePercent : 0;
  const factor = coldMethod === 'table' ? tableFactor(coldestC) : null;
  if (tolerance === null || (coldMethod === 'table' && factor === null)) return null;
  const voltPerK = module.betaUocPerK * module.uocV;
  const bareV = factor === null ? module.uocV - voltPerK * (25 - coldestC) : module.uocV * factor;
  return bareV + (bareV * tolerance) / 100;
}

/** Row of the correction table, the colder one between two; null below its end. */
function tableFactor(coldestC: number): number | null {
  if (coldestC >= 25) return 1;
  const row = VOC_CORRECTION.rows.find(([minusC]) => -minusC <= coldestC);
  return row?.[1] ?? null;
}

function engineeredV(module: ModuleType, plane: Plane, survey: Survey, siteW: number): number | null {
  const typed = plane.engineeredUocColdV;
  const clause = survey.school === 'NEC' && siteW >= 1e5 && survey.engineeredDocument !== '';
  if (typed === null || !clause) return null;
  const silicon = typed < 1.51 * module.uocV && (typed > module.uocV || (survey.coldestC ?? 0) >= 25);
  return silicon ? typed : Number.POSITIVE_INFINITY;
}

/** The most volts that every limit known so far allows: what is above is illegal whatever the others will say. */
export function mostV(module: ModuleType, type: InverterType, survey: Survey): number {
  const law: Record<string, readonly [number, number, number]> = {
    NEC: [600, 1000, 1500],
    IEC: [1000, 1500, 1500],
    'AU/NZ': [1000, 1500, 1500],
  };
  const buildings = ['one- or two-family dwelling', 'other building', 'not on a building'];
  const legal = survey.building === null ? undefined : law[survey.school]?.[buildings.indexOf(survey.building)];
  return Math.min(
    type.dcMaxV,
    module.systemMaxV,
    type.connectorMaxV ?? Number.POSITIVE_INFINITY,
    survey.dcLegalMaxV ?? Number.POSITIVE_INFINITY,
    legal ?? Number.POSITIVE_INFINITY,
  );
}

/** Hottest cell, °C: 800 W/m² lifts it by NMOT − 20; close to a roof at least by 36 K, built in by 42 K (common practice). */
function hottestCellC(module: ModuleType, plane: Plane, hottestC: number): number {
  const byNmot = hottestC + (module.nmotC - 20) * 1.25;
  const least = { pitched_close: 36, flush: 42 } as Readonly<Partial<Record<Plane['mounting'], number>>>;
  return Math.max(byNmot, hottestC + (least[plane.mounting] ?? 0));
}

/** Fewest modules that track and start in the heat, counted up one by one; null where sheet or survey leave it open. */
export function fewestModules(module: ModuleType, plane: Plane, type: InverterType, survey: Survey): number | null {
  if (survey.hottestC === null || type.startV === null) return null;
  const overC = hottestCellC(module, plane, survey.hottestC) - 25;
  const hotMppV = module.umpV + module.umpV * (module.gammaPmaxPerK - module.alphaIscPerK) * overC;
  const hotOpenV = module.uocV + module.uocV * module.betaUocPerK * overC;
  if (!(hotMppV > 0 && hotOpenV > 0)) return null;
  for (let n = 1; n <= 1000; n++)
    if (n * hotMppV >= type.mpptMinV * (1 - 1e-9) && n * hotOpenV >= type.startV * (1 - 1e-9)) return n;
  return null;
}

/** Short-circuit current of one string in bright light from both sides, A; the front alone while nobody said what comes from behind. */
export const brightA = (module: ModuleType, plane: Plane): number =>
  module.iscA + module.iscA * module.bifaciality * (plane.rearShare ?? 0);

/** Ratings of string fuses that are made, A (IEC 60269-6, recalled; written down a second time). */
const MADE_A = '1 2 3 4 5 6 8 10 12 15 16 20 25 30 32 35 40 50 63'.split(' ').map(Number);

/** Whether a fuse keeps reverse current from a string: more than 1.5 (NEC from 1.5625) and at most 2.4 times its own current, and its module's maximum. */
export function fuseKeeps(fuseA: number | null, module: ModuleType, stringA: number, survey: Survey): boolean {
  if (fuseA === null || !MADE_A.includes(fuseA) || fuseA > module.fuseMaxA * (1 + 1e-9)) return false;
  const times = fuseA / stringA;
  return survey.school === 'NEC' ? times > 1.5625 - 1e-9 : times > 1.5 + 1e-9 && times < 2.4 + 1e-9;
}
