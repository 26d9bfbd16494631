import type { SchoolName } from '../../conductor/school';
import type { InverterType } from '../../equipment/inverterType';
import type { ModuleType } from '../../equipment/moduleType';
import { classOf, onEdge } from '../../site/parts';
import { ROUNDING, within } from '../../kernel/rounding';
import { lineOf } from '../../site/line';
import type { Plane } from '../../site/parts';
import type { Position } from '../../site/position';
import { lockedAndGone, withLockedRestored } from '../arrange';
import type { StringsDesign } from '../part';
import { rearGainOf, trackerCurrents } from '../currents';
import { fuseProtects, fuseRange } from '../fuses';
import { HOME_RUN_SLACK } from '../homeRun';
import type { Ways } from '../../site/way';
import { waysOf } from '../../site/way';
import { smallerSiteWanted } from './size';
import { windowOnSite } from '../window';

/** The layout as numbers: what the start, the program and the placing of strings work on. Nothing of the site is left to look up. */
export interface LayoutPlane {
  readonly id: string;
  readonly label: string;
  /** Planes of one class may share a tracker: one module type, tilt and azimuth. */
  readonly classKey: string;
  readonly modules: number;
  readonly moduleW: number;
  /** Where its strings leave, from left to right: x of the first and the edge they share, m. */
  readonly position: Position | null;
  readonly edgeM: number;
  readonly edgeDeg: number;
}

export interface LayoutUnit {
  readonly id: string;
  readonly tag: string;
  readonly ratedW: number;
  readonly dcMaxW: number | null;
  /** Trackers the layout may use: those kept free are left out. */
  readonly trackers: number;
  readonly inputs: number;
  readonly position: Position | null;
  readonly empty: boolean;
}

/** Lengths of a plane's strings on a unit, and how many may be in parallel. */
export interface LengthWindow {
  readonly min: number;
  readonly max: number;
  readonly parallel: number;
}

/** A string that stays where it is. */
export interface FrozenString {
  readonly stringId: string;
  readonly plane: number;
  readonly unit: number;
  readonly modules: number;
  readonly tracker: number;
  readonly input: number;
}

export interface LayoutProblem {
  readonly planes: readonly LayoutPlane[];
  readonly units: readonly LayoutUnit[];
  /** `windows[plane][unit]`; null where the plane may not go there or no length fits. */
  readonly windows: readonly (readonly (LengthWindow | null)[])[];
  /** Metres of both poles from the middle of a plane to a unit, slack included; 0 while a place is unknown. */
  readonly wayM: readonly (readonly number[])[];
  readonly frozen: readonly FrozenString[];
  /** Whether the strings that stay keep the wishes themselves: where they do not, no layout does. */
  readonly frozenFit: boolean;
  /** Strings as they hang now: among layouts of the same worth the one that moves fewest of them is taken. */
  readonly before: readonly LayoutCount[];
  readonly maxLengths: number | null;
  readonly ratioMin: number | null;
  readonly ratioMax: number | null;
  readonly useAll: boolean;
}

/** Strings of one plane, length and unit. */
export interface LayoutCount {
  readonly plane: number;
  readonly unit: number;
  readonly modules: number;
  readonly strings: number;
}

interface FittedFuse {
  readonly fuseA: number | null;
  readonly school: SchoolName;
}

export type Breadth = 'preferred' | 'legal';

export type ProblemAnswer =
  | { readonly problem: LayoutProblem; readonly missing: readonly [] }
  | { readonly problem: null; readonly missing: readonly string[] };

/** How many equal strings one tracker bears: its inputs, its currents, and unfused modules unless a fuse that protects is fitted. 0: not even one. */
function parallelStrings(module: ModuleType, type: InverterType, gain: number, fuse: FittedFuse): number {
  const c = trackerCurrents(module, type, gain, 1);
  const range = fuseRange(module, gain, fuse.school);
  const fused = fuse.fuseA !== null && fuseProtects(range, fuse.school, fuse.fuseA);
  if (type.connectorMaxA !== null && !within(c.inputA, type.connectorMaxA)) return 0;
  return Math.min(type.inputsPerTracker, c.maxByTracker, fused ? Number.POSITIVE_INFINITY : c.maxUnfused);
}

/**
 * The numbers of a design's layout, with its locks. `preferred` keeps to lengths that hold full power where a unit has any.
 * Locked strings are where their locks remember them. Names what is missing instead of guessing: with any window unknown there is no layout.
 */
