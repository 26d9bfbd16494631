import { evidence } from './evidence';
import type { Evidence } from './evidence';
import type { SiteLog } from './evidence/log';
import { timeOf } from './evidence/times';
import type { Entry } from './entry';
import { zoneTrouble } from './zones';

/** Why an entry is not taken, with the field it concerns. */
export interface Refusal {
  readonly pointer: string;
  readonly detail: string;
}

/** Clocks of phones drift: later than this ahead of ours, or earlier than its release by more, an entry's time is wrong, ms. */
const AHEAD_MAX_MS = 5 * 60_000;
/** An entry made within this is being made now, ms: who makes it can still do it right. Older ones are mail that comes late: facts. */
const FRESH_MS = 2 * 60_000;

export interface Admitted {
  readonly refusal: Refusal | null;
  /** What the record proves with the entry in it. */
  readonly after: Evidence;
  /** Why it does not count, where it does not. */
  readonly why: string | null;
}

/**
 * What the door says of an entry: form, API, file and late mail pass here, in the browser before it is sent and on the server before it is
 * stored. An entry that does not count is refused while whoever makes it still stands there; one that was made before is a fact, and is kept.
 * `before`: what the log proved until now, where that is known.
 */
export function admit(log: SiteLog, entry: Entry, nowMs: number, before?: Evidence): Admitted {
  const after = evidence({ ...log, entries: [...log.entries, entry] }, nowMs, before);
  const why = after.notes.get(entry.id) ?? null;
  const beside = isFresh(entry, nowMs) ? zoneTrouble(entry, after) : null;
  const clash = beside === null ? null : { pointer: '/values', detail: beside };
  return { refusal: misplaced(log, entry, nowMs) ?? uncounted(entry, why, nowMs) ?? clash, after, why };
}

/** Whether a moment lies further ahead of ours, ms, than clocks drift: nothing was done then. */
export const liesAhead = (atMs: number, nowMs: number): boolean => atMs > nowMs + AHEAD_MAX_MS;

/** Whether it is being made now: what does not count is refused then, and kept as a fact later. */
export const isFresh = (entry: Entry, nowMs: number): boolean => nowMs - timeOf(entry)[0] <= FRESH_MS;

function misplaced({ releases, entries }: SiteLog, entry: Entry, nowMs: number): Refusal | null {
  const made = releases.find((r) => r.letter === entry.release);
  if (!made)
    return {
      pointer: '/release',
      detail: `There is no release ${entry.release} of this site: release the design first.`,
    };
  const { design } = made;
  const { scope, id } = entry.subject;
  const parts = scope === 'inverter' ? design.inverters : scope === 'string' ? design.strings : null;
  if (parts && !parts.some((p) => p.id === id))
    return { pointer: '/subject/id', detail: `Release ${entry.release} has no ${scope} ${id}.` };
  if (liesAhead(timeOf(entry)[0], nowMs))
    return { pointer: '/doneAt', detail: 'The time lies in the future: set the clock of this device.' };
  const fromMs = Math.min(made.atMs, nowMs) - AHEAD_MAX_MS;
  if (timeOf(entry)[0] < fromMs)
    return {
      pointer: '/doneAt',
      detail: `Release ${entry.release} was made on ${new Date(made.atMs).toISOString()}, and nothing was done on it before: set the clock of this device, or name the release that was built from.`,
    };
  if (entry.corrects !== null && !entries.some((e) => e.id === entry.corrects))
    return { pointer: '/corrects', detail: 'The entry to correct is not on record here.' };
  return null;
}

function uncounted(entry: Entry, why: string | null, nowMs: number): Refusal | null {
  if (why === null || !isFresh(entry, nowMs)) return null;
  return { pointer: entry.corrects === null ? '/values' : '/corrects', detail: why };
}
