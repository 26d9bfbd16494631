import { requirePositive, requireWithin } from '../../kernel/require';

/** Heat of units in a room, and the air that carries it out. */

const G = 9.80665;
/** Specific heat of air, J/(kg·K), and its gas constant, J/(kg·K). */
const CP = 1005;
const R_AIR = 287.05;
const ZERO_C_K = 273.15;
/** Discharge of an opening without a fan (ASHRAE Fundamentals; recalled). */
const DISCHARGE = 0.6;
/** Air through the louvre of a fan, m/s (common practice). */
const LOUVRE_MS = 2;

/** Density of air, kg/m³: 101325·(1 − 2.25577e-5·h)^5.25588 / (287.05·T) (ISO 2533; recalled). h m, −400…6000; temperature °C. */
export function airDensity(altitudeM: number, tempC: number): number {
  requireWithin('altitudeM', altitudeM, -400, 6000, 'm');
  requireWithin('tempC', tempC, -60, 80, '°C');
  return (101325 * (1 - 2.25577e-5 * altitudeM) ** 5.25588) / (R_AIR * (tempC + ZERO_C_K));
}

export interface RoomHeat {
  readonly units: number;
  /** AC power of one unit, W. */
  readonly acW: number;
  /** Efficiency at full load, a fraction 0.8…1. */
  readonly efficiency: number;
  /** Rise of the air on its way through the room, K. */
  readonly riseK: number;
  readonly inletC: number;
  readonly altitudeM: number;
}

/**
 * Heat given off and the air wanted: Q = n·P_ac·(1/η − 1), V = 3600·Q/(ρ·1005·ΔT) m³/h, ρ at the inlet. The pocket form P·(1 − η) takes P on
 * the DC side. Valid: P 0…10 MW, η 0.8…1, ΔT over 0 to 40 K. Throws RangeError outside.
 */
export function roomAirflow(q: RoomHeat): { heatW: number; airM3h: number; densityKgM3: number } {
  requireWithin('units', q.units, 1, 1000);
  requireWithin('acW', q.acW, 0, 1e7, 'W');
  requireWithin('efficiency', q.efficiency, 0.8, 1);
  requireRise(q.riseK);
  const densityKgM3 = airDensity(q.altitudeM, q.inletC);
  const heatW = q.units * lossW(q.acW, q.efficiency);
  return { heatW, airM3h: (3600 * heatW) / (densityKgM3 * CP * q.riseK), densityKgM3 };
}

/**
 * Rise of the air that carries heat out of a room, K: ΔT = 3600·Q/(ρ·1005·V), ρ at the inlet. Infinite where heat is given off and no air moves. Valid:
 * Q W and V m³/h, both 0 or more. Throws RangeError outside.
 */
export function roomRiseK(q: {
  readonly heatW: number;
  readonly airM3h: number;
  readonly inletC: number;
  readonly altitudeM: number;
}): number {
  requireWithin('heatW', q.heatW, 0, 1e8, 'W');
  requireWithin('airM3h', q.airM3h, 0, 1e7, 'm³/h');
  return q.heatW === 0 ? 0 : (3600 * q.heatW) / (airDensity(q.altitudeM, q.inletC) * CP * q.airM3h);
}

/** Heat that a unit gives off at full load, W: P·(1/η − 1). P W, AC; η 0.8…1 (RangeError outside). */
export function lossW(acW: number, efficiency: number): number {
  requireWithin('efficiency', efficiency, 0.8, 1);
  return acW * (1 / efficiency - 1);
}

/** Each of two equal openings, one over the other, that draw the air without a fan, m²: (V/3600)/(0.60·√(g·h·ΔT/T_out)), h m between them. */
export function stackOpeningM2(q: {
  readonly airM3h: number;
  readonly heightM: number;
  readonly riseK: number;
  readonly inletC: number;
}): number {
  requirePositive(q, 'airM3h', 'heightM');
  requireRise(q.riseK);
  const outK = q.inletC + q.riseK + ZERO_C_K;
  return q.airM3h / 3600 / (DISCHARGE * Math.sqrt((G * q.heightM * q.riseK) / outK));
}

/** Free area of the louvre where a fan moves the air, m²: V/3600 at 2 m/s (common practice). */
export const louvreM2 = (airM3h: number): number => airM3h / 3600 / LOUVRE_MS;

function requireRise(riseK: number): void {
  if (!(riseK > 0 && riseK <= 40)) throw new RangeError(`riseK must be over 0 to 40 K (got ${riseK})`);
}
