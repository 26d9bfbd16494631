import pLimit from 'p-limit';

/** So many requests are worked on at once, the others wait in the order in which they came: what is begun is soon done, however many there are. */
const AT_ONCE = 2;
/** One that takes longer waits for something else than this process, a lock or a thread, and no longer keeps others out, ms. */
const HOLDS_MS = 50;

const limit = pLimit(AT_ONCE);

/** Does work when its turn has come. */
export const inOrder = <T>(work: () => Promise<T>): Promise<T> =>
  new Promise((resolve, reject) => {
    void limit(
      () =>
        new Promise<void>((next) => {
          const timer = setTimeout(next, HOLDS_MS);
          work()
            .then(resolve, reject)
            .finally(() => {
              clearTimeout(timer);
              // What is under way hears from its database before another begins.
              setImmediate(next);
            });
        }),
    );
  });
