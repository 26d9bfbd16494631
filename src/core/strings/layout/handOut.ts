/**
 * Strings to units so that the sum of their ways is the shortest there is: transport by successive shortest chains. A string takes the unit
 * that costs least in all, where need be by moving others on.
 * `ways[string][unit]` m · `room[unit]` strings each takes, at least as many as there are strings in all (RangeError else).
 * Answers the unit of each string. Source: minimum-cost flow, Ford & Fulkerson 1962 (recalled).
 */
export function shortestHandOut(ways: readonly (readonly number[])[], room: readonly number[]): number[] {
  if (room.reduce((a, b) => a + b, 0) < ways.length)
    throw new RangeError(`room must hold ${ways.length} strings (got ${room.reduce((a, b) => a + b, 0)})`);
  const handed: number[] = [];
  const left = [...room];
  ways.forEach((way, string) => {
    const chain = cheapestChain(way, handed, ways, left);
    let to = chain.end;
    left[to] = (left[to] ?? 0) - 1;
    for (let move = chain.movedInto[to]; move; move = chain.movedInto[to]) {
      handed[move.string] = to;
      to = move.from;
    }
    handed[string] = to;
  });
  return handed;
}

interface Move {
  readonly string: number;
  readonly from: number;
}

/** The cheapest way to let one more string in: onto some unit, and from there one string after another to a unit with room. */
function cheapestChain(
  way: readonly number[],
  handed: readonly number[],
  ways: readonly (readonly number[])[],
  left: readonly number[],
): { readonly end: number; readonly movedInto: readonly (Move | null)[] } {
  const units = left.map((_, u) => u);
  const cost = units.map((u) => way[u] ?? Number.POSITIVE_INFINITY);
  const movedInto: (Move | null)[] = units.map(() => null);
  const moves = cheapestMoves(handed, ways, units);
  for (let round = 0; round < units.length; round++) {
    let shorter = false;
    for (const a of units)
      for (const b of units) {
        const move = moves[a]?.[b];
        const through = (cost[a] ?? 0) + (move?.extraM ?? Number.POSITIVE_INFINITY);
        if (!move || through >= (cost[b] ?? 0) - 1e-9) continue;
        cost[b] = through;
        movedInto[b] = { string: move.string, from: a };
        shorter = true;
      }
    if (!shorter) break;
  }
  const open = units.filter((u) => (left[u] ?? 0) > 0);
  return { end: open.reduce((a, b) => ((cost[b] ?? 0) < (cost[a] ?? 0) ? b : a)), movedInto };
}

/** For every pair of units the string that moves from one to the other for the least. */
function cheapestMoves(handed: readonly number[], ways: readonly (readonly number[])[], units: readonly number[]) {
  const moves = units.map(() => units.map((): { string: number; extraM: number } | null => null));
  handed.forEach((a, string) => {
    for (const b of units) {
      if (a === b) continue;
      const extraM = (ways[string]?.[b] ?? 0) - (ways[string]?.[a] ?? 0);
      const best = moves[a]?.[b];
      const row = moves[a];
      if (row && (!best || extraM < best.extraM)) row[b] = { string, extraM };
    }
  });
  return moves;
}
