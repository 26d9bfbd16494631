import { sql } from 'drizzle-orm';
import { drizzle } from 'drizzle-orm/node-postgres';
import pg from 'pg';
import journal from '../../../../drizzle/meta/_journal.json';
import { log } from '../log';
import * as schema from './schema';

/** How long anything waits for the database, ms: whoever asked is answered within three seconds, with or without it. */
const CONNECT_MS = 2000;
const LOCK_MS = 1500;
/** A statement that takes longer than this is wrong, and a transaction that nobody goes on with is over. */
const STATEMENT_MS = 15_000;
const IDLE_IN_TRANSACTION_MS = 10_000;
const IDLE_MS = 30_000;

/** A pool that outlives its connections: one that ends is dropped, and the next question opens another. */
export function connect(url: string, max = 10) {
  const pool = new pg.Pool({
    connectionString: url,
    max,
    connectionTimeoutMillis: CONNECT_MS,
    idleTimeoutMillis: IDLE_MS,
    lock_timeout: LOCK_MS,
    statement_timeout: STATEMENT_MS,
    query_timeout: STATEMENT_MS + 1000,
    idle_in_transaction_session_timeout: IDLE_IN_TRANSACTION_MS,
    application_name: 'bolt-yard',
  });
  const lost = (cause: Error) => log.warn({ error: cause.message }, 'a connection to the database ended');
  // The pool hears of idle connections alone; one that ends in use would end the process with it.
  pool.on('error', lost);
  pool.on('connect', (client) => client.on('error', lost));
  return { pool, db: drizzle(pool, { schema }) };
}

export type Connection = ReturnType<typeof connect>;
export type Db = Connection['db'];
export type Tx = Parameters<Parameters<Db['transaction']>[0]>[0];

const databaseUrl = (): string => {
  const url = process.env.DATABASE_URL;
  if (!url)
    throw new Error('DATABASE_URL is not set: start Bolt Yard with ./yard up, or point DATABASE_URL at a PostgreSQL.');
  return url;
};

let shared: Connection | null = null;

/** The pool of this process, opened at first use. */
export const db = (): Db => (shared ??= connect(databaseUrl())).db;

/** Whether the database has the shape that this program was built for; bringing it there is its owner's business (`scripts/migrate.mjs`). */
export async function hasItsShape(): Promise<boolean> {
  const { rows: tables } = await db().execute(
    sql`select to_regclass('drizzle.__drizzle_migrations') is not null as there`,
  );
  if (!tables[0]?.there) return false;
  const { rows } = await db().execute(sql`select max(created_at) as newest from drizzle.__drizzle_migrations`);
  return Number(rows[0]?.newest) >= Math.max(...journal.entries.map((e) => e.when));
}

const HEALTH_MS = 1000;

/**
 * A question whether the database answers within a second, by a connection of its own: a full pool is no dead database. `lost` hears at once
 * when that connection ends between two questions.
 */
export function watchDatabase(lost: () => void): () => Promise<boolean> {
  const config = { connectionTimeoutMillis: HEALTH_MS, query_timeout: HEALTH_MS, statement_timeout: HEALTH_MS };
  const probe = new pg.Pool({
    connectionString: databaseUrl(),
    max: 1,
    ...config,
    application_name: 'bolt-yard health',
  });
  probe.on('error', lost);
  probe.on('connect', (client) => client.on('error', lost));
  return () =>
    probe.query('select 1').then(
      () => true,
      () => false,
    );
}
