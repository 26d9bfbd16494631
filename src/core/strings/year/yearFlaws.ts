import { lineOf } from '../../site/line';
import type { StringsDesign } from '../part';
import type { YearResult } from './yearResult';

/** Longest year, h. */
const YEAR_H = 8784;
/** What rounding on the way may cost: a part of a sum. */
const ROUNDED = 1e-6;

const differ = (a: number, b: number): boolean => Math.abs(a - b) > ROUNDED * Math.max(1, Math.abs(a), Math.abs(b));
const sameIds = (a: readonly string[], b: readonly string[]): boolean =>
  a.length === b.length && a.every((id, i) => id === b[i]);

/**
 * What cannot be true of a year of energy of this design, each with its place (RFC 6901): parts that are not its own, a unit above its rating or
 * with more AC than DC, sums that are not those of their parts. A year made elsewhere is believed no further.
 */
export function yearFlaws(
  result: YearResult,
  design: StringsDesign,
): { readonly pointer: string; readonly detail: string }[] {
  const flaws: { pointer: string; detail: string }[] = [];
  const unless = (holds: boolean, pointer: string, detail: string) => holds || flaws.push({ pointer, detail });
  const line = lineOf(design);
  const units = design.inverters.map((u) => u.id);
  unless(
    sameIds(
      result.units.map((u) => u.inverterId),
      units,
    ),
    '/units',
    'must be the inverters of the design in their order',
  );
  unless(
    sameIds(
      result.planes.map((p) => p.planeId),
      design.planes.map((p) => p.id),
    ),
    '/planes',
    'must be the planes of the design in their order',
  );
  result.units.forEach((u, i) => {
    const ratedW = line.inverterType(design.inverters[i]?.typeId ?? '')?.ratedW ?? 0;
    unless(!differ(u.ratedW, ratedW), `/units/${i}/ratedW`, `must be ${ratedW} W, as the type of the unit says`);
    unless(u.acKwh <= u.dcKwh, `/units/${i}/acKwh`, 'must not be above the DC energy');
    unless(u.acKwh <= (u.ratedW / 1000) * YEAR_H, `/units/${i}/acKwh`, 'must not be above the rating for a whole year');
  });
  result.trackers.forEach((t, i) => {
    unless(units.includes(t.inverterId), `/trackers/${i}/inverterId`, 'must be an inverter of the design');
  });
  const sum = (values: readonly number[]) => values.reduce((a, b) => a + b, 0);
  const sums = [
    ['/acKwh', result.acKwh, sum(result.units.map((u) => u.acKwh)), 'the units'],
    ['/dcKwh', result.dcKwh, sum(result.units.map((u) => u.dcKwh)), 'the units'],
    ['/monthlyKwh', sum(result.monthlyKwh), result.acKwh, 'the year'],
    ['/mismatchKwh', result.mismatchKwh, sum(result.trackers.map((t) => t.mismatchKwh)), 'the trackers'],
    ['/limitedKwh', result.limitedKwh, sum(result.trackers.map((t) => t.limitedKwh)), 'the trackers'],
  ] as const;
  for (const [pointer, said, is, of] of sums) unless(!differ(said, is), pointer, `must be ${is} kWh, that of ${of}`);
  return flaws;
}
