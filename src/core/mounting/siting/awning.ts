import { requireWithin } from '../../kernel/require';

/** Sun on a unit that hangs on a wall, and the awning that would keep it off. Angles in degrees; compass angles clockwise from north. */

const RAD = Math.PI / 180;
/** Deeper than this an awning is no longer built: a screen, or another wall (common practice). */
export const AWNING_MOST_M = 2;
/** Between two looks over a window of hours, h. */
const STEP_H = 0.25;

/** Where an awning would hang over a unit: `dropM` down from it to the unit's lower edge, `projectionM` from the wall to the unit's front. */
export interface UnderAwning {
  readonly latitudeDeg: number;
  readonly dayOfYear: number;
  /** The way the wall faces. */
  readonly wallAzimuthDeg: number;
  readonly dropM: number;
  readonly projectionM: number;
}

export interface SunOnWall {
  readonly altitudeDeg: number;
  readonly azimuthDeg: number;
  /** Cosine of the angle between the sun and the way the wall faces. */
  readonly cosIncidence: number;
  readonly lit: boolean;
  /** Height of the sun seen along the wall; null where it does not shine on it. */
  readonly profileDeg: number | null;
  /** How far an awning has to reach from the wall; 0 where no sun shines on it. */
  readonly depthM: number;
  /** How far it has to reach past the unit, to the right as one stands before the wall; negative to the left. */
  readonly sideM: number;
}

/** Declination of the sun, degrees: δ = 23.45°·sin(360°·(284 + n)/365), n day of the year. Error 0.5° at most (Cooper 1969; recalled). */
const declinationDeg = (dayOfYear: number): number => 23.45 * Math.sin((RAD * 360 * (284 + dayOfYear)) / 365);

function requireUnderAwning(u: UnderAwning): void {
  requireWithin('latitudeDeg', u.latitudeDeg, -90, 90, '°');
  requireWithin('dayOfYear', u.dayOfYear, 1, 366);
  if (!(u.wallAzimuthDeg >= 0 && u.wallAzimuthDeg < 360))
    throw new RangeError(`wallAzimuthDeg must be from 0 to under 360 ° (got ${u.wallAzimuthDeg})`);
  requireWithin('dropM', u.dropM, 0, 10, 'm');
  requireWithin('projectionM', u.projectionM, 0, 2, 'm');
}

/**
 * Sun on the wall at a solar hour, and the awning that shades the unit down to its lower edge.
 *   E = −cos δ·sin ω · N = sin δ·cos φ − cos δ·sin φ·cos ω · U = sin φ·sin δ + cos φ·cos δ·cos ω, ω = 15°·(h − 12)
 *   c = E·sin a + N·cos a · s = −E·cos a + N·sin a · depth = p + y·c/U · side = y·s/U
 * φ latitude · a azimuth of the wall · y drop, m · p projection, m. The sun is on the wall while U > 0 and c > 0.
 * Valid 0…24 h. Source: spherical astronomy; declination after Cooper. Throws RangeError outside the ranges.
 */
export function sunOnWall(u: UnderAwning, solarH: number): SunOnWall {
  requireUnderAwning(u);
  requireWithin('solarH', solarH, 0, 24, 'h');
  const [delta, phi, a] = [declinationDeg(u.dayOfYear) * RAD, u.latitudeDeg * RAD, u.wallAzimuthDeg * RAD];
  const omega = 15 * (solarH - 12) * RAD;
  const east = -Math.cos(delta) * Math.sin(omega);
  const north = Math.sin(delta) * Math.cos(phi) - Math.cos(delta) * Math.sin(phi) * Math.cos(omega);
  const up = Math.sin(phi) * Math.sin(delta) + Math.cos(phi) * Math.cos(delta) * Math.cos(omega);
  const c = east * Math.sin(a) + north * Math.cos(a);
  const s = -east * Math.cos(a) + north * Math.sin(a);
  const lit = up > 0 && c > 0;
  return {
    altitudeDeg: Math.asin(Math.max(-1, Math.min(1, up))) / RAD,
    azimuthDeg: (Math.atan2(east, north) / RAD + 360) % 360,
    cosIncidence: c,
    lit,
    profileDeg: lit ? Math.atan2(up, c) / RAD : null,
    depthM: lit ? u.projectionM + (u.dropM * c) / up : 0,
    sideM: lit ? (u.dropM * s) / up : 0,
  };
}