export function layoutProblem(now: StringsDesign, breadth: Breadth): ProblemAnswer {
  const design = withLockedRestored(now);
  const line = lineOf(design);
  const missing = new Set([...smallerSiteWanted(design.inverters.length), ...lockedAndGone(design)]);
  if (missing.size) return { problem: null, missing: [...missing] };
  const locks = design.locks;
  const one = <K extends (typeof locks)[number]['kind']>(kind: K) =>
    locks.filter((l): l is Extract<typeof l, { kind: K }> => l.kind === kind);
  const noDoubling = one('no-doubling').length > 0;
  const fuse = { fuseA: design.dcCable.fuseA, school: design.survey.school };
  const siteW = line.ratedW || null;

  const planes = design.planes.filter((p) => p.moduleCount > 0);
  const units = design.inverters.map((inverter): LayoutUnit => {
    const type = line.inverterType(inverter.typeId);
    const kept = one('free-trackers')
      .filter((l) => l.inverterId === inverter.id)
      .reduce((sum, l) => sum + l.count, 0);
    return {
      id: inverter.id,
      tag: inverter.tag,
      ratedW: type?.ratedW ?? 0,
      dcMaxW: type?.dcMaxW ?? null,
      trackers: Math.max(0, (type?.trackers ?? 0) - kept),
      inputs: type?.inputsPerTracker ?? 0,
      position: inverter.position,
      empty: one('inverter-empty').some((l) => l.inverterId === inverter.id),
    };
  });
  const known = new Map<string, LengthWindow | null>();
  const windows = planes.map((plane) => {
    const module = line.moduleType(plane.moduleTypeId);
    const only = one('plane-inverter').filter((l) => l.planeId === plane.id);
    const fixed = one('plane-length').find((l) => l.planeId === plane.id)?.modules;
    return design.inverters.map((inverter): LengthWindow | null => {
      const type = line.inverterType(inverter.typeId);
      if (!module || !type || (only.length > 0 && !only.some((l) => l.inverterId === inverter.id))) return null;
      const key = `${plane.id}|${type.id}`;
      const before = known.get(key);
      if (before !== undefined) return before;
      const answer = windowOnSite(design.survey, plane, module, type, siteW);
      const gain = rearGainOf(module, plane);
      [...answer.missing, ...gain.missing].forEach((m) => missing.add(m));
      const w = answer.value;
      const lengths =
        w &&
        (breadth === 'preferred'
          ? (w.preferred ?? { min: w.minModules, max: w.maxModules })
          : { min: w.minModules, max: w.maxModules });
      const parallel = gain.value === null ? 0 : parallelStrings(module, type, gain.value, fuse);
      const found: LengthWindow | null =
        !w || !lengths || parallel === 0
          ? null
          : fixed === undefined
            ? { ...lengths, parallel: noDoubling ? 1 : parallel }
            : fixed >= w.minModules && fixed <= w.maxModules
              ? { min: fixed, max: fixed, parallel: noDoubling ? 1 : parallel }
              : null;
      const usable = found && found.max >= found.min ? found : null;
      known.set(key, usable);
      return usable;
    });
  });
  if (missing.size > 0) return { problem: null, missing: [...missing] };

  const planeAt = new Map(planes.map((p, i) => [p.id, i]));
  const unitAt = new Map(design.inverters.map((u, i) => [u.id, i]));
  const locked = new Set(one('string').map((l) => l.stringId));
  const frozen = design.strings.flatMap((s): FrozenString[] => {
    const plane = planeAt.get(s.planeId);
    const unit = s.place ? unitAt.get(s.place.inverterId) : undefined;
    if (!locked.has(s.id) || !s.place || plane === undefined || unit === undefined) return [];
    const { tracker, input } = s.place;
    return [{ stringId: s.id, plane, unit, modules: s.modules, tracker, input }];
  });
  const hanging = new Map<string, LayoutCount>();
  for (const s of design.strings) {
    const plane = planeAt.get(s.planeId);
    const unit = s.place ? unitAt.get(s.place.inverterId) : undefined;
    if (plane === undefined || unit === undefined) continue;
    const key = `${plane}|${unit}|${s.modules}`;
    hanging.set(key, { plane, unit, modules: s.modules, strings: (hanging.get(key)?.strings ?? 0) + 1 });
  }
  const ratios = one('ratio');
  const least = ratios.flatMap((l) => (l.minPercent === null ? [] : [l.minPercent / 100]));
  const most = ratios.flatMap((l) => (l.maxPercent === null ? [] : [l.maxPercent / 100]));
  const fewest = one('max-lengths').map((l) => l.count);
  return {
    missing: [],
    problem: {
      planes: planes.map((p) => ({
        id: p.id,
        label: p.label,
        classKey: classOf(p),
        modules: p.moduleCount,
        moduleW: line.moduleType(p.moduleTypeId)?.pmaxW ?? 0,
        position: p.position,
        edgeM: p.edgeM,
        edgeDeg: p.edgeDeg,
      })),
      units,
      windows,
      wayM: planes.map((p) => units.map((u) => bothPolesM(waysOf(design.plan), p, u))),
      frozen,
      frozenFit: frozenFit(locks, planes, units, frozen),
      before: [...hanging.values()],
      maxLengths: fewest.length ? Math.min(...fewest) : null,
      ratioMin: least.length ? Math.max(...least) : null,
      ratioMax: most.length ? Math.min(...most) : null,
      useAll: one('use-all').length > 0,
    },
  };
}

