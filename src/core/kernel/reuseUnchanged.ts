/**
 * A value equal to `next` that uses the very objects of `before` wherever they are equal: after a design comes back from elsewhere,
 * its unchanged parts are still the same objects, and what was computed from them stays good.
 */
export function reuseUnchanged<T>(before: T, next: T): T {
  if (Object.is(before, next)) return before;
  if (typeof before !== 'object' || typeof next !== 'object' || before === null || next === null) return next;
  if (Array.isArray(before) && Array.isArray(next)) {
    const shared = next.map((item, i) => reuseUnchanged<unknown>(before[i], item));
    const same = shared.length === before.length && shared.every((item, i) => item === before[i]);
    return (same ? before : shared) as T;
  }
  if (Array.isArray(before) !== Array.isArray(next)) return next;
  const [was, is] = [before as Record<string, unknown>, next as Record<string, unknown>];
  const keys = Object.keys(is);
  let same = keys.length === Object.keys(was).length;
  const shared: Record<string, unknown> = {};
  for (const key of keys) {
    shared[key] = reuseUnchanged(was[key], is[key]);
    if (shared[key] !== was[key] || !(key in was)) same = false;
  }
  return (same ? before : shared) as T;
}
