import type { Db } from '../db/client';
import { db } from '../db/client';
import type { SiteSummary } from '../db/summary';
import { summaryOf } from '../db/summary';
import type { StoredDesign } from '$lib/schemas/site';

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
  /** Sums a site up for the list, in a thread where others would wait for it. */
  readonly summed: (siteId: string, stored: AtRevision) => Promise<Summed>;
}

/** A design with the revision it has. */
export type AtRevision = Pick<StoredDesign, 'design' | 'revision'>;
export interface Summed {
  readonly revision: number;
  readonly summary: SiteSummary;
}

/** Sums up here and now. */
export const summedHere: Context['summed'] = (siteId, { design, revision }) =>
  Promise.resolve({ revision, summary: summaryOf(siteId, design) });

const NOBODY_IN_PARTICULAR: Actor = { id: 'local', name: 'this machine' };
const THE_COMPANY = 'local';

/** The context of a request, until accounts say who it is. */
export const localContext = (database: Db = db()): Context => ({
  db: database,
  actor: NOBODY_IN_PARTICULAR,
  company: THE_COMPANY,
  now: () => new Date(),
  summed: summedHere,
});
