import { createHash } from 'node:crypto';
import { and, desc, eq, lt, sql } from 'drizzle-orm';
import type { YearResult } from '$core/strings/year/yearResult';
import type { WeatherYear } from '$core/weather/weatherYear';
import type { Context } from './context';
import { RULES_VERSION } from '$core/design';
import { energyYear, site, siteWeather } from '../db/schema';
import { Problem } from '../problem';
import { loadDesign } from './designs';

export interface StoredWeather {
  readonly fingerprint: string;
  readonly weather: WeatherYear;
}

export async function readWeather({ db }: Context, siteId: string): Promise<StoredWeather | null> {
  const [row] = await db.select().from(siteWeather).where(eq(siteWeather.siteId, siteId));
  return row ? { fingerprint: row.fingerprint, weather: row.weather } : null;
}

/** Keeps a weather file for a site in place of the one before; null takes it away. */
export async function writeWeather(
  context: Context,
  siteId: string,
  weather: WeatherYear | null,
): Promise<{ fingerprint: string | null }> {
  const { db } = context;
  await loadDesign(context, siteId);
  if (!weather) {
    await db.delete(siteWeather).where(eq(siteWeather.siteId, siteId));
    return { fingerprint: null };
  }
  const fingerprint = createHash('sha256').update(JSON.stringify(weather)).digest('hex').slice(0, 32);
  await db
    .insert(siteWeather)
    .values({ siteId, fingerprint, weather })
    .onConflictDoUpdate({ target: siteWeather.siteId, set: { fingerprint, weather, readAt: sql`now()` } });
  return { fingerprint };
}

/** The newest year of energy on file by the rules of this program, whichever revision it was computed from. */
export async function newestYear({ db }: Context, siteId: string) {
  const [row] = await db
    .select()
    .from(energyYear)
    .where(and(eq(energyYear.siteId, siteId), eq(energyYear.rules, RULES_VERSION)))
    .orderBy(desc(energyYear.revision), desc(energyYear.madeAt))
    .limit(1);
  return row ? { revision: row.revision, weather: row.weather, year: row.year, result: row.result } : null;
}

/** Results of this many revisions are kept. */
const REVISIONS_KEPT = 5;

/** Files a year of energy under the revision and the weather it was computed from; a stale one is a conflict and is not kept. */
export async function writeYear(
  { db }: Context,
  siteId: string,
  made: { revision: number; year: number; weather: string; result: YearResult },
): Promise<{ kept: true }> {
  return db.transaction(async (tx) => {
    const [head] = await tx.select({ revision: site.revision }).from(site).where(eq(site.id, siteId)).for('share');
    if (!head) throw new Problem(404, 'No such site', 'There is no site at this address.');
    if (head.revision !== made.revision)
      throw new Problem(
        409,
        'Changed meanwhile',
        `The design is at revision ${head.revision}, the result at ${made.revision}: it was not kept.`,
      );
    await tx
      .insert(energyYear)
      .values({ siteId, ...made, rules: RULES_VERSION })
      .onConflictDoUpdate({
        target: [energyYear.siteId, energyYear.revision, energyYear.weather, energyYear.year],
        set: { result: made.result, rules: RULES_VERSION, madeAt: sql`now()` },
      });
    await tx
      .delete(energyYear)
      .where(and(eq(energyYear.siteId, siteId), lt(energyYear.revision, made.revision - REVISIONS_KEPT)));
    return { kept: true };
  });
}
