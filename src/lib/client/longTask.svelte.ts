import type * as Comlink from 'comlink';
import type { LongWork } from '$lib/workers/stringsWork';
import { calledBack, startStringsWork } from '$lib/workers/stringsWork';
import type { StringsWork } from '$lib/workers/strings.worker';
import { ApiProblem } from './api';

/** What a task is handed: the worker of its own, and a function that the worker calls with how far it is. */
interface Given<P> {
  readonly work: Comlink.Remote<StringsWork>;
  readonly onProgress: (progress: P) => void;
}

/**
 * One long piece of work at a time in a worker of its own: begun, how far it is, stopped. A new run ends the one before it; what still comes
 * from an ended one counts for nothing.
 */
export class LongTask<P = number> {
  running = $state(false);
  progress = $state.raw<P | null>(null);
  /** Why the last run came to nothing; empty where it did not, or was stopped. */
  failure = $state('');
  /** How long the last run took, s; null while none has come to its end. */
  tookS = $state<number | null>(null);
  #worker: LongWork | null = null;

  /** The answer of the work; null where it was stopped, overtaken or failed. */
  async run<T>(of: (given: Given<P>) => Promise<T>): Promise<T | null> {
    this.stop();
    const own = startStringsWork();
    this.#worker = own;
    this.running = true;
    this.failure = '';
    this.progress = this.tookS = null;
    const isOurs = () => this.#worker === own;
    const began = performance.now();
    try {
      const onProgress = calledBack((p: P) => {
        if (isOurs()) this.progress = p;
      });
      const answer = await of({ work: own.work, onProgress });
      if (!isOurs()) return null;
      this.tookS = (performance.now() - began) / 1000;
      return answer;
    } catch (cause) {
      if (isOurs()) this.failure = cause instanceof ApiProblem ? cause.problem.detail : wordsOf(cause);
      return null;
    } finally {
      if (isOurs()) this.stop();
    }
  }

  /** Ends the work at once, whatever it is doing. */
  stop(): void {
    this.#worker?.end();
    this.#worker = null;
    this.running = false;
  }
}

const wordsOf = (cause: unknown): string => (cause instanceof Error ? cause.message : String(cause));
