import { LRUCache } from 'lru-cache';
import type { Context } from '../services/context';
import { designHead } from '../services/designs';
import { inThread } from './pool';
import type { Assessed } from './tasks';

/** Memory for answers, bytes. */
const MOST_BYTES = 64 * 1024 * 1024;
/** Assessments by site: they follow from the design alone, and so are worked out once for a revision. */
const KNOWN = new LRUCache<string, Assessed>({ maxSize: MOST_BYTES, sizeCalculation: ({ json }) => json.length });

/** Every check of a site, as JSON. */
export async function assessment(
  context: Context,
  siteId: string,
  asker: AbortSignal,
): Promise<Uint8Array<ArrayBuffer>> {
  const { revision } = await designHead(context, siteId);
  const known = KNOWN.get(siteId);
  if (known?.revision === revision) return known.json;
  const made = await inThread('assess', { siteId }, asker);
  KNOWN.set(siteId, made);
  return made.json;
}
