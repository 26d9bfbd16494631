import type { Entry } from '$core/proving/entry';
import { recordSchema } from '$core/proving/kinds';

/** Entries of one site that the server has not acknowledged yet: kept on the device, over reloads and days without signal. */
export class Outbox {
  readonly #key: string;

  constructor(siteId: string) {
    this.#key = `bolt-yard.outbox.${siteId}`;
  }

  read(): Entry[] {
    try {
      const kept: unknown = JSON.parse(localStorage.getItem(this.#key) ?? '[]');
      return Array.isArray(kept)
        ? kept.flatMap((e) => {
            const entry = recordSchema.safeParse(e);
            return entry.success ? [entry.data] : [];
          })
        : [];
    } catch {
      return [];
    }
  }

  /** False where the device keeps nothing: the person is told that a reload would lose what is not sent. */
  write(entries: readonly Entry[]): boolean {
    try {
      if (entries.length) localStorage.setItem(this.#key, JSON.stringify(entries));
      else localStorage.removeItem(this.#key);
      return true;
    } catch {
      return false;
    }
  }
}
