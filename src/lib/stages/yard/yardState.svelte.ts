import { goto, invalidateAll } from '$app/navigation';
import type { ListedSite } from '$lib/schemas/site';
import type { ProblemDocument } from '$lib/schemas/problem';
import { ApiProblem, post } from '$lib/client/api';
import type { YardView } from './yardView';

type Standing = ListedSite['standing'];

/** What is done in the yard: opening, copying, putting aside, and the way back from the last of these. */
export class YardState {
  busy = $state(false);
  problem = $state.raw<ProblemDocument | null>(null);
  /** The site put aside last, and how it stood before. */
  moved = $state.raw<{ readonly site: ListedSite; readonly to: Standing } | null>(null);
  /** The site a copy is being named for. */
  copying = $state.raw<ListedSite | null>(null);
  view = $state.raw<YardView>({ find: '', standing: 'open', verdict: '', stage: '', sort: 'name', down: false });

  look(view: Partial<YardView>): void {
    this.view = { ...this.view, ...view };
  }

  /** A new site at the answer of the server, opened at once. */
  open(path: string, body: unknown): Promise<void> {
    return this.#orRefused(async () => {
      const { siteId } = await post<{ siteId: string }>(path, body);
      await goto(`/sites/${siteId}/survey`, { invalidateAll: true });
    });
  }

  startCopy(site: ListedSite): void {
    this.copying = site;
  }

  put(site: ListedSite, to: Standing): Promise<void> {
    return this.#orRefused(async () => {
      await post(`/api/v1/sites/${site.id}/standing`, { standing: to });
      this.moved = { site, to };
      await invalidateAll();
    });
  }

  async #orRefused(work: () => Promise<void>): Promise<void> {
    this.busy = true;
    this.problem = null;
    try {
      await work();
    } catch (cause) {
      if (!(cause instanceof ApiProblem)) throw cause;
      this.problem = cause.problem;
    } finally {
      this.busy = false;
    }
  }
}
