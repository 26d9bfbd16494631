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

/** An engineer's own figure for one module in the cold, with the document that carries the stamp. */
export interface EngineeredCold {
  readonly uocColdV: number | null;
  readonly document: string;
}

/** One module on the coldest morning. */
export interface ColdVoltage {
  readonly uocColdV: number;
  /** U_oc,cold over U_oc of the sheet. */
  readonly factor: number;
  readonly working: string;
  readonly caution: string | null;
}

/** Further below the coefficient result than this, an engineered figure is questioned (common practice). */
const ENGINEERED_BELOW_PERCENT = 3;

/**
 * Open-circuit voltage of one module on the coldest morning, V, by the method in force.
 * coefficient: U_oc·(1 + β(T − 25)) (IEC 62548-1; NFPA 70 690.7(A)(1)) · table: U_oc·factor, crystalline silicon, to −40 °C
 * (NFPA 70 690.7(A)(2)) · engineered: a stamped figure, 100 kW and more (NFPA 70 690.7(A)(3)). Sources recalled.
 */
export function coldModuleV(
  m: ModuleType,
  coldestC: number,
  method: ColdMethod,
  engineered: EngineeredCold,
): Answer<ColdVoltage> {
  switch (method) {
    case 'coefficient':
      return known(byCoefficient(m, coldestC));
    case 'table':
      return byTable(m, coldestC);
    case 'engineered':
      return byEngineer(m, coldestC, engineered);
  }
}

function byCoefficient(m: ModuleType, coldestC: number): ColdVoltage {
  const uocColdV = openCircuitV(m, coldestC);
  return {
    uocColdV,
    factor: openCircuitFactor(m, coldestC),
    working: `U_oc,cold = ${m.uocV} V × (1 + (${m.betaUocPerK}) × (${coldestC} − 25)) = ${fixed(uocColdV, 2)} V`,
    caution: null,
  };
}

function byTable(m: ModuleType, coldestC: number): Answer<ColdVoltage> {
  const factor = coldestC >= STC_C ? 1 : atOrAbove(VOC_CORRECTION, -coldestC, 'factor');
  if (factor === undefined)
    return lacking('a coldest morning of −40 °C or more: the correction table ends there (SW05)');
  const uocColdV = m.uocV * factor;
  const working = `U_oc,cold = ${m.uocV} V × ${factor} (correction table at ${coldestC} °C) = ${fixed(uocColdV, 2)} V`;
  return known({ uocColdV, factor, working, caution: null });
}

function byEngineer(m: ModuleType, coldestC: number, { uocColdV, document }: EngineeredCold): Answer<ColdVoltage> {
  if (uocColdV === null) return lacking(`engineered cold voltage of ${m.name}`);
  if (document === '') return lacking('document of the engineered cold voltage');
  const coefficientV = openCircuitV(m, coldestC);
  const belowPercent = 100 * (1 - uocColdV / coefficientV);
  const words = `${fixed(belowPercent, 2)} % below the coefficient method (${fixed(coefficientV, 2)} V)`;
  return known({
    uocColdV,
    factor: uocColdV / m.uocV,
    working: `U_oc,cold = ${uocColdV} V by ${document}, ${words}`,
    caution: belowPercent > ENGINEERED_BELOW_PERCENT ? `The engineered figure lies ${words}: look at it again.` : null,
  });
}

/** The cold voltage of a plane's module by the method of the survey; names what the survey does not say. */
export function coldOnSite(
  survey: Pick<Survey, 'coldestC' | 'coldMethod' | 'engineeredDocument'>,
  plane: Pick<Plane, 'engineeredUocColdV'>,
  module: ModuleType,
): Answer<ColdVoltage> {
  const { coldestC, coldMethod, engineeredDocument: document } = survey;
  return coldestC === null
    ? lacking('lowest design temperature')
    : coldModuleV(module, coldestC, coldMethod, { uocColdV: plane.engineeredUocColdV, document });
}
