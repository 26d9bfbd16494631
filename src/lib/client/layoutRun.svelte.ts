import type { SiteDesign } from '$core/design';
import type { Objective } from '$core/strings/layout/objective';
import type { BestLayoutAnswer } from '$core/strings/layout/bestLayout';
import { LongTask } from './longTask.svelte';

export interface LayoutProgress {
  readonly doing: string;
  readonly level: string;
  readonly objective: Objective;
  readonly secondsUsed: number;
}

/** One search for a layout: the task, its answer, and the design it was made for. */
export class LayoutRun {
  readonly task = new LongTask<LayoutProgress>();
  answer = $state.raw<BestLayoutAnswer | null>(null);
  limitS = $state(10);
  #of = $state.raw<SiteDesign | null>(null);

  async start(design: SiteDesign, limitS: number): Promise<void> {
    this.limitS = limitS;
    this.#of = design;
    this.answer = null;
    this.answer = await this.task.run(async ({ work, onProgress }) => await work.layout(design, limitS, onProgress));
  }

  /** The design has changed since the search began: what it found may fit no more. */
  isStaleFor(design: SiteDesign): boolean {
    return this.#of !== design;
  }

  dismiss(): void {
    this.answer = null;
  }
}
