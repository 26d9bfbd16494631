import { createHash } from 'node:crypto';
import { and, desc, eq, lt, sql } from 'drizzle-orm';
import { yearFlaws } from '$core/strings/year/yearFlaws';
import { CLEAR_SKY } from '$core/strings/year/yearResult';
import type { YearResult } from '$core/strings/year/yearResult';
import { weatherFlaws } from '$core/weather/weatherSense';
import type { WeatherYear } from '$core/weather/weatherYear';
import type { Context } from './context';
import { RULES_VERSION } from '$core/design';
import { energyYear, site, siteWeather } from '../db/schema';
import { siteTransaction } from '../db/siteTurn';
import { Problem, unfit } from '../problem';
import { loadDesign, noSite } from './designs';

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
  const { latitudeDeg, longitudeDeg } = (await loadDesign(context, siteId)).design.survey;
  if (weather && latitudeDeg !== null && longitudeDeg !== null) {
    const flaws = weatherFlaws(weather, { latitudeDeg, longitudeDeg });
    const at = (hour: number | null) => (hour === null ? '/weather' : `/weather/hours/${hour}`);
    if (flaws.length)
      throw unfit(
        flaws.map((f) => ({ pointer: at(f.at), detail: f.text })),
        'The weather',
      );
  }
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

/**
 * Files a year of energy under the revision and the weather it was computed from; a stale one is a conflict and is not kept. It was computed
 * elsewhere: what cannot be true of this design is refused.
 */
export async function writeYear(
  context: Context,
  siteId: string,
  made: { revision: number; year: number; weather: string; result: YearResult },
): Promise<{ kept: true }> {
  const { design, revision } = await loadDesign(context, siteId);
  if (revision !== made.revision) throw outdated('revision', `${revision}`, `${made.revision}`);
  const flaws = yearFlaws(made.result, design);
  if (flaws.length)
    throw unfit(
      flaws.map((f) => ({ ...f, pointer: `/result${f.pointer}` })),
      'The year',
    );
  return siteTransaction(context.db, siteId, async (tx) => {
    const [head] = await tx
      .select({ revision: site.revision, weather: siteWeather.fingerprint })
      .from(site)
      .leftJoin(siteWeather, eq(siteWeather.siteId, site.id))
      .where(eq(site.id, siteId))
      .for('share', { of: site });
    if (!head) throw noSite();
    if (head.revision !== made.revision) throw outdated('revision', `${head.revision}`, `${made.revision}`);
    if (made.weather !== CLEAR_SKY && made.weather !== head.weather)
      throw outdated('weather', head.weather ?? CLEAR_SKY, made.weather);
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

const outdated = (what: 'revision' | 'weather', now: string, was: string): Problem =>
  new Problem(409, 'Changed meanwhile', `The site is at ${what} ${now}, the result at ${was}: it was not kept.`, [
    { pointer: `/${what}`, detail: `is ${now} now` },
  ]);
