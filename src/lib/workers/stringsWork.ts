import * as Comlink from 'comlink';
import type { StringsWork } from './strings.worker';

/** A worker of its own for one long task: `end` cancels it whatever it is doing. */
export interface LongWork {
  readonly work: Comlink.Remote<StringsWork>;
  end(): void;
}

export function startStringsWork(): LongWork {
  const worker = new Worker(new URL('./strings.worker.ts', import.meta.url), { type: 'module' });
  return { work: Comlink.wrap<StringsWork>(worker), end: () => worker.terminate() };
}

/** A function of the page that the worker calls back, as progress does. */
export const calledBack = Comlink.proxy;
