import { sunPosition } from '../sun/position';
import type { WeatherAnswer, WeatherHour, WeatherYear } from './weatherYear';
import { MOST_ERRORS, jumpIn } from './weatherYear';

/** Whether a year of weather can be that of a place: what the sun and simple sums say of it. Common practice, no published source for the limits. */

export interface Place {
  readonly latitudeDeg: number;
  readonly longitudeDeg: number;
}
/** What is wrong with a year, at an hour where one shows it best. */
export interface WeatherFlaw {
  readonly at: number | null;
  readonly text: string;
}

const RAD = Math.PI / 180;
/** Twilight ends its light here, and clouds scatter none further round: the sun this far below is night, degrees from straight up. */
const NIGHT_ZENITH_DEG = 100;
const NIGHT_LIGHT_WM2 = 5;
/** Share of a year's light that may fall at night: stamps of a minute off, a meter with an offset. */
const NIGHT_SHARE = 0.002;
/** No year on earth is so dark at its brightest hour, W/m². */
const BRIGHTEST_LEAST_WM2 = 100;
/** Light may come so much later or earlier than the sun over a year, h: a wrong end of the interval is half an hour and more. */
const LATE_MOST_H = 0.4;
/** Beam, diffuse and global light may differ so much over a year, as a share of global. */
const CLOSURE = 0.15;
/** A file may be of a station so far away and still be a stand-in, km; further than the second it is another climate. */
const AWAY_KM = 150;
const OTHER_CLIMATE_KM = 600;
/** Outside the tropics the brighter half of the year is summer, degrees. */
const TROPIC_DEG = 23.44;

interface Sunlit {
  readonly hour: WeatherHour;
  readonly at: number;
  readonly cosZenith: number;
  readonly zenithDeg: number;
  /** Of the unit vector to the sun, against the axis of the earth: towards west and towards noon. */
  readonly west: number;
  readonly noon: number;
}

function sunlit({ hours }: Pick<WeatherYear, 'hours'>, { latitudeDeg, longitudeDeg }: Place): Sunlit[] {
  const [sinLatitude, cosLatitude] = [Math.sin(latitudeDeg * RAD), Math.cos(latitudeDeg * RAD)];
  return hours.map((hour, at) => {
    const { zenithDeg, azimuthDeg } = sunPosition(hour.midMs, latitudeDeg, longitudeDeg);
    const [cosZenith, sinZenith] = [Math.cos(zenithDeg * RAD), Math.sin(zenithDeg * RAD)];
    const west = -Math.sin(azimuthDeg * RAD) * sinZenith;
    const noon = cosLatitude * cosZenith - sinLatitude * Math.cos(azimuthDeg * RAD) * sinZenith;
    return { hour, at, cosZenith, zenithDeg, west, noon };
  });
}

/**
 * By how much the light of a year comes later than the sun, h: it lies evenly about solar noon when its stamps are read rightly, on either
 * hemisphere. Δ = 12/π·atan2(Σ G·cos δ·sin H, Σ G·cos δ·cos H). Null where there is no light.
 */
export function lightAfterSunH(hours: readonly WeatherHour[], place: Place): number | null {
  let [west, noon] = [0, 0];
  for (const s of sunlit({ hours }, place)) {
    if (s.zenithDeg >= 90) continue;
    west += s.hour.globalWm2 * s.west;
    noon += s.hour.globalWm2 * s.noon;
  }
  return west === 0 && noon === 0 ? null : (12 / Math.PI) * Math.atan2(west, noon);
}

/** What cannot be true of a year of weather at a place: each by itself reason enough not to take it. */
export function weatherFlaws(year: WeatherYear, site: Place): WeatherFlaw[] {
  const place = ownPlace(year) ?? site;
  const jump = jumpIn(year.hours.map((h) => h.midMs));
  if (jump > 0) return [{ at: jump, text: 'hours are missing before this one.' }];
  const lit = sunlit(year, place);
  const brightest = lit.reduce((a, b) => (b.hour.globalWm2 > a.hour.globalWm2 ? b : a), lit[0] as Sunlit);
  if (brightest.hour.globalWm2 < BRIGHTEST_LEAST_WM2)
    return [
      {
        at: brightest.at,
        text: `the brightest hour of the year has ${brightest.hour.globalWm2.toFixed(1)} W/m²: give W/m², not kW/m².`,
      },
    ];
  return [
    ...elsewhere(year, site),
    ...atNight(lit),
    ...late(year, place),
    ...unlikeParts(lit),
    ...otherSummer(lit, site),
  ];
}

/** Great-circle distance, km: R = 6371 km, haversine. */
export function distanceKm(a: Place, b: Place): number {
  const half = (x: number, y: number) => Math.sin(((x - y) * RAD) / 2) ** 2;
  const h =
    half(a.latitudeDeg, b.latitudeDeg) +
    Math.cos(a.latitudeDeg * RAD) * Math.cos(b.latitudeDeg * RAD) * half(a.longitudeDeg, b.longitudeDeg);
  return 2 * 6371 * Math.asin(Math.min(1, Math.sqrt(h)));
}

