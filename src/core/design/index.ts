import { z } from 'zod';
import { ac } from '../ac';
import type { PartOf, Shape } from '../kernel/discipline';
import { links } from '../links';
import { mounting } from '../mounting';
import type { Base } from '../site/base';
import { baseFlaws, baseShape, blankBase } from '../site/base';
import { baseEdits } from '../site/edits';
import { strings } from '../strings';

/** The disciplines of the work. A new one is its folder, its stage and one line here; everything below follows. */
export const DISCIPLINES = [strings, ac, mounting, links] as const;

type All = (typeof DISCIPLINES)[number];
type Both<U> = (U extends unknown ? (u: U) => void : never) extends (both: infer I) => void ? I : never;
type ShapeOf<D> = D extends { readonly shape: infer P extends Shape } ? P : never;
type PartsOf<D> = D extends unknown ? PartOf<ShapeOf<D>> : never;

/** One site from modules to grid: the base and the part of every discipline. */
export type SiteDesign = Base & Both<PartsOf<All>>;

type EditIn<E> = E extends readonly (infer One)[] ? One : never;
type Written<E> = E extends { readonly schema: infer S extends z.ZodType } ? z.output<S> : never;
/** Every change a person or a program can make to a design, as data. */
export type DesignEdit = Written<EditIn<typeof baseEdits> | EditIn<All['edits']>>;

interface KnownEdit {
  readonly kind: string;
  readonly schema: z.ZodObject;
  readonly apply: (design: SiteDesign, edit: DesignEdit) => SiteDesign;
  readonly what: (design: SiteDesign, edit: DesignEdit) => string;
}
const EDITS = new Map(
  ([baseEdits, ...DISCIPLINES.map((d) => d.edits)].flat() as unknown as KnownEdit[]).map((e) => [e.kind, e]),
);

export const designEditSchema = z
  .discriminatedUnion(
    'kind',
    [...EDITS.values()].map((e) => e.schema) as unknown as [z.ZodObject<{ kind: z.ZodLiteral<string> }>],
  )
  .meta({ id: 'DesignEdit' }) as unknown as z.ZodType<DesignEdit>;

type Hooked = (typeof DISCIPLINES)[number]['onBase'];
interface AnyHooks {
  readonly inverterAdded?: (design: SiteDesign, unit: SiteDesign['inverters'][number]) => SiteDesign;
  readonly inverterChanged?: (design: SiteDesign, unit: SiteDesign['inverters'][number]) => SiteDesign;
  readonly inverterRemoved?: (design: SiteDesign, inverterId: string) => SiteDesign;
  readonly planeRemoved?: (design: SiteDesign, planeId: string) => SiteDesign;
  readonly planChanged?: (design: SiteDesign) => SiteDesign;
}
const hooksOf = (onBase: Hooked) => onBase as unknown as AnyHooks;

/** The design with every discipline's part brought in line with a changed base. */
function followed(before: SiteDesign, after: SiteDesign): SiteDesign {
  if (before.inverters === after.inverters && before.planes === after.planes && before.plan === after.plan)
    return after;
  const was = new Map(before.inverters.map((u) => [u.id, u]));
  const is = new Set(after.inverters.map((u) => u.id));
  const planes = new Set(after.planes.map((p) => p.id));
  let design = after;
  for (const hooks of DISCIPLINES.map((d) => hooksOf(d.onBase))) {
    for (const { id } of before.planes) if (!planes.has(id)) design = hooks.planeRemoved?.(design, id) ?? design;
    for (const { id } of before.inverters) if (!is.has(id)) design = hooks.inverterRemoved?.(design, id) ?? design;
    if (before.plan !== after.plan) design = hooks.planChanged?.(design) ?? design;
    for (const unit of after.inverters) {
      const known = was.get(unit.id);
      if (!known) design = hooks.inverterAdded?.(design, unit) ?? design;
      else if (known !== unit) design = hooks.inverterChanged?.(design, unit) ?? design;
    }
  }
  return design;
}

/**
 * Applies an edit by its kind, and lets every discipline follow a changed base. Throws RangeError where the edit names a part that the
 * design does not have, cannot be computed yet, or is of a kind that nobody registered.
 */
export function applyEdit(design: SiteDesign, edit: DesignEdit): SiteDesign {
  const found = EDITS.get(edit.kind);
  if (!found) throw new RangeError(`edit.kind must be a registered edit (got ${String(edit.kind)})`);
  return followed(design, found.apply(design, edit));
}

/** What an edit changes, as people are told what an undo takes back. */
export const editWords = (design: SiteDesign, edit: DesignEdit): string =>
  EDITS.get(edit.kind)?.what(design, edit) ?? edit.kind;

/** Every key of the document with its schema. */
export const designShape = Object.assign({}, baseShape, ...DISCIPLINES.map((d) => d.shape)) as Shape;

/** What makes a document no design at all: repeated keys, references to nothing, inputs that do not exist. */
const integrityFlaws = (design: SiteDesign) => [
  ...baseFlaws(design),
  ...DISCIPLINES.flatMap((d) => d.integrity(design)),
];

export const siteDesignSchema = z
  .object(designShape)
  .superRefine((design, ctx) => {
    for (const flaw of integrityFlaws(design as unknown as SiteDesign))
      ctx.addIssue({ code: 'custom', path: [...flaw.path], message: flaw.message });
  })
  .meta({
    id: 'SiteDesign',
    description: 'One site from modules to grid, with everything it refers to.',
  }) as unknown as z.ZodType<SiteDesign>;

/** Moves when any discipline answers otherwise: what is derived and stored carries it, and is made again then. */
export const RULES_VERSION = DISCIPLINES.map((d) => `${d.name}${d.version}`).join(' ');

/** A site about which nothing is known yet but its name. */
export const emptyDesign = (name: string): SiteDesign => siteDesignSchema.parse(blankBase(name));
