import pino from 'pino';

/** One line of JSON an event on standard output; never a body, never a URL's query. */
export const log = pino({ level: process.env.LOG_LEVEL ?? 'info', base: null });

/** Where that output is kept, in words for whoever looks for it. */
const KEPT = process.env.YARD_LOG ? `in ${process.env.YARD_LOG}` : 'in the output of the server';

/** Writes an unexpected failure down, and says where it is found. */
export function reported(cause: unknown): string {
  const reference = Math.random().toString(36).slice(2, 10);
  log.error({
    reference,
    error: cause instanceof Error ? { message: cause.message, stack: cause.stack } : String(cause),
  });
  return `${KEPT} under ${reference}`;
}