/** Whether strings that stay break no wish by standing where they stand: length and unit of their plane, a unit kept empty, one string a tracker. */
function frozenFit(
  locks: StringsDesign['locks'],
  planes: readonly Plane[],
  units: readonly LayoutUnit[],
  frozen: readonly FrozenString[],
): boolean {
  const trackers = new Set(frozen.map((f) => `${f.unit}/${f.tracker}`));
  if (locks.some((l) => l.kind === 'no-doubling') && trackers.size < frozen.length) return false;
  return frozen.every((f) => {
    const own = locks.filter((l) => 'planeId' in l && l.planeId === planes[f.plane]?.id);
    const lengths = own.flatMap((l) => (l.kind === 'plane-length' ? [l.modules] : []));
    const allowed = own.flatMap((l) => (l.kind === 'plane-inverter' ? [l.inverterId] : []));
    const unit = units[f.unit];
    return (
      unit !== undefined &&
      !unit.empty &&
      lengths.every((n) => n === f.modules) &&
      (allowed.length === 0 || allowed.includes(unit.id))
    );
  });
}

/** Plus and minus from the middle of the plane's edge to the unit, with slack, m. */
function bothPolesM(ways: Ways, plane: Pick<Plane, 'position' | 'edgeM' | 'edgeDeg'>, unit: LayoutUnit): number {
  const middle = onEdge(plane, 1 / 2);
  if (!middle || !unit.position) return 0;
  return 2 * HOME_RUN_SLACK * (ways.between('dc', middle, unit.position)?.lengthM ?? 0);
}

/** Lengths a plane's strings may have on a unit: its window, and those of strings that stay. */
export function lengthsOn(problem: LayoutProblem, plane: number, unit: number): number[] {
  const w = problem.windows[plane]?.[unit];
  const inWindow = w ? Array.from({ length: w.max - w.min + 1 }, (_, i) => w.min + i) : [];
  const frozen = problem.frozen.filter((f) => f.plane === plane && f.unit === unit).map((f) => f.modules);
  return [...new Set([...inWindow, ...frozen])].sort((a, b) => a - b);
}

/** Strings in parallel that a unit's trackers bear for a plane; 1 where only a frozen string brought it there. */
export function parallelOn(problem: LayoutProblem, plane: number, unit: number): number {
  return problem.windows[plane]?.[unit]?.parallel ?? 1;
}

/** Whether counts keep every window, tracker, power limit and lock that counts can show. */
export function countsFit(problem: LayoutProblem, counts: readonly LayoutCount[]): boolean {
  const used = problem.planes.map(() => 0);
  const watts = problem.units.map(() => 0);
  const groups = problem.units.map(() => new Map<string, { strings: number; parallel: number }>());
  for (const c of counts) {
    if (!lengthsOn(problem, c.plane, c.unit).includes(c.modules) || problem.units[c.unit]?.empty) return false;
    used[c.plane] = (used[c.plane] ?? 0) + c.strings * c.modules;
    watts[c.unit] = (watts[c.unit] ?? 0) + c.strings * c.modules * (problem.planes[c.plane]?.moduleW ?? 0);
    const key = `${problem.planes[c.plane]?.classKey}|${c.modules}`;
    const parallel = parallelOn(problem, c.plane, c.unit);
    const g = groups[c.unit]?.get(key);
    groups[c.unit]?.set(key, {
      strings: (g?.strings ?? 0) + c.strings,
      parallel: Math.min(g?.parallel ?? parallel, parallel),
    });
  }
  return (
    problem.planes.every((p, i) => (used[i] ?? 0) <= p.modules) &&
    problem.units.every((u, i) => {
      const trackers = [...(groups[i]?.values() ?? [])].reduce((sum, g) => sum + Math.ceil(g.strings / g.parallel), 0);
      const ratio = (watts[i] ?? 0) / u.ratedW;
      return (
        trackers <= u.trackers &&
        (u.dcMaxW === null || within(watts[i] ?? 0, u.dcMaxW)) &&
        (problem.ratioMax === null || within(ratio, problem.ratioMax)) &&
        (problem.ratioMin === null || u.empty || ratio >= problem.ratioMin * (1 - ROUNDING))
      );
    }) &&
    problem.frozen.every((f) => counts.some((c) => c.plane === f.plane && c.unit === f.unit && c.modules === f.modules))
  );
}
