import type { Answer } from '../../../kernel/answer';
import { given, known, lacking } from '../../../kernel/answer';
import { atOrAbove } from '../../../kernel/publishedTable';
import type { LineAndPe } from '../../laid';
import { ampacity, mostBreakerA, sizesFor, terminationA } from './ampacity';
import { PARALLEL_LEAST_MM2, nextSizeMm2 } from './sizes';
import { EARTH_250_122 } from './tables/equipmentEarth';

/** What a conductor of a continuous source has to carry at its terminals, times its current (690.8, 705.28; recalled). */
export const CONTINUOUS = 1.25;

/** Slack on a computed area before the next size, share (common practice: the areas are rounded themselves). */
const SIZE_SLACK = 1e-3;

/** Whether a size carries a current where it lies, and its breaker protects it. */
function carries(line: LineAndPe, sectionMm2: number, currentA: number): Answer<boolean> {
  const at = { ...line, sectionMm2 };
  const use = ampacity(at);
  const ends = terminationA(at, line.breakerA);
  if (use.value === null || ends.value === null || line.breakerA === null || line.metal === null)
    return lacking(...new Set([...use.missing, ...ends.missing]));
  const atEnds = ends.value.currentA >= (line.fullRated ? 1 : CONTINUOUS) * currentA;
  const finalA = Math.min(use.value.izA, ends.value.currentA);
  const parallel = (line.parallel ?? 1) === 1 || sectionMm2 >= PARALLEL_LEAST_MM2;
  return known(
    parallel && atEnds && use.value.izA >= currentA && mostBreakerA(finalA, line.metal, sectionMm2) >= line.breakerA,
  );
}

/** The least size that carries the current and is protected: what larger lines are measured by. */
function leastSizeMm2(line: LineAndPe, currentA: number): Answer<number> {
  if (line.metal === null) return lacking('metal of the lines');
  for (const sectionMm2 of sizesFor(line.metal)) {
    const does = carries(line, sectionMm2, currentA);
    if (does.value === null) return lacking(...does.missing);
    if (does.value) return known(sectionMm2);
  }
  return lacking('a size that carries the current');
}

/** Area wanted with lines that are larger than they need be, mm²: raised in their proportion, never lowered (250.122(B); recalled). */
export const raisedEarthMm2 = (byBreakerMm2: number, lineMm2: number, leastLineMm2: number): number =>
  byBreakerMm2 * Math.max(1, lineMm2 / leastLineMm2);

/**
 * Equipment grounding conductor, area in mm²: by the breaker (Table 250.122), raised with lines that are larger than they need be
 * (250.122(B)), to the next size, and never above the lines (250.122(A)). Full size in every parallel raceway (250.122(F)). Recalled.
 */
export function equipmentEarthMm2(line: LineAndPe, currentA: number): Answer<number> {
  const asked = given({ section: line.sectionMm2, 'metal of the PE': line.peMetal, breaker: line.breakerA }, (k) => ({
    ...k,
    peMetal: k['metal of the PE'],
  }));
  const least = leastSizeMm2(line, currentA);
  if (asked.value === null || least.value === null) return lacking(...new Set([...asked.missing, ...least.missing]));
  const { section, peMetal, breaker } = asked.value;
  const byBreaker = atOrAbove(EARTH_250_122, breaker, peMetal);
  if (byBreaker === undefined) return lacking(`an equipment grounding conductor for ${breaker} A`);
  const size = nextSizeMm2(raisedEarthMm2(byBreaker, section, least.value) * (1 - SIZE_SLACK));
  if (size === undefined) return lacking('a size of equipment grounding conductor that large');
  return known(line.metal === peMetal ? Math.min(size, section) : size);
}
