import type { InverterType } from '../equipment/inverterType';
import type { SiteInverter } from '../site/parts';
import type { Survey } from '../site/survey';
import { RISE_WANTED_PERCENT } from './limits';
import type { AcRun } from './part';
import { runResult } from './results';

export interface Suggestion {
  readonly run: AcRun;
  readonly why: readonly string[];
}

/**
 * The smallest breaker, section, PE and earth that hold, for the metal, method and route already entered.
 * With the missing inputs, or with the reason, where nothing can be proposed.
 */
export function suggestRun(
  run: AcRun,
  inverter: SiteInverter,
  type: InverterType,
  survey: Survey,
): Suggestion | { readonly missing: readonly string[] } {
  const now = runResult(run, inverter, type, survey);
  const { school } = now;
  const missing = [
    ...(now.breaker.value
      ? []
      : run.breakerAmbientC === null || run.breakerGroupFactor === null
        ? ['ambient and side-by-side factor at the breaker']
        : now.breaker.missing),
    ...(run.lengthM === null ? ['length of the run'] : []),
    ...(survey.lineV === null ? ['nominal line voltage'] : []),
    ...(survey.frequencyHz === null ? ['frequency'] : []),
    ...school.ampacity({ ...run, sectionMm2: run.sectionMm2 ?? school.sections(run).at(-1) ?? 0 }).missing,
  ];
  if (missing.length || !now.breaker.value) return { missing };
  const { neededA } = now.breaker.value;
  const { value: breakerA, missing: noBreaker } = school.nextBreakerA(neededA);
  if (breakerA === null) return { missing: noBreaker };
  for (const sectionMm2 of school.sections(run)) {
    const tried = runResult({ ...run, sectionMm2, breakerA }, inverter, type, survey);
    const izA = tried.ampacity.value?.izA ?? 0;
    const [rise, peMm2] = [tried.rise.value, tried.peNeededMm2.value];
    if (izA < breakerA || !rise || rise.percent > RISE_WANTED_PERCENT || peMm2 === null) continue;
    const withPe = { ...run, sectionMm2, breakerA, peMm2 };
    const earth = runResult(withPe, inverter, type, survey).externalEarthNeededMm2.value;
    return {
      run: { ...withPe, externalEarthMm2: earth === null ? null : school.standardSectionMm2(earth).value },
      why: [
        `breaker: ${neededA.toFixed(1)} A needed, next rating ${breakerA} A`,
        `section: ${sectionMm2} mm² is the first with I_z ${izA.toFixed(1)} A ≥ ${breakerA} A and a rise of ${rise.percent.toFixed(2)} % ≤ ${RISE_WANTED_PERCENT} %`,
      ],
    };
  }
  return {
    missing: [
      `a section that carries ${breakerA} A with at most ${RISE_WANTED_PERCENT} % rise: try more cables in parallel, another method or a shorter run`,
    ],
  };
}
