import { ApiProblem, RECORD_PATIENCE_MS, SILENT_AFTER_MS, read } from './api';

/** What the server says of something that moves on while somebody looks. Where it says nothing more, what it said last stands, and is said to be of then. */
export class Told<T> {
  #value = $state.raw() as T;
  /** When it was said, where nobody has answered for too long to take it for now, ms; null while somebody does. */
  asOfMs = $state<number | null>(null);
  #saidMs = 0;

  constructor(
    private readonly path: string,
    first: T,
  ) {
    this.take(first);
  }

  get value(): T {
    return this.#value;
  }

  /** Said by the server this moment. */
  take(value: T): void {
    this.#value = value;
    this.#saidMs = Date.now();
    this.asOfMs = null;
  }

  async ask(): Promise<void> {
    try {
      this.take(await read<T>(this.path, fetch, RECORD_PATIENCE_MS));
    } catch (cause) {
      if (!(cause instanceof ApiProblem)) throw cause;
      if (Date.now() - this.#saidMs > SILENT_AFTER_MS) this.asOfMs = this.#saidMs;
    }
  }
}
