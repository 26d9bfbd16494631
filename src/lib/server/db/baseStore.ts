import type { InverterType } from '$core/equipment/inverterType';
import type { ModuleType } from '$core/equipment/moduleType';
import type { SiteDesign } from '$core/design';
import type { Plane, SiteInverter } from '$core/site/parts';
import type { PartStore, Row } from './partStore';
import { storedList } from './partStore';
import { inverter, plane, siteInverterType, siteModuleType } from './schema';

const sheetRow = <T extends { readonly id: string }>(sheet: T): Row => ({ id: sheet.id, sheet });
const sheetsOf = <T>(rows: readonly Row[]): T[] => rows.map((r) => r.sheet as T);

/** A row without the columns that only the database knows. */
function partOf<T>({ siteId: _s, ord: _o, ...part }: Row): T {
  return part as T;
}

/** The base in rows: types, planes and inverters; the plan as one value. Survey and board stand in the row of the site. */
export const baseStore: PartStore = {
  lists: [
    storedList<ModuleType>({ table: siteModuleType, key: 'id', list: (d) => d.equipment.modules, row: sheetRow }),
    storedList<InverterType>({ table: siteInverterType, key: 'id', list: (d) => d.equipment.inverters, row: sheetRow }),
    storedList<Plane>({ table: plane, key: 'id', list: (d) => d.planes, row: (p) => p }),
    storedList<SiteInverter>({ table: inverter, key: 'id', list: (d) => d.inverters, row: (u) => u }),
  ],
  rest: ({ plan }) => ({ plan }),
  part: ([modules = [], types = [], planes = [], inverters = []], { plan }) => ({
    plan: plan as SiteDesign['plan'],
    equipment: { modules: sheetsOf(modules), inverters: sheetsOf(types) },
    planes: planes.map((p) => partOf<Plane>(p)),
    inverters: inverters.map((u) => partOf<SiteInverter>(u)),
  }),
};
