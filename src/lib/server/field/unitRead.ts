import type { UnitAnswer } from '$lib/schemas/field';
import type { FieldBus } from './fieldBus';
import { nobodySays, refused, serialAt, valueAt } from './unitAt';

const figureAt = async (bus: FieldBus, address: number, name: string): Promise<number | null> => {
  const value = await valueAt(bus, address, name);
  return typeof value === 'number' ? value : null;
};

/** What a unit says of itself: who it is and how it is set up. Throws a Problem where nobody, or more than one, answers at the address. */
export async function unitRead(bus: FieldBus, address: number, nowMs: number): Promise<UnitAnswer> {
  const spoken = await serialAt(bus, address);
  if (spoken.serial === null) throw refused('No unit read', nobodySays(address, spoken));
  const clockS = await figureAt(bus, address, 'clock');
  return {
    standIn: true,
    address,
    serial: spoken.serial,
    type: (await valueAt(bus, address, 'device_type')) === 2 ? 'meter' : 'inverter',
    firmware: String((await valueAt(bus, address, 'firmware')) ?? ''),
    ratedKw: ((await figureAt(bus, address, 'rated_power')) ?? 0) / 1000,
    bitRate: await figureAt(bus, address, 'bit_rate'),
    gridCode: await figureAt(bus, address, 'grid_code'),
    clockAheadS: clockS === null ? null : Math.round(clockS - nowMs / 1000),
  };
}
