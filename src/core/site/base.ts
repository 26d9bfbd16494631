import { z } from 'zod';
import { inverterTypeSchema } from '../equipment/inverterType';
import { moduleTypeSchema } from '../equipment/moduleType';
import type { AnyEdit, Discipline, PartOf, Shape } from '../kernel/discipline';
import type { Flaw } from '../kernel/integrity';
import { dangling, repeated } from '../kernel/integrity';
import type { SiteInverter } from './parts';
import { BLANK_BOARD, MOST_INVERTERS, boardSchema, planeSchema, siteInverterSchema } from './parts';
import { BLANK_PLAN, planFlaws, planSchema } from './plan';
import { blankSurvey, surveySchema } from './survey';

/** Version of the project file. A file with a newer version is refused whole. */
export const DESIGN_SCHEMA = 2;

/** The base of the document: what every discipline may read. */
export const baseShape = {
  schema: z.literal(DESIGN_SCHEMA),
  survey: surveySchema,
  equipment: z.object({ modules: z.array(moduleTypeSchema).max(100), inverters: z.array(inverterTypeSchema).max(100) }),
  planes: z.array(planeSchema).max(200),
  inverters: z.array(siteInverterSchema).max(MOST_INVERTERS),
  board: boardSchema,
  plan: planSchema.default(BLANK_PLAN),
} as const satisfies Shape;
export type Base = PartOf<typeof baseShape>;

/** A site about which nothing is known yet but its name. */
export const blankBase = (name: string): Base => ({
  schema: DESIGN_SCHEMA,
  survey: blankSurvey(name),
  equipment: { modules: [], inverters: [] },
  planes: [],
  inverters: [],
  board: BLANK_BOARD,
  plan: BLANK_PLAN,
});

/** Repeated ids and names, and types that are not there. */
export function baseFlaws({ equipment, planes, inverters, plan }: Base): Flaw[] {
  return [
    ...repeated({
      items: equipment.modules,
      list: 'equipment.modules',
      field: 'id',
      key: (m) => m.id,
      what: 'Module type',
    }),
    ...repeated({
      items: equipment.inverters,
      list: 'equipment.inverters',
      field: 'id',
      key: (t) => t.id,
      what: 'Inverter type',
    }),
    ...repeated({ items: planes, list: 'planes', field: 'id', key: (p) => p.id, what: 'Plane' }),
    ...repeated({ items: planes, list: 'planes', field: 'label', key: (p) => p.label, what: 'Plane name' }),
    ...repeated({ items: inverters, list: 'inverters', field: 'id', key: (u) => u.id, what: 'Inverter' }),
    ...repeated({ items: inverters, list: 'inverters', field: 'tag', key: (u) => u.tag, what: 'Tag' }),
    ...dangling(
      { items: planes, list: 'planes', field: 'moduleTypeId', key: (p) => p.moduleTypeId, what: 'module type' },
      equipment.modules,
    ),
    ...dangling(
      { items: inverters, list: 'inverters', field: 'typeId', key: (u) => u.typeId, what: 'inverter type' },
      equipment.inverters,
    ),
    ...planFlaws(plan),
  ];
}

/** The document of the base and one discipline, as its calculations take it: other parts of a design are let go. */
export function documentSchema<const P extends Shape>(shape: P, flaws: (design: Base & PartOf<P>) => readonly Flaw[]) {
  return z.object({ ...baseShape, ...shape } as Shape).superRefine((design, ctx) => {
    const d = design as Base & PartOf<P>;
    for (const { path, message } of [...baseFlaws(d), ...flaws(d)])
      ctx.addIssue({ code: 'custom', path: [...path], message });
  }) as unknown as z.ZodType<Base & PartOf<P>>;
}

/** What becomes of a discipline's part when an inverter or a plane comes, changes or goes, or the plan is drawn otherwise. */
export interface OnBase<D> {
  readonly inverterAdded?: (design: D, unit: SiteInverter) => D;
  readonly inverterChanged?: (design: D, unit: SiteInverter) => D;
  readonly inverterRemoved?: (design: D, inverterId: string) => D;
  readonly planeRemoved?: (design: D, planeId: string) => D;
  readonly planChanged?: (design: D) => D;
}

/** A discipline as one value: the types of its part, edits and results follow from what it says. */
export const discipline = <const N extends string, P extends Shape, const E extends readonly AnyEdit[], R>(
  d: Discipline<Base, OnBase<Base & PartOf<P>>, N, P, E, R>,
) => d;
