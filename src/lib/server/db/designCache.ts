import type { SiteDesign } from '$core/design';

/** Designs of the sites worked on last, by the revision they stand at: saves reading what was just written. Never a source of truth. */
const MOST = 16;

export class DesignCache {
  readonly #kept = new Map<string, { readonly revision: number; readonly design: SiteDesign }>();

  /** The design of a site at this very revision, if it is at hand. */
  get(siteId: string, revision: number): SiteDesign | null {
    const found = this.#kept.get(siteId);
    return found?.revision === revision ? found.design : null;
  }

  /** Keeps a design that the database has taken; the site longest unused goes. */
  keep(siteId: string, revision: number, design: SiteDesign): void {
    this.#kept.delete(siteId);
    this.#kept.set(siteId, { revision, design });
    const [oldest] = this.#kept.keys();
    if (this.#kept.size > MOST && oldest !== undefined) this.#kept.delete(oldest);
  }
}
