import highsLoader from 'highs';
import { beforeAll, expect, it } from 'vitest';
import type { MilpSolver } from '$core/kernel/milp';
import type { SiteDesign } from '$core/design';
import type { Tray } from '$core/site/plan';
import { remembering, withLockedRestored, withStrings } from '$core/strings/arrange';
import { bestLayout } from '$core/strings/layout/bestLayout';
import { lockWords } from '$core/strings/layout/explain';
import { legalLayout } from '$core/strings/layout/legalLayout';
import type { Objective } from '$core/strings/layout/objective';
import { layoutProblem } from '$core/strings/layout/problem';
import type { Lock } from '$core/strings/part';
import { verifyLayout } from '$core/strings/verify';
import { bruteForce } from '$core/testing/bruteForce';
import { T100, plane, siteOf } from '$core/testing/examples';
import { highsSolver } from './highsSolver';

/** Layouts with wishes, locks and built strings on random small sites, against looking at every layout there is. */

let solver: MilpSolver;
beforeAll(async () => {
  solver = highsSolver(await highsLoader());
});
const nowS = () => performance.now() / 1000;
const solve = (d: SiteDesign) => bestLayout(d, solver, { timeLimitS: 20, nowS });

/** Lehmer's generator: the same sites every time. */
function dice(seed: number): (n: number) => number {
  let state = seed;
  return (n) => ((state = (state * 48_271) % 2_147_483_647), state % n);
}

const TRAY: Tray = {
  id: 'tray',
  label: 'Tray',
  carries: ['dc'],
  widthMm: null,
  depthMm: null,
  dcLeadMm: null,
  busCableMm: null,
  points: [
    { xM: 12, yM: 30, zM: 7 },
    { xM: 12, yM: 0, zM: 4 },
  ],
};

/** Small units whose windows are narrow, so that every layout can be looked at. */
function randomSite(next: (n: number) => number): SiteDesign {
  const rated = 5000 + 1000 * next(10);
  const type = {
    ...T100,
    ratedW: rated,
    maxApparentVa: 1.1 * rated,
    dcMaxW: [null, 1.5 * rated, 2 * rated][next(3)] ?? null,
    dcMaxV: 400 + 60 * next(3),
    mpptMinV: 180 + 30 * next(3),
    mpptMaxV: 380,
    fullPowerMinV: null,
    fullPowerMaxV: null,
    startV: 150,
    trackers: 1 + next(3),
    inputsPerTracker: 1 + next(2),
  };
  const planes = Array.from({ length: 1 + next(2) }, (_, i) =>
    plane(`p${i}`, 4 + next(26), {
      azimuthDeg: [90, 180, 270][next(3)] ?? 180,
      position: { xM: next(40), yM: 5 + next(20), zM: 6 },
      edgeM: 10,
      edgeDeg: 0,
    }),
  );
  const d = siteOf(1 + next(2), planes, type);
  // Without drawing a number more: the sites stay those they were, every third with a tray across it.
  return rated % 3000 ? d : { ...d, plan: { ...d.plan, trays: [TRAY] } };
}

/** Wishes and locks of every kind, and strings that are built where a quick layout hung them. */
function withRandomLocks(d: SiteDesign, next: (n: number) => number): SiteDesign {
  const hung = withStrings(d, legalLayout(d).strings);
  const some = <T>(of: readonly T[], one: number): T[] =>
    next(100) < one && of.length ? [of[next(of.length)] as T] : [];
  const built = some(hung.strings, 40).map((s): Lock => ({ kind: 'string', stringId: s.id, built: true, kept: null }));
  const locks: Lock[] = [
    ...built.map((l) => remembering(l, hung.strings)),
    ...some(d.planes, 15).map((p): Lock => ({ kind: 'plane-length', planeId: p.id, modules: 4 + next(5) })),
    ...some(d.planes, 15).map((p): Lock => ({
      kind: 'plane-inverter',
      planeId: p.id,
      inverterId: d.inverters[next(d.inverters.length)]!.id,
    })),
    ...some(d.inverters.slice(1), 20).map((u): Lock => ({ kind: 'inverter-empty', inverterId: u.id })),
    ...some(d.inverters, 15).map((u): Lock => ({ kind: 'free-trackers', inverterId: u.id, count: 1 })),
    ...some([1], 15).map((): Lock => ({ kind: 'no-doubling' })),
    ...some([1, 2], 40).map((count): Lock => ({ kind: 'max-lengths', count })),
    ...some([60, 90, 120], 25).map((p): Lock => ({
      kind: 'ratio',
      minPercent: next(2) ? p - 50 : null,
      maxPercent: p + 40,
    })),
    ...some([1], 25).map((): Lock => ({ kind: 'use-all' })),
  ];
  // A built string stands; the others may be anywhere, or not yet there.
  return {
    ...(next(2)
      ? hung
      : withStrings(
          d,
          hung.strings.filter((s) => built.some((l) => l.kind === 'string' && l.stringId === s.id)),
        )),
    locks,
  };
}

