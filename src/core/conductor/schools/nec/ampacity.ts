import type { Answer } from '../../../kernel/answer';
import { given, known, lacking } from '../../../kernel/answer';
import { atOrAbove, atOrAboveHeld, exactly, keysOf } from '../../../kernel/publishedTable';
import { fixed } from '../../../kernel/quantity';
import { ROUNDING } from '../../../kernel/rounding';
import type { LaidCable } from '../../laid';
import type { Metal } from '../../metal';
import type { Ampacity } from '../../school';
import { sizeName } from './sizes';
import { AMBIENT_310_15, BUNDLED_310_15 } from './tables/adjustment';
import { AMPACITY_310_16 } from './tables/ampacity';
import { STANDARD_OCPD_A } from './tables/breakers';

type Column = 60 | 75 | 90;

/** Sizes with a tabulated current, mm². */
export const sizesFor = (metal: Metal): readonly number[] => keysOf(AMPACITY_310_16, `${metal}75`);

const tabulatedA = (metal: Metal, sectionMm2: number, column: Column) =>
  exactly(AMPACITY_310_16, sectionMm2, `${metal}${column}`);

/** What a raceway in the sun adds to the ambient, K, where it is nearer the roof than the gap, mm (310.15(B)(2); recalled). */
const ROOF_K = 33;
const ROOF_GAP_MM = 23;
/** Lines of a set; the neutral of a balanced wye does not count (310.15(E); recalled). */
const LINES = 3;

/** Current-carrying conductors in one raceway: every set that lies in it, and the lines of the circuits beside it. */
function currentCarrying(c: LaidCable): Answer<number> {
  const { parallel, racewayPerSet, otherCircuits } = c;
  if (parallel === null || otherCircuits === null || (parallel > 1 && racewayPerSet === null))
    return lacking(
      ...(parallel === null ? ['cables in parallel'] : []),
      ...(otherCircuits === null ? ['other circuits in the group'] : []),
      ...(parallel !== null && parallel > 1 && racewayPerSet === null
        ? ['whether each set has a raceway of its own']
        : []),
    );
  return known(LINES * ((racewayPerSet ? 1 : parallel) + otherCircuits));
}

/** Ambient that counts, °C: on a roof in the sun with what the roof adds. */
function ambientOf({ ambientC, sunOnCable, roofGapMm }: LaidCable): Answer<number> {
  const missing = [
    ...(ambientC === null ? ['ambient along the run'] : []),
    ...(sunOnCable === null ? ['whether sun lies on the cable'] : []),
    ...(sunOnCable && roofGapMm === null ? ['gap between raceway and roof'] : []),
  ];
  if (missing.length || ambientC === null) return lacking(...missing);
  return known(ambientC + (sunOnCable && (roofGapMm ?? 0) < ROOF_GAP_MM ? ROOF_K : 0));
}

/**
 * Current by the conditions of use, A: n·A(insulation)·C_t·C_a (NFPA 70, 310.15; recalled), against the current itself, without the 125 %.
 * Off a table there is no answer: nothing is extrapolated.
 */
export function ampacity(c: LaidCable): Answer<Ampacity> {
  const asked = given(
    {
      section: c.sectionMm2,
      'metal of the lines': c.metal,
      'temperature rating of the insulation': c.insulationC,
      'cables in parallel': c.parallel,
    },
    (k) => k,
  );
  const carrying = currentCarrying(c);
  const ambient = ambientOf(c);
  const missing = [...new Set([...asked.missing, ...carrying.missing, ...ambient.missing])];
  if (missing.length || asked.value === null || carrying.value === null || ambient.value === null)
    return lacking(...missing);
  const { section, 'metal of the lines': metal, 'cables in parallel': parallel } = asked.value;
  const column = asked.value['temperature rating of the insulation'];
  const base = tabulatedA(metal, section, column);
  const ct = atOrAbove(AMBIENT_310_15, ambient.value, `${column}`);
  const ca = atOrAboveHeld(BUNDLED_310_15, carrying.value, 'share');
  if (base === undefined || ct === undefined || ca === undefined)
    return lacking(
      ...(base === undefined ? [`a table value for ${sizeName(section)} ${metal} (${AMPACITY_310_16.source})`] : []),
      ...(ct === undefined ? [`an ambient factor for ${ambient.value} °C at ${column} °C insulation`] : []),
    );
  const izA = parallel * base * ct * ca;
  return known({
    izA,
    source: AMPACITY_310_16.source,
    working: () => [
      `n · A(${column} °C) · C_t · C_a = ${parallel} × ${base} A × ${ct} (${ambient.value} °C) × ${ca} (${carrying.value} current-carrying) = ${fixed(izA, 1)} A`,
    ],
  });
}

/** Up to this breaker the 60 °C column counts at terminals that are not marked for 75 °C (110.14(C)(1); recalled). */
const SMALL_MOST_A = 100;

export interface AtTerminals {
  readonly currentA: number;
  readonly column: 60 | 75;
}

/** Current by the terminals, A: n·A of the column of 110.14(C), without any correction. The end marked lower decides. */
export function terminationA(
  c: Pick<LaidCable, 'sectionMm2' | 'metal' | 'parallel' | 'terminals75'>,
  breakerA: number | null,
): Answer<AtTerminals> {
  const asked = given(
    { section: c.sectionMm2, 'metal of the lines': c.metal, 'cables in parallel': c.parallel, breaker: breakerA },
    (k) => k,
  );
  if (asked.value === null) return asked;
  const { section, 'metal of the lines': metal, 'cables in parallel': parallel, breaker } = asked.value;
  const column = breaker > SMALL_MOST_A || c.terminals75 ? 75 : 60;
  const base = tabulatedA(metal, section, column);
  return base === undefined
    ? lacking(`a table value for ${sizeName(section)} ${metal} (${AMPACITY_310_16.source})`)
    : known({ currentA: parallel * base, column });
}

/** The next standard rating at or above a current, A (240.6(A); recalled). Undefined past 4000 A. */
export const nextOcpdA = (neededA: number): number | undefined =>
  STANDARD_OCPD_A.find((rating) => rating >= neededA * (1 - ROUNDING));

/** Above this no rounding up to the next standard rating (240.4(C); recalled). */
const ROUND_UP_MOST_A = 800;
/** Most over small conductors by area, mm² (240.4(D); recalled). */
const SMALL: Readonly<Record<Metal, readonly (readonly [areaMm2: number, mostA: number])[]>> = {
  Cu: [
    [2.08, 15],
    [3.31, 20],
    [5.26, 30],
  ],
  Al: [
    [3.31, 15],
    [5.26, 25],
  ],
};

/** The largest breaker that still protects a conductor of so much current, A: the next standard rating up to 800 A, never above it beyond. */
export function mostBreakerA(currentA: number, metal: Metal, sectionMm2: number): number {
  const small = SMALL[metal].find(([area]) => sectionMm2 <= area)?.[1] ?? Infinity;
  const next = nextOcpdA(currentA) ?? 0;
  const below = STANDARD_OCPD_A.findLast((rating) => rating <= currentA * (1 + ROUNDING)) ?? 0;
  return Math.min(small, next <= ROUND_UP_MOST_A ? next : below);
}
