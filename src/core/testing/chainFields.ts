import { hopCableM } from '../links/chain';
import type { Costs } from '../links/order/costs';

/** Devices as [name, x, y, z, entry], m; the logger first. */
export type Device = readonly [name: string, x: number, y: number, z: number, entryM?: number];
const along = (a: Device, b: Device, trayM?: number) =>
  Math.abs(a[1] - b[1]) +
  Math.abs(a[2] - b[2]) +
  (trayM === undefined ? Math.abs(a[3] - b[3]) : Math.abs(a[3] - trayM) + Math.abs(b[3] - trayM));

/** Cable along the axes, 5 % of slack, a metre at every landed end unless said; measured pairs as measured. */
export function costsOf(
  devices: readonly Device[],
  trayM?: number,
  measured: Readonly<Record<string, number>> = {},
): Costs {
  return devices.map((a) =>
    devices.map((b) =>
      a === b
        ? 0
        : hopCableM(
            measured[`${a[0]}-${b[0]}`] ?? measured[`${b[0]}-${a[0]}`] ?? along(a, b, trayM),
            a[4] ?? 1,
            b[4] ?? 1,
          ),
    ),
  );
}
export const unit = (name: string, x: number, y = 0, z = 1.2): Device => [name, x, y, z];

/** A field of units by a linear congruence of its own: the same every time. */
export function field(n: number, seed: number, widthM: number, heightM: number): Costs {
  let s = BigInt(seed);
  const tenths = (size: number) => {
    s = (1103515245n * s + 12345n) % 2147483648n;
    return Math.floor((10 * size * Number(s)) / 2147483648) / 10;
  };
  return costsOf([
    ['LOG', 0, 0, 1.2],
    ...Array.from({ length: n }, (_, i) => unit(`U${i}`, tenths(widthM), tenths(heightM))),
  ]);
}
