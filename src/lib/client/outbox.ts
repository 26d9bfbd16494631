import type { z } from 'zod';

/** What is kept on the device, in the order in which it was made. */
export interface Kept<T> {
  readonly items: readonly T[];
  /** Kept by another version of this program, in words that this one does not read: it stays where it is. */
  readonly unreadable: number;
}

/** Where entries of the record wait on a device until the server has them, a box for every site. */
export const ENTRY_BOX = 'bolt-yard.outbox';

const keysOf = (name: string): readonly string[] =>
  Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i) ?? '').filter((key) =>
    key.startsWith(`${name}.`),
  );

/** The keys of what is kept in a box or in boxes within it, without the box's name; none where the device keeps nothing. */
export function waitingIn(name: string): readonly string[] {
  try {
    return keysOf(name).map((key) => key.slice(name.length + 1));
  } catch {
    return [];
  }
}

/**
 * What the server has not acknowledged yet, or nobody has sent: kept on the device, over reloads and days without signal. Each stands by itself
 * under its id, which grows with time: tabs of one browser never write over each other's.
 */
export class Outbox<T extends { readonly id: string }> {
  constructor(
    private readonly name: string,
    private readonly schema: z.ZodType<T>,
  ) {}

  read(): Kept<T> {
    try {
      const own = [...keysOf(this.name)].sort();
      const items = own.flatMap((key) => this.#parsed(localStorage.getItem(key) ?? '') ?? []);
      return { items, unreadable: own.length - items.length };
    } catch {
      return { items: [], unreadable: 0 };
    }
  }

  #parsed(text: string): T | null {
    try {
      return this.schema.safeParse(JSON.parse(text)).data ?? null;
    } catch {
      return null;
    }
  }

  /** False where the device keeps nothing: the person is told that a reload would lose what is not sent. */
  keep(item: T): boolean {
    try {
      localStorage.setItem(`${this.name}.${item.id}`, JSON.stringify(item));
      return true;
    } catch {
      return false;
    }
  }

  forget(id: string): void {
    try {
      localStorage.removeItem(`${this.name}.${id}`);
    } catch {
      // What keeps nothing has nothing to forget.
    }
  }
}
