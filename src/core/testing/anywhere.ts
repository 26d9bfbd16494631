import { z } from 'zod';
import type { SiteDesign } from '../design';
import { siteDesignSchema } from '../design';
import { generator } from '../kernel/generator';

/** Designs with fields anywhere in the range that the schema allows: what nobody would draw, and a form would take. */

interface Schema {
  readonly $ref?: string;
  readonly anyOf?: readonly Schema[];
  readonly oneOf?: readonly Schema[];
  readonly type?: string;
  readonly enum?: readonly unknown[];
  readonly const?: unknown;
  readonly minimum?: number;
  readonly maximum?: number;
  readonly exclusiveMinimum?: number;
  readonly exclusiveMaximum?: number;
  readonly properties?: Readonly<Record<string, Schema>>;
  readonly items?: Schema;
  readonly $defs?: Readonly<Record<string, Schema>>;
}
const ROOT = z.toJSONSchema(siteDesignSchema, { io: 'output', unrepresentable: 'any' }) as Schema;

const resolved = (s: Schema): Schema =>
  s.$ref === undefined ? s : resolved(ROOT.$defs?.[s.$ref.replace('#/$defs/', '')] ?? {});
/** What a value may be: every branch of a union, followed through names. */
const branches = (s: Schema): readonly Schema[] => {
  const own = resolved(s);
  return (own.anyOf ?? own.oneOf)?.flatMap(branches) ?? [own];
};

interface Leaf {
  readonly path: readonly (string | number)[];
  readonly allowed: readonly Schema[];
}

/** Every value of a document that is no object and no list, with what the schema allows in its place. */
function leavesOf(value: unknown, schema: Schema, path: Leaf['path'] = []): Leaf[] {
  const allowed = branches(schema);
  if (Array.isArray(value)) {
    const items = allowed.find((s) => s.items)?.items;
    return items ? value.flatMap((v, i) => leavesOf(v, items, [...path, i])) : [];
  }
  if (typeof value === 'object' && value !== null) {
    const properties = allowed.find((s) => s.properties)?.properties ?? {};
    return Object.entries(value).flatMap(([key, v]) => {
      const own = properties[key];
      return own ? leavesOf(v, own, [...path, key]) : [];
    });
  }
  return [{ path, allowed }];
}

/** A value that a branch allows: its ends as often as what lies between. */
function within(s: Schema, next: () => number): unknown {
  if (s.const !== undefined) return s.const;
  if (s.enum) return s.enum[Math.floor(next() * s.enum.length)];
  if (s.type === 'boolean') return next() < 0.5;
  if (s.type === 'null') return null;
  if (s.type !== 'number' && s.type !== 'integer') return undefined;
  const low = s.minimum ?? s.exclusiveMinimum ?? -1e9;
  const high = s.maximum ?? s.exclusiveMaximum ?? 1e9;
  const at = [low, high, 0, low + 1e-9, high - 1e-9, low + next() * (high - low), low + next() ** 6 * (high - low)];
  const value = at[Math.floor(next() * at.length)] as number;
  return s.type === 'integer' ? Math.round(value) : value;
}

function put(value: unknown, path: Leaf['path'], into: unknown): unknown {
  const [key, ...rest] = path;
  if (key === undefined) return into;
  if (Array.isArray(value)) return value.map((v: unknown, i) => (i === key ? put(v, rest, into) : v));
  const of = value as Readonly<Record<string, unknown>>;
  return { ...of, [key]: put(of[key], rest, into) };
}

/** A design with so many of its fields thrown anywhere the schema allows; those that the whole refuses stay as they were. */
export function thrown(design: SiteDesign, seed: number, fields: number): SiteDesign {
  const next = generator(seed);
  let at = design;
  const leaves = leavesOf(design, ROOT);
  for (let n = 0; n < fields; n++) {
    const leaf = leaves[Math.floor(next() * leaves.length)] as Leaf;
    const value = within(leaf.allowed[Math.floor(next() * leaf.allowed.length)] as Schema, next);
    if (value === undefined) continue;
    const read = siteDesignSchema.safeParse(put(at, leaf.path, value));
    if (read.success) at = read.data;
  }
  return at;
}
