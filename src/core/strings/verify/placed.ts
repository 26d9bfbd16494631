import type { InverterType } from '../../equipment/inverterType';
import type { ModuleType } from '../../equipment/moduleType';
import { lineOf } from '../../site/line';
import type { Plane, PvString, SiteInverter } from '../../site/parts';
import type { StringsDesign } from '../part';

/** A string where it hangs, with everything it touches looked up. */
export interface Placed {
  readonly s: PvString;
  readonly plane: Plane;
  readonly module: ModuleType;
  readonly unit: SiteInverter;
  readonly type: InverterType;
  readonly place: NonNullable<PvString['place']>;
}

/** Every string that hangs on an inverter that is there. */
export function placedStrings(design: StringsDesign): Placed[] {
  const line = lineOf(design);
  return design.strings.flatMap((s): Placed[] => {
    const on = line.placed(s);
    return on?.place && on.unit && on.type
      ? [{ s, plane: on.plane, module: on.module, unit: on.unit, type: on.type, place: on.place }]
      : [];
  });
}

/** Planes whose modules may share a tracker, told apart by type, tilt and azimuth. */
export const classKey = (h: Placed) => `${h.module.id}|${h.plane.tiltDeg}|${h.plane.azimuthDeg}`;

/** Different lengths, class by class. */
export function distinctLengths(placed: readonly Placed[]): number {
  return new Set(placed.map((h) => `${classKey(h)}|${h.s.modules}`)).size;
}

/** DC power over rated power of the units that the layout may fill. */
export function dcAcRatios(design: StringsDesign, placed: readonly Placed[]): number[] {
  const empty = new Set(design.locks.flatMap((l) => (l.kind === 'inverter-empty' ? [l.inverterId] : [])));
  return design.inverters
    .filter((u) => !empty.has(u.id))
    .flatMap((u) => {
      const type = lineOf(design).inverterType(u.typeId);
      const watts = placed.filter((h) => h.unit.id === u.id).reduce((sum, h) => sum + h.s.modules * h.module.pmaxW, 0);
      return type ? [watts / type.ratedW] : [];
    });
}
