import { sql } from 'drizzle-orm';
import type { Tx } from '../db/client';
import { connect } from '../db/client';

/** The owner of the tables in tests: who can do what the application cannot. */
export const owner = () => connect(process.env.DATABASE_OWNER_URL ?? '', 1);

/** Changes rows that are written once behind the triggers' back, as only their owner can. */
export async function tamper(table: 'site_record' | 'release', work: (tx: Tx) => Promise<unknown>): Promise<void> {
  const { db, pool } = owner();
  try {
    await db.transaction(async (tx) => {
      await tx.execute(sql`alter table ${sql.identifier(table)} disable trigger user`);
      await work(tx);
      await tx.execute(sql`alter table ${sql.identifier(table)} enable trigger user`);
    });
  } finally {
    await pool.end();
  }
}
