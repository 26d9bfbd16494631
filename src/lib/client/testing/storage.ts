import { vi } from 'vitest';

/** What a browser keeps between two visits, empty to begin with. */
export function device(): Map<string, string> {
  const kept = new Map<string, string>();
  vi.stubGlobal('localStorage', {
    get length() {
      return kept.size;
    },
    key: (at: number) => [...kept.keys()][at] ?? null,
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, text: string) => void kept.set(key, text),
    removeItem: (key: string) => void kept.delete(key),
  });
  return kept;
}

/** A browser that keeps nothing. */
export function forgetfulDevice(): void {
  vi.stubGlobal('localStorage', {
    length: 0,
    key: () => null,
    getItem: () => null,
    setItem: () => {
      throw new Error('full');
    },
    removeItem: () => undefined,
  });
}
