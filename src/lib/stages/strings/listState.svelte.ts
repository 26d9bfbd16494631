import type { PvString } from '$core/site/parts';
import type { ProblemDocument } from '$lib/schemas/problem';
import type { SiteState } from '$lib/client/siteState.svelte';

const SILENT: ProblemDocument = {
  type: 'about:blank',
  title: 'No answer',
  status: 0,
  detail: 'The server does not answer. Try again when it is back.',
};

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
      const response = await fetch(`/api/v1/sites/${this.#site.siteId}/string-list`, {
        method: 'POST',
        headers: { 'content-type': 'application/octet-stream' },
        body: file,
      });
      const answer = (await response.json()) as { strings: PvString[] } & ProblemDocument;
      if (response.ok) this.read = { name: file.name, strings: answer.strings };
      else this.problem = answer;
    } catch {
      this.problem = SILENT;
    } finally {
      this.reading = false;
    }
  }

  async take(): Promise<void> {
    if (this.read && !(await this.#site.apply({ kind: 'strings', strings: this.read.strings }))) this.read = null;
  }
}
