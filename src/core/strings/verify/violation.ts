import { z } from 'zod';

const PREDICATES = ['V01', 'V02', 'V03', 'V04', 'V05', 'V06', 'V07', 'V08', 'V09', 'V10', 'V11', 'V12'] as const;

/** A predicate of a legal layout that does not hold, in words. */
export const violationSchema = z.object({ predicate: z.enum(PREDICATES), text: z.string() });
export type Violation = Readonly<z.infer<typeof violationSchema>>;

/** What a layout says of itself, to be held against what it is. */
export interface StatedLayout {
  readonly objective: Readonly<Record<string, number>>;
  readonly bound: Readonly<Record<string, number>>;
  readonly proof: 'optimal' | 'gap';
  /** Modules left over, by plane; those of planes not named are none. */
  readonly unused: Readonly<Record<string, number>>;
}

export const say = (predicate: Violation['predicate'], text: string): Violation => ({ predicate, text });
