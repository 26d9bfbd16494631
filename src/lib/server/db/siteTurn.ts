import { busy } from '../problem';
import type { Db, Tx } from './client';

/** The last write of each site that this process has begun or has waiting. */
const LAST = new Map<string, Promise<unknown>>();
/** How long a write waits for those before it, ms: with its own wait for the lock under three seconds. */
const WAIT_MS = 1200;

/**
 * A write of one site, behind those before it in this process: a site that somebody holds takes one connection of the pool, and not all of
 * them. Throws the 503 of `busy` where its turn does not come in time.
 */
function inTurn<T>(siteId: string, work: () => Promise<T>): Promise<T> {
  const before = LAST.get(siteId) ?? Promise.resolve();
  return new Promise<T>((resolve, reject) => {
    let gaveUp = false;
    const timer = setTimeout(() => {
      gaveUp = true;
      reject(busy('Others are writing to this site, and your turn did not come in time.'));
    }, WAIT_MS);
    const done = before.then(() => {
      clearTimeout(timer);
      return gaveUp ? undefined : work().then(resolve, reject);
    });
    LAST.set(siteId, done);
    void done.then(() => LAST.get(siteId) === done && LAST.delete(siteId));
  });
}

/** A transaction that holds a site, in its turn. */
export const siteTransaction = <T>(db: Db, siteId: string, work: (tx: Tx) => Promise<T>): Promise<T> =>
  inTurn(siteId, () => db.transaction(work));
