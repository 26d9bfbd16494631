import type { InverterType } from '../equipment/inverterType';
import type { Answer } from '../kernel/answer';
import { known, lacking } from '../kernel/answer';
import { atOrAbove } from '../kernel/publishedTable';
import { CLEARANCES } from './tables/clearances';
import type { Wall } from './part';
import { OBSTRUCTION_KINDS } from './tables/obstructions';
import type { Obstruction, WallUnit } from './wall/problem';

type Kept = (typeof CLEARANCES)['columns'][number];

/** What the usual class keeps free, mm; undefined for powers of no class. */
const usual = (type: InverterType, what: Kept): number | undefined => atOrAbove(CLEARANCES, type.ratedW / 1000, what);

/** Least powers the classes are for, kW. */
const CLASSES_FROM_KW = 25;
const inClass = (type: InverterType): boolean =>
  type.ratedW / 1000 >= CLASSES_FROM_KW && usual(type, 'left') !== undefined;

/** A unit with its size and what it keeps free: the sheet's figures, and the class's where it is silent. */
export function wallUnitOf(type: InverterType): Answer<WallUnit> {
  const { body } = type;
  const missing = [
    ...(body.widthMm === null ? [`width of ${type.name}`] : []),
    ...(body.heightMm === null ? [`height of ${type.name}`] : []),
  ];
  const or = (sheet: number | null, what: Kept) => sheet ?? (inClass(type) ? usual(type, what) : undefined);
  const kept = {
    leftMm: or(body.leftMm, 'left'),
    rightMm: or(body.rightMm, 'right'),
    topMm: or(body.topMm, 'top'),
    bottomMm: or(body.bottomMm, 'bottom'),
    besideMm: or(body.besideMm, 'beside'),
    stackedMm: or(body.stackedMm, 'stacked'),
  };
  if (Object.values(kept).some((mm) => mm === undefined)) missing.push(`clearances of ${type.name}`);
  if (missing.length) return lacking(...missing);
  return known({
    kind: type.id,
    widthMm: body.widthMm as number,
    heightMm: body.heightMm as number,
    ...(kept as Record<keyof typeof kept, number>),
    cableWeight: 1,
  });
}

/** Free in front of a unit, mm: its sheet, else its class. */
export function frontOf(type: InverterType): Answer<number> {
  const mm = type.body.frontMm ?? (inClass(type) ? usual(type, 'front') : undefined);
  return mm === undefined ? lacking(`free in front of ${type.name}`) : known(mm);
}

/** No lower edge under this, mm: what the wall asks for, else the unit's class. */
export function floorMinOf(wall: Wall, type: InverterType): Answer<number> {
  const mm = wall.floorMinMm ?? (inClass(type) ? usual(type, 'floor') : undefined);
  return mm === undefined ? lacking(`lowest lower edge on ${wall.label}`) : known(mm);
}

/** What stands on a wall, with the margin and the air of its kind where none is given. */
export const obstructionsOf = (wall: Wall): Obstruction[] =>
  wall.obstructions.map(({ kind, xMm, yMm, widthMm, heightMm, marginMm }) => ({
    label: kind,
    xMm,
    yMm,
    widthMm,
    heightMm,
    marginMm: marginMm ?? OBSTRUCTION_KINDS[kind].marginMm,
    blocksAir: OBSTRUCTION_KINDS[kind].blocksAir,
  }));
