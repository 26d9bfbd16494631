import { z } from 'zod';

/** How a value stands against its limit: the one shape every calculation hands to people. */

/** The line from module to grid, and beside it the wall that it hangs on and the chain. */
export const LINE_ELEMENTS = [
  'module',
  'string',
  'tracker',
  'inverter',
  'lug',
  'run',
  'board',
  'grid',
  'wall',
  'chain',
] as const;
export type LineElement = (typeof LINE_ELEMENTS)[number];

const VERDICTS = ['holds', 'tight', 'stop', 'unknown'] as const;
export const verdictSchema = z
  .enum(VERDICTS)
  .meta({ id: 'Verdict', description: 'unknown: an input is missing, never to be read as holding' });
export type Verdict = z.infer<typeof verdictSchema>;

/** Worst last would hide trouble: this order puts what needs eyes first. */
export const VERDICT_ORDER: readonly Verdict[] = ['stop', 'unknown', 'tight', 'holds'];

const basisSchema = z.object({
  kind: z.enum(['published', 'data sheet', 'practice', 'computed']),
  source: z.string(),
  recalled: z
    .boolean()
    .meta({ description: 'The value was written down from memory and still wants a look at the source itself' }),
});
export type Basis = Readonly<z.infer<typeof basisSchema>>;

const subjectSchema = z.object({
  element: z.enum(LINE_ELEMENTS),
  path: z.string().meta({ description: 'Where on the line, as people say it: INV-03 / tracker 2 / input 1' }),
  id: z.string().optional().meta({ description: 'Id of the part in the design' }),
});
export type Subject = Readonly<z.infer<typeof subjectSchema>>;

/** How one part of the line stands by one rule. */
export const checkSchema = z
  .object({
    id: z.string().meta({ description: 'Stable name of the rule, as ac.palm-width; never renamed' }),
    subject: subjectSchema,
    title: z.string(),
    value: z
      .number()
      .nullable()
      .meta({ description: 'Null while unknown, and for rules kept or broken without a number' }),
    limit: z.number().nullable(),
    unit: z.string(),
    margin: z.number().nullable().meta({ unit: '%', description: 'Per cent of the limit left; negative is past it' }),
    reserve: z.number().optional().meta({
      unit: '%',
      description: 'Per cent of the limit that are wanted in hand: a margin under it is tight. Absent where none is',
    }),
    verdict: verdictSchema,
    missing: z
      .array(z.string())
      .readonly()
      .optional()
      .meta({ description: 'Of an unknown one: the inputs it lacks, by the names the forms use' }),
    basis: basisSchema,
    working: z
      .array(z.string())
      .readonly()
      .meta({ description: 'Formula in symbols, then with numbers, then the result; for unknown, what is missing' }),
  })
  .meta({ id: 'Check' });
export type Check = Readonly<Omit<z.infer<typeof checkSchema>, 'subject' | 'basis'>> & {
  readonly subject: Subject;
  readonly basis: Basis;
  /** The quantity that its value was read off an instrument as; never sent. */
  readonly reads?: string | undefined;
};

/** Checks of one question with the worst of their verdicts. */
export const checksSchema = z.object({ checks: z.array(checkSchema).readonly(), verdict: verdictSchema });
export const withWorst = (checks: readonly Check[]) => ({ checks, verdict: worstCheck(checks) });

export function published(source: string, recalled = true): Basis {
  return { kind: 'published', source, recalled };
}
export function practice(source = 'common practice, no published source'): Basis {
  return { kind: 'practice', source, recalled: false };
}
export function dataSheet(field: string): Basis {
  return { kind: 'data sheet', source: `data sheet: ${field}`, recalled: false };
}
export function computed(source: string): Basis {
  return { kind: 'computed', source, recalled: false };
}

/** Smallest margin first; what stops or is unknown comes before any number. */
export function byUrgency(a: Check, b: Check): number {
  const rank = VERDICT_ORDER.indexOf(a.verdict) - VERDICT_ORDER.indexOf(b.verdict);
  if (rank !== 0) return rank;
  return (a.margin ?? Number.POSITIVE_INFINITY) - (b.margin ?? Number.POSITIVE_INFINITY);
}

/** The worst verdict of many; `unknown` when there is nothing to judge. */
export const worstOf = (verdicts: readonly Verdict[]): Verdict =>
  VERDICT_ORDER.find((v) => verdicts.includes(v)) ?? 'unknown';

/** The worst verdict of checks. */
export const worstCheck = (checks: readonly Pick<Check, 'verdict'>[]): Verdict =>
  VERDICT_ORDER.find((v) => checks.some((c) => c.verdict === v)) ?? 'unknown';

/** The most urgent of many checks, in order: without sorting those that nobody looks at. */
export function mostUrgent(checks: readonly Check[], count: number): Check[] {
  const top: Check[] = [];
  for (const c of checks) {
    const last = top[count - 1];
    if (last !== undefined && byUrgency(c, last) >= 0) continue;
    let at = Math.min(top.length, count - 1);
    while (at > 0 && byUrgency(c, top[at - 1] as Check) < 0) at--;
    top.splice(at, 0, c);
    if (top.length > count) top.pop();
  }
  return top;
}
