import type { Cores, Insulation, Method } from '../../conductor/laid';
import type { Metal } from '../../conductor/metal';
import type { Answer } from '../../kernel/answer';
import { given, known, lacking } from '../../kernel/answer';
import type { Check } from '../../kernel/check';
import { runChecks } from '../assess';
import type { AcRun } from '../part';
import type { RunResult } from '../results';
import { withCable } from '../results';
import { AC_RULES } from '../rules';
import { outOfReach, sized } from '../suggestRun';
import { CONDUCTORS } from '../wiring';
import { conductorKg, runLossW } from './cableCost';
import type { Prices, RunPrice } from './runPrice';
import { breakerPrice, cablePrice } from './runPrice';

/** Every cable that could lie where a run lies, each judged by every rule. */

export interface Candidate {
  readonly run: AcRun;
  /** The first rule that it breaks, and every one: stops first, then what is short of what is wanted. Empty where it is accepted. */
  readonly broken: readonly Check[];
  /** What nobody knows of it yet. */
  readonly open: readonly Check[];
  readonly massKg: number;
  /** With its breaker, where every breaker in question has a price. */
  readonly cost: RunPrice | null;
  readonly lossW: number;
  readonly risePercent: number;
  readonly izA: number;
  /** Nominal diameter of one cable, mm; null where no table gives it. */
  readonly diameterMm: number | null;
}

export interface Candidates {
  /** No rule broken, the cheapest first; by mass where no price is known. */
  readonly accepted: readonly Candidate[];
  /** One rule broken: what would free them stands in the check. */
  readonly nearMisses: readonly Candidate[];
  readonly rejected: readonly Candidate[];
  /** Rules that come out alike whatever lies there: for the sheet, the survey or the board to mend. */
  readonly aside: readonly Check[];
  /** Ratings without a price, A: while there are any, no cost counts its breaker. */
  readonly unpricedA: readonly number[];
}

const METALS: readonly Metal[] = ['Cu', 'Al'];

/** Conductors that count for mass and price: the cores of a cable, or every single. */
const coresOf = (run: AcRun, wiring: RunResult['type']['wiring']): number =>
  run.cores === '5-core' ? 5 : run.cores === '4-core' ? 4 : CONDUCTORS[wiring];

/** A multicore cable comes with four or five cores, as many as the terminals want; singles stay singles. */
function formsOf({ cores, peInCable }: AcRun, wiring: RunResult['type']['wiring']): readonly Cores[] {
  if (cores === '1-core') return ['1-core'];
  return CONDUCTORS[wiring] - (peInCable ? 0 : 1) > 4 ? ['5-core'] : ['4-core', '5-core'];
}

/** So many ratings are tried, from the least that carries the current. */
const MOST_RATINGS = 3;

/** Ratings of breakers that come into question, A: the least that carries the current, and larger ones up to what the unit's sheet allows. */
function ratingsOf({ breaker, school, type }: RunResult): Answer<readonly number[]> {
  const least = breaker.value === null ? breaker : school.nextBreakerA(breaker.value.neededA);
  if (least.value === null) return lacking(...least.missing);
  const ratings = [least.value];
  while (ratings.length < MOST_RATINGS) {
    const next = school.nextBreakerA((ratings.at(-1) ?? 0) + 1).value;
    if (next === null || next > (type.breakerMaxA ?? 0)) break;
    ratings.push(next);
  }
  return known(ratings);
}

const plus = (cable: RunPrice | null, breaker: number): RunPrice | null =>
  cable && { ...cable, amount: cable.amount + breaker };

interface Judged {
  readonly worked: RunResult;
  readonly figures: Omit<Candidate, 'broken' | 'open'>;
  readonly checks: readonly Check[];
}

/** A run worked through, with what it weighs and costs and how it stands; null where no table says what it may carry. */
function judged(worked: RunResult, prices: Prices, withBreaker: boolean): Judged | null {
  const { run, impedance, rise, ampacity, diameter, designCurrent, lengthM, type } = worked;
  const { metal, sectionMm2, parallel } = run;
  if (!impedance.value || !rise.value || !ampacity.value || !metal || !sectionMm2 || !parallel || !lengthM) return null;
  const conductors = { metal, sectionMm2, parallel, lengthM, cores: coresOf(run, type.wiring) };
  const figures = {
    run,
    massKg: conductorKg(conductors),
    cost: plus(
      cablePrice(run, conductors, prices),
      (withBreaker && run.breakerA && breakerPrice(prices, run.breakerA)) || 0,
    ),
    lossW: runLossW(designCurrent.currentA, impedance.value.ohm),
    risePercent: rise.value.percent,
    izA: ampacity.value.izA,
    diameterMm: diameter.value?.nominalMm ?? null,
  };
  return { worked, figures, checks: runChecks(worked) };
}

/** What is known of every cable that may lie where a run lies. */
interface Route {
  readonly insulation: Insulation;
  readonly cores: Cores;
  readonly method: Method;
  readonly lengthM: number;
}

