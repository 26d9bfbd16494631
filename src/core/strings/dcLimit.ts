import type { InverterType } from '../equipment/inverterType';
import type { ModuleType } from '../equipment/moduleType';
import type { Answer } from '../kernel/answer';
import { known, lacking } from '../kernel/answer';
import type { StringOnLine } from '../site/line';
import type { Survey } from '../site/survey';
import { legalLimit } from './legalLimit';

/** Whose voltages meet on a string. */
export interface DcSide {
  readonly module: ModuleType;
  readonly inverter: InverterType;
  readonly survey: Pick<Survey, 'school' | 'building' | 'dcLegalMaxV'>;
}

export interface DcLimit {
  readonly limitV: number;
  /** Which of them it is, in words. */
  readonly by: string;
  /** All of them, as a working shows them. */
  readonly because: string;
}

const smallest = (limits: readonly { readonly by: string; readonly limitV: number }[]) =>
  limits.reduce((a, b) => (b.limitV < a.limitV ? b : a));

function limitsOf({ module, inverter, survey }: DcSide) {
  const legal = legalLimit(survey);
  const limits = [
    { by: `${inverter.name} maximum input voltage`, limitV: inverter.dcMaxV },
    { by: `${module.name} system voltage`, limitV: module.systemMaxV },
    ...(inverter.connectorMaxV === null ? [] : [{ by: `${inverter.name} connectors`, limitV: inverter.connectorMaxV }]),
    ...(legal ? [legal] : survey.dcLegalMaxV === null ? [] : [{ by: 'legal limit', limitV: survey.dcLegalMaxV }]),
  ];
  const missing = [
    ...(legal === null ? ['whether the array is on a building'] : []),
    ...(inverter.connectorMaxV === null ? [`connector voltage of ${inverter.name}`] : []),
  ];
  return { limits, missing };
}

/**
 * The highest voltage a string may reach, V: the smallest of inverter, module, connectors and legal limit by school and building.
 * The one limit of the DC side: window, layout, verifier, scale, field reading, API, sheets and pack all take it from here.
 * Unknown until the connectors' voltage and a legal limit are. Source: IEC 62548-1; NFPA 70 690.7 (recalled).
 */
export function dcLimit(side: DcSide): Answer<DcLimit> {
  const { limits, missing } = limitsOf(side);
  if (missing.length) return lacking(...missing);
  const { limitV, by } = smallest(limits);
  const all = limits.map((l) => `${l.limitV} V`).join(', ');
  return known({ limitV, by, because: `V_lim = min(${all}) = ${limitV} V (${by})` });
}

const ON_LINE = new WeakMap<StringOnLine, Answer<DcLimit>>();
/** The limit of a string where it hangs, found once for a design; null while it hangs on nothing. */
export function dcLimitOn(on: StringOnLine, survey: Survey): Answer<DcLimit> | null {
  const { module, type } = on;
  if (!type) return null;
  const known = ON_LINE.get(on) ?? dcLimit({ module, inverter: type, survey });
  ON_LINE.set(on, known);
  return known;
}

/** The smallest of the limits that are known, V: what is above it is illegal whatever the missing ones will say. */
export const dcLimitSoFarV = (side: DcSide): number => smallest(limitsOf(side).limits).limitV;
