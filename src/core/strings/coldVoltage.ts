import type { SchoolName } from '../conductor/school';
import type { ModuleType } from '../equipment/moduleType';
import { STC_C, fixed } from '../kernel/quantity';
import type { Answer } from '../kernel/answer';
import { known, lacking } from '../kernel/answer';
import { atOrAbove } from '../kernel/publishedTable';
import type { Plane } from '../site/parts';
import type { COLD_METHODS, Survey } from '../site/survey';
import { openCircuitFactor, openCircuitV } from './moduleAt';
import { VOC_CORRECTION } from './tables/vocCorrection';

export type ColdMethod = (typeof COLD_METHODS)[number];

/** An engineer's own figure for one module in the cold, with the document that carries the stamp and what its clause asks of the site. */
export interface EngineeredCold {
  readonly uocColdV: number | null;
  readonly document: string;
  readonly school: SchoolName;
  /** Rated power of the whole site, W. */
  readonly siteW: number | null;
}

/** What a cold voltage is reckoned from, besides module and temperature. */
export interface ColdBy {
  readonly method: ColdMethod;
  readonly engineered: EngineeredCold;
  /** Whether the tolerance of U_oc on the sheet is added. */
  readonly countTolerance: boolean;
}

/** One module on the coldest morning. */
export interface ColdVoltage {
  readonly uocColdV: number;
  /** U_oc,cold over U_oc of the sheet. */
  readonly factor: number;
  readonly working: string;
  /** What an engineer's figure is held against, where it does not stand beside the sheet: looked at again, or impossible. */
  readonly doubt: { readonly verdict: 'tight' | 'stop'; readonly text: string } | null;
}

/** Further below the coefficient result than this, an engineered figure is questioned (common practice). */
const ENGINEERED_BELOW_PERCENT = 3;
/** The clause of the engineered method is for systems of this power and more, W (NFPA 70 690.7(A)(3); recalled). */
const ENGINEERED_FROM_W = 100_000;
/** No silicon module gains more than this on its U_oc down to −60 °C, share: 0.6 %/K over 85 K. */
const MOST_OVER_STC = 0.51;

/**
 * Open-circuit voltage of one module on the coldest morning, V, by the method in force.
 * coefficient: U_oc·(1 + β(T − 25)) (IEC 62548-1; NFPA 70 690.7(A)(1)) · table: U_oc·factor, crystalline silicon, to −40 °C
 * (NFPA 70 690.7(A)(2)) · engineered: a stamped figure, 100 kW and more, NFPA 70 alone (690.7(A)(3)). Sources recalled.
 * With `countTolerance` the plus tolerance of the sheet's U_oc comes on top of the first two; a stamped figure has its own.
 */
export function coldModuleV(
  m: ModuleType,
  coldestC: number,
  { method, engineered, countTolerance }: ColdBy,
): Answer<ColdVoltage> {
  if (method === 'engineered') return byEngineer(m, coldestC, engineered);
  const bare = method === 'table' ? byTable(m, coldestC) : known(byCoefficient(m, coldestC));
  if (!countTolerance || bare.value === null) return bare;
  if (m.uocTolerancePercent === null) return lacking(`tolerance of the open-circuit voltage of ${m.name}`);
  return known(withTolerance(bare.value, m.uocTolerancePercent));
}

function withTolerance(cold: ColdVoltage, percent: number): ColdVoltage {
  const uocColdV = cold.uocColdV * (1 + percent / 100);
  return { ...cold, uocColdV, working: `${cold.working}; + ${percent} % tolerance = ${fixed(uocColdV, 2)} V` };
}

function byCoefficient(m: ModuleType, coldestC: number): ColdVoltage {
  const uocColdV = openCircuitV(m, coldestC);
  return {
    uocColdV,
    factor: openCircuitFactor(m, coldestC),
    working: `U_oc,cold = ${m.uocV} V × (1 + (${m.betaUocPerK}) × (${coldestC} − 25)) = ${fixed(uocColdV, 2)} V`,
    doubt: null,
  };
}

