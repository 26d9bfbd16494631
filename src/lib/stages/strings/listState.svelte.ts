import type { PvString } from '$core/site/parts';
import type { ProblemDocument } from '$lib/schemas/problem';
import { ApiProblem, upload } from '$lib/client/api';
import type { SiteState } from '$lib/client/siteState.svelte';

/** A string list that comes in as a file: read by the server, looked at, taken over or left. */
export class ListState {
  readonly #site: SiteState;
  reading = $state(false);
  problem = $state.raw<ProblemDocument | null>(null);
  read = $state.raw<{ readonly name: string; readonly strings: PvString[] } | null>(null);

  constructor(site: SiteState) {
    this.#site = site;
  }

  async open(file: File): Promise<void> {
    this.reading = true;
    this.problem = null;
    this.read = null;
    try {
      const path = `/api/v1/sites/${this.#site.siteId}/string-list`;
      const { strings } = await upload<{ strings: PvString[] }>(path, file);
      this.read = { name: file.name, strings };
    } catch (cause) {
      if (!(cause instanceof ApiProblem)) throw cause;
      this.problem = cause.problem;
    } finally {
      this.reading = false;
    }
  }

  async take(): Promise<void> {
    if (this.read && !(await this.#site.apply({ kind: 'strings', strings: this.read.strings }))) this.read = null;
  }
}
