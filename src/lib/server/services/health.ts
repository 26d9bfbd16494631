import { sql } from 'drizzle-orm';
import type { Context } from './context';

/** Whether the database answers within two seconds. */
export async function databaseAnswers({ db }: Context): Promise<boolean> {
  const late = new Promise<false>((resolve) => setTimeout(() => resolve(false), 2000).unref());
  const answer = db
    .execute(sql`select 1`)
    .then(() => true)
    .catch(() => false);
  return Promise.race([answer, late]);
}
