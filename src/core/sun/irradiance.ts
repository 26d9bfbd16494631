import { requireWithin } from '../kernel/require';

const RAD = Math.PI / 180;
/** cos 89°: below it beam ratios blow up and are left at this floor. */
const COS_FLOOR = 0.01745;

/** Light on level ground, W/m²: all of it, straight from the sun on a plane facing it, and from the rest of the sky. */
export interface Irradiance {
  readonly globalWm2: number;
  readonly beamWm2: number;
  readonly diffuseWm2: number;
}

export const DARK: Irradiance = { globalWm2: 0, beamWm2: 0, diffuseWm2: 0 };

/**
 * Clear sky from the height of the sun alone, W/m²: 1098·cos z·exp(−0.059/cos z) (Haurwitz 1945, recalled).
 * z from straight up, degrees (0…180); 0 below the horizon.
 */
export function haurwitzWm2(zenithDeg: number): number {
  const cosZ = Math.cos(zenithDeg * RAD);
  return cosZ > 0 ? 1098 * cosZ * Math.exp(-0.059 / cosZ) : 0;
}

/**
 * Clear sky at an altitude under a turbid air (Ineichen & Perez 2002, Solar Energy 73:151, recalled).
 * altitudeM metres, linke Linke turbidity (2 clean … 7 dusty), i0nWm2 irradiance outside the atmosphere.
 */
export function ineichen(zenithDeg: number, i0nWm2: number, altitudeM: number, linke: number): Irradiance {
  const cosZ = Math.cos(zenithDeg * RAD);
  if (!(cosZ > 0)) return DARK;
  const airMass = Math.exp(-altitudeM / 8434.5) / (cosZ + 0.50572 * (96.07995 - zenithDeg) ** -1.6364);
  const f1 = Math.exp(-altitudeM / 8000);
  const f2 = Math.exp(-altitudeM / 1250);
  const globalWm2 =
    (5.09e-5 * altitudeM + 0.868) *
    i0nWm2 *
    cosZ *
    Math.exp(-(3.92e-5 * altitudeM + 0.0387) * airMass * (f1 + f2 * (linke - 1)));
  const beamWm2 = Math.min(
    i0nWm2 * (0.664 + 0.163 / f1) * Math.exp(-0.09 * airMass * (linke - 1)),
    (globalWm2 * (1 - (0.1 - 0.2 * Math.exp(-linke)) / (0.1 + 0.882 / f1))) / cosZ,
  );
  return { globalWm2, beamWm2, diffuseWm2: globalWm2 - beamWm2 * cosZ };
}

/**
 * Share of diffuse light by clearness k_t (Erbs, Klein & Duffie 1982, recalled). k_t 0…1.
 * It overstates the diffuse of clear days.
 */
export function erbsDiffuseShare(kt: number): number {
  if (kt <= 0.22) return 1 - 0.09 * kt;
  if (kt <= 0.8) return 0.9511 + kt * (-0.1604 + kt * (4.388 + kt * (-16.638 + kt * 12.336)));
  return 0.165;
}

/** Global light split into beam and diffuse by Erbs; past 87° from straight up everything is diffuse. */
export function splitGlobal(globalWm2: number, zenithDeg: number, i0nWm2: number): Irradiance {
  const cosZ = Math.cos(zenithDeg * RAD);
  const kt = Math.min(1, Math.max(0, globalWm2 / (i0nWm2 * Math.max(cosZ, 0.065))));
  const diffuseWm2 = zenithDeg > 87 ? globalWm2 : globalWm2 * erbsDiffuseShare(kt);
  return { globalWm2, diffuseWm2, beamWm2: cosZ > 0 ? (globalWm2 - diffuseWm2) / cosZ : 0 };
}

export interface PlaneLight {
  readonly incidenceDeg: number;
  readonly beamWm2: number;
  readonly skyWm2: number;
  readonly groundWm2: number;
  /** All that falls on the plane, W/m²: heats the cell. */
  readonly totalWm2: number;
  /** What gets through the glass, W/m²: makes current. */
  readonly effectiveWm2: number;
}

export interface Orientation {
  readonly tiltDeg: number;
  readonly azimuthDeg: number;
}

/**
 * Light on a tilted plane (Hay & Davies 1980; isotropic with `isotropic`).
 *   A = DNI/I_0n · sky = DHI·(A·R_b + (1 − A)(1 + cos β)/2) · R_b = max(cos θ, 0)/max(cos z, 0.01745) · ground = ρ·GHI·(1 − cos β)/2
 * Beam through the glass: × max(0, 1 − 0.05(1/cos θ − 1)) (ASHRAE 93 form, recalled). Neither horizon nor rows in front are in it.
 */
export function lightOnPlane(
  light: Irradiance,
  sun: { readonly zenithDeg: number; readonly azimuthDeg: number },
  plane: Orientation,
  i0nWm2: number,
  albedo = 0.2,
  isotropic = false,
): PlaneLight {
  requireWithin('tiltDeg', plane.tiltDeg, 0, 90, '°');
  const cosZ = Math.cos(sun.zenithDeg * RAD);
  const cosTilt = Math.cos(plane.tiltDeg * RAD);
  const cosIncidence =
    cosZ * cosTilt +
    Math.sin(sun.zenithDeg * RAD) * Math.sin(plane.tiltDeg * RAD) * Math.cos((sun.azimuthDeg - plane.azimuthDeg) * RAD);
  const ratio = Math.max(cosIncidence, 0) / Math.max(cosZ, COS_FLOOR);
  const anisotropy = isotropic || cosZ <= 0 ? 0 : light.beamWm2 / i0nWm2;
  const beamWm2 = cosZ > 0 ? light.beamWm2 * Math.max(cosIncidence, 0) : 0;
  const skyWm2 = light.diffuseWm2 * (anisotropy * ratio + ((1 - anisotropy) * (1 + cosTilt)) / 2);
  const groundWm2 = (albedo * light.globalWm2 * (1 - cosTilt)) / 2;
  const throughGlass = cosIncidence < COS_FLOOR ? 0 : Math.max(0, 1 - 0.05 * (1 / cosIncidence - 1));
  return {
    incidenceDeg: Math.acos(Math.max(-1, Math.min(1, cosIncidence))) / RAD,
    beamWm2,
    skyWm2,
    groundWm2,
    totalWm2: beamWm2 + skyWm2 + groundWm2,
    effectiveWm2: beamWm2 * throughGlass + skyWm2 + groundWm2,
  };
}
