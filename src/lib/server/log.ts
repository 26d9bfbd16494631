import pino from 'pino';

/** One line of JSON an event on standard output; never a body, never a URL's query. */
export const log = pino({ level: process.env.LOG_LEVEL ?? 'info', base: null });