export type AwningAnswer = 'no sun' | 'awning' | 'screen or other wall';
export interface Awning {
  readonly depthM: number;
  /** The solar hour that asks for it; null where no sun shines on the wall. */
  readonly atSolarH: number | null;
  readonly rightM: number;
  readonly leftM: number;
  readonly answer: AwningAnswer;
}

/**
 * The awning that shades the unit over a window of solar hours, looked at every quarter of an hour: the deepest, and the farthest to either
 * side. Over 2 m it is no awning any more. Throws RangeError outside the ranges, and where the window ends before it begins.
 */
export function awningFor(u: UnderAwning, fromH: number, toH: number): Awning {
  requireWithin('fromH', fromH, 0, 24, 'h');
  requireWithin('toH', toH, fromH, 24, 'h');
  const hours = Array.from({ length: Math.floor((toH - fromH) / STEP_H + 1e-9) + 1 }, (_, i) => fromH + i * STEP_H);
  const lit = hours.map((h) => ({ h, sun: sunOnWall(u, h) })).filter(({ sun }) => sun.lit);
  const [first, ...rest] = lit;
  if (!first) return { depthM: 0, atSolarH: null, rightM: 0, leftM: 0, answer: 'no sun' };
  const deepest = rest.reduce((best, x) => (x.sun.depthM > best.sun.depthM ? x : best), first);
  const depthM = deepest.sun.depthM;
  return {
    depthM,
    atSolarH: deepest.h,
    rightM: Math.max(0, ...lit.map(({ sun }) => sun.sideM)),
    leftM: Math.max(0, ...lit.map(({ sun }) => -sun.sideM)),
    answer: depthM > AWNING_MOST_M ? 'screen or other wall' : 'awning',
  };
}

/**
 * Solar time of a clock, h: solar = clock + (4·(λ − 15·tz) + E_t)/60, E_t = 9.87·sin 2B − 7.53·cos B − 1.5·sin B min, B = 360°·(n − 81)/364.
 * λ longitude east, degrees · tz hours before UTC, summer time included · n day of the year. Error of E_t under half a minute (recalled).
 */
export function solarTime(q: {
  readonly clockH: number;
  readonly dayOfYear: number;
  readonly longitudeDeg: number;
  readonly utcOffsetH: number;
}): { equationOfTimeMin: number; solarH: number } {
  requireWithin('clockH', q.clockH, 0, 24, 'h');
  requireWithin('dayOfYear', q.dayOfYear, 1, 366);
  requireWithin('longitudeDeg', q.longitudeDeg, -180, 180, '°');
  requireWithin('utcOffsetH', q.utcOffsetH, -12, 14, 'h');
  const b = (RAD * 360 * (q.dayOfYear - 81)) / 364;
  const equationOfTimeMin = 9.87 * Math.sin(2 * b) - 7.53 * Math.cos(b) - 1.5 * Math.sin(b);
  return {
    equationOfTimeMin,
    solarH: q.clockH + (4 * (q.longitudeDeg - 15 * q.utcOffsetH) + equationOfTimeMin) / 60,
  };
}

/** Hours from sunrise to sunset: 2·acos(−tan φ·tan δ)/15°; 0 or 24 where the sun does not rise or set. */
export function dayLengthH(latitudeDeg: number, dayOfYear: number): number {
  requireWithin('latitudeDeg', latitudeDeg, -90, 90, '°');
  requireWithin('dayOfYear', dayOfYear, 1, 366);
  const x = -Math.tan(latitudeDeg * RAD) * Math.tan(declinationDeg(dayOfYear) * RAD);
  return x >= 1 ? 0 : x <= -1 ? 24 : (2 * Math.acos(x)) / RAD / 15;
}
