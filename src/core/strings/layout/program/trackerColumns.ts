import { ROUNDING } from '../../../kernel/rounding';
import { parallelOn } from '../problem';
import type { Building } from './family';
import { INFINITE, wattsOf } from './family';

/** Trackers y of unit, class and length: Σ_plane x ≤ K·y and Σ y ≤ T; with the power of the unit: Σ n·P·x ≤ P_dc,max and its ratio. */
export function trackerColumns(building: Building): void {
  building.problem.units.forEach((_, u) => {
    trackersOf(building, u);
    powerOf(building, u);
  });
}

function trackersOf({ problem, b, classes, classAt, strings, writers }: Building, u: number): void {
  const own: [number, number][] = [];
  const most = problem.units[u]?.trackers ?? 0;
  classes.forEach((_, cls) => {
    const here = strings.filter((s) => s.unit === u && classAt[s.plane] === cls);
    for (const n of new Set(here.map((s) => s.modules))) {
      const group = here.filter((s) => s.modules === n);
      const parallel = Math.min(...group.map((s) => parallelOn(problem, s.plane, u)));
      const frozen = new Set(
        problem.frozen.filter((f) => f.unit === u && f.modules === n && classAt[f.plane] === cls).map((f) => f.tracker),
      ).size;
      const column = b.column(frozen, most, true);
      own.push([column, 1]);
      b.row(-INFINITE, 0, [...group.map((s) => [s.column, 1] as const), [column, -parallel]]);
      writers.push((v) => {
        const strung = group.reduce((s, g) => s + (v[g.column] ?? 0), 0);
        v[column] = Math.max(frozen, Math.ceil(strung / parallel));
      });
    }
  });
  if (own.length) b.row(-INFINITE, most, own);
}

function powerOf(building: Building, u: number): void {
  const { problem, b, strings } = building;
  const unit = problem.units[u];
  if (!unit) return;
  const kw = strings.filter((s) => s.unit === u).map((s) => [s.column, wattsOf(building, s) / 1000] as const);
  if (unit.dcMaxW !== null && kw.length) b.row(-INFINITE, (unit.dcMaxW / 1000) * (1 + ROUNDING), kw);
  const perRated = kw.map(([column, k]) => [column, (1000 * k) / unit.ratedW] as const);
  if (problem.ratioMax !== null && kw.length) b.row(-INFINITE, problem.ratioMax * (1 + ROUNDING), perRated);
  if (problem.ratioMin !== null && !unit.empty) b.row(problem.ratioMin * (1 - ROUNDING), INFINITE, perRated);
}
