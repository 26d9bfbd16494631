import type { Answer } from '../../kernel/answer';
import { known, lacking } from '../../kernel/answer';
import type { InverterType } from '../../equipment/inverterType';
import { lineOf } from '../../site/line';
import { floorMinOf, obstructionsOf, wallUnitOf } from '../clearances';
import type { Hung, MountingDesign, Wall } from '../part';
import { candidatesFor } from './candidates';
import type { WallProblem, WallUnit } from './problem';
import { gapBetween } from './problem';
import type { SearchTime, WallLayout } from './layoutAnswer';
import { wallLayout } from './wallLayout';
import type { WallsLayout } from './wallsLayout';
import { wallsLayout } from './wallsLayout';
import type { Fix } from './whyNot';
import { fixesFor } from './whyNot';

/** Places are looked for on a grid of this, mm (common practice: what a tape and a level keep). */
const GRID_MM = 50;

interface Sized {
  readonly id: string;
  readonly type: InverterType;
  readonly size: WallUnit;
}

function sizedUnits(design: MountingDesign, ids: readonly string[]): Answer<readonly Sized[]> {
  const line = lineOf(design);
  const units = ids.flatMap((id) => {
    const unit = line.inverter(id);
    const type = unit && line.inverterType(unit.typeId);
    return type ? [{ id, type, size: wallUnitOf(type) }] : [];
  });
  const missing = [...new Set(units.flatMap((u) => u.size.missing))];
  return missing.length
    ? lacking(...missing)
    : known(units.map(({ id, type, size }) => ({ id, type, size: size.value as WallUnit })));
}

/** A wall of a site as a search takes it, for the units named; what it lacks where it cannot. */
export function wallProblemOf(design: MountingDesign, wall: Wall, ids: readonly string[]): Answer<WallProblem> {
  const units = sizedUnits(design, ids);
  const floors = (units.value ?? []).map((u) => floorMinOf(wall, u.type));
  const missing = [
    ...units.missing,
    ...new Set(floors.flatMap((f) => f.missing)),
    ...(wall.boardXMm === null || wall.boardYMm === null ? [`where cables leave ${wall.label}`] : []),
  ];
  if (missing.length || units.value === null || wall.boardXMm === null || wall.boardYMm === null)
    return lacking(...missing);
  const { widthMm, heightMm, leftOpen, rightOpen, topMostMm, boardXMm, boardYMm, trayMm, gaps, stacking } = wall;
  return known({
    face: {
      widthMm,
      heightMm,
      leftOpen,
      rightOpen,
      floorMinMm: Math.max(0, ...floors.map((f) => f.value ?? 0)),
      topMostMm,
    },
    obstructions: obstructionsOf(wall),
    boardXMm,
    boardYMm,
    trayMm,
    units: units.value.map((u) => u.size),
    gaps,
    stacking,
    gridMm: GRID_MM,
  });
}

/** A layout with the places of the units by their names. */
export interface PlacedLayout extends Omit<WallLayout, 'places'> {
  readonly places: readonly Hung[] | null;
}
export interface SiteWallAnswer {
  /** Without one unit over the other; null where too little is known to search. */
  readonly row: PlacedLayout | null;
  /** With, where the wall allows it. */
  readonly stacked: PlacedLayout | null;
  /** Where neither fits: what would make it. */
  readonly fixes: readonly Fix[];
  readonly missing: readonly string[];
}

/** The best places of the units named on one wall, in a row and stacked, side by side; where they do not fit, what would do. */
export function siteWallLayout(
  design: MountingDesign,
  wall: Wall,
  ids: readonly string[],
  time: SearchTime,
): SiteWallAnswer {
  const problem = wallProblemOf(design, wall, ids);
  if (problem.value === null) return { row: null, stacked: null, fixes: [], missing: problem.missing };
  const half = { ...time, timeLimitS: time.timeLimitS / 2 };
  const named = ({ places, ...layout }: WallLayout): PlacedLayout => ({
    ...layout,
    places: places?.map((at, i) => ({ inverterId: ids[i] as string, wallId: wall.id, ...at })) ?? null,
  });
  const row = named(wallLayout({ ...problem.value, stacking: false }, half));
  const stacked = wall.stacking ? named(wallLayout(problem.value, half)) : null;
  const fits = row.places ?? stacked?.places;
  return { row, stacked, fixes: fits ? [] : fixesFor(problem.value, half), missing: [] };
}

export interface SiteWallsAnswer {
  /** Null where too little is known to search. */
  readonly layout: (Omit<WallsLayout, 'places'> & { readonly places: readonly Hung[] | null }) | null;
  readonly missing: readonly string[];
}

/** The best places of the units named over all walls of the site. `onWall` hears how many of the walls' layouts are made. */
export function siteWallsLayout(
  design: MountingDesign,
  ids: readonly string[],
  time: SearchTime,
  onWall?: (done: number, of: number) => void,
): SiteWallsAnswer {
  const problems = design.walls.map((wall) => wallProblemOf(design, wall, ids));
  const missing = [...new Set(problems.flatMap((p) => p.missing))];
  const known = problems.flatMap((p) => (p.value ? [p.value] : []));
  const units = known[0]?.units ?? [];
  if (missing.length) return { layout: null, missing };
  const { places, ...layout } = wallsLayout(known, units, time, onWall);
  const named = places?.map(({ wall, at }, i) => ({
    inverterId: ids[i] as string,
    wallId: (design.walls[wall] as Wall).id,
    ...at,
  }));
  return { layout: { ...layout, places: named ?? null }, missing: [] };
}

/** The cheapest place that is free for one unit beside those that hang there; null where there is none, or too little is known. */
export function freePlace(design: MountingDesign, wall: Wall, inverterId: string): Hung | null {
  const others = design.hung.filter((h) => h.wallId === wall.id && h.inverterId !== inverterId);
  const sized = sizedUnits(design, [inverterId, ...others.map((h) => h.inverterId)]);
  const problem = wallProblemOf(design, { ...wall, boardXMm: wall.boardXMm ?? 0, boardYMm: wall.boardYMm ?? 0 }, [
    inverterId,
  ]);
  const [own, ...beside] = sized.value ?? [];
  if (!own || problem.value === null) return null;
  const at = candidatesFor(problem.value, own.size);
  const free = (x: number, y: number) =>
    beside.every(({ size }, i) => {
      const o = others[i] as Hung;
      const gap = gapBetween(own.size, size, wall.gaps);
      const dx = Math.max(o.xMm - x - own.size.widthMm, x - o.xMm - size.widthMm);
      const dy = Math.max(o.yMm - y - own.size.heightMm, y - o.yMm - size.heightMm);
      return dx >= gap.besideMm || (wall.stacking && dy >= gap.stackedMm);
    });
  const index = at.xMm.findIndex((x, i) => free(x, at.yMm[i] as number));
  return index < 0 ? null : { inverterId, wallId: wall.id, xMm: at.xMm[index] as number, yMm: at.yMm[index] as number };
}
