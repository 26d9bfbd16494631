import { createHash } from 'node:crypto';
import { canonical } from '$core/kernel/canonical';

/** Hash of an entry behind the one before it: SHA-256 over that hash and the canonical entry. The first stands behind its site. */
export const chainHash = (before: string, body: unknown): string =>
  createHash('sha256')
    .update(`${before}\n${canonical(body)}`)
    .digest('hex');

export interface ChainRow {
  readonly seq: number;
  readonly id: string;
  readonly hash: string | null;
  readonly body: unknown;
}
export interface ChainHead {
  readonly count: number;
  readonly hash: string | null;
}
export interface ChainReport {
  readonly entries: number;
  /** Entries of a time before the chain: they have a place and no hash. */
  readonly unchained: number;
  /** What is wrong, in the order of the chain; empty where nothing is. */
  readonly broken: readonly string[];
}

/** Walks a site's entries along the chain and names what was altered, removed, added or moved. */
export function verifyChain(siteId: string, rows: readonly ChainRow[], head: ChainHead): ChainReport {
  const broken: string[] = [];
  let before = siteId;
  let place = 0;
  let unchained = 0;
  for (const row of [...rows].sort((a, b) => a.seq - b.seq)) {
    place += 1;
    if (row.seq !== place) {
      broken.push(
        row.seq === place + 1 ? `entry ${place} is missing` : `entries ${place} to ${row.seq - 1} are missing`,
      );
      place = row.seq;
    }
    if (row.hash === null) unchained += 1;
    else if (chainHash(before, row.body) !== row.hash)
      broken.push(`entry ${row.seq} (${row.id}) is not as it was written, or does not stand where it stood`);
    before = row.hash ?? before;
  }
  if (head.count > place) broken.push(`the last ${head.count - place} of ${head.count} entries are missing`);
  else if (head.count < place) broken.push(`${place - head.count} entries were added beside the chain`);
  else if (head.hash !== null && head.hash !== before)
    broken.push('the last entry is not the one that was written last');
  return { entries: rows.length, unchained, broken };
}
