import type { Building } from './family';
import { INFINITE } from './family';
import type { LengthColumn } from './lengthColumns';

/** Longest and shortest length of each class, as the cost of their distance. */
export function spreadColumns(
  { b, classes, writers }: Building,
  lengths: readonly LengthColumn[],
): Map<number, number> {
  const spread = new Map<number, number>();
  classes.forEach((_, cls) => {
    const own = lengths.filter((l) => l.cls === cls);
    if (own.length < 2) return;
    const top = Math.max(...own.map((l) => l.modules));
    const longest = b.column(0, top, false);
    const shortest = b.column(0, top, false);
    for (const l of own) {
      b.row(0, INFINITE, [
        [longest, 1],
        [l.column, -l.modules],
      ]);
      b.row(-INFINITE, top, [
        [shortest, 1],
        [l.column, top - l.modules],
      ]);
    }
    b.row(0, INFINITE, [
      [longest, 1],
      [shortest, -1],
    ]);
    spread.set(longest, 1);
    spread.set(shortest, -1);
    writers.push((v) => {
      const used = own.filter((l) => v[l.column] === 1).map((l) => l.modules);
      v[longest] = used.length ? Math.max(...used) : 0;
      v[shortest] = used.length ? Math.min(...used) : 0;
    });
  });
  return spread;
}
