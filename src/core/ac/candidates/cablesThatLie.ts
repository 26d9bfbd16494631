import type { Cores, Insulation, Method } from '../../conductor/laid';
import type { Metal } from '../../conductor/metal';
import type { Answer } from '../../kernel/answer';
import { given, known, lacking } from '../../kernel/answer';
import type { AcRun } from '../part';
import type { RunResult } from '../results';
import { withCable } from '../results';
import { sized } from '../suggestRun';
import { CONDUCTORS } from '../wiring';

/** What a run says of the way that any cable of it has to lie. */
export interface Route {
  readonly insulation: Insulation;
  readonly cores: Cores;
  readonly method: Method;
  readonly lengthM: number;
}

/** What a run must say before any cable can be laid for it. */
export function routeOf({ run, lengthM }: RunResult): Answer<Route> {
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

/** So many ratings are tried, from the least that carries the current. */
const MOST_RATINGS = 3;

/** Ratings of breakers that come into question, A: the least that carries the current, and larger ones up to what the unit's sheet allows. */
export function ratingsOf({ breaker, school, type }: RunResult): Answer<readonly number[]> {
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

/** A kind of cable as it would lie where the run lies. */
type Form = Pick<AcRun, 'cores' | 'method' | 'peInCable'> & { readonly cores: Cores; readonly method: Method };

/**
 * Singles, and multicore cables of four or five cores, as many as the terminals want. In conduit each of the two is a method of its own (Table
 * B.52.1); by the NEC school wires lie in raceways, and a run stays of its kind.
 */
function formsOf(
  { peInCable }: AcRun,
  { cores, method }: Route,
  { type: { wiring }, school }: RunResult,
): readonly Form[] {
  const conduit = method === 'B1' || method === 'B2';
  const few = CONDUCTORS[wiring] - (peInCable ? 0 : 1) > 4;
  const multicore = (few ? (['5-core'] as const) : (['4-core', '5-core'] as const)).map((of): Form => ({
    cores: of,
    method: conduit ? 'B2' : method,
    peInCable,
  }));
  // A single has no core to spare for the PE.
  const singles: Form = { cores: '1-core', method: conduit ? 'B1' : method, peInCable: false };
  if (school.name !== 'NEC') return [...multicore, singles];
  return cores === '1-core' ? [{ ...singles, method }] : multicore.map((f) => ({ ...f, method }));
}

const METALS: readonly Metal[] = ['Cu', 'Al'];

/** Every cable on one breaker, PE and external earth with it. */
export function cablesOn(breakerA: number, r: RunResult, route: Route): RunResult[] {
  const { run, type, school } = r;
  const { insulation } = route;
  return METALS.flatMap((metal) =>
    formsOf(run, route, r).flatMap((form) => {
      const kind = { ...run, ...form, metal, peMetal: run.peInCable === false ? run.peMetal : metal };
      // What was measured of one kind of cable says nothing about another.
      if (form.cores !== run.cores) kind.cableDiameterMm = null;
      return school.sections({ metal, insulation, ...form }).flatMap((sectionMm2) =>
        Array.from({ length: type.bay.lugsPerStud + 1 }, (_, i) => {
          const tried = sized(kind, sectionMm2, i + 1, breakerA, school, r.designCurrent.currentA);
          return withCable(r, tried);
        }),
      );
    }),
  );
}

/** The same cable on another breaker. */
export function onAnother(w: RunResult, breakerA: number): RunResult {
  const { run, school, designCurrent } = w;
  const tried = sized(run, run.sectionMm2 ?? 0, run.parallel ?? 0, breakerA, school, designCurrent.currentA);
  return withCable(w, tried);
}
