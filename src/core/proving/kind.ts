import type { z } from 'zod';
import type { SiteDesign } from '../design';
import type { Instrument, InstrumentKind, Measured } from '../equipment/instrument';
import type { Check } from '../kernel/check';
import type { Entry, EntryOf, EntrySubject, Role, Scope } from './entry';
import type { GateId } from './gates/machine';

/** What a reading says of a gate. `null`: it is stored and proves nothing, and withdraws what was proved before. */
export type Result = 'pass' | 'caution' | 'fail' | null;
export interface Says {
  readonly gate: GateId;
  readonly result: Result;
}

/** What an entry says, held against one design. */
export interface Judgement {
  readonly checks: readonly Check[];
  readonly says: readonly Says[];
}
export const SAYS_NOTHING: Judgement = { checks: [], says: [] };

/** The entries beside the one that is judged: those that nothing corrects. */
export interface Beside {
  /** Of one kind, done within so many ms of a moment; behind it within `afterMs`, where that is another time. */
  readonly near: (kind: string, atMs: number, withinMs: number, afterMs?: number) => readonly Entry[];
}

export interface About<V> {
  readonly values: V;
  readonly subject: EntrySubject;
  readonly entry: EntryOf<string, V>;
  /** True time at which it was done, ms. */
  readonly atMs: number;
  readonly design: SiteDesign;
  readonly beside: Beside;
  /** Day on site on which it was done, YYYY-MM-DD. */
  readonly day: string;
}

/** Fields of a form in groups; paths are those of the schema. */
export interface EntryForm {
  readonly schema: z.ZodObject;
  readonly blank: Readonly<Record<string, unknown>>;
  readonly groups: readonly { readonly title: string; readonly paths: readonly string[] }[];
  /**
   * From what the form holds to the values of the kind; as they are where left out. `typedAtS`: when a field was typed first, by the monotonic
   * clock of the device, s; null where it was not.
   */
  readonly toValues?: (typed: Readonly<Record<string, unknown>>, typedAtS?: (path: string) => number | null) => unknown;
  /** What stands above the first field: the caution of the work. */
  readonly caution?: string;
}

/** What a question looks at beside the values. */
export interface Questioned {
  readonly design: SiteDesign;
  readonly subject: EntrySubject;
  readonly instrument: Instrument | null;
}

/** A row of the pack. */
export interface Printed {
  readonly title: string;
  readonly columns: readonly { readonly title: string; readonly share: number; readonly right?: boolean }[];
}

/** One kind of record, as one value. Everything the program knows of it stands in its file. */
export interface RecordKind<K extends string, S extends z.ZodObject> {
  readonly kind: K;
  readonly title: string;
  readonly scopes: readonly Scope[];
  readonly values: S;
  /** The instrument without which it is no reading; null where nothing is measured. */
  readonly instrument: readonly InstrumentKind[] | null;
  /** What the instrument read, so that a reading outside its range is refused. */
  readonly measured?: (
    values: z.output<S>,
  ) => readonly { readonly of: Measured; readonly value: number; readonly path: string }[];
  /** Gates that it serves by its reading: a tick does nothing there. */
  readonly gates: readonly GateId[];
  /** Gates that a fail of it withdraws, and that nothing it says closes: it speaks of them where it fails. */
  readonly opens?: readonly GateId[];
  /** Said by a simulated device: on record, and it speaks of no gate, upwards or downwards. */
  readonly simulated?: (values: z.output<S>) => boolean;
  /** The lowest role that may make it where its gates do not say. */
  readonly signer?: Role;
  /** Last day of what it proves, where it says so itself. */
  readonly untilDay?: (values: z.output<S>) => string;
  /** An old entry of this kind may be put right by a new one. */
  readonly correctable: boolean;
  /** What it says of its gates, exhaustively: every gate that it serves on this part gets an answer. */
  readonly judge: (about: About<z.output<S>>) => Judgement;
  /** Null where the part has no such thing. */
  readonly form: ((design: SiteDesign, subject: EntrySubject) => EntryForm | null) | null;
  /** What the values make one ask whoever measured, never a verdict: it blocks nothing, and is not printed. Null where nothing is odd. */
  readonly question?: (values: z.output<S>, asked: Questioned) => string | null;
  /** The entry in one line. */
  readonly line: (values: z.output<S>) => string;
  readonly printed: (Printed & { readonly row: (values: z.output<S>) => readonly string[] }) | null;
  readonly is: (entry: Entry) => entry is EntryOf<K, z.output<S>> & Entry;
}

/** A kind with its type guard. */
export const kind = <const K extends string, S extends z.ZodObject>(
  k: Omit<RecordKind<K, S>, 'is'>,
): RecordKind<K, S> => ({
  ...k,
  is: (entry): entry is EntryOf<K, z.output<S>> & Entry => entry.kind === k.kind,
});

/** A kind of whatever values: what lists of kinds hold. */
export type AnyKind = RecordKind<string, z.ZodObject>;
