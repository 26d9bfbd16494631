import { inverterTypeSchema } from '../equipment/inverterType';
import type { InverterType } from '../equipment/inverterType';
import { moduleTypeSchema } from '../equipment/moduleType';
import { editOn } from '../kernel/discipline';
import { replaced } from '../kernel/lists';
import { partId } from '../kernel/schema';
import type { Base } from './base';
import { lineOf } from './line';
import { boardSchema, planeSchema, siteInverterSchema } from './parts';
import { planSchema, roomSchema, spotSchema, traySchema } from './plan';
import { surveySchema } from './survey';

/** Adds or changes a type. The equipment of a design holds its own copy of a data sheet, so that a later change on the Shelf changes no site. */
export function withInverterType<D extends Base>(d: D, type: InverterType): D {
  return { ...d, equipment: { ...d.equipment, inverters: replaced(d.equipment.inverters, type) } };
}

const edit = editOn<Base>();

type PlanList = 'trays' | 'rooms' | 'spots';
const withoutPart = <D extends Base>(d: D, list: PlanList, id: string): D => ({
  ...d,
  plan: { ...d.plan, [list]: d.plan[list].filter((x) => x.id !== id) },
});
const labelOn = (d: Base, list: PlanList, id: string) => d.plan[list].find((x) => x.id === id)?.label ?? id;

/** What may be changed in the base. What follows for the disciplines they say themselves. */
export const baseEdits = [
  edit(
    'survey',
    { survey: surveySchema },
    () => 'the survey',
    (d, { survey }) => ({ ...d, survey }),
  ),
  edit(
    'board',
    { board: boardSchema },
    () => 'the board',
    (d, { board }) => ({ ...d, board }),
  ),
  edit(
    'module-type',
    { type: moduleTypeSchema },
    (_, { type }) => `the sheet of ${type.name}`,
    (d, { type }) => ({
      ...d,
      equipment: { ...d.equipment, modules: replaced(d.equipment.modules, type) },
    }),
  ),
  edit(
    'inverter-type',
    { type: inverterTypeSchema },
    (_, { type }) => `the sheet of ${type.name}`,
    (d, { type }) => withInverterType(d, type),
  ),
  edit(
    'plane',
    { plane: planeSchema },
    (_, { plane }) => `plane ${plane.label}`,
    (d, { plane }) => ({ ...d, planes: replaced(d.planes, plane) }),
  ),
  edit(
    'remove-plane',
    { planeId: partId },
    (d, { planeId }) => `plane ${lineOf(d).planeLabel(planeId)} removed`,
    (d, { planeId }) => ({
      ...d,
      planes: d.planes.filter((p) => p.id !== planeId),
    }),
  ),
  edit(
    'inverter',
    { inverter: siteInverterSchema },
    (_, { inverter }) => inverter.tag,
    (d, { inverter }) => ({
      ...d,
      inverters: replaced(d.inverters, inverter),
    }),
  ),
  edit(
    'remove-inverter',
    { inverterId: partId },
    (d, { inverterId }) => `${lineOf(d).tag(inverterId)} removed`,
    (d, { inverterId }) => ({
      ...d,
      inverters: d.inverters.filter((u) => u.id !== inverterId),
    }),
  ),
  edit(
    'plan',
    planSchema.pick({ northDeg: true, levels: true, backdrop: true }).shape,
    () => 'the sheet of the plan',
    (d, { kind: _k, ...sheet }) => ({ ...d, plan: { ...d.plan, ...sheet } }),
  ),
  edit(
    'tray',
    { tray: traySchema },
    (_, { tray }) => `tray ${tray.label}`,
    (d, { tray }) => ({ ...d, plan: { ...d.plan, trays: replaced(d.plan.trays, tray) } }),
  ),
  edit(
    'remove-tray',
    { trayId: partId },
    (d, { trayId }) => `tray ${labelOn(d, 'trays', trayId)} removed`,
    (d, { trayId }) => withoutPart(d, 'trays', trayId),
  ),
  edit(
    'room',
    { room: roomSchema },
    (_, { room }) => `room ${room.label}`,
    (d, { room }) => ({ ...d, plan: { ...d.plan, rooms: replaced(d.plan.rooms, room) } }),
  ),
  edit(
    'remove-room',
    { roomId: partId },
    (d, { roomId }) => `room ${labelOn(d, 'rooms', roomId)} removed`,
    (d, { roomId }) => withoutPart(d, 'rooms', roomId),
  ),
  edit(
    'spot',
    { spot: spotSchema },
    (_, { spot }) => spot.label,
    (d, { spot }) => ({ ...d, plan: { ...d.plan, spots: replaced(d.plan.spots, spot) } }),
  ),
  edit(
    'remove-spot',
    { spotId: partId },
    (d, { spotId }) => `${labelOn(d, 'spots', spotId)} removed`,
    (d, { spotId }) => withoutPart(d, 'spots', spotId),
  ),
] as const;
