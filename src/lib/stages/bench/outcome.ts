import { z } from 'zod';
import type { Verdict } from '$core/kernel/check';
import { verdictSchema } from '$core/kernel/check';
import { short } from '$core/kernel/quantity';

/** One line of a calculation's answer as people read it. */
export interface OutcomeLine {
  readonly label: string;
  readonly text: string;
}
interface Outcome {
  readonly lines: readonly OutcomeLine[];
  /** Null where the calculation judges nothing. */
  readonly verdict: Verdict | null;
}

const plain = (value: unknown): string => {
  if (typeof value === 'number') return short(value);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (Array.isArray(value)) return value.map(plain).join('; ');
  if (typeof value === 'object' && value !== null) return Object.values(value).map(plain).join(' / ');
  return String(value);
};

/** An answer in the words and units of its schema. */
export function outcomeOf(output: z.ZodType, answer: unknown): Outcome {
  const shape = output instanceof z.ZodObject ? (output.shape as Record<string, z.ZodType>) : {};
  const values = answer as Readonly<Record<string, unknown>>;
  const lines = Object.entries(shape).flatMap(([key, schema]) => {
    if (schema === verdictSchema) return [];
    const { description = key, unit = '' } = metaOf(schema);
    const value = values[key];
    const nothing = value === null || (Array.isArray(value) && value.length === 0);
    return [{ label: description, text: nothing ? '–' : `${plain(value)}${unit && ` ${unit}`}` }];
  });
  return { lines, verdict: 'verdict' in values ? (values['verdict'] as Verdict) : null };
}

function metaOf(schema: z.ZodType): { description?: string; unit?: string } {
  const own = schema.meta() ?? {};
  if (own.description !== undefined) return own;
  return schema instanceof z.ZodNullable || schema instanceof z.ZodReadonly
    ? metaOf(schema.unwrap() as z.ZodType)
    : own;
}
