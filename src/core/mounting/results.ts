import type { InverterType } from '../equipment/inverterType';
import type { Answer } from '../kernel/answer';
import type { SiteInverter } from '../site/parts';
import { lineOf } from '../site/line';
import type { Survey } from '../site/survey';
import { wallUnitOf } from './clearances';
import type { Hung, MountingDesign, Wall } from './part';
import type { UnitAir } from './siting/unitAir';
import { airAtUnits } from './siting/unitAir';
import type { WallUnit } from './wall/problem';

/** A unit on a wall with everything its rules look at. */
export interface HungUnit {
  readonly unit: SiteInverter;
  readonly type: InverterType;
  readonly wall: Wall;
  readonly at: Hung;
  /** Its size and what it keeps free. */
  readonly size: Answer<WallUnit>;
  /** The others on the same wall. */
  readonly others: readonly Pick<HungUnit, 'unit' | 'type' | 'at' | 'size'>[];
  readonly survey: Survey;
  /** The air around it at its hottest. */
  readonly air: Answer<UnitAir>;
}

/** A frame with what hangs on it. */
export interface LoadedFrame {
  readonly wall: Wall;
  readonly types: readonly InverterType[];
}

export interface MountingResult {
  readonly hung: readonly HungUnit[];
  /** Frames that carry something. */
  readonly frames: readonly LoadedFrame[];
  /** Units that hang on no wall. */
  readonly unplaced: readonly SiteInverter[];
}

/** Every hung unit with its wall and its neighbours. */
export function mountingResults(design: MountingDesign): MountingResult {
  const line = lineOf(design);
  const airOf = airAtUnits(design);
  const walls = new Map(design.walls.map((w) => [w.id, w]));
  const alone = design.hung.flatMap((at) => {
    const unit = line.inverter(at.inverterId);
    const type = unit && line.inverterType(unit.typeId);
    const wall = walls.get(at.wallId);
    return unit && type && wall
      ? [{ unit, type, wall, at, size: wallUnitOf(type), survey: design.survey, air: airOf(unit) }]
      : [];
  });
  const placed = new Set(alone.map((h) => h.unit.id));
  return {
    hung: alone.map((h) => ({ ...h, others: alone.filter((o) => o !== h && o.wall === h.wall) })),
    frames: design.walls
      .filter((w) => w.kind === 'frame')
      .map((wall) => ({ wall, types: alone.filter((h) => h.wall === wall).map((h) => h.type) }))
      .filter((f) => f.types.length > 0),
    unplaced: design.inverters.filter((u) => !placed.has(u.id)),
  };
}
