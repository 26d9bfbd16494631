import { availableParallelism } from 'node:os';
import path from 'node:path';
import { Piscina } from 'piscina';
import { Problem, busy, problemOf } from '../problem';
import type { Outcome } from './tasks';
import type * as tasks from './tasks';

/** Long work beside the requests: in threads with a limit of time and memory, which end with whoever asked. */

/** Built beside the application (`scripts/build.mjs`). */
const BUILT = path.resolve('build/heavy/tasks.js');
/** Longest that anything may take, ms; memory of a thread, MB; work that may wait for a thread. */
const MOST_MS = 30_000;
const MEMORY_MB = 512;
const QUEUE_MOST = 64;
/** A thread without work is kept for so long, ms. */
const IDLE_MS = 60_000;

let pool: Piscina | null = null;
const threads = (): Piscina =>
  (pool ??= new Piscina({
    filename: BUILT,
    minThreads: 1,
    maxThreads: Math.max(1, availableParallelism() - 1),
    maxQueue: QUEUE_MOST,
    idleTimeout: IDLE_MS,
    // A thread that waits for work hears meanwhile when its connection to the database ends.
    atomics: 'disabled',
    resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB },
  }));

type Tasks = typeof tasks;
type Done<K extends keyof Tasks> = Awaited<ReturnType<Tasks[K]>> extends Outcome<infer T> ? T : never;

/** Runs a task in a thread. Throws the Problem it found, or that it took too long, too much memory, or found no room. */
export async function inThread<K extends keyof Tasks>(
  name: K,
  task: Parameters<Tasks[K]>[0],
  asker?: AbortSignal,
  mostMs = MOST_MS,
): Promise<Done<K>> {
  const limit = AbortSignal.timeout(mostMs);
  const signal = asker ? AbortSignal.any([asker, limit]) : limit;
  const outcome = (await threads()
    .run(task, { name, signal })
    .catch((cause: unknown) => {
      throw whyEnded(cause, limit.aborted, mostMs);
    })) as Outcome<Done<K>>;
  if ('problem' in outcome) throw problemOf(outcome.problem);
  return outcome.done;
}

function whyEnded(cause: unknown, tookTooLong: boolean, mostMs: number): unknown {
  const tooMuch = (detail: string) =>
    new Problem(413, 'Too much at once', detail, [{ pointer: '', detail: 'must be less' }]);
  if (tookTooLong) return tooMuch(`It was ended after ${mostMs / 1000} s. Ask for less at once.`);
  if (!(cause instanceof Error)) return cause;
  if (cause.name === 'AbortError') return busy('Whoever asked has left.');
  const code = 'code' in cause ? cause.code : '';
  if (code === 'ERR_WORKER_OUT_OF_MEMORY')
    return tooMuch(`It needs more than ${MEMORY_MB} MB of memory. Ask for less at once.`);
  if (/queue is at limit/i.test(cause.message)) return busy('Too much is being computed for others.');
  return cause;
}
