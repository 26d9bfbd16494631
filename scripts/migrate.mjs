// Brings a database to the newest shape and says what the application may do in it. As a program: DATABASE_OWNER_URL and DATABASE_URL from the environment.
import { drizzle } from 'drizzle-orm/node-postgres';
import { migrate as runMigrations } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';

/** The lock under which one process at a time brings the database to its shape: any number that nobody else takes. */
const MIGRATION_LOCK = 4_173_001;
const CONNECT_MS = 5000;
/** Tables whose rows are written once: the application adds to them and reads them. */
const ADD_ONLY = ['site_record', 'release'];

/** Safe to call again and again, from several processes at once. `appUrl`: whoever the application connects as. */
export async function migrate(ownerUrl, appUrl, folder = 'drizzle') {
  const client = new pg.Client({ connectionString: ownerUrl, connectionTimeoutMillis: CONNECT_MS });
  await client.connect();
  try {
    await client.query('select pg_advisory_lock($1)', [MIGRATION_LOCK]);
    await runMigrations(drizzle(client), { migrationsFolder: folder });
    await grant(client, decodeURIComponent(new URL(appUrl).username));
  } finally {
    await client.end();
  }
}

/** Rows are the application's; tables, triggers and what is written once are not. Nothing to say where it is the owner itself. */
async function grant(client, app) {
  const { rows } = await client.query('select current_user::text as owner');
  if (rows[0].owner === app) return;
  const role = client.escapeIdentifier(app);
  const addOnly = ADD_ONLY.map((t) => client.escapeIdentifier(t)).join(', ');
  await client.query(`
    grant usage on schema public, drizzle to ${role};
    grant select on all tables in schema drizzle to ${role};
    grant select, insert, update, delete on all tables in schema public to ${role};
    revoke update, delete, truncate, references, trigger on ${addOnly} from ${role};
  `);
}

if (import.meta.url === `file://${process.argv[1]}`) {
  const { DATABASE_OWNER_URL: owner, DATABASE_URL: app } = process.env;
  if (!owner || !app) {
    console.error('yard: DATABASE_OWNER_URL (who owns the tables) and DATABASE_URL (the application) are both needed.');
    process.exit(1);
  }
  await migrate(owner, app).catch((cause) => {
    console.error(`yard: the database was not brought to its shape: ${cause.message}`);
    process.exit(1);
  });
}
