import type { School } from '../../conductor/school';
import { fixed } from '../../kernel/quantity';
import type { Board } from '../../site/parts';
import type { Survey } from '../../site/survey';
import { mainCable } from '../fault/mainCable';
import type { RunResult } from '../results';
import { TRIP_RESERVE_PERCENT } from '../limits';
import { runImpedance } from '../runImpedance';
import { terminalVoltageV } from '../voltage';
import type { VoltagePath } from './path';
import type { Feeding, VoltagePicture } from './picture';
import { ALL_FEEDING, fedBy, marginPercentOf, pictureAt, shareUntilTrip } from './picture';

/** The smallest change of each kind that keeps every unit under its trip level at full power. */

export const MEND_KINDS = ['tap', 'power factor', 'main cable', 'runs', 'less power'] as const;

interface Laid {
  readonly sectionMm2: number;
  readonly parallel: number;
}

export interface Mend {
  readonly kind: (typeof MEND_KINDS)[number];
  readonly words: string;
  /** Voltage at the worst unit once it is done, V, and its room to the trip level, per cent. */
  readonly worstV: number;
  readonly marginPercent: number;
  /** What of the design it changes; absent where it is for the operator, or the settings of the units. */
  readonly change?: MendChange | undefined;
}

/** Heavier cables: the main cable, or the runs of some units, by inverter. */
export type MendChange =
  | { readonly part: 'board'; readonly mainSectionMm2: number; readonly mainParallel: number }
  | { readonly part: 'runs'; readonly laid: Readonly<Record<string, Laid>> };

interface Site {
  readonly path: VoltagePath;
  readonly survey: Survey;
  readonly board: Board;
  readonly school: School;
  readonly runs: readonly RunResult[];
}

type Tried = readonly [words: string, path: VoltagePath, feeding: Feeding, change?: MendChange];

/** A step of a transformer's tap (common practice), per unit, and how many there are down from the middle. */
const TAP_STEP = 0.025;
const TAP_STEPS = 4;

/** A lower tap lowers the voltage at rest as well: it may not leave the window in which units feed. */
function* taps({ path }: Site): Generator<Tried> {
  for (let n = 1; n <= TAP_STEPS; n++) {
    const restV = path.restV * (1 - n * TAP_STEP);
    if (restV < path.minV) return;
    yield [
      `${n} tap ${n === 1 ? 'step' : 'steps'} of 2.5 % down at the transformer: ${fixed(restV, 1)} V at rest`,
      { ...path, restV },
      ALL_FEEDING,
    ];
  }
}

/** Power is held as far as the apparent power allows. */
function* powerFactors({ path }: Site): Generator<Tried> {
  for (let hundredths = 99; hundredths >= 80; hundredths--) {
    const powerFactor = hundredths / 100;
    yield [
      `all units at power factor ${fixed(powerFactor, 2)}, absorbing, where the grid code allows it`,
      path,
      { share: 1, powerFactor, reactive: 'absorbs' },
    ];
  }
}

/** Heavier cables than one, the lightest first. */
const heavierThan = (now: Laid, sections: readonly number[], mostParallel: number): Laid[] =>
  sections
    .flatMap((sectionMm2) => Array.from({ length: mostParallel }, (_, i): Laid => ({ sectionMm2, parallel: i + 1 })))
    .filter((c) => c.sectionMm2 * c.parallel > now.sectionMm2 * now.parallel && c.parallel >= now.parallel)
    .sort((a, b) => a.sectionMm2 * a.parallel - b.sectionMm2 * b.parallel || a.parallel - b.parallel);

const MAIN_SETS_MOST = 12;

function* mainCables({ path, survey, board, school }: Site): Generator<Tried> {
  const { mainMetal: metal, mainInsulation: insulation, mainSectionMm2, mainParallel } = board;
  if (metal === null || insulation === null || mainSectionMm2 === null || mainParallel === null) return;
  const sections = school.sections({ metal, insulation, cores: '4-core', method: 'E' });
  const now = { sectionMm2: mainSectionMm2, parallel: mainParallel };
  for (const { sectionMm2, parallel } of heavierThan(now, sections, MAIN_SETS_MOST)) {
    const z = mainCable({ ...board, mainSectionMm2: sectionMm2, mainParallel: parallel }, survey, school, null).line;
    if (!z.value) continue;
    yield [
      `main cable ${parallel} × ${school.sectionName(sectionMm2)} ${metal} in place of ${now.parallel} × ${school.sectionName(now.sectionMm2)}`,
      { ...path, trunk: [...path.trunk.slice(0, -1), z.value] },
      ALL_FEEDING,
      { part: 'board', mainSectionMm2: sectionMm2, mainParallel: parallel },
    ];
  }
}

