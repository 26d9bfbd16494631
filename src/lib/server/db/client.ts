import { drizzle } from 'drizzle-orm/postgres-js';
import { migrate as runMigrations } from 'drizzle-orm/postgres-js/migrator';
import postgres from 'postgres';
import * as schema from './schema';

/** One pool a process; everything a web process shares with others is behind this URL. */
function connect(url: string, max = 10) {
  const client = postgres(url, { max, onnotice: () => undefined });
  return { client, db: drizzle(client, { schema }) };
}

export type Connection = ReturnType<typeof connect>;
export type Db = Connection['db'];
export type Tx = Parameters<Parameters<Db['transaction']>[0]>[0];

/** Brings the database to the newest shape; safe to call again and again. */
export async function migrate(url: string, folder = 'drizzle'): Promise<void> {
  const { client, db } = connect(url, 1);
  try {
    await runMigrations(db, { migrationsFolder: folder });
  } finally {
    await client.end();
  }
}

let shared: Connection | null = null;

/** The pool of this process, opened at first use. */
function connection(): Connection {
  const url = process.env.DATABASE_URL;
  if (!url)
    throw new Error('DATABASE_URL is not set: start Bolt Yard with ./yard up, or point DATABASE_URL at a PostgreSQL.');
  shared ??= connect(url);
  return shared;
}
export const db = (): Db => connection().db;
