import type { InverterType } from '../equipment/inverterType';
import { Memo } from '../kernel/memo';
import type { AcRun, SiteDesign, SiteInverter, Survey } from '../site/siteDesign';
import type { AmpacityAnswer } from './ampacity';
import { ampacity, sectionsFor } from './ampacity';
import type { DesignCurrent } from './current';
import { breakerAmbientFactor, designCurrent, nextBreakerA } from './current';
import { CONDUCTOR_MAX_C, REACTANCE_OHM_PER_M, conductorOhmPerM, terminalVoltageV, voltageRiseV } from './impedance';
import type { RunImpedance } from './impedance';
import { externalEarthMinMm2, protectiveEarthRawMm2, standardSectionMm2 } from './protectiveEarth';
import type { Diameter, Lug, TorqueTarget } from './termination';
import { cableDiameter, lugFor, torqueTarget } from './termination';

/** Rise from unit to board that leaves the trip margin to the grid, % of nominal (common practice: the 1 % school). */
export const RISE_WANTED_PERCENT = 1;
export const RISE_LIMIT_PERCENT = 2;

/** One run worked through. Null where an input is missing; what the checks and the schedule read. */
export interface RunResult {
  readonly run: AcRun;
  readonly inverter: SiteInverter;
  readonly type: InverterType;
  readonly design: DesignCurrent;
  /** I_b over the breaker's own derating, A. */
  readonly breakerNeededA: number | null;
  readonly breakerFactor: number | null;
  readonly ampacity: AmpacityAnswer;
  readonly impedance: RunImpedance | null;
  readonly riseV: number | null;
  readonly risePercent: number | null;
  /** At the unit, with the board at its highest, V. */
  readonly terminalV: number | null;
  readonly peNeededMm2: number | null;
  readonly externalEarthNeededMm2: number | null;
  readonly lug: Lug | null;
  readonly diameter: Diameter | null;
  readonly torque: TorqueTarget | null;
}

function impedanceOf(run: AcRun, frequencyHz: number | null): RunImpedance | null {
  if (run.sectionMm2 === null || run.lengthM === null || frequencyHz === null) return null;
  const ohmPerM = conductorOhmPerM(run.metal, run.sectionMm2, CONDUCTOR_MAX_C[run.insulation], frequencyHz);
  if (ohmPerM === undefined) return null;
  return {
    ohm: (ohmPerM * run.lengthM) / run.parallel,
    reactanceOhm: (REACTANCE_OHM_PER_M * run.lengthM) / run.parallel,
  };
}

/** Works one run through, from the design current to the torque. */
export function calculateRun(run: AcRun, inverter: SiteInverter, type: InverterType, survey: Survey): RunResult {
  const lineV = survey.lineV ?? type.nominalLineV;
  const design = designCurrent(type.maxApparentVa, type.nominalLineV, type.outputMaxA);
  const ambientFactor =
    run.breakerAmbientC === null ? null : breakerAmbientFactor(run.breakerKind, run.breakerAmbientC);
  const breakerFactor =
    ambientFactor === null || run.breakerGroupFactor === null ? null : ambientFactor * run.breakerGroupFactor;
  const impedance = impedanceOf(run, survey.frequencyHz);
  const riseV = impedance && voltageRiseV(impedance, design.currentA);
  const peRaw =
    run.sectionMm2 === null ? null : protectiveEarthRawMm2(run.sectionMm2, run.metal, run.peMetal, run.insulation);
  const peNeededMm2 = peRaw === null ? null : (standardSectionMm2(peRaw) ?? null);
  return {
    run,
    inverter,
    type,
    design,
    breakerFactor,
    breakerNeededA: breakerFactor === null ? null : design.currentA / breakerFactor,
    ampacity: ampacity(run),
    impedance,
    riseV,
    risePercent: riseV === null || survey.lineV === null ? null : (100 * riseV) / lineV,
    terminalV:
      impedance && survey.boardHighestV !== null
        ? (terminalVoltageV(impedance, survey.boardHighestV, type.ratedW, 0) ?? null)
        : null,
    peNeededMm2,
    externalEarthNeededMm2:
      peNeededMm2 === null
        ? null
        : externalEarthMinMm2(run.peMm2 ?? peNeededMm2, run.peMetal, run.externalEarthMetal, run.insulation),
    lug: run.sectionMm2 === null ? null : (lugFor(run.metal, run.sectionMm2, type.bay.studM, run) ?? null),
    diameter: cableDiameter(run) ?? null,
    torque: torqueTarget(type.bay) ?? null,
  };
}

