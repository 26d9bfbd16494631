import { ROUNDING, ceiled } from '../../../kernel/rounding';
import { BALANCE_BAND } from '../objective';
import type { Building } from './family';
import { INFINITE, wattsOf } from './family';

/** Balance band B between the fullest and the emptiest unit: r_max − r_min ≤ 0.05(B + 1). Its column. */
export function balanceColumn(building: Building): number {
  const { problem, b, strings, writers } = building;
  const { units } = problem;
  const ratioOf = (u: number) =>
    strings.filter((s) => s.unit === u).map((s) => [s.column, wattsOf(building, s) / (units[u]?.ratedW ?? 1)] as const);
  const rMax = b.column(0, INFINITE, false);
  const rMin = b.column(0, INFINITE, false);
  const band = b.column(0, 1000, true);
  units.forEach((unit, u) => {
    if (unit.empty) return;
    b.row(-INFINITE, 0, [...ratioOf(u), [rMax, -1]]);
    b.row(0, INFINITE, [...ratioOf(u), [rMin, -1]]);
  });
  b.row(-INFINITE, BALANCE_BAND * (1 + ROUNDING), [
    [rMax, 1],
    [rMin, -1],
    [band, -BALANCE_BAND],
  ]);
  writers.push((v) => {
    const ratios = units.flatMap((unit, u) =>
      unit.empty ? [] : [ratioOf(u).reduce((s, [c, k]) => s + (v[c] ?? 0) * k, 0)],
    );
    v[rMax] = Math.max(0, ...ratios);
    v[rMin] = ratios.length ? Math.min(...ratios) : 0;
    v[band] = Math.max(0, ceiled((v[rMax] - v[rMin]) / BALANCE_BAND - 1));
  });
  return band;
}
