import { newestYear, readWeather } from './services/energy';

/** Weather and year for the pages that compute energy: the file if there is one, and the calendar year for the sun. */
export async function energyData(siteId: string) {
  const [stored, newest] = await Promise.all([readWeather(siteId), newestYear(siteId)]);
  return {
    weather: stored?.weather ?? null,
    fingerprint: stored?.fingerprint ?? null,
    year: new Date().getUTCFullYear(),
    newest,
  };
}
