import type { SiteDesign } from '.';
import { siteDesignSchema } from '.';
import { DESIGN_SCHEMA } from '../site/base';
import { toEdition2 } from './upgrades/toEdition2';

/** A design document of some edition, before anybody looked at it. */
type Document = Readonly<Record<string, unknown>>;

/**
 * What turns a document of edition n into one of edition n + 1, at place n − 1: the one chain for rows, releases, history and files.
 * A field that is only added needs none: its schema has a default. One that is renamed, split or read otherwise does.
 */
const UPGRADES: readonly ((document: Document) => Document)[] = [toEdition2];

/** The document in the newest edition. What is no document, or names no edition, is handed on for the schema to refuse. */
export function upgraded(document: unknown, chain = UPGRADES): unknown {
  if (typeof document !== 'object' || document === null) return document;
  const { schema } = document as Document;
  if (typeof schema !== 'number' || !(schema >= 1)) return document;
  return chain
    .slice(schema - 1)
    .reduce<Document>((d, upgrade, i) => ({ ...upgrade(d), schema: schema + i + 1 }), document as Document);
}

/** A stored design of any edition, opened: upgraded, with what its edition did not know filled in as "not known". */
export const openDesign = (document: unknown): SiteDesign => siteDesignSchema.parse(upgraded(document));

/** Newer than this program can read. */
export const isNewer = (document: unknown): boolean =>
  typeof document === 'object' && document !== null && Number((document as Document).schema) > DESIGN_SCHEMA;
