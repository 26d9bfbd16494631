import type { Answer } from '../../kernel/answer';
import { known, lacking } from '../../kernel/answer';
import type { Check } from '../../kernel/check';
import { conductorChecks, endChecks } from '../assess';
import type { AcRun } from '../part';
import type { RunResult } from '../results';
import { AC_RULES } from '../rules';
import { outOfReach } from '../suggestRun';
import { CONDUCTORS } from '../wiring';
import { cablesOn, onAnother, ratingsOf, routeOf } from './cablesThatLie';
import { conductorKg, runLossW } from './cableCost';
import type { Prices, RunPrice } from './runPrice';
import { breakerPrice, cablePrice } from './runPrice';

/** Every cable that could lie where a run lies, each judged by every rule. */

export interface Candidate {
  readonly run: AcRun;
  /** The rules that it breaks: stops first, then what is short of what is wanted; no more are looked for once two rule it out. Empty where it is accepted. */
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

/** A candidate that more than one rule keeps out, with the names of those that were found: the first is the first it breaks. */
export interface Rejected extends Omit<Candidate, 'broken' | 'open'> {
  readonly broken: readonly Pick<Check, 'id' | 'title' | 'verdict'>[];
}

export interface Candidates {
  /** No rule broken, the cheapest first; by mass where no price is known. */
  readonly accepted: readonly Candidate[];
  /** One rule broken: what would free them stands in the check. */
  readonly nearMisses: readonly Candidate[];
  readonly rejected: readonly Rejected[];
  /** Rules that come out alike whatever lies there: for the sheet, the survey or the board to mend. */
  readonly aside: readonly Check[];
  /** Ratings without a price, A: while there are any, no cost counts its breaker. */
  readonly unpricedA: readonly number[];
}

/** Conductors that count for mass and price: the cores of a cable, or every single. */
const coresOf = (run: AcRun, wiring: RunResult['type']['wiring']): number =>
  run.cores === '5-core' ? 5 : run.cores === '4-core' ? 4 : CONDUCTORS[wiring];

const plus = (cable: RunPrice | null, breaker: number): RunPrice | null =>
  cable && { ...cable, amount: cable.amount + breaker };

interface Judged {
  readonly worked: RunResult;
  readonly figures: Omit<Candidate, 'broken' | 'open'>;
  readonly checks: readonly Check[];
}

const isBroken = (c: Check) => c.verdict === 'stop' || c.verdict === 'tight';

/** Rules of the conductors alone, whatever the breaker is. */
const OF_CONDUCTOR: ReadonlySet<string> = new Set(AC_RULES.conductor.map(({ id }) => id));

/** Whether two figures of the conductors keep a cable out, one of them for good: its ends need no look. */
function isOut(checks: readonly Check[]): boolean {
  const broken = checks.filter((c) => OF_CONDUCTOR.has(c.id) && isBroken(c) && c.value !== null);
  return broken.length > 1 && broken.some((c) => c.verdict === 'stop');
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
  const ofConductor = conductorChecks(worked);
  return { worked, figures, checks: isOut(ofConductor) ? ofConductor : [...ofConductor, ...endChecks(worked)] };
}

/** Rules that read what was entered of the breaker: another breaker may come out better on them. */
const BY_BREAKER: ReadonlySet<string> = new Set([...AC_RULES.run, ...AC_RULES.fault].map(({ id }) => id));

/**
 * Cables that are worth trying on a larger breaker: not those that two rules of the cable itself keep out on the least. A larger breaker asks
 * more of a cable and its PE, never less.
 */
function worthMore(least: readonly Judged[], alike: ReadonlySet<string>): readonly Judged[] {
  const ofCable = (c: Check) => isBroken(c) && !alike.has(c.id) && !BY_BREAKER.has(c.id);
  return least.filter(({ checks }) => {
    const at = checks.findIndex(ofCable);
    return at < 0 || !checks.some((c, i) => i > at && ofCable(c));
  });
}

const RANK = { stop: 0, tight: 1, unknown: 2, holds: 3 } as const;

/** A candidate by what it alone breaks and leaves open. */
function judgedCandidate({ figures, checks }: Judged, alike: ReadonlySet<string>): Candidate {
  const { run, massKg, cost, lossW, risePercent, izA, diameterMm } = figures;
  const broken: Check[] = [];
  const open: Check[] = [];
  for (const c of checks) {
    if (c.verdict === 'holds' || alike.has(c.id)) continue;
    (c.verdict === 'unknown' ? open : broken).push(c);
  }
  if (broken.length > 1) broken.sort((a, b) => RANK[a.verdict] - RANK[b.verdict]);
  return { run, massKg, cost, lossW, risePercent, izA, diameterMm, broken, open };
}

/** Of a rejected one the names of its rules stay: the checks themselves would keep every cable that was tried. */
function namesOnly({ run, massKg, cost, lossW, risePercent, izA, diameterMm, broken }: Candidate): Rejected {
  const names = broken.map(({ id, title, verdict }) => ({ id, title, verdict }));
  return { run, massKg, cost, lossW, risePercent, izA, diameterMm, broken: names };
}

/** The cheapest first; by mass where no price is known. */
const byCost = (a: Candidate, b: Candidate): number =>
  (a.cost?.amount ?? Infinity) - (b.cost?.amount ?? Infinity) ||
  a.massKg - b.massKg ||
  (a.run.parallel ?? 0) - (b.run.parallel ?? 0) ||
  (a.run.breakerA ?? 0) - (b.run.breakerA ?? 0);

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
  const fullest = least.reduce((a, b) => (b.checks.length > a.checks.length ? b : a), first);
  const alikeOnLeast = outOfReach(least);
  const larger = worthMore(least, alikeOnLeast);
  const onLarger = largerA.flatMap((a) => larger.flatMap(({ worked: w }) => judge(onAnother(w, a))));
  const alikeOnAll = outOfReach([fullest, ...onLarger]);
  const alike = new Set([...alikeOnLeast].filter((id) => alikeOnAll.has(id)));
  const sorted = [...least, ...onLarger].map((j) => judgedCandidate(j, alike)).sort(byCost);
  return known({
    accepted: sorted.filter((c) => c.broken.length === 0),
    nearMisses: sorted.filter((c) => c.broken.length === 1),
    rejected: sorted.filter((c) => c.broken.length > 1).map(namesOnly),
    aside: fullest.checks.filter((c) => alike.has(c.id) && c.verdict !== 'holds'),
    unpricedA,
  });
}
