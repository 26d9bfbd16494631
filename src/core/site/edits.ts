import { inverterTypeSchema } from '../equipment/inverterType';
import type { InverterType } from '../equipment/inverterType';
import { moduleTypeSchema } from '../equipment/moduleType';
import { editOn } from '../kernel/discipline';
import { replaced } from '../kernel/lists';
import { partId } from '../kernel/schema';
import type { Base } from './base';
import { lineOf } from './line';
import { boardSchema, planeSchema, siteInverterSchema } from './parts';
import { surveySchema } from './survey';

/** Adds or changes a type. The equipment of a design holds its own copy of a data sheet, so that a later change on the Shelf changes no site. */
export function withInverterType<D extends Base>(d: D, type: InverterType): D {
  return { ...d, equipment: { ...d.equipment, inverters: replaced(d.equipment.inverters, type) } };
}

const edit = editOn<Base>();

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
] as const;