function byTable(m: ModuleType, coldestC: number): Answer<ColdVoltage> {
  const factor = coldestC >= STC_C ? 1 : atOrAbove(VOC_CORRECTION, -coldestC, 'factor');
  if (factor === undefined)
    return lacking('a coldest morning of −40 °C or more: the correction table ends there (SW05)');
  const uocColdV = m.uocV * factor;
  const working = `U_oc,cold = ${m.uocV} V × ${factor} (correction table at ${coldestC} °C) = ${fixed(uocColdV, 2)} V`;
  return known({ uocColdV, factor, working, doubt: null });
}

/** What the clause of the engineered method asks that the site does not show. */
function clauseLacks({ uocColdV, document, school, siteW }: EngineeredCold, module: string): string[] {
  return [
    ...(uocColdV === null ? [`engineered cold voltage of ${module}`] : []),
    ...(document === '' ? ['document of the engineered cold voltage'] : []),
    ...(school === 'NEC'
      ? []
      : [`another method: the engineered one is NFPA 70, 690.7(A)(3), and the site is ${school}`]),
    ...(siteW !== null && siteW >= ENGINEERED_FROM_W
      ? []
      : ['a site of 100 kW or more, or another method: the clause of the engineered one begins there']),
  ];
}

function byEngineer(m: ModuleType, coldestC: number, engineered: EngineeredCold): Answer<ColdVoltage> {
  const { uocColdV, document } = engineered;
  const missing = clauseLacks(engineered, m.name);
  if (missing.length || uocColdV === null) return lacking(...missing);
  const coefficientV = openCircuitV(m, coldestC);
  const belowPercent = 100 * (1 - uocColdV / coefficientV);
  const words = `${fixed(belowPercent, 2)} % below the coefficient method (${fixed(coefficientV, 2)} V)`;
  return known({
    uocColdV,
    factor: uocColdV / m.uocV,
    working: `U_oc,cold = ${uocColdV} V by ${document}, ${words}`,
    doubt: doubtOf(m, coldestC, uocColdV, belowPercent > ENGINEERED_BELOW_PERCENT ? words : null),
  });
}

function doubtOf(m: ModuleType, coldestC: number, uocColdV: number, below: string | null): ColdVoltage['doubt'] {
  const impossible = (text: string) => ({ verdict: 'stop' as const, text });
  if (coldestC < STC_C && uocColdV <= m.uocV)
    return impossible(
      `${uocColdV} V is no cold voltage of ${m.name}: it has ${m.uocV} V at 25 °C, and cold raises it.`,
    );
  if (uocColdV > m.uocV * (1 + MOST_OVER_STC))
    return impossible(
      `${uocColdV} V is more than any cold makes of ${m.uocV} V: the figure of a string, not of one module?`,
    );
  return below ? { verdict: 'tight', text: `The engineered figure lies ${below}: look at it again.` } : null;
}

/** What the survey says about the cold, as far as a cold voltage rests on it. */
export type ColdSurvey = Pick<
  Survey,
  'coldestC' | 'coldMethod' | 'engineeredDocument' | 'school' | 'countUocTolerance'
>;

/** How the cold voltage of a plane's module is reckoned on a site of this rated power, W; null while no inverter is there. */
export const coldBy = (
  { coldMethod, engineeredDocument, school, countUocTolerance }: ColdSurvey,
  plane: Pick<Plane, 'engineeredUocColdV'>,
  siteW: number | null,
): ColdBy => ({
  method: coldMethod,
  engineered: { uocColdV: plane.engineeredUocColdV, document: engineeredDocument, school, siteW },
  countTolerance: countUocTolerance,
});

/** The cold voltage of a plane's module by the method of the survey; names what the survey does not say. */
export function coldOnSite(
  survey: ColdSurvey,
  plane: Pick<Plane, 'engineeredUocColdV'>,
  module: ModuleType,
  siteW: number | null,
): Answer<ColdVoltage> {
  return survey.coldestC === null
    ? lacking('lowest design temperature')
    : coldModuleV(module, survey.coldestC, coldBy(survey, plane, siteW));
}
