import type { Ampacity, BreakerNeed, Diameter, Lug, School } from '../conductor/school';
import { schoolOf } from '../conductor/schools';
import { inverterSheetWanted } from '../equipment/inverterSheet';
import type { InverterType } from '../equipment/inverterType';
import type { Answer } from '../kernel/answer';
import { given, known, lacking } from '../kernel/answer';
import { Memo } from '../kernel/memo';
import { fixed } from '../kernel/quantity';
import { boardHighestV } from '../site/boardVoltage';
import { tripLevelV } from '../site/gridCodes';
import { lineOf } from '../site/line';
import type { Board, SiteInverter } from '../site/parts';
import type { Plan } from '../site/plan';
import type { Survey } from '../site/survey';
import type { Way } from '../site/way';
import { waysOf } from '../site/way';
import { leastAmpacity } from './alongTheWay';
import type { BoardLoad, GridLoad, RiseToGrid } from './boardLoad';
import type { BoardSupply } from './fault/boardSupply';
import { boardSupply } from './fault/boardSupply';
import { mainCable } from './fault/mainCable';
import { tripCurrent } from './fault/tripCurrent';
import type { DesignCurrent } from './designCurrent';
import { designCurrent } from './designCurrent';
import type { AcDesign, AcRun } from './part';
import { blankRun } from './part';
import { runImpedance } from './runImpedance';
import type { TorqueTarget } from './torque';
import { torqueTarget } from './torque';
import type { LoadedRunImpedance } from './voltage';
import { terminalVoltageV, voltageRiseV } from './voltage';
import { voltagePath } from './voltagePath/path';

/** Rise of the voltage along a run, V and per cent of nominal. */
export interface Rise {
  readonly riseV: number;
  readonly percent: number;
}

/** One run worked through: every answer says itself what it is missing. What rules, schedule, drawing and pack read. */
export interface RunResult {
  readonly run: AcRun;
  /** One way, as it was entered, else reckoned from the plan, m. */
  readonly lengthM: number | null;
  readonly inverter: SiteInverter;
  readonly type: InverterType;
  readonly survey: Survey;
  readonly school: School;
  readonly designCurrent: DesignCurrent;
  readonly breaker: Answer<BreakerNeed>;
  readonly ampacity: Answer<Ampacity>;
  readonly impedance: Answer<LoadedRunImpedance>;
  readonly rise: Answer<Rise>;
  /** At the unit, with the board at its highest, V. */
  readonly terminalV: Answer<number>;
  /** Level at which the ten-minute mean trips the unit, V. */
  readonly tripV: Answer<number>;
  readonly peNeededMm2: Answer<number>;
  readonly externalEarthNeededMm2: Answer<number>;
  readonly lug: Answer<Lug>;
  readonly diameter: Answer<Diameter>;
  readonly torque: TorqueTarget | null;
  /** What a fault on this run is fed by. */
  readonly supply: BoardSupply;
  /** A sheet of the inverter that does not stand: nothing of the run is judged on it. */
  readonly wanting: readonly string[];
}

function lugOf(run: AcRun, studM: number, school: School): Answer<Lug> {
  const asked = given({ section: run.sectionMm2, 'metal of the lines': run.metal }, (k) => k);
  return asked.value ? school.lug(asked.value['metal of the lines'], asked.value.section, studM, run) : asked;
}

function riseOf(impedance: Answer<LoadedRunImpedance>, currentA: number, lineV: number | null): Answer<Rise> {
  const missing = [...impedance.missing, ...(lineV === null ? ['nominal line voltage'] : [])];
  if (impedance.value === null || lineV === null) return lacking(...missing);
  const riseV = voltageRiseV(impedance.value, currentA);
  return known({ riseV, percent: (100 * riseV) / lineV });
}

/** All apparent power as active: the current of the run is that of the apparent power, and active power lifts most. */
function terminalOf(impedance: Answer<LoadedRunImpedance>, survey: Survey, apparentVa: number): Answer<number> {
  const board = boardHighestV(survey);
  if (impedance.value === null || board.value === null) return lacking(...board.missing, ...impedance.missing);
  const terminalV = terminalVoltageV(impedance.value, board.value, apparentVa, 0);
  return terminalV === undefined ? lacking('a run that can carry this power') : known(terminalV);
}

