import type { InverterType } from '../../equipment/inverterType';
import type { Answer } from '../../kernel/answer';
import { known, lacking } from '../../kernel/answer';
import { fixed } from '../../kernel/quantity';
import { lineOf } from '../../site/line';
import type { SiteInverter } from '../../site/parts';
import type { Room } from '../../site/plan';
import { inRoom, maybeAbove } from '../../site/plan';
import type { MountingDesign } from '../part';
import { lossW, roomRiseK } from './roomHeat';

/** The air around a unit at its hottest: outside, or in a room that units warm. */
export interface UnitAir {
  readonly airC: number;
  /** How it comes about. */
  readonly words: string;
}

/** A unit that stands over the floor of a room of which nobody knows how high it is. */
const mayBeAbove = (room: Room, { position }: SiteInverter): boolean => position !== null && maybeAbove(room, position);

/** What all units in a room give off at full load, W; the types whose sheets do not say. */
function heatOf(types: readonly InverterType[]): Answer<number> {
  const silent = types.filter((t) => t.body.efficiencyPercent === null);
  if (silent.length) return lacking(...new Set(silent.map((t) => `efficiency of ${t.name}`)));
  return known(types.reduce((sum, t) => sum + lossW(t.maxApparentVa, (t.body.efficiencyPercent ?? 0) / 100), 0));
}

const standing = (unit: SiteInverter) => `where ${unit.tag} stands`;

/** The air in a room. `astray`: units of which nobody said where they stand; they may stand in it. */
function roomAir(
  room: Room,
  types: readonly InverterType[],
  astray: readonly SiteInverter[],
  altitudeM: number | null,
): Answer<UnitAir> {
  const heat = heatOf(types);
  const { airM3h, inletC } = room;
  if (heat.value === null || airM3h === null || inletC === null || altitudeM === null || astray.length)
    return lacking(
      ...heat.missing,
      ...astray.map(standing),
      ...(airM3h === null ? [`air moved through ${room.label}`] : []),
      ...(inletC === null ? [`warmest air that comes into ${room.label}`] : []),
      ...(altitudeM === null ? ['altitude'] : []),
    );
  const riseK = roomRiseK({ heatW: heat.value, airM3h, inletC, altitudeM });
  const warmed = Number.isFinite(riseK) ? `warm it by ${fixed(riseK, 1)} K` : 'and nothing carries it out';
  return known({
    airC: inletC + riseK,
    words: `${room.label}: ${types.length} units give off ${fixed(heat.value / 1000, 2)} kW; ${airM3h} m³/h that come in at ${inletC} °C, ${warmed}`,
  });
}

/**
 * The air at every unit, by its id. A unit stands in the room its terminals are in; where no room is drawn, or in none of them, in the hot design
 * temperature of the site. Where rooms are drawn and nobody said where the unit stands, it is unknown.
 */
export function airAtUnits(d: MountingDesign): (unit: SiteInverter) => Answer<UnitAir> {
  const line = lineOf(d);
  const { hottestC, altitudeM } = d.survey;
  const outside: Answer<UnitAir> =
    hottestC === null ? lacking('hot design temperature') : known({ airC: hottestC, words: `outside, ${hottestC} °C` });
  const roomOf = ({ position }: SiteInverter) => d.plan.rooms.find((r) => position && inRoom(r, position));
  const unplaced = d.inverters.filter((u) => u.position === null);
  const airs = new Map(
    d.plan.rooms.map((room) => {
      const inside = line.units.filter((u) => roomOf(u.unit) === room);
      return [
        room,
        roomAir(
          room,
          inside.map((u) => u.type),
          [...unplaced, ...inside.map((u) => u.unit).filter((u) => mayBeAbove(room, u))],
          altitudeM,
        ),
      ];
    }),
  );
  return (unit) => {
    if (d.plan.rooms.length && unit.position === null) return lacking(standing(unit));
    const room = roomOf(unit);
    if (room && mayBeAbove(room, unit)) return lacking(`clear height of ${room.label}`);
    return (room && airs.get(room)) ?? outside;
  };
}
