import { requireWithin } from '../kernel/require';

const RAD = Math.PI / 180;
const J2000_JD = 2451545;
const UNIX_EPOCH_JD = 2440587.5;
const MS_A_DAY = 86_400_000;

/** Terrestrial time minus universal time, s: near 69 in the 2020s (recalled). A minute of it moves the sun by 0.0007°. */
const DELTA_T_S = 69;

export interface SunPosition {
  /** Angle from straight up, degrees; without refraction. */
  readonly zenithDeg: number;
  /** From north, clockwise, degrees 0…360. */
  readonly azimuthDeg: number;
}

/**
 * Where the sun stands, without refraction: the short series of apparent longitude, nutation's main term and parallax.
 *   T = (JD + ΔT/86400 − 2451545)/36525 · λ = L0 + C − 0.00569 − 0.00478·sin Ω · e = asin(sin φ·sin δ + cos φ·cos δ·cos H)
 * Time in ms since 1970 UTC; latitude north and longitude east positive, degrees. Valid 1950…2100.
 * Error: 0.01° against the full algorithm (Reda & Andreas 2004, NREL/TP-560-34302). Source: Meeus, Astronomical Algorithms (recalled).
 * Why not the full algorithm: it carries two hundred periodic terms for 0.0003°, which no plane of array notices.
 */
export function sunPosition(
  utcMs: number,
  latitudeDeg: number,
  longitudeDeg: number,
  deltaTS: number = DELTA_T_S,
): SunPosition {
  requireWithin('latitudeDeg', latitudeDeg, -90, 90, '°');
  requireWithin('longitudeDeg', longitudeDeg, -180, 180, '°');
  const daysUt = utcMs / MS_A_DAY + UNIX_EPOCH_JD - J2000_JD;
  const t = (daysUt + deltaTS / 86_400) / 36_525;
  const meanLongitude = 280.46646 + 36_000.76983 * t + 0.0003032 * t * t;
  const anomaly = (357.52911 + 35_999.05029 * t - 0.0001537 * t * t) * RAD;
  const centre =
    (1.914602 - 0.004817 * t - 0.000014 * t * t) * Math.sin(anomaly) +
    (0.019993 - 0.000101 * t) * Math.sin(2 * anomaly) +
    0.000289 * Math.sin(3 * anomaly);
  const node = (125.04 - 1934.136 * t) * RAD;
  const longitude = (meanLongitude + centre - 0.00569 - 0.00478 * Math.sin(node)) * RAD;
  const obliquity = (23.4392911 - 0.0130042 * t - 1.64e-7 * t * t + 0.00256 * Math.cos(node)) * RAD;
  const rightAscension = Math.atan2(Math.cos(obliquity) * Math.sin(longitude), Math.cos(longitude));
  const declination = Math.asin(Math.sin(obliquity) * Math.sin(longitude));
  const sidereal = 280.46061837 + 360.98564736629 * daysUt - 0.00478 * Math.sin(node) * Math.cos(obliquity);
  const hour = (sidereal + longitudeDeg) * RAD - rightAscension;
  const lat = latitudeDeg * RAD;
  const sinElevation = Math.sin(lat) * Math.sin(declination) + Math.cos(lat) * Math.cos(declination) * Math.cos(hour);
  const elevation = Math.asin(Math.max(-1, Math.min(1, sinElevation)));
  const azimuth =
    180 + Math.atan2(Math.sin(hour), Math.cos(hour) * Math.sin(lat) - Math.tan(declination) * Math.cos(lat)) / RAD;
  return {
    zenithDeg: 90 - (elevation / RAD - (8.794 / 3600) * Math.cos(elevation)),
    azimuthDeg: ((azimuth % 360) + 360) % 360,
  };
}

/** Day of the year, 1…366, of a UTC time. */
export function dayOfYear(utcMs: number): number {
  const year = new Date(utcMs).getUTCFullYear();
  return Math.floor((utcMs - Date.UTC(year, 0, 1)) / MS_A_DAY) + 1;
}

/** Irradiance outside the atmosphere on a plane facing the sun, W/m² (Spencer 1971, recalled). Day of the year 1…366. */
export function extraterrestrialWm2(day: number): number {
  const b = (2 * Math.PI * (day - 1)) / 365;
  return (
    1361 *
    (1.00011 + 0.034221 * Math.cos(b) + 0.00128 * Math.sin(b) + 0.000719 * Math.cos(2 * b) + 0.000077 * Math.sin(2 * b))
  );
}

/**
 * How much the air lifts the sun, degrees: p/1010 · 283/(273 + t) · 1.02/(60·tan(e + 10.3/(e + 5.11))).
 * For true elevations from −0.83°; 0 below. Not used for energy. Source: NREL/TP-560-34302, equation 42 (recalled).
 */
export function refractionDeg(elevationDeg: number, pressureMbar: number, tempC: number): number {
  if (elevationDeg < -0.83) return 0;
  const bent = 1.02 / (60 * Math.tan((elevationDeg + 10.3 / (elevationDeg + 5.11)) * RAD));
  return (pressureMbar / 1010) * (283 / (273 + tempC)) * bent;
}
