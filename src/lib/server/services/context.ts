import type { Db } from '../db/client';
import { db } from '../db/client';

/** Who asks. Fixed until accounts exist. */
export interface Actor {
  readonly id: string;
  readonly name: string;
}

/** What every service works with: the database, who asks and for which company, and the clock. */
export interface Context {
  readonly db: Db;
  readonly actor: Actor;
  readonly company: string;
  readonly now: () => Date;
}

const NOBODY_IN_PARTICULAR: Actor = { id: 'local', name: 'this machine' };
const THE_COMPANY = 'local';

/** The context of a request, until accounts say who it is. */
export const localContext = (database: Db = db()): Context => ({
  db: database,
  actor: NOBODY_IN_PARTICULAR,
  company: THE_COMPANY,
  now: () => new Date(),
});