/** Where a file says that it was measured: there the sun stood over it. */
const ownPlace = ({ latitudeDeg, longitudeDeg }: WeatherYear): Place | null =>
  latitudeDeg === null || longitudeDeg === null ? null : { latitudeDeg, longitudeDeg };

/** How far the place of a file lies from the site, in words worth knowing; null where it is near, or the file names none. */
function farAway(year: WeatherYear, site: Place): string | null {
  const own = ownPlace(year);
  const km = own ? distanceKm(own, site) : 0;
  return km > AWAY_KM ? `The weather is of a place ${Math.round(km)} km from the site.` : null;
}

function elsewhere(year: WeatherYear, site: Place): WeatherFlaw[] {
  const own = ownPlace(year);
  const km = own ? distanceKm(own, site) : 0;
  return own && km > OTHER_CLIMATE_KM
    ? [
        {
          at: null,
          text: `the file is of ${own.latitudeDeg}°, ${own.longitudeDeg}°, ${Math.round(km)} km from the site.`,
        },
      ]
    : [];
}

function atNight(lit: readonly Sunlit[]): WeatherFlaw[] {
  const night = lit.filter((s) => s.zenithDeg > NIGHT_ZENITH_DEG && s.hour.globalWm2 > NIGHT_LIGHT_WM2);
  const sum = (of: readonly Sunlit[]) => of.reduce((a, s) => a + s.hour.globalWm2, 0);
  const [first] = night;
  return first && sum(night) > NIGHT_SHARE * sum(lit)
    ? [
        {
          at: first.at,
          text: `${first.hour.globalWm2} W/m² at night, as in ${night.length} hours: its times or its place are wrong.`,
        },
      ]
    : [];
}

function late({ hours }: WeatherYear, place: Place): WeatherFlaw[] {
  const h = lightAfterSunH(hours, place) ?? 0;
  return Math.abs(h) > LATE_MOST_H
    ? [
        {
          at: null,
          text: `its light comes ${Math.abs(h).toFixed(1)} h ${h > 0 ? 'later' : 'earlier'} than the sun: stamps may mark the other end of the hour, or the offset is wrong.`,
        },
      ]
    : [];
}

/** G = B·cos θ + D, over the hours in which the sun stands up: where the other way round fits far better, the columns are swapped. */
function unlikeParts(lit: readonly Sunlit[]): WeatherFlaw[] {
  let [global, off, swapped] = [0, 0, 0];
  let worst: Sunlit | null = null;
  let worstOff = 0;
  for (const s of lit) {
    const { globalWm2, beamWm2, diffuseWm2 } = s.hour;
    if (beamWm2 === null || diffuseWm2 === null || s.zenithDeg > 85) continue;
    global += globalWm2;
    const own = Math.abs(globalWm2 - beamWm2 * s.cosZenith - diffuseWm2);
    off += own;
    swapped += Math.abs(globalWm2 - diffuseWm2 * s.cosZenith - beamWm2);
    if (own > worstOff) [worst, worstOff] = [s, own];
  }
  if (worst === null || off <= CLOSURE * global) return [];
  return [
    {
      at: worst.at,
      text:
        swapped < off / 2
          ? 'beam and diffuse light are in each other’s columns: global light fits them only so.'
          : `global light is not what beam and diffuse make together (they differ by ${Math.round((100 * off) / global)} % over the year).`,
    },
  ];
}

/** Outside the tropics light is more in the half of the year about midsummer: by the file's own months, whatever place it names. */
function otherSummer(lit: readonly Sunlit[], { latitudeDeg }: Place): WeatherFlaw[] {
  if (Math.abs(latitudeDeg) < TROPIC_DEG) return [];
  let [north, south] = [0, 0];
  for (const { hour } of lit) {
    const month = new Date(hour.midMs).getUTCMonth();
    if (month >= 3 && month <= 8) north += hour.globalWm2;
    else south += hour.globalWm2;
  }
  const [summer, winter] = latitudeDeg > 0 ? [north, south] : [south, north];
  return winter > summer
    ? [{ at: null, text: 'its winter is brighter than its summer: it is of the other hemisphere.' }]
    : [];
}

/** What a reader of a file found, held against the site it is meant for: flaws with their lines, a place far away as a note. */
export function meantFor(answer: WeatherAnswer, site: Place): WeatherAnswer {
  if (!answer.year) return answer;
  const { year, lines } = answer;
  const flaws = weatherFlaws(year, site);
  if (flaws.length)
    return {
      year: null,
      errors: flaws.slice(0, MOST_ERRORS).map(({ at, text }) => ({ line: at === null ? 1 : (lines[at] ?? 1), text })),
    };
  const far = farAway(year, site);
  return far ? { ...answer, year: { ...year, notes: [...year.notes, far] } } : answer;
}
