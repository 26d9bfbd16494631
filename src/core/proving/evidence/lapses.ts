import { dayEndMs, dayStartMs, daysLater, monthsLater, siteDay } from '../../kernel/siteDay';
import type { Entry } from '../entry';
import type { GateId, GateKey } from '../gates/machine';
import { gateKey, gateRow } from '../gates/machine';
import { kindOf } from '../kinds';
import { GATE } from '../kinds/gate';
import { WAIVER } from '../kinds/waiver';
import { LASTS_MONTHS } from '../tables/happenings';
import type { Applied } from './applied';
import type { Release } from './log';
import type { Reading, Stand } from './state';
import { NO_STAND, partOfKey, standOf } from './state';
import { timeOf } from './times';
import { put, withdraw } from './withdraw';

/** What ends with a day of the site: the safe start and permits, waivers after their review, proofs that last so long. */

/** Gates that may lapse at a midnight, by its moment, ms. */
export type Lapses = ReadonlyMap<number, ReadonlySet<GateKey>>;

/** No month is shorter, ms. */
const SHORTEST_MONTH_MS = 28 * 86_400_000;

/**
 * Midnights up to now at which something that an entry said lapses. It was made on a release and so not before it, whatever the clock says: what
 * would have ended before that ends with the day of the release.
 */
export function lapsesOf(entries: readonly Entry[], releases: readonly Release[], zone: string, nowMs: number): Lapses {
  const releasedMs = new Map(releases.map((r) => [r.letter, r.atMs]));
  const found = new Map<number, Set<GateKey>>();
  const at = (ms: number, key: GateKey): void => {
    if (ms > nowMs) return;
    const keys = found.get(ms) ?? new Set<GateKey>();
    found.set(ms, keys.add(key));
  };
  for (const entry of entries) {
    for (const gate of spokenOf(entry)) {
      if (gateRow(gate).scope !== entry.subject.scope || !ends(entry, gate)) continue;
      const [t, u] = timeOf(entry);
      const fromMs = releasedMs.get(entry.release) ?? -Infinity;
      for (const ms of endsOf(entry, gate, [t - u, t + u], zone, nowMs))
        at(ms > fromMs ? ms : dayEndMs(fromMs, zone), gateKey(gate, entry.subject.id));
    }
  }
  return found;
}

/** Both together. */
export function bothLapses(a: Lapses, b: Lapses): Lapses {
  if (b.size === 0) return a;
  const all = new Map(a);
  for (const [ms, keys] of b) all.set(ms, new Set([...(all.get(ms) ?? []), ...keys]));
  return all;
}

/** Whether anything that an entry says of a gate ends by itself. */
const ends = (entry: Entry, gate: GateId): boolean =>
  gate === 'S-SAFE' ||
  gate === 'I-PERMIT' ||
  LASTS_MONTHS[gate] !== undefined ||
  WAIVER.is(entry) ||
  kindOf(entry).untilDay !== undefined;

/** Midnights at which what an entry says of a gate may end, by the earliest and the latest moment at which it was made. */
function endsOf(entry: Entry, gate: GateId, madeMs: readonly number[], zone: string, nowMs: number): number[] {
  const after = (day: string) => dayStartMs(daysLater(day, 1), zone);
  if (WAIVER.is(entry)) {
    const { reviewDays } = entry.values;
    return madeMs.map((ms) => after(daysLater(siteDay(ms, zone), reviewDays)));
  }
  const ends = gate === 'S-SAFE' || gate === 'I-PERMIT' ? madeMs.map((ms) => dayEndMs(ms, zone)) : [];
  const months = LASTS_MONTHS[gate];
  if (months !== undefined && Math.max(...madeMs) + months * SHORTEST_MONTH_MS <= nowMs)
    ends.push(...madeMs.map((ms) => after(monthsLater(siteDay(ms, zone), months))));
  const untilDay = kindOf(entry).untilDay?.(entry.values);
  if (untilDay !== undefined) ends.push(after(untilDay));
  return ends;
}

const spokenOf = (entry: Entry): readonly GateId[] =>
  GATE.is(entry) || WAIVER.is(entry) ? [entry.values.gate] : kindOf(entry).gates;

/** A day of the site has ended. */
export function dayEnded(app: Applied, atMs: number): void {
  const today = siteDay(atMs, app.known.times.zone);
  for (const key of app.known.lapsing.get(atMs) ?? []) {
    const [gate, object] = partOfKey(key);
    const row = gateRow(gate);
    const stand = app.moment.stand(gate, object);
    if (gate === 'S-SAFE' || gate === 'I-PERMIT') {
      if (stand.result === 'fail') overWithItsDay(app, gate, object, stand);
      else if (stand.readings.length) put(app, row, object, NO_STAND, true);
      continue;
    }
    if (stand.waived && stand.waived.untilDay < today) put(app, row, object, standOf(stand.readings, null));
    const until = stand.ruling && untilDayOf(app, gate, stand.ruling);
    if (until && until < today) withdraw(app, gate, object, `it held until ${until}`);
  }
}

/** A fail stays when its day ends; put right on another day it would have ended as well. */
function overWithItsDay({ moment }: Applied, gate: GateId, object: string, { readings, waived }: Stand): void {
  const over = readings.map((r) => ({ ...r, broken: r.broken ?? 'its day has ended' }));
  moment.putStand(gate, object, standOf(over, waived));
}

/** Last day of what a reading proves, where it or its gate says so. */
function untilDayOf(app: Applied, gate: GateId, r: Reading): string | null {
  const months = LASTS_MONTHS[gate];
  return months === undefined ? (kindOf(r.by).untilDay?.(r.by.values) ?? null) : monthsLater(app.dayOf(r.by), months);
}
