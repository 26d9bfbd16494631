import { requirePositive, requireWithin } from '../../kernel/require';

/** Speed of light in the constant: 20·lg(4π/c), dB. */
const CONSTANT_DB = -147.5522;

/** Free-space loss, dB: 20·lg d + 20·lg f − 147.5522; m and Hz, above 0 (ITU-R P.525; recalled). */
export function freeSpaceLossDb(distanceM: number, hz: number): number {
  requirePositive({ distanceM, hz }, 'distanceM', 'hz');
  return 20 * Math.log10(distanceM) + 20 * Math.log10(hz) + CONSTANT_DB;
}

interface Link {
  readonly powerDbm: number;
  /** Of both antennas together. */
  readonly gainDb: number;
  readonly wallsDb: number;
  readonly sensitivityDbm: number;
  readonly distanceM: number;
  readonly hz: number;
}

/** What is left of a radio link over what its receiver wants, dB. */
export function linkMarginDb({ powerDbm, gainDb, wallsDb, sensitivityDbm, distanceM, hz }: Link): number {
  requireWithin('wallsDb', wallsDb, 0, Infinity, 'dB');
  return powerDbm + gainDb - freeSpaceLossDb(distanceM, hz) - wallsDb - sensitivityDbm;
}
