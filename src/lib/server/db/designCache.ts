import { LRUCache } from 'lru-cache';
import type { SiteDesign } from '$core/design';

interface Kept {
  readonly revision: number;
  readonly design: SiteDesign;
  text?: string;
}

/** So many strings, with a site itself counted as fifty, are kept: about 50 MB. */
const MOST_PARTS = 40_000;

/** Designs of the sites worked on last, by the revision they stand at: saves reading what was just written. Never a source of truth. */
export class DesignCache {
  readonly #kept = new LRUCache<string, Kept>({
    maxSize: MOST_PARTS,
    sizeCalculation: ({ design }) => 50 + design.strings.length,
  });

  #at(siteId: string, revision: number): Kept | null {
    const found = this.#kept.get(siteId);
    return found?.revision === revision ? found : null;
  }

  /** The design of a site at this very revision, if it is at hand. */
  get(siteId: string, revision: number): SiteDesign | null {
    return this.#at(siteId, revision)?.design ?? null;
  }

  /** The same as JSON, written once. */
  text(siteId: string, revision: number): string | null {
    const found = this.#at(siteId, revision);
    return found ? (found.text ??= JSON.stringify(found.design)) : null;
  }

  /** Keeps a design that the database has taken; the site longest unused goes. */
  keep(siteId: string, revision: number, design: SiteDesign): void {
    this.#kept.set(siteId, { revision, design });
  }
}
