import { z } from 'zod';
import { editOn } from '../kernel/discipline';
import { replaced } from '../kernel/lists';
import { partId } from '../kernel/schema';
import { MOST_INVERTERS } from '../site/parts';
import type { Hung, MountingDesign, Wall } from './part';
import { hungSchema, wallSchema } from './part';
import { withPositions } from './wallPosition';

/** The design with a wall as given, and the units on it where it puts them. */
export const withWall = <D extends MountingDesign>(d: D, wall: Wall): D =>
  withPositions({ ...d, walls: replaced(d.walls, wall) });

/** The design with units hung where given. Throws RangeError on a wall or a unit that is not there. */
export function withHung<D extends MountingDesign>(d: D, places: readonly Hung[]): D {
  for (const { wallId, inverterId } of places) {
    if (!d.walls.some((w) => w.id === wallId)) throw new RangeError(`There is no wall ${wallId}.`);
    if (!d.inverters.some((u) => u.id === inverterId)) throw new RangeError(`There is no inverter ${inverterId}.`);
  }
  const moved = new Map(places.map((p) => [p.inverterId, p]));
  return withPositions({ ...d, hung: [...d.hung.filter((h) => !moved.has(h.inverterId)), ...moved.values()] });
}

/** The design with a unit on no wall. It keeps its position on the site. */
export const withTakenDown = <D extends MountingDesign>(d: D, inverterId: string): D => ({
  ...d,
  hung: d.hung.filter((h) => h.inverterId !== inverterId),
});

const tagOf = (d: MountingDesign, id: string) => d.inverters.find((u) => u.id === id)?.tag ?? id;
const labelOf = (d: MountingDesign, id: string) => d.walls.find((w) => w.id === id)?.label ?? id;
const edit = editOn<MountingDesign>();

/** What may be changed about where units hang. */
export const mountingEdits = [
  edit(
    'wall',
    { wall: wallSchema },
    (_, { wall }) => wall.label,
    (d, { wall }) => withWall(d, wall),
  ),
  edit(
    'remove-wall',
    { wallId: partId },
    (d, { wallId }) => `${labelOf(d, wallId)} with what hangs on it`,
    (d, { wallId }) => ({
      ...d,
      walls: d.walls.filter((w) => w.id !== wallId),
      hung: d.hung.filter((h) => h.wallId !== wallId),
    }),
  ),
  edit(
    'hang',
    { places: z.array(hungSchema).min(1).max(MOST_INVERTERS) },
    (d, { places: [first, ...more] }) =>
      first && more.length === 0 ? `${tagOf(d, first.inverterId)} on ${labelOf(d, first.wallId)}` : 'units on walls',
    (d, { places }) => withHung(d, places),
  ),
  edit(
    'take-down',
    { inverterId: partId },
    (d, { inverterId }) => `${tagOf(d, inverterId)} off its wall`,
    (d, { inverterId }) => withTakenDown(d, inverterId),
  ),
] as const;