/** Slack of an AC run over its way on the plan, and what its ends take inside unit and board, m (common practice). */
export const RUN_SLACK = 1.05;
export const RUN_ENDS_M = 0.4 + 0.9;

/** The way of a run over the plan, from the unit to the board; null while one of them is nowhere. */
export function runWay(plan: Plan, inverter: SiteInverter, board: Board): Way | null {
  return inverter.position && board.position ? waysOf(plan).between('ac', inverter.position, board.position) : null;
}

/** Length of a run as the plan has it, m, with slack and ends; null where the plan does not say. */
export function reckonedRunM(plan: Plan, inverter: SiteInverter, board: Board): number | null {
  const way = runWay(plan, inverter, board);
  return way && RUN_SLACK * way.lengthM + RUN_ENDS_M;
}

/** A run that is looked at without its board. */
const UNFED = lacking<never>('short-circuit current at the board');
const NO_BOARD: BoardSupply = { gridA: UNFED, boardA: UNFED, loop: UNFED, words: [] };

/** What of a run rests on its cables, its PE and its lugs. */
type OfCable =
  'ampacity' | 'impedance' | 'rise' | 'terminalV' | 'peNeededMm2' | 'externalEarthNeededMm2' | 'lug' | 'diameter';

/** The same run of the same unit with other cables, lugs and breaker rating: where it begins, ends and how its breaker sits stays. */
export function withCable(r: Omit<RunResult, OfCable>, run: AcRun): RunResult {
  const { lengthM, inverter, type, survey, school, designCurrent, breaker, tripV, torque, supply, wanting } = r;
  const { currentA } = designCurrent;
  const impedance = runImpedance(run, lengthM, survey.frequencyHz, school);
  // Field by field: a spread costs more than the cable, and hundreds are tried for one that is taken.
  return {
    run,
    lengthM,
    inverter,
    type,
    survey,
    school,
    designCurrent,
    breaker,
    tripV,
    torque,
    supply,
    wanting,
    impedance,
    ampacity: leastAmpacity(run, school, lengthM),
    rise: riseOf(impedance, currentA, survey.lineV),
    terminalV: terminalOf(impedance, survey, type.maxApparentVa),
    peNeededMm2: school.protectiveEarthMm2(run, currentA),
    externalEarthNeededMm2: school.externalEarthMm2(run, currentA),
    lug: lugOf(run, type.bay.studM, school),
    diameter: school.cableDiameter(run),
  };
}

/**
 * Works one run through, from the design current to the torque, by the school of the survey. `reckonedM`: its length as the plan has it, m,
 * used where none was entered.
 */
export function runResult(
  run: AcRun,
  inverter: SiteInverter,
  type: InverterType,
  survey: Survey,
  reckonedM: number | null = null,
  supply: BoardSupply = NO_BOARD,
): RunResult {
  const lengthM = run.lengthM ?? reckonedM;
  const school = schoolOf(survey.school);
  const current = designCurrent(type.maxApparentVa, type.nominalLineV, type.outputMaxA);
  const place = {
    run,
    lengthM,
    inverter,
    type,
    survey,
    school,
    designCurrent: current,
    breaker: school.breakerNeed(current.currentA, run),
    tripV: tripLevelV(survey),
    torque: torqueTarget(type.bay, run) ?? null,
    supply,
    wanting: inverterSheetWanted(type),
  };
  return withCable(place, run);
}

/** Length of a run and where it comes from, in words. */
export const runLengthWords = ({ run, lengthM }: RunResult): string =>
  run.lengthM === null
    ? lengthM === null
      ? 'length unknown'
      : `${fixed(lengthM, 1)} m by the plan`
    : `${run.lengthM} m`;

/** Currents of all inverters of the board together, A. */
function invertersA(design: AcDesign): Answer<number> {
  const { units } = lineOf(design);
  const currents = units.map(({ type: t }) => designCurrent(t.maxApparentVa, t.nominalLineV, t.outputMaxA).currentA);
  return units.length ? schoolOf(design.survey.school).boardA(currents) : lacking('inverters');
}

