import type { z } from 'zod';

/** What the server has not acknowledged yet, or nobody has sent: kept on the device, over reloads and days without signal. */
export class Outbox<T> {
  constructor(
    private readonly key: string,
    private readonly schema: z.ZodType<T>,
  ) {}

  read(): T[] {
    try {
      const kept: unknown = JSON.parse(localStorage.getItem(this.key) ?? '[]');
      return Array.isArray(kept)
        ? kept.flatMap((e) => {
            const read = this.schema.safeParse(e);
            return read.success ? [read.data] : [];
          })
        : [];
    } catch {
      return [];
    }
  }

  /** False where the device keeps nothing: the person is told that a reload would lose what is not sent. */
  write(kept: readonly T[]): boolean {
    try {
      if (kept.length) localStorage.setItem(this.key, JSON.stringify(kept));
      else localStorage.removeItem(this.key);
      return true;
    } catch {
      return false;
    }
  }
}
