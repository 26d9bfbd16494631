import { z } from 'zod';
import type { Flaw } from '../kernel/integrity';
import { reuseUnchanged } from '../kernel/reuseUnchanged';
import { baseFlaws, baseShape } from '../site/base';
import type { SiteDesign } from '.';
import { DISCIPLINES, designShape } from '.';

/** A changed design past its schema, or what is wrong with it. */
export type CheckedDesign =
  | { readonly design: SiteDesign; readonly flaws: readonly [] }
  | { readonly design: null; readonly flaws: readonly Flaw[] };

type Key = keyof SiteDesign;

/** The schema of the items of a list; null for what is no list. */
function itemSchema(schema: z.ZodType): z.ZodType | null {
  const inner = schema instanceof z.ZodDefault ? (schema.unwrap() as z.ZodType) : schema;
  return inner instanceof z.ZodArray ? (inner.element as z.ZodType) : null;
}

/** A value past its schema, keeping the objects in which the schema changes nothing. */
function parsed(schema: z.ZodType, value: unknown, path: (string | number)[], flaws: Flaw[]): unknown {
  const result = schema.safeParse(value);
  if (result.success) return reuseUnchanged(value, result.data);
  for (const i of result.error.issues)
    flaws.push({ path: [...path, ...(i.path as (string | number)[])], message: i.message });
  return value;
}

/** One key past its schema. Of a list that did not grow only the items are looked at that are not the very objects of before. */
function checkedKey(key: Key, before: unknown, after: unknown, flaws: Flaw[]): unknown {
  const schema = designShape[key] as z.ZodType;
  const item = itemSchema(schema);
  if (!item || !Array.isArray(before) || !Array.isArray(after) || after.length > before.length)
    return parsed(schema, after, [key], flaws);
  const known = new Set<unknown>(before);
  let same = true;
  const items = after.map((value: unknown, i) => {
    const checked = known.has(value) ? value : parsed(item, value, [key, i], flaws);
    same &&= checked === value;
    return checked;
  });
  return same ? after : items;
}

/** Broken references, of the disciplines whose part or whose base changed. */
function flawsOf(design: SiteDesign, touched: readonly Key[]): Flaw[] {
  const base = touched.some((k) => k in baseShape);
  const own = DISCIPLINES.filter((d) => base || touched.some((k) => k in d.shape));
  return [...(base ? baseFlaws(design) : []), ...own.flatMap((d) => d.integrity(design))];
}

/**
 * Checks what an edit made of a valid design: the parts it touched against their schemas, and the references that may be broken by it.
 * What is the very same object was checked when it came in. The answer keeps the objects of `after` where the schema changed nothing.
 */
export function checkedChange(before: SiteDesign, after: SiteDesign): CheckedDesign {
  const touched = (Object.keys(designShape) as Key[]).filter((k) => before[k] !== after[k]);
  const flaws: Flaw[] = [];
  const changed = touched.map((k) => [k, checkedKey(k, before[k], after[k], flaws)] as const);
  if (flaws.length) return { design: null, flaws };
  const same = changed.every(([k, value]) => value === after[k]);
  const design = same ? after : ({ ...after, ...Object.fromEntries(changed) } as SiteDesign);
  const broken = flawsOf(design, touched);
  return broken.length ? { design: null, flaws: broken } : { design, flaws: [] };
}
