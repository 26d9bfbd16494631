import { z } from 'zod';
import { withArticle } from '../kernel/words';
import type { Entry } from './entry';
import { entryShape } from './entry';
import type { GateId } from './gates/machine';
import type { AnyKind } from './kind';

const isKind = (value: unknown): value is AnyKind =>
  typeof value === 'object' && value !== null && 'kind' in value && 'judge' in value && 'scopes' in value;

/** Every kind of record: a file added to `kinds/` is a kind added. */
const FOUND = Object.values(
  import.meta.glob<Record<string, unknown>>(['./kinds/*.ts', '!**/*.test.ts'], { eager: true }),
).flatMap((module) => Object.values(module).filter(isKind));

export const KINDS: readonly AnyKind[] = FOUND.sort((a, b) => (a.kind < b.kind ? -1 : 1));
const BY_NAME = new Map(KINDS.map((k) => [k.kind, k]));

export const kindNamed = (name: string): AnyKind => {
  const found = BY_NAME.get(name);
  if (!found) throw new RangeError(`kind must be one of ${[...BY_NAME.keys()].join(', ')} (got ${name})`);
  return found;
};
export const kindOf = (entry: Pick<Entry, 'kind'>): AnyKind => kindNamed(entry.kind);

/** The kinds whose measurement closes a gate, each a part of it where there are several. */
const MEASURING = new Map<GateId, readonly AnyKind[]>();
for (const k of KINDS) for (const gate of k.gates) MEASURING.set(gate, [...(MEASURING.get(gate) ?? []), k]);
/** The first of them; undefined for gates that are signed. */
export const measuring = (gate: GateId): AnyKind | undefined => MEASURING.get(gate)?.[0];
export const measuringBeside = (gate: GateId): readonly AnyKind[] => (MEASURING.get(gate) ?? []).slice(1);

/** The kinds that may withdraw a gate and never close it. */
export const opening = (gate: GateId): readonly AnyKind[] => KINDS.filter((k) => k.opens?.includes(gate));

const entryOf = (k: AnyKind) => z.object({ ...entryShape, kind: z.literal(k.kind), values: k.values });

/** An entry of any kind, as it comes in by form, API, file or late mail. */
export const recordSchema = z
  .discriminatedUnion('kind', KINDS.map(entryOf) as unknown as [ReturnType<typeof entryOf>])
  .superRefine((entry, ctx) => {
    const say = (path: (string | number)[], message: string) => ctx.addIssue({ code: 'custom', path, message });
    const k = BY_NAME.get(entry.kind);
    if (!k) return;
    if (!k.scopes.includes(entry.subject.scope))
      say(['subject'], `${k.title} belongs to ${k.scopes.map(withArticle).join(' or ')}.`);
    if (entry.corrects !== null && !entry.reason?.trim()) say(['reason'], 'A correction needs a reason.');
    if (entry.corrects !== null && !k.correctable) say(['corrects'], `${k.title} is not corrected: make a new entry.`);
    if (k.instrument === null) return;
    const { instrument } = entry;
    if (instrument === null) return say(['instrument'], 'A measurement needs its instrument.');
    if (!k.instrument.includes(instrument.kind))
      say(
        ['instrument', 'kind'],
        `${k.title} is measured with ${k.instrument.map(withArticle).join(' or ')}, not with ${withArticle(instrument.kind)}.`,
      );
    for (const { of, value, path } of k.measured?.(entry.values) ?? []) {
      const range = instrument.ranges.find((r) => r.of === of);
      if (range && (value < range.min || value > range.max))
        say(
          ['values', ...path.split('.')],
          `${value} is outside the ${of} range of ${instrument.name}: ${range.min} to ${range.max}.`,
        );
    }
  })
  .meta({ id: 'SiteRecord' }) as unknown as z.ZodType<Entry>;
