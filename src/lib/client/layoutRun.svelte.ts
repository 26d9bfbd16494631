import type { SiteDesign } from '$core/design';
import type { Objective } from '$core/strings/layout/objective';
import type { BestLayoutAnswer } from '$core/strings/layout/bestLayout';
import type { LongWork } from '$lib/workers/stringsWork';
import { calledBack, startStringsWork } from '$lib/workers/stringsWork';

export interface LayoutProgress {
  readonly doing: string;
  readonly level: string;
  readonly objective: Objective;
  readonly secondsUsed: number;
}

/** One search for a layout in a worker: its progress, its answer, and the way to stop it. */
export class LayoutRun {
  progress = $state.raw<LayoutProgress | null>(null);
  answer = $state.raw<BestLayoutAnswer | null>(null);
  failure = $state<string | null>(null);
  running = $state(false);
  limitS = $state(10);
  #worker: LongWork | null = null;

  async start(design: SiteDesign, limitS: number): Promise<void> {
    this.cancel();
    this.limitS = limitS;
    this.running = true;
    this.answer = null;
    this.failure = null;
    this.progress = null;
    const worker = startStringsWork();
    this.#worker = worker;
    try {
      const answer = await worker.work.layout(
        design,
        limitS,
        calledBack((p) => {
          if (this.#worker === worker) this.progress = p;
        }),
      );
      if (this.#worker === worker) this.answer = answer;
    } catch (cause) {
      if (this.#worker === worker) this.failure = cause instanceof Error ? cause.message : String(cause);
    } finally {
      if (this.#worker === worker) {
        this.running = false;
        this.#worker = null;
        worker.end();
      }
    }
  }

  /** Ends the search at once; the design stays as it is. */
  cancel(): void {
    this.#worker?.end();
    this.#worker = null;
    this.running = false;
  }

  dismiss(): void {
    this.answer = null;
    this.progress = null;
  }
}
