import type { Check } from '../../kernel/check';
import { fixed } from '../../kernel/quantity';
import { candidates } from '../candidates/candidates';
import { lineWords } from '../cableWords';
import type { AcRun } from '../part';
import { palmGapLimitsMm } from '../palmGap';
import type { RunResult } from '../results';
import { GLANDS } from '../tables/glands';

/** What would fit where something of a bay does not: in words, and as a run where the cable itself would change. */
export interface Fit {
  /** The rule it would mend. */
  readonly rule: string;
  readonly words: string;
  readonly run?: AcRun;
}

/** Without prices: how near a cable is, its metal in square millimetres says. */
const NO_PRICES = { Cu: null, Al: null };

/** The smallest gland of the series that clamps every cable of this kind. */
function glandFor({ diameter: { value: d } }: RunResult): string {
  if (!d) return 'measure the cable first';
  const own = GLANDS.find((g) => g.minMm <= d.lowMm && g.maxMm >= d.highMm);
  const range = d.measured ? `${fixed(d.nominalMm, 1)} mm` : `${fixed(d.lowMm, 1)} to ${fixed(d.highMm, 1)} mm`;
  if (own) return `another gland: ${own.name} clamps ${own.minMm} to ${own.maxMm} mm, this cable has ${range}`;
  const nominal = GLANDS.find((g) => g.minMm <= d.nominalMm && g.maxMm >= d.nominalMm);
  return nominal
    ? `another gland: ${nominal.name} clamps ${nominal.minMm} to ${nominal.maxMm} mm; this cable may have ${range}: measure it before drilling`
    : `no gland of the series clamps ${range}: singles through their own entries, or a box outside`;
}

/** The widest palm that the bay takes: by its sheet, and by the air beside it. */
function palmFor({ type: { bay }, survey: { lineV }, run, school }: RunResult): string {
  const wanted = lineV === null ? null : palmGapLimitsMm(lineV).wantedMm;
  const byGap = bay.studSpacingMm === null || wanted === null ? Infinity : bay.studSpacingMm - wanted;
  const mostMm = Math.min(bay.palmMaxWidthMm ?? Infinity, byGap);
  const section = run.sectionMm2 === null ? '' : ` for ${school.sectionName(run.sectionMm2)}`;
  return Number.isFinite(mostMm)
    ? `a lug${section} with a narrow palm, up to ${fixed(mostMm, 1)} mm: measure it and enter the width`
    : 'a lug with a narrow palm';
}

/** What each rule of the bay wants in place of what is there. */
const MENDS: Readonly<Record<string, (r: RunResult) => string>> = {
  'ac.palm-width': palmFor,
  'ac.palm-gap': (r) => `${palmFor(r)}; or a barrier between the palms`,
  'ac.palm-thickness': ({ type: { bay } }) =>
    `palms of ${bay.palmMaxThicknessMm ?? 'so many'} mm together: measure them, a table gives twice the wall`,
  'ac.stud-length': () => 'thinner palms, one cable a stud, or longer studs from the maker of the unit',
  'ac.gland': glandFor,
  'ac.bend': () => 'smaller conductors, an entry under their own studs, or a box outside with a tail',
  'ac.entries': () => 'one multicore cable, or a plate with an entry for each',
};

/** How far a cable is from another, by the metal of a line. */
const apart = (a: AcRun, b: AcRun): number =>
  Math.abs(Math.log(((a.sectionMm2 ?? 1) * (a.parallel ?? 1)) / ((b.sectionMm2 ?? 1) * (b.parallel ?? 1))));

/** The cable nearest to this one with which nothing in the bay, and no other rule, stands in the way; of the same metal where there is one. */
function nearestCable(r: RunResult): AcRun | null {
  const { value } = candidates(r, NO_PRICES);
  const fits = value?.accepted.filter((c) => c.open.length === 0).map((c) => c.run) ?? [];
  const own = fits.filter((run) => run.metal === r.run.metal);
  const [first, ...others] = own.length ? own : fits;
  // As far off, the same kind of cable before another.
  const far = (run: AcRun) => [apart(run, r.run), run.cores === r.run.cores ? 0 : 1] as const;
  const nearer = (a: AcRun, b: AcRun) => {
    const [[ofA, kindA], [ofB, kindB]] = [far(a), far(b)];
    return ofB < ofA || (ofB === ofA && kindB < kindA) ? b : a;
  };
  return first ? others.reduce(nearer, first) : null;
}

/**
 * The nearest things that fit, one for every rule of the bay that is not kept, and the nearest cable with which all are. Empty where the bay is
 * in order, or nobody knows what it lacks. `checks`: those of this run.
 */
export function nearestFits(r: RunResult, checks: readonly Check[]): readonly Fit[] {
  const broken = checks.filter((c) => c.verdict === 'stop' || c.verdict === 'tight');
  const mends = broken.flatMap((c): Fit[] => {
    const words = MENDS[c.id];
    return words ? [{ rule: c.title, words: words(r) }] : [];
  });
  if (mends.length === 0 || r.run.sectionMm2 === null) return mends;
  const run = nearestCable(r);
  return run
    ? [
        { rule: 'all of them', words: `another cable: ${lineWords({ run, school: r.school })}, ${run.cores}`, run },
        ...mends,
      ]
    : mends;
}
