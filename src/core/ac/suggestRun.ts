import type { School } from '../conductor/school';
import type { CableKind } from '../conductor/laid';
import type { InverterType } from '../equipment/inverterType';
import type { Check } from '../kernel/check';
import { given } from '../kernel/answer';
import type { BoardSupply } from './fault/boardSupply';
import type { SiteInverter } from '../site/parts';
import type { Survey } from '../site/survey';
import { leastAmpacity } from './alongTheWay';
import { runChecks } from './assess';
import type { AcRun } from './part';
import { resized } from './part';
import { runResult, withCable } from './results';

/** What sizing a run comes to: a run that holds on every rule sizing can decide; what it still wants; or the rules that no size meets. */
export type Suggestion =
  | { readonly run: AcRun; readonly why: readonly string[] }
  | { readonly missing: readonly string[] }
  | { readonly unmet: readonly string[] };

interface Candidate {
  readonly run: AcRun;
  readonly checks: readonly Check[];
}

/** The run with other cables. */
export const relaid = (run: AcRun, sectionMm2: number, parallel: number): AcRun => ({
  ...resized(run, sectionMm2),
  parallel,
});

/** What was entered of one breaker says nothing about another. */
const NOT_OF_ANOTHER = {
  breakerUeV: null,
  breakerIcuKa: null,
  breakerTrip: null,
  magneticA: null,
  clearingS: null,
  letThroughA2s: null,
} as const satisfies Partial<AcRun>;

/** The run of one section and so many cables on a breaker, with the PE and the external earth that go with it. */
export function sized(
  run: AcRun,
  sectionMm2: number,
  parallel: number,
  breakerA: number,
  school: School,
  currentA: number,
): AcRun {
  // One copy, changed in place: hundreds are tried for one that is taken.
  const laid = resized(run, sectionMm2);
  if (run.breakerA !== null && run.breakerA !== breakerA) Object.assign(laid, NOT_OF_ANOTHER);
  laid.parallel = parallel;
  laid.breakerA = breakerA;
  laid.peMetal = run.peMetal ?? run.metal;
  laid.externalEarthMetal = run.externalEarthMetal ?? 'Cu';
  laid.peMm2 = school.protectiveEarthMm2(laid, currentA).value;
  const earthMm2 = school.externalEarthMm2(laid, currentA).value;
  laid.externalEarthMm2 = earthMm2 === null ? null : school.standardSectionMm2(earthMm2).value;
  return laid;
}

/** Checks that come out alike whatever the size: sheet, grid and supply decide them, not the run. All were asked the same rules in one order, some of them only the first. */
export function outOfReach(candidates: readonly Pick<Candidate, 'checks'>[]): ReadonlySet<string> {
  const fullest = candidates.reduce<readonly Check[]>((a, { checks }) => (checks.length > a.length ? checks : a), []);
  const alike = (of: Check, i: number) =>
    candidates.every(({ checks }) => {
      const c = checks[i];
      return !c || (c.id === of.id && c.verdict === of.verdict && c.value === of.value && c.limit === of.limit);
    });
  return new Set(fullest.filter(alike).map((c) => c.id));
}

const words = (c: Check) => `${c.title} (${c.verdict})`;

/** What sizing rests on and does not choose: the kind of cable, how it lies, and the breaker's place. */
function wanted(run: AcRun, lengthM: number | null, survey: Survey) {
  return given(
    {
      'metal of the lines': run.metal,
      insulation: run.insulation,
      cores: run.cores,
      'installation method': run.method,
      'length of the run': lengthM,
      'nominal line voltage': survey.lineV,
      frequency: survey.frequencyHz,
    },
    (k): CableKind => ({
      metal: k['metal of the lines'],
      insulation: k.insulation,
      cores: k.cores,
      method: k['installation method'],
    }),
  );
}

/**
 * The smallest breaker, cables, section, PE and earth with which the run holds on every rule that sizing can decide, for the cable and
 * route already entered. Cables in parallel as entered; where nobody said, one, then as many as the studs take.
 */
export function suggestRun(
  run: AcRun,
  inverter: SiteInverter,
  type: InverterType,
  survey: Survey,
  reckonedM: number | null = null,
  supply?: BoardSupply,
): Suggestion {
  const asked = runResult(run, inverter, type, survey, reckonedM, supply);
  const { school, breaker, lengthM, designCurrent } = asked;
  const kind = wanted(run, lengthM, survey);
  const sections = kind.value ? school.sections(kind.value) : [];
  const route = leastAmpacity({ ...run, parallel: run.parallel ?? 1, sectionMm2: sections[0] ?? 0 }, school, lengthM);
  const missing = [...new Set([...breaker.missing, ...kind.missing, ...route.missing])];
  if (missing.length || breaker.value === null) return { missing };
  const { neededA } = breaker.value;
  const rating = school.nextBreakerA(neededA);
  if (rating.value === null) return { missing: rating.missing };
  const breakerA = rating.value;
  const sets = run.parallel === null ? Array.from({ length: type.bay.lugsPerStud }, (_, i) => i + 1) : [run.parallel];
  const candidates = sets.flatMap((parallel) =>
    sections.map((sectionMm2): Candidate => {
      const tried = sized(run, sectionMm2, parallel, breakerA, school, designCurrent.currentA);
      return { run: tried, checks: runChecks(withCable(asked, tried)) };
    }),
  );
  const fixed = outOfReach(candidates);
  const open = ({ checks }: Candidate) => checks.filter((c) => c.verdict !== 'holds' && !fixed.has(c.id));
  const [best] = [...candidates].sort((a, b) => open(a).length - open(b).length);
  if (!best) return { missing: ['a table of sections for this cable and method'] };
  const { sectionMm2, parallel } = best.run;
  if (open(best).length)
    return {
      unmet: [
        `at best, with ${parallel} × ${school.sectionName(sectionMm2 ?? 0)} on ${breakerA} A: ${open(best).map(words).join('; ')}`,
      ],
    };
  const aside = best.checks.filter((c) => c.verdict !== 'holds');
  return {
    run: best.run,
    why: [
      `breaker: ${neededA.toFixed(1)} A needed, next rating ${breakerA} A`,
      `${parallel} × ${school.sectionName(sectionMm2 ?? 0)} is the first that holds on every rule sizing decides`,
      ...(aside.length ? [`not for sizing to mend: ${aside.map(words).join('; ')}`] : []),
    ],
  };
}
