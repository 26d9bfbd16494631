import { lineOf } from '../../site/line';
import type { SiteInverter } from '../../site/parts';
import { waysOf } from '../../site/way';
import type { StringsDesign } from '../part';
import type { Placed } from './placed';
import { classKey, dcAcRatios, distinctLengths } from './placed';
import type { StatedLayout, Violation } from './violation';
import { say } from './violation';

/** V09: the objective is what it is said to be; V10: best only where bounds meet it. */
export function claims(design: StringsDesign, placed: readonly Placed[], stated: StatedLayout): Violation[] {
  const ratios = dcAcRatios(design, placed);
  const spread = ratios.length ? Math.max(...ratios) - Math.min(...ratios) : 0;
  const byClass = new Map<string, number[]>();
  for (const h of placed) byClass.set(classKey(h), [...(byClass.get(classKey(h)) ?? []), h.s.modules]);
  const kept = (unit: SiteInverter) =>
    design.locks.reduce((sum, l) => sum + (l.kind === 'free-trackers' && l.inverterId === unit.id ? l.count : 0), 0);
  const doubled = design.inverters.reduce((sum, unit) => {
    const type = lineOf(design).inverterType(unit.typeId);
    const strings = placed.filter((h) => h.unit.id === unit.id).length;
    return sum + Math.max(0, strings - ((type?.trackers ?? 0) - kept(unit)));
  }, 0);
  const homeRunM = placed.reduce((sum, h) => {
    const [a, b] = [h.plane.position, h.unit.position];
    if (!a || !b) return sum;
    const [half, turn] = [h.plane.edgeM / 2, (Math.PI / 180) * h.plane.edgeDeg];
    const middle = { ...a, xM: a.xM + half * Math.cos(turn), yM: a.yM + half * Math.sin(turn) };
    const way = waysOf(design.plan).between('dc', middle, b);
    return sum + 2 * 1.1 * (way?.lengthM ?? 0);
  }, 0);
  const recomputed: Readonly<Record<string, number>> = {
    unused: design.planes.reduce((sum, p) => sum + p.moduleCount, 0) - placed.reduce((sum, h) => sum + h.s.modules, 0),
    balanceBand: Math.max(0, Math.ceil(spread / 0.05 - 1 - 1e-9)),
    distinctLengths: distinctLengths(placed),
    homeRunM,
    lengthSpread: [...byClass.values()].reduce((sum, n) => sum + Math.max(...n) - Math.min(...n), 0),
    doubled,
  };
  const words: Readonly<Record<string, string>> = {
    unused: 'number of modules left over',
    balanceBand: 'balance band',
    distinctLengths: 'number of lengths',
    homeRunM: 'length of home runs',
    lengthSpread: 'spread of lengths',
    doubled: 'number of doubled strings',
  };
  // A figure that is left out is not the figure.
  const off = (a: number | undefined, b: number) =>
    a === undefined || Math.abs(a - b) > 1e-6 * Math.max(1, Math.abs(b));
  const wrong = Object.entries(recomputed)
    .filter(([level, value]) => off(stated.objective[level], value))
    .map(([level, value]) =>
      say('V09', `The stated ${words[level]} is ${stated.objective[level]}; it recomputes to ${value}.`),
    );
  const proved = Object.keys(recomputed).every((level) => !off(stated.bound[level], stated.objective[level] ?? 0));
  const beyond = Object.keys(recomputed).some(
    (level) =>
      (stated.bound[level] ?? 0) > (stated.objective[level] ?? 0) + 1e-6 * Math.max(1, stated.objective[level] ?? 0),
  );
  const claimed = (stated.proof === 'optimal' && !proved) || beyond ? [say('V10', 'Claimed best without proof.')] : [];
  return [...wrong, ...claimed];
}