/** Every cable on one breaker, PE and external earth with it. */
function cablesOn(breakerA: number, r: RunResult, { insulation, method }: Route): RunResult[] {
  const { run, type, school } = r;
  return METALS.flatMap((metal) =>
    formsOf(run, type.wiring).flatMap((cores) => {
      const kind = { ...run, metal, cores, peMetal: run.peInCable === false ? run.peMetal : metal };
      return school.sections({ metal, insulation, cores, method }).flatMap((sectionMm2) =>
        Array.from({ length: type.bay.lugsPerStud + 1 }, (_, i) => {
          const tried = sized(kind, sectionMm2, i + 1, breakerA, school, r.designCurrent.currentA);
          return withCable(r, tried);
        }),
      );
    }),
  );
}

/** The same cable on another breaker. */
function onAnother({ worked: w }: Judged, breakerA: number): RunResult {
  const { run, school, designCurrent } = w;
  const tried = sized(run, run.sectionMm2 ?? 0, run.parallel ?? 0, breakerA, school, designCurrent.currentA);
  return withCable(w, tried);
}

const isBroken = (c: Check) => c.verdict === 'stop' || c.verdict === 'tight';

/** Rules that read what was entered of the breaker: another breaker may come out better on them. */
const BY_BREAKER: ReadonlySet<string> = new Set([...AC_RULES.run, ...AC_RULES.fault].map(({ id }) => id));

/**
 * Cables that are worth trying on a larger breaker: not those that two rules of the cable itself keep out on the least. A larger breaker asks
 * more of a cable and its PE, never less.
 */
function worthMore(least: readonly Judged[], alike: ReadonlySet<string>): readonly Judged[] {
  return least.filter(
    ({ checks }) => checks.filter((c) => isBroken(c) && !alike.has(c.id) && !BY_BREAKER.has(c.id)).length <= 1,
  );
}

const RANK = { stop: 0, tight: 1, unknown: 2, holds: 3 } as const;

/** The cheapest first; by mass where no price is known. */
const byCost = (a: Candidate, b: Candidate): number =>
  (a.cost?.amount ?? Infinity) - (b.cost?.amount ?? Infinity) ||
  a.massKg - b.massKg ||
  (a.run.parallel ?? 0) - (b.run.parallel ?? 0) ||
  (a.run.breakerA ?? 0) - (b.run.breakerA ?? 0);

/** What a run must say before any cable can be laid for it. */
function routeOf({ run, lengthM }: RunResult): Answer<Route> {
  return given(
    { insulation: run.insulation, cores: run.cores, 'installation method': run.method, 'length of the run': lengthM },
    (k): Route => ({
      insulation: k.insulation,
      cores: k.cores,
      method: k['installation method'],
      lengthM: k['length of the run'],
    }),
  );
}

/**
 * Every metal, section, form and count in parallel, up to one more than the studs take, that the school knows for the route of a run, on
 * every breaker that carries the current and the unit allows, judged by every rule; PE and external earth follow the lines. What is merely
 * tight counts as broken: it is short of what is wanted.
 */
export function candidates(r: RunResult, prices: Prices): Answer<Candidates> {
  const ratings = ratingsOf(r);
  const route = routeOf(r);
  if (ratings.value === null || route.value === null) return lacking(...ratings.missing, ...route.missing);
  const [leastA = 0, ...largerA] = ratings.value;
  const unpricedA = ratings.value.filter((a) => breakerPrice(prices, a) === null);
  const judge = (w: RunResult) => judged(w, prices, unpricedA.length === 0) ?? [];
  const worked = cablesOn(leastA, r, route.value);
  const least = worked.flatMap(judge);
  const [first] = least;
  if (!first) return lacking(...new Set(worked.flatMap((w) => [...w.ampacity.missing, ...w.rise.missing])));
  const alikeOnLeast = outOfReach(least);
  const larger = worthMore(least, alikeOnLeast);
  const onLarger = largerA.flatMap((a) => larger.flatMap((j) => judge(onAnother(j, a))));
  const alikeOnAll = outOfReach([first, ...onLarger]);
  const alike = new Set([...alikeOnLeast].filter((id) => alikeOnAll.has(id)));
  const sorted = [...least, ...onLarger]
    .map(({ figures, checks }): Candidate => {
      const own = checks.filter((c) => c.verdict !== 'holds' && !alike.has(c.id));
      const broken = own.filter(isBroken).sort((a, b) => RANK[a.verdict] - RANK[b.verdict]);
      return { ...figures, broken, open: own.filter((c) => c.verdict === 'unknown') };
    })
    .sort(byCost);
  return known({
    accepted: sorted.filter((c) => c.broken.length === 0),
    nearMisses: sorted.filter((c) => c.broken.length === 1),
    rejected: sorted.filter((c) => c.broken.length > 1),
    aside: first.checks.filter((c) => alike.has(c.id) && c.verdict !== 'holds'),
    unpricedA,
  });
}