/** Runs of the units that want it made heavier until each keeps so much; null where one cannot. */
function heavierRuns({ path, survey, school, runs }: Site, now: VoltagePicture, marginPercent: number): Tried | null {
  const changed: string[] = [];
  const laid: Record<string, Laid> = {};
  const units = [...path.units];
  for (const [i, u] of path.units.entries()) {
    const r = runs.find((x) => x.inverter.id === u.id);
    if (!r || (now.units[i]?.marginPercent ?? 0) >= marginPercent) continue;
    const found = heavierRun(r, survey, school, path, now.boardV, marginPercent);
    if (!found) return null;
    units[i] = { ...u, z: found.z };
    laid[u.id] = { sectionMm2: found.sectionMm2, parallel: found.parallel };
    changed.push(`${u.tag} ${found.parallel} × ${school.sectionName(found.sectionMm2)}`);
  }
  return [`heavier runs: ${changed.join(', ')}`, { ...path, units }, ALL_FEEDING, { part: 'runs', laid }];
}

function heavierRun(
  { run, type, lengthM }: RunResult,
  survey: Survey,
  school: School,
  path: VoltagePath,
  boardV: number,
  marginPercent: number,
) {
  const { metal, insulation, cores, method, sectionMm2, parallel } = run;
  if (!metal || !insulation || !cores || !method || sectionMm2 === null || parallel === null) return null;
  const sections = school
    .sections({ metal, insulation, cores, method })
    .filter((s) => s <= (type.bay.sectionMaxMm2 ?? Infinity));
  for (const c of heavierThan({ sectionMm2, parallel }, sections, Math.max(parallel, type.bay.lugsPerStud))) {
    const z = runImpedance({ ...run, ...c }, lengthM, survey.frequencyHz, school).value;
    if (!z) continue;
    const { activeW, reactiveVar } = fedBy(type.maxApparentVa, ALL_FEEDING);
    const terminalV = terminalVoltageV(z, boardV, activeW, reactiveVar);
    if (terminalV !== undefined && marginPercentOf(terminalV, path.tripV) >= marginPercent) return { ...c, z };
  }
  return null;
}

function firstThatKeeps(tried: Iterable<Tried>, marginPercent: number): Omit<Mend, 'kind'> | null {
  for (const [words, path, feeding, change] of tried) {
    const worst = pictureAt(path, feeding)?.worst;
    if (worst && worst.marginPercent >= marginPercent)
      return { words, worstV: worst.terminalV, marginPercent: worst.marginPercent, change };
  }
  return null;
}

/** Just clear of the trip level, per cent: the least that still is no trip. */
const CLEAR_PERCENT = 1e-6;

/**
 * The smallest change of each kind, in the order in which they usually cost least: the tap, reactive power, the main cable that carries the sum,
 * the runs, and less power. Each with the reserve that is wanted, or without it where nothing of its kind reaches that. Empty where nothing trips
 * and the reserve is there.
 */
export function mends(site: Site): readonly Mend[] {
  const { path } = site;
  const now = pictureAt(path, ALL_FEEDING);
  if (!now || now.worst.marginPercent >= TRIP_RESERVE_PERCENT) return [];
  const waysOf = (marginPercent: number): readonly (readonly [Mend['kind'], Iterable<Tried>])[] => {
    const runs = heavierRuns(site, now, marginPercent);
    const share = shareUntilTrip(path, marginPercent);
    const less: readonly Tried[] =
      share === null
        ? []
        : [
            [
              `no unit above ${Math.floor(1000 * share) / 10} % of its power: a fixed limit, or less with voltage`,
              path,
              { ...ALL_FEEDING, share: Math.floor(1000 * share) / 1000 },
            ],
          ];
    return [
      ['tap', taps(site)],
      ['power factor', powerFactors(site)],
      ['main cable', mainCables(site)],
      ['runs', runs ? [runs] : []],
      ['less power', less],
    ];
  };
  const found = new Map<Mend['kind'], Mend>();
  for (const marginPercent of [TRIP_RESERVE_PERCENT, CLEAR_PERCENT])
    for (const [kind, tried] of waysOf(marginPercent)) {
      const mend = found.has(kind) ? null : firstThatKeeps(tried, marginPercent);
      if (mend && mend.marginPercent > now.worst.marginPercent) found.set(kind, { kind, ...mend });
    }
  return MEND_KINDS.flatMap((kind) => found.get(kind) ?? []);
}