/** The best of every layout: full-power lengths first, all legal ones where that leaves fewer modules over, or is the only way. */
function reference(d: SiteDesign): Objective | null {
  // Built strings that break a wish by standing where they stand: whatever is hung beside them, it stays broken.
  const built = new Set(d.locks.flatMap((l) => (l.kind === 'string' ? [l.stringId] : [])));
  const alone = withStrings(
    d,
    withLockedRestored(d).strings.filter((s) => built.has(s.id)),
  );
  const broken = verifyLayout(alone).filter(
    (v) => v.predicate === 'V08' && !/every module used|DC\/AC ratio/.test(v.text),
  );
  if (broken.length) return null;
  const of = (breadth: 'preferred' | 'legal') => {
    const { problem } = layoutProblem(d, breadth);
    return problem && bruteForce(problem);
  };
  const [narrow, wide] = [of('preferred'), of('legal')];
  if (!narrow || !wide) return narrow ?? wide;
  return wide.unused < narrow.unused ? wide : narrow;
}

const RUNS = 300;

it(`${RUNS} random sites with wishes, locks and built strings: none illegal, none called best that is not, no feasible one refused`, () => {
  const next = dice(77);
  const seen = { feasible: 0, refused: 0, conflicts: 0, released: 0 };
  for (let run = 0; run < RUNS; run++) {
    const d = withRandomLocks(randomSite(next), next);
    const answer = solve(d);
    const best = reference(d);
    const said = JSON.stringify({
      run,
      locks: d.locks.map((l) => lockWords(d, l)),
      best,
      found: answer.layout?.objective,
    });
    expect(answer.missing, said).toEqual([]);
    // No feasible one refused, and none made up where there is none.
    expect(answer.layout === null, said).toBe(best === null);
    if (best) seen.feasible++;
    else seen.refused++;
    if (answer.layout && best) {
      expect(answer.layout.violations, said).toEqual([]);
      expect(verifyLayout(withStrings(d, answer.layout.strings)), said).toEqual([]);
      expect(answer.layout.proof, said).toBe('optimal');
      for (const [level, value] of Object.entries(best))
        expect(answer.layout.objective[level as keyof Objective], `${level} ${said}`).toBeCloseTo(value, 6);
    }
    if (answer.conflict) {
      seen.conflicts++;
      // A lock that is offered really is the way out: without it, and with all the others, every module finds a place.
      for (const release of answer.conflict.release.filter((r) => r.startsWith('Take off the lock: '))) {
        const without = d.locks.find((l) => `Take off the lock: ${lockWords(d, l)}.` === release);
        const freed = reference({ ...d, locks: d.locks.filter((l) => l !== without) });
        expect(freed?.unused, `${release} ${said}`).toBe(0);
        seen.released++;
      }
    }
  }
  // Each kind of outcome was met often enough to mean something.
  expect(seen.feasible).toBeGreaterThan(150);
  expect(seen.refused).toBeGreaterThan(40);
  expect(seen.conflicts).toBeGreaterThan(80);
  expect(seen.released).toBeGreaterThan(20);
}, 300_000);

/** One unit whose window is narrow. */
const NARROW = {
  ...T100,
  dcMaxV: 400,
  mpptMinV: 180,
  mpptMaxV: 380,
  fullPowerMinV: null,
  fullPowerMaxV: null,
  startV: 150,
};

it('a wish for few lengths finds the layout there is, though the quick start breaks it', () => {
  // Strings of 5 to 7: the start cuts 41 modules whole, into two lengths; with one length alone 8 × 5 leave one over.
  const d: SiteDesign = { ...siteOf(1, [plane('p', 41)], NARROW), locks: [{ kind: 'max-lengths', count: 1 }] };
  const answer = solve(d);
  expect(answer.layout?.objective).toMatchObject({ distinctLengths: 1, unused: 1 });
  expect(answer.layout?.violations).toEqual([]);
  expect(answer.layout?.objective).toEqual(reference(d));
});

it('a wish that no layout keeps is refused with its reason and a way out', () => {
  const d: SiteDesign = {
    ...siteOf(1, [plane('p', 41)], NARROW),
    locks: [{ kind: 'max-lengths', count: 1 }, { kind: 'use-all' }],
  };
  const answer = solve(d);
  expect(answer.layout).toBeNull();
  expect(answer.conflict?.demands).toContain('lock:max-lengths');
  expect(answer.conflict?.release).toContain('Take off the lock: at most 1 different lengths.');
});
