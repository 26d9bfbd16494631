import { z } from 'zod';
import type { Flaw } from '../kernel/integrity';
import { reuseUnchanged } from '../kernel/reuseUnchanged';
import type { SiteDesign } from '.';
import { designShape, integrityFlaws } from '.';

/** A changed design past its schema, or what is wrong with it. */
export type CheckedDesign =
  | { readonly design: SiteDesign; readonly flaws: readonly [] }
  | { readonly design: null; readonly flaws: readonly Flaw[] };

/**
 * Checks what an edit made of a valid design: the parts it touched against their schemas, and the references of the whole. Parts that
 * are the very same objects were checked when they came in. The answer keeps the objects of `after` wherever the schema changed nothing.
 */
export function checkedChange(before: SiteDesign, after: SiteDesign): CheckedDesign {
  const touched = (Object.keys(designShape) as (keyof SiteDesign)[]).filter((k) => before[k] !== after[k]);
  const schema = z.object(Object.fromEntries(touched.map((k) => [k, designShape[k] as z.ZodType])));
  const parsed = schema.safeParse(Object.fromEntries(touched.map((k) => [k, after[k]])));
  if (!parsed.success)
    return {
      design: null,
      flaws: parsed.error.issues.map((i) => ({ path: i.path as (string | number)[], message: i.message })),
    };
  const changed = Object.fromEntries(touched.map((k) => [k, reuseUnchanged(after[k], parsed.data[k])]));
  const same = touched.every((k) => changed[k] === after[k]);
  const design = same ? after : ({ ...after, ...changed } as SiteDesign);
  const flaws = integrityFlaws(design);
  return flaws.length ? { design: null, flaws } : { design, flaws: [] };
}
