/** Most buses of one site: one for every 18 of the devices that a chain may have. */
export const MOST_BUSES = 32;
/** The bus on which whatever joins a chain stands first. */
export const FIRST_BUS = 1;

interface OnBus {
  readonly bus: number;
}
interface Devices<D extends OnBus> {
  readonly devices: readonly D[];
}

/** The buses of a chain by their number; the first, empty, where there is no device. */
export function busesOf({ devices }: Devices<OnBus>): readonly number[] {
  const found = new Set(devices.map((d) => d.bus));
  return found.size ? [...found].sort((a, b) => a - b) : [FIRST_BUS];
}

/** The devices of one bus in their order. */
export const devicesOn = <D extends OnBus>({ devices }: Devices<D>, bus: number): D[] =>
  devices.filter((d) => d.bus === bus);
