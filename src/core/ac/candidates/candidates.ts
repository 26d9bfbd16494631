import type { Cores } from '../../conductor/laid';
import type { Metal } from '../../conductor/metal';
import type { Answer } from '../../kernel/answer';
import { known, lacking } from '../../kernel/answer';
import type { Check } from '../../kernel/check';
import { runChecks } from '../assess';
import type { AcRun } from '../part';
import type { RunResult } from '../results';
import { runResult } from '../results';
import { outOfReach, sized } from '../suggestRun';
import { CONDUCTORS } from '../wiring';
import { conductorKg, runLossW } from './cableCost';
import type { Prices } from './priceList';
import { costOf } from './priceList';

/** Every cable that could lie where a run lies, each judged by every rule. */

export interface Candidate {
  readonly run: AcRun;
  /** The first rule that it breaks, and every one: stops first, then what is short of what is wanted. Empty where it is accepted. */
  readonly broken: readonly Check[];
  /** What nobody knows of it yet. */
  readonly open: readonly Check[];
  readonly massKg: number;
  readonly cost: number | null;
  readonly lossW: number;
  readonly risePercent: number;
  readonly izA: number;
  /** Nominal diameter of one cable, mm; null where no table gives it. */
  readonly diameterMm: number | null;
}

export interface Candidates {
  /** No rule broken, the cheapest first; by mass where no price is given. */
  readonly accepted: readonly Candidate[];
  /** One rule broken: what would free them stands in the check. */
  readonly nearMisses: readonly Candidate[];
  readonly rejected: readonly Candidate[];
  /** Rules that come out alike whatever lies there: for the sheet, the survey or the board to mend. */
  readonly aside: readonly Check[];
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

function priced(r: RunResult, prices: Prices): Omit<Candidate, 'broken' | 'open'> | null {
  const { run, impedance, rise, ampacity, diameter, designCurrent, lengthM, type } = r;
  const { metal, sectionMm2, parallel } = run;
  if (!impedance.value || !rise.value || !ampacity.value || !metal || !sectionMm2 || !parallel || !lengthM) return null;
  const conductors = { metal, sectionMm2, parallel, lengthM, cores: coresOf(run, type.wiring) };
  return {
    run,
    massKg: conductorKg(conductors),
    cost: costOf(run, conductors, prices),
    lossW: runLossW(designCurrent.currentA, impedance.value.ohm),
    risePercent: rise.value.percent,
    izA: ampacity.value.izA,
    diameterMm: diameter.value?.nominalMm ?? null,
  };
}

const RANK = { stop: 0, tight: 1, unknown: 2, holds: 3 } as const;

/**
 * Every metal, section, form and count in parallel, up to one more than the studs take, that the school knows for the route of a run, on the smallest breaker that carries the
 * current, judged by every rule; PE and external earth follow the lines. What is merely tight counts as broken: it is short of what is wanted.
 */
export function candidates(r: RunResult, prices: Prices): Answer<Candidates> {
  const { run, inverter, type, survey, school, supply, breaker, lengthM } = r;
  const { insulation, cores, method } = run;
  if (breaker.value === null || insulation === null || cores === null || method === null || lengthM === null)
    return lacking(
      ...breaker.missing,
      ...(insulation === null ? ['insulation'] : []),
      ...(cores === null ? ['cores'] : []),
      ...(method === null ? ['installation method'] : []),
      ...(lengthM === null ? ['length of the run'] : []),
    );
  const rating = school.nextBreakerA(breaker.value.neededA);
  if (rating.value === null) return lacking(...rating.missing);
  const breakerA = rating.value;
  const worked = METALS.flatMap((metal) =>
    formsOf(run, type.wiring).flatMap((form) =>
      school.sections({ metal, insulation, cores: form, method }).flatMap((sectionMm2) =>
        Array.from({ length: type.bay.lugsPerStud + 1 }, (_, i) => {
          const metals = { metal, cores: form, peMetal: run.peInCable === false ? run.peMetal : metal };
          const tried = sized({ ...run, ...metals }, sectionMm2, i + 1, breakerA, school, r.designCurrent.currentA);
          return runResult(tried, inverter, type, survey, lengthM, supply);
        }),
      ),
    ),
  );
  const judged = worked.flatMap((w) => {
    const figures = priced(w, prices);
    return figures ? [{ figures, checks: runChecks(w) }] : [];
  });
  if (judged.length === 0)
    return lacking(...new Set(worked.flatMap((w) => [...w.ampacity.missing, ...w.rise.missing])));
  const alike = outOfReach(judged);
  const all = judged.map(({ figures, checks }): Candidate => {
    const own = checks.filter((c) => !alike.has(c.id));
    const broken = own.filter((c) => c.verdict === 'stop' || c.verdict === 'tight');
    return {
      ...figures,
      broken: broken.sort((a, b) => RANK[a.verdict] - RANK[b.verdict]),
      open: own.filter((c) => c.verdict === 'unknown'),
    };
  });
  const order = (a: Candidate, b: Candidate) =>
    (a.cost ?? a.massKg) - (b.cost ?? b.massKg) || (a.run.parallel ?? 0) - (b.run.parallel ?? 0);
  const sorted = [...all].sort(order);
  const [first] = judged;
  return known({
    accepted: sorted.filter((c) => c.broken.length === 0),
    nearMisses: sorted.filter((c) => c.broken.length === 1),
    rejected: sorted.filter((c) => c.broken.length > 1),
    aside: first ? first.checks.filter((c) => alike.has(c.id) && c.verdict !== 'holds') : [],
  });
}

/** The accepted candidates that are best at one thing each: the least of it. */
export function winners(
  accepted: readonly Candidate[],
): Readonly<Record<'cost' | 'mass' | 'loss' | 'ease', Candidate | null>> {
  const least = (of: (c: Candidate) => number | null): Candidate | null =>
    accepted.reduce<Candidate | null>((best, c) => {
      const value = of(c);
      return value !== null && value < ((best && of(best)) ?? Infinity) ? c : best;
    }, null);
  return {
    cost: least((c) => c.cost),
    mass: least((c) => c.massKg),
    loss: least((c) => c.lossW),
    // Fewest cables first, then the thinnest: it bends, and its lug lands, the easiest.
    ease: least((c) => (c.diameterMm === null ? null : 1000 * (c.run.parallel ?? 1) + c.diameterMm)),
  };
}

/** The next heavier accepted candidate of the same metal, form and count: what one section more buys. */
export const oneSectionUp = (of: Candidate, accepted: readonly Candidate[]): Candidate | null =>
  accepted
    .filter(
      ({ run }) =>
        run.metal === of.run.metal &&
        run.cores === of.run.cores &&
        run.parallel === of.run.parallel &&
        (run.sectionMm2 ?? 0) > (of.run.sectionMm2 ?? 0),
    )
    .reduce<Candidate | null>((a, b) => (a && (a.run.sectionMm2 ?? 0) <= (b.run.sectionMm2 ?? 0) ? a : b), null);
