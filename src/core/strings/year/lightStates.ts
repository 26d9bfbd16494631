import type { Irradiance } from '../../sun/irradiance';
import { DARK, haurwitzWm2, splitGlobal } from '../../sun/irradiance';
import type { SunPosition } from '../../sun/position';
import { dayOfYear, extraterrestrialWm2, sunPosition } from '../../sun/position';
import type { WeatherYear } from '../../weather/weatherYear';

/** Light of an hour: with weather files one state, without them a clear and an overcast one by their share. */
export interface LightState {
  readonly weight: number;
  readonly light: Irradiance;
}

export interface LitHour {
  /** Day of the year, 1…366. */
  readonly day: number;
  readonly month: number;
  /** Hour of the day in standard time, 0…23. */
  readonly hour: number;
  readonly sun: SunPosition;
  readonly i0nWm2: number;
  readonly ambientC: number;
  readonly states: readonly LightState[];
}

export interface ClearSkyYear {
  readonly year: number;
  readonly latitudeDeg: number;
  readonly longitudeDeg: number;
  readonly utcOffsetH: number;
  /** Share of the clear sky that arrives, month by month. */
  readonly clearness: readonly number[];
  readonly monthlyMeanC: readonly number[];
  readonly dailyRangeK: number;
}

const HOUR_MS = 3_600_000;
const OVERCAST = 0.25;

/**
 * The hours of a year without weather data. Averaged days never clip an inverter, so each hour is a clear one (k = 1) with weight
 * f = (K_c − 0.25)/0.75 and an overcast one (k = 0.25) with 1 − f; K_c up to 0.25 is one state. Common practice.
 * Temperature: mean + range/2·cos(2π(h + 0.5 − 15)/24). Yields only hours with the sun up.
 */
export function* clearSkyHours(y: ClearSkyYear): Generator<LitHour> {
  for (let at = 0; at < 8760; at++) {
    const localMs = Date.UTC(y.year, 0, 1) + (at + 0.5) * HOUR_MS;
    const utcMs = localMs - y.utcOffsetH * HOUR_MS;
    const sun = sunPosition(utcMs, y.latitudeDeg, y.longitudeDeg);
    if (sun.zenithDeg >= 90) continue;
    const month = new Date(localMs).getUTCMonth();
    const hour = at % 24;
    const i0nWm2 = extraterrestrialWm2(dayOfYear(localMs));
    const clearWm2 = haurwitzWm2(sun.zenithDeg);
    const kc = y.clearness[month] ?? 0;
    const state = (k: number, weight: number): LightState => ({
      weight,
      light: splitGlobal(k * clearWm2, sun.zenithDeg, i0nWm2),
    });
    const f = (kc - OVERCAST) / (1 - OVERCAST);
    yield {
      day: dayOfYear(localMs),
      month,
      hour,
      sun,
      i0nWm2,
      ambientC: (y.monthlyMeanC[month] ?? 0) + (y.dailyRangeK / 2) * Math.cos((2 * Math.PI * (hour + 0.5 - 15)) / 24),
      states: kc <= OVERCAST ? [state(kc, 1)] : f >= 1 ? [state(1, 1)] : [state(1, f), state(OVERCAST, 1 - f)],
    };
  }
}

/** The hours of a weather file with the sun up, at a place. */
export function* fileHours(weather: WeatherYear, latitudeDeg: number, longitudeDeg: number): Generator<LitHour> {
  for (const h of weather.hours) {
    const sun = sunPosition(h.midMs, latitudeDeg, longitudeDeg);
    if (sun.zenithDeg >= 90 || h.globalWm2 <= 0) continue;
    const local = new Date(h.midMs + weather.utcOffsetH * HOUR_MS);
    const i0nWm2 = extraterrestrialWm2(dayOfYear(local.getTime()));
    const light =
      h.beamWm2 !== null && h.diffuseWm2 !== null
        ? { globalWm2: h.globalWm2, beamWm2: h.beamWm2, diffuseWm2: h.diffuseWm2 }
        : splitGlobal(h.globalWm2, sun.zenithDeg, i0nWm2);
    yield {
      day: dayOfYear(local.getTime()),
      month: local.getUTCMonth(),
      hour: local.getUTCHours(),
      sun,
      i0nWm2,
      ambientC: h.ambientC,
      states: [{ weight: 1, light: h.globalWm2 > 0 ? light : DARK }],
    };
  }
}
