import type { ModuleType } from '../equipment/moduleType';
import { fixed } from '../kernel/quantity';
import { atOrAbove } from '../kernel/publishedTable';
import type { COLD_METHODS } from '../site/dcSide';
import { openCircuitV } from './moduleAt';
import { VOC_CORRECTION } from './tables/vocCorrection';

export type ColdMethod = (typeof COLD_METHODS)[number];

/** An engineer's own figure for one module in the cold, with the document that carries the stamp. */
export interface EngineeredCold {
  readonly uocColdV: number | null;
  readonly document: string;
}

export type ColdAnswer =
  | { readonly uocColdV: number; readonly missing: null; readonly working: string; readonly caution: string | null }
  | { readonly uocColdV: null; readonly missing: string };

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
): ColdAnswer {
  const byCoefficient = openCircuitV(m, coldestC);
  switch (method) {
    case 'coefficient':
      return {
        uocColdV: byCoefficient,
        missing: null,
        working: `U_oc,cold = ${m.uocV} V × (1 + (${m.betaUocPerK}) × (${coldestC} − 25)) = ${fixed(byCoefficient, 2)} V`,
        caution: null,
      };
    case 'table': {
      const factor = coldestC >= 25 ? 1 : atOrAbove(VOC_CORRECTION, -coldestC, 'factor');
      if (factor === undefined)
        return {
          uocColdV: null,
          missing: 'a coldest morning of −40 °C or more: the correction table ends there (SW05)',
        };
      return {
        uocColdV: m.uocV * factor,
        missing: null,
        working: `U_oc,cold = ${m.uocV} V × ${factor} (correction table at ${coldestC} °C) = ${fixed(m.uocV * factor, 2)} V`,
        caution: null,
      };
    }
    case 'engineered': {
      if (engineered.uocColdV === null) return { uocColdV: null, missing: `engineered cold voltage of ${m.name}` };
      if (engineered.document === '') return { uocColdV: null, missing: 'document of the engineered cold voltage' };
      const belowPercent = 100 * (1 - engineered.uocColdV / byCoefficient);
      const words = `${fixed(belowPercent, 2)} % below the coefficient method (${fixed(byCoefficient, 2)} V)`;
      return {
        uocColdV: engineered.uocColdV,
        missing: null,
        working: `U_oc,cold = ${engineered.uocColdV} V by ${engineered.document}, ${words}`,
        caution:
          belowPercent > ENGINEERED_BELOW_PERCENT ? `The engineered figure lies ${words}: look at it again.` : null,
      };
    }
  }
}
