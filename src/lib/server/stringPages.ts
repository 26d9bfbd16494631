import type { Context } from './services/context';
import { newestYear, readWeather } from './services/energy';

/** Weather and year for the pages that compute energy: the file if there is one, and the calendar year for the sun. */
export async function energyData(context: Context, siteId: string) {
  const [stored, newest] = await Promise.all([readWeather(context, siteId), newestYear(context, siteId)]);
  return {
    weather: stored?.weather ?? null,
    fingerprint: stored?.fingerprint ?? null,
    year: context.now().getUTCFullYear(),
    newest,
  };
}
