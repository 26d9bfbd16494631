import fc from 'fast-check';
import { expect, it } from 'vitest';
import { z } from 'zod';
import type { DISCIPLINES, SiteDesign } from '../design';
import { designShape, siteDesignSchema } from '../design';
import { assessDiscipline } from '../design/assess';
import { inverterSheetWanted } from '../equipment/inverterSheet';
import { moduleSheetWanted } from '../equipment/moduleType';
import type { Check, Verdict } from '../kernel/check';
import { Memo } from '../kernel/memo';

/**
 * What no rule may do: let a verdict get better because somebody knows less, or because something got worse. Asked of random designs, for
 * any discipline: `neverFlatters(ac, { … })` in its own test.
 */

type AnyDiscipline = (typeof DISCIPLINES)[number];
type Path = readonly (string | number)[];

/** One quantity made worse for the rules that judge it. */
export interface Worse {
  readonly what: string;
  /** Rules for which it is worse. */
  readonly rules: readonly string[];
  /** The design with the quantity worse, picked and by how much by `random` (0…1); null where this design has none to worsen. */
  readonly worsen: (design: SiteDesign, random: () => number) => SiteDesign | null;
}

/** An input whose absence says something of its own, with the reason why a verdict may get better without it. */
export interface Spoken {
  readonly path: RegExp;
  readonly because: string;
}

/** `holds` over `tight` over the two that let nobody go on. */
const FAVOUR: Readonly<Record<Verdict, number>> = { holds: 2, tight: 1, unknown: 0, stop: 0 };
const keyOf = (c: Check) => `${c.id} of ${c.subject.path}`;

/** Inputs of a design that may be null and are not, by their paths. */
export function saidPaths(schema: z.ZodType, value: unknown, path: Path = []): Path[] {
  if (schema instanceof z.ZodDefault || schema instanceof z.ZodPrefault)
    return saidPaths(schema.unwrap() as z.ZodType, value, path);
  if (schema instanceof z.ZodNullable)
    return value === null || value === undefined ? [] : [path, ...saidPaths(schema.unwrap() as z.ZodType, value, path)];
  if (schema instanceof z.ZodArray && Array.isArray(value))
    return value.flatMap((v, i) => saidPaths(schema.element as z.ZodType, v, [...path, i]));
  if (schema instanceof z.ZodObject && typeof value === 'object' && value !== null)
    return Object.entries(schema.shape as Record<string, z.ZodType>).flatMap(([key, inner]) =>
      saidPaths(inner, (value as Record<string, unknown>)[key], [...path, key]),
    );
  return [];
}

/** The same document with one value in another's place. */
export function withAt<T>(document: T, [key, ...rest]: Path, value: unknown): T {
  if (key === undefined) return value as T;
  if (Array.isArray(document))
    return document.map((v, i) => (i === key ? withAt(v, rest, value) : (v as unknown))) as T;
  const part = document as Record<string | number, unknown>;
  return { ...part, [key]: withAt(part[key], rest, value) } as T;
}

const soundSheets = ({ equipment }: SiteDesign): boolean =>
  equipment.modules.every((m) => moduleSheetWanted(m).length === 0) &&
  equipment.inverters.every((t) => inverterSheetWanted(t).length === 0);

/** A seeded stream of numbers from 0 to 1. */
function stream(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
}

interface Options {
  readonly designOf: (seed: number) => SiteDesign;
  readonly worse: readonly Worse[];
  readonly spoken: readonly Spoken[];
  readonly runs?: number;
}

/** Three tests: fewer inputs never flatter, a worse quantity never flatters, no rule throws or asks for nothing. */
export function neverFlatters(discipline: AnyDiscipline, { designOf, worse, spoken, runs = 5000 }: Options): void {
  const own = z.object({ ...(designShape as Record<string, z.ZodType>) });
  const checksOf = (d: SiteDesign) => assessDiscipline(discipline, d, new Memo()).flat();
  const verdicts = (d: SiteDesign) => new Map(checksOf(d).map((c) => [keyOf(c), c]));
  const better = (before: Map<string, Check>, after: Map<string, Check>, ids?: readonly string[]): string[] =>
    [...after].flatMap(([key, c]) => {
      const was = before.get(key);
      const flatters = was && (!ids || ids.includes(c.id)) && FAVOUR[c.verdict] > FAVOUR[was.verdict];
      return flatters
        ? [`${key}: ${was.verdict} → ${c.verdict} (${was.working.join(' / ')} → ${c.working.join(' / ')})`]
        : [];
    });
  const seeds = fc.integer({ min: 1, max: 2 ** 31 - 1 });
  const property = (look: (design: SiteDesign, random: () => number) => void) =>
    fc.assert(
      fc.property(seeds, (seed) => look(designOf(seed), stream(seed))),
      { numRuns: runs, seed: 7, endOnFailure: true },
    );

  it(`takes no input away for a better verdict, in ${runs} random designs`, { timeout: 300_000 }, () => {
    property((design, random) => {
      const paths = saidPaths(own, design).filter((p) => !spoken.some((s) => s.path.test(p.join('.'))));
      const path = paths[Math.floor(random() * paths.length)];
      if (!path || (path[0] === 'equipment' && !soundSheets(design))) return;
      const less = withAt(design, path, null);
      if (!siteDesignSchema.safeParse(less).success) return;
      expect(better(verdicts(design), verdicts(less)), `without ${path.join('.')}`).toEqual([]);
    });
  });

  it(`makes nothing worse for a better verdict, in ${runs} random designs`, { timeout: 300_000 }, () => {
    const asked = new Map(worse.map((w) => [w.what, 0]));
    property((design, random) => {
      const w = worse[Math.floor(random() * worse.length)];
      const worsened = w?.worsen(design, random);
      if (!w || !worsened || !siteDesignSchema.safeParse(worsened).success) return;
      const before = verdicts(design);
      const flattered = better(before, verdicts(worsened), w.rules);
      if ([...before.values()].some((c) => w.rules.includes(c.id) && c.verdict !== 'unknown'))
        asked.set(w.what, (asked.get(w.what) ?? 0) + 1);
      expect(flattered, w.what).toEqual([]);
    });
    // A quantity that was never worsened where it is judged would prove nothing.
    expect([...asked].filter(([, n]) => n < runs / worse.length / 20)).toEqual([]);
    const ids = new Set(discipline.rules.map((r) => r.id));
    expect(worse.flatMap((w) => w.rules).filter((id) => !ids.has(id))).toEqual([]);
  });

  it(
    `throws on nothing a schema lets pass, and never asks for nothing, in ${runs} random designs`,
    { timeout: 300_000 },
    () => {
      property((design) => {
        expect(siteDesignSchema.safeParse(design).success).toBe(true);
        for (const c of checksOf(design)) {
          if (c.verdict === 'unknown') expect(c.working[0]).toMatch(/^Missing: \S/);
          else
            expect(
              c.working.every((line) => line !== '' && !/NaN|undefined|Infinity/.test(line)),
              c.working.join(),
            ).toBe(true);
        }
      });
    },
  );
}
