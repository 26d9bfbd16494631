import pino from 'pino';

/** One line of JSON an event on standard output; never a body, never a URL's query. */
export const log = pino({ level: process.env.LOG_LEVEL ?? 'info', base: null });

/** Where that output is kept, in words for whoever looks for it. */
const KEPT = process.env.YARD_LOG ? `in ${process.env.YARD_LOG}` : 'in the output of the server';

/** What failed, in words that hold nothing of what was asked: of the database its code and where, never its words, which quote values. */
export function withoutValues(cause: unknown): string {
  if (!(cause instanceof Error)) return typeof cause;
  if (cause.cause instanceof Error) return withoutValues(cause.cause);
  if (!('severity' in cause)) return `${cause.name}: ${cause.message}`;
  const { code, table, constraint } = cause as { code?: string; table?: string; constraint?: string };
  return ['database', code, table, constraint].filter(Boolean).join(' ');
}

/** Where it failed: the frames of a stack without the message above them. */
const frames = (cause: unknown): string[] =>
  cause instanceof Error ? (cause.stack ?? '').split('\n').filter((line) => /^\s+at /.test(line)) : [];

/** Writes an unexpected failure down, and says where it is found. */
export function reported(cause: unknown): string {
  const reference = Math.random().toString(36).slice(2, 10);
  log.error({ reference, error: withoutValues(cause), at: frames(cause) });
  return `${KEPT} under ${reference}`;
}
