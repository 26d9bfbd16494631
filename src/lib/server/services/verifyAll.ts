import type { ChainReport } from '../db/recordChain';
import { localContext } from './context';
import { sitesWithRecord, verifyRecord } from './records';

/** The chain of every site that has a record, by name. */
export async function verifyAll(): Promise<{ readonly name: string; readonly report: ChainReport }[]> {
  const context = localContext();
  const found = [];
  for (const { id, name } of await sitesWithRecord(context))
    found.push({ name, report: await verifyRecord(context, id) });
  return found;
}