/** Every run of the site worked through, in the order of the inverters. */
export function calculateRuns(design: SiteDesign, memo: Memo = new Memo()): RunResult[] {
  const types = new Map(design.equipment.inverters.map((t) => [t.id, t]));
  const runs = new Map(design.runs.map((r) => [r.inverterId, r]));
  return design.inverters.flatMap((inverter) => {
    const type = types.get(inverter.typeId);
    const run = runs.get(inverter.id);
    if (!type || !run) return [];
    const on = [run, inverter, type, design.survey];
    return [memo.keep(`run/${inverter.id}`, on, () => calculateRun(run, inverter, type, design.survey))];
  });
}

export interface Suggestion {
  readonly run: AcRun;
  readonly why: readonly string[];
}

/**
 * The smallest breaker, section, PE and earth that hold, for the metal, method and route already entered.
 * Undefined with the missing inputs, or with the reason, where nothing can be proposed.
 */
export function suggestRun(
  run: AcRun,
  inverter: SiteInverter,
  type: InverterType,
  survey: Survey,
): Suggestion | { readonly missing: readonly string[] } {
  const now = calculateRun(run, inverter, type, survey);
  const missing = [
    ...(now.breakerNeededA === null ? ['ambient and side-by-side factor at the breaker'] : []),
    ...(run.lengthM === null ? ['length of the run'] : []),
    ...(survey.lineV === null ? ['nominal line voltage'] : []),
    ...(survey.frequencyHz === null ? ['frequency'] : []),
    ...ampacity({ ...run, sectionMm2: run.sectionMm2 ?? sectionsFor(run).at(-1) ?? 0 }).missing,
  ];
  if (missing.length || now.breakerNeededA === null) return { missing };
  const breakerA = nextBreakerA(now.breakerNeededA);
  if (breakerA === undefined) return { missing: ['a standard breaker that large'] };
  for (const sectionMm2 of sectionsFor(run)) {
    const tried = calculateRun({ ...run, sectionMm2, breakerA }, inverter, type, survey);
    const izA = tried.ampacity.ampacity?.izA ?? 0;
    if (
      izA < breakerA ||
      tried.risePercent === null ||
      tried.risePercent > RISE_WANTED_PERCENT ||
      tried.peNeededMm2 === null
    )
      continue;
    const withPe = { ...run, sectionMm2, breakerA, peMm2: tried.peNeededMm2 };
    const earth = calculateRun(withPe, inverter, type, survey).externalEarthNeededMm2;
    return {
      run: { ...withPe, externalEarthMm2: earth === null ? null : (standardSectionMm2(earth) ?? null) },
      why: [
        `breaker: ${now.breakerNeededA.toFixed(1)} A needed, next rating ${breakerA} A`,
        `section: ${sectionMm2} mm² is the first with I_z ${izA.toFixed(1)} A ≥ ${breakerA} A and a rise of ${tried.risePercent.toFixed(2)} % ≤ ${RISE_WANTED_PERCENT} %`,
      ],
    };
  }
  return {
    missing: [
      `a section that carries ${breakerA} A with at most ${RISE_WANTED_PERCENT} % rise: try more cables in parallel, another method or a shorter run`,
    ],
  };
}
