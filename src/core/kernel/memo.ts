/**
 * Answers kept as long as what they rest on is the very same objects. Designs are never changed in place, so a part that is still the
 * same object is still the same part: after moving one string only what it touches is computed again. The answer is the same with and
 * without a memo.
 */
export class Memo {
  private known = new Map<string, { readonly on: readonly unknown[]; readonly answer: unknown }>();
  private next = new Map<string, { readonly on: readonly unknown[]; readonly answer: unknown }>();

  /** The answer under this key, computed again unless every dependency is the object it was. */
  keep<T>(key: string, on: readonly unknown[], compute: () => T): T {
    const was = this.known.get(key);
    const same = was !== undefined && was.on.length === on.length && was.on.every((o, i) => o === on[i]);
    const kept = same ? was : { on, answer: compute() };
    this.next.set(key, kept);
    return kept.answer as T;
  }

  /** Ends one run over a design: what it did not ask for is forgotten. */
  settle(): void {
    this.known = this.next;
    this.next = new Map();
  }
}