/** Breakers of all runs together, A. */
function breakersOf(runs: readonly RunResult[]): Answer<number> {
  const all = runs.map((r) => r.run.breakerA);
  return all.some((a) => a === null) ? lacking('breaker') : known(all.reduce<number>((sum, a) => sum + (a ?? 0), 0));
}

/** Rise to the point of connection of the unit that has most of it; linear, every current at its most, at unity power factor. */
function riseToGrid(
  survey: Survey,
  board: Board,
  school: School,
  sumA: Answer<number>,
  runs: readonly RunResult[],
): Answer<RiseToGrid> {
  const main = mainCable(board, survey, school, null).line;
  const rises = runs.flatMap(({ inverter: { tag }, rise }) =>
    rise.value ? [{ tag, runPercent: rise.value.percent }] : [],
  );
  const missing = [
    ...main.missing,
    ...sumA.missing,
    ...runs.flatMap((r) => r.rise.missing),
    ...(survey.lineV === null ? ['nominal line voltage'] : []),
  ];
  const [first, ...others] = rises;
  if (missing.length || !first || main.value === null || sumA.value === null || survey.lineV === null)
    return lacking(...new Set(missing.length ? missing : ['inverters']));
  const mainPercent = (100 * voltageRiseV(main.value, sumA.value)) / survey.lineV;
  const worst = others.reduce((a, b) => (b.runPercent > a.runPercent ? b : a), first);
  return known({ ...worst, mainPercent });
}

/** What feeds the board of a design. */
export const supplyOf = (d: AcDesign): BoardSupply =>
  boardSupply(d.survey, d.board, schoolOf(d.survey.school), invertersA(d));

/** What the AC side computes once for its rules, sheets and others. */
export interface AcResults {
  /** Every run worked through, in the order of the inverters. */
  readonly runs: readonly RunResult[];
  readonly board: BoardLoad;
  readonly grid: GridLoad;
}

/** Works every run and the board through. A run whose inputs are the very same is taken from the memo. */
export function acResults(design: AcDesign, memo: Memo): AcResults {
  const { survey, board, plan } = design;
  const ofInverter = new Map(design.runs.map((r) => [r.inverterId, r]));
  const school = schoolOf(survey.school);
  const { units } = lineOf(design);
  const sumA = invertersA(design);
  const supply = memo.keep('board-supply', [survey, board, sumA.value], () => boardSupply(survey, board, school, sumA));
  const runs = units.map(({ unit, type }): RunResult => {
    const run = ofInverter.get(unit.id);
    // A unit whose run nobody drew yet feeds the board all the same.
    const reckonedM = reckonedRunM(plan, unit, board);
    return memo.keep(`run/${unit.id}`, [run, unit, type, survey, reckonedM, supply], () =>
      runResult(run ?? blankRun(unit.id), unit, type, survey, reckonedM, supply),
    );
  });
  const wanting = [...new Set(runs.flatMap((r) => inverterSheetWanted(r.type)))];
  return {
    runs,
    board: {
      board,
      school,
      units: runs.length,
      sumA,
      breakersA: breakersOf(runs),
      supply,
      riseToGrid: memo.keep('rise-to-grid', [survey, board, sumA.value, ...runs], () =>
        riseToGrid(survey, board, school, sumA, runs),
      ),
      branches: runs.map(({ run, inverter: { tag } }) => ({ tag, breakerA: run.breakerA, trip: tripCurrent(run) })),
      path: memo.keep('voltage-path', [survey, board, ...runs], () => voltagePath(survey, board, school, runs)),
      wanting,
    },
    grid: { survey, apparentVa: runs.length ? runs.reduce((sum, r) => sum + r.type.maxApparentVa, 0) : null, wanting },
  };
}

/** Every run of a design worked through, for those who need no more of the AC side. */
export const runResults = (design: AcDesign, memo: Memo = new Memo()): readonly RunResult[] =>
  acResults(design, memo).runs;
