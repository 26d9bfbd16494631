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
type Verdicts = ReadonlyMap<string, Check>;

/** Checks that came out more favourable, of these rules or of all, with what they said before and after. */
function flattered(before: Verdicts, after: Verdicts, ids?: readonly string[]): string[] {
  return [...after].flatMap(([key, c]) => {
    const was = before.get(key);
    if (!was || (ids && !ids.includes(c.id)) || FAVOUR[c.verdict] <= FAVOUR[was.verdict]) return [];
    return [`${key}: ${was.verdict} → ${c.verdict} (${was.working.join(' / ')} → ${c.working.join(' / ')})`];
  });
}

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

/** One test: fewer inputs never flatter, a worse quantity never flatters, no rule throws or asks for nothing. */
export function neverFlatters(discipline: AnyDiscipline, { designOf, worse, spoken, runs = 5000 }: Options): void {
  const own = z.object({ ...(designShape as Record<string, z.ZodType>) });
  const verdicts = (d: SiteDesign) =>
    new Map(
      assessDiscipline(discipline, d, new Memo())
        .flat()
        .map((c) => [keyOf(c), c]),
    );

  function saysSomething(checks: Iterable<Check>): void {
    for (const { verdict, working, id } of checks) {
      if (verdict === 'unknown') expect(working[0], id).toMatch(/^Missing: \S/);
      else if (working.some((line) => line === '' || /NaN|undefined|Infinity/.test(line)))
        expect.fail(`${id}: ${working.join(' / ')}`);
    }
  }

  function withoutOneInput(design: SiteDesign, before: Verdicts, random: () => number): void {
    const paths = saidPaths(own, design).filter((p) => !spoken.some((s) => s.path.test(p.join('.'))));
    const path = paths[Math.floor(random() * paths.length)];
    if (!path || (path[0] === 'equipment' && !soundSheets(design))) return;
    expect(flattered(before, verdicts(withAt(design, path, null))), `without ${path.join('.')}`).toEqual([]);
  }

  /** What was worsened, where rules judged it. */
  function withOneWorse(design: SiteDesign, before: Verdicts, random: () => number): string | null {
    const w = worse[Math.floor(random() * worse.length)];
    const worsened = w?.worsen(design, random);
    if (!w || !worsened || !siteDesignSchema.safeParse(worsened).success) return null;
    expect(flattered(before, verdicts(worsened), w.rules), w.what).toEqual([]);
    const judged = [...before.values()].some((c) => w.rules.includes(c.id) && c.verdict !== 'unknown');
    return judged ? w.what : null;
  }

  it(
    `gives no better verdict for knowing less or for something worse, in ${runs} random designs`,
    { timeout: 300_000 },
    () => {
      const asked = new Map(worse.map((w) => [w.what, 0]));
      const look = (seed: number) => {
        const [design, random] = [designOf(seed), stream(seed)];
        const before = verdicts(design);
        saysSomething(before.values());
        withoutOneInput(design, before, random);
        const what = withOneWorse(design, before, random);
        if (what) asked.set(what, (asked.get(what) ?? 0) + 1);
      };
      fc.assert(fc.property(fc.integer({ min: 1, max: 2 ** 31 - 1 }), look), {
        numRuns: runs,
        seed: 7,
        endOnFailure: true,
      });
      // A quantity that was never worsened where it is judged would prove nothing.
      expect([...asked].filter(([, n]) => n < runs / worse.length / 20)).toEqual([]);
    },
  );

  it('worsens quantities of rules that there are, in designs that the schema lets pass', () => {
    const ids = new Set(discipline.rules.map((r) => r.id));
    expect(worse.flatMap((w) => w.rules).filter((id) => !ids.has(id))).toEqual([]);
    for (let seed = 1; seed <= 200; seed++) expect(siteDesignSchema.safeParse(designOf(seed)).success).toBe(true);
  });
}
