import { generator } from '$core/kernel/generator';
import { Bus } from './bus';
import type { BusConfig, Fault, FleetConfig } from '$lib/schemas/standIns/config';
import { irradianceWm2 } from './sun';
import type { UnitPlate } from './unit';
import { Unit } from './unit';

/** Simulated models, by their class in kW. */
const MODELS: Readonly<
  Record<
    number,
    Pick<UnitPlate, 'ratedW' | 'ratedV' | 'trackers' | 'stringsPerTracker' | 'dcStartV' | 'dcMaxV' | 'conductors'>
  >
> = {
  50: { ratedW: 50_000, ratedV: 400, trackers: 4, stringsPerTracker: 2, dcStartV: 250, dcMaxV: 1100, conductors: 4 },
  100: { ratedW: 100_000, ratedV: 400, trackers: 9, stringsPerTracker: 2, dcStartV: 250, dcMaxV: 1100, conductors: 4 },
  125: { ratedW: 125_000, ratedV: 400, trackers: 10, stringsPerTracker: 2, dcStartV: 250, dcMaxV: 1100, conductors: 4 },
};
const CLASSES = [50, 100, 125] as const;
const STRING = { modulesInString: 18, moduleUocV: 49.5, moduleImpA: 13.5, betaPerK: -0.0026 } as const;

const serialOf = (bus: number, place: number, seed: number) =>
  `BY24-${String(bus + 1).padStart(2, '0')}${String(place).padStart(4, '0')}${String(seed % 100_000).padStart(5, '0')}`;

function plateOf(config: FleetConfig, bus: number, place: number, meter: boolean, random: () => number): UnitPlate {
  const of = config.buses[bus];
  const modelCode = meter ? 900 : (CLASSES[Math.floor(random() * CLASSES.length)] ?? 100);
  const model = MODELS[meter ? 100 : modelCode] as (typeof MODELS)[number];
  return {
    ...STRING,
    ...model,
    ...(meter ? { ratedW: 0, trackers: 1 } : {}),
    type: meter ? 'meter' : 'inverter',
    serial: of?.serials?.[place - 1] ?? serialOf(bus, place, config.seed),
    modelCode,
    runOhm: of?.runOhms?.[place - 1] ?? config.runOhm,
  };
}

function busOf(config: FleetConfig, of: BusConfig, index: number): Bus {
  const random = generator(config.seed + 1000 * index);
  const units = of.addresses.map((address, i) => {
    const meter = of.meter && i === of.addresses.length - 1;
    const plate = plateOf(config, index, i + 1, meter, random);
    return new Unit(plate, { address, gridCode: config.gridCode, bitRate: of.bitRate });
  });
  return new Bus(units, of, config, config.seed + 1000 * index + 1);
}

/** A fleet of stand-ins: buses of units under one sky. The same configuration and seed, the same fleet. */
export class Fleet {
  readonly buses: readonly Bus[];
  #seconds = 0;
  constructor(readonly config: FleetConfig) {
    this.buses = config.buses.map((b, i) => busOf(config, b, i));
  }
  /** Hour of its day, 0…24. */
  get hour(): number {
    return (this.config.hour + this.#seconds / 3600) % 24;
  }
  tick(): void {
    this.#seconds++;
    const g = irradianceWm2(this.hour);
    for (const bus of this.buses) bus.tick(g);
  }
  /** Takes the power of all units of a bus but one, or gives it back to all. */
  power(bus: number, only: number | null): boolean {
    const at = this.buses[bus];
    if (at) at.only = only;
    return at !== undefined;
  }
  setFaults(bus: number, faults: readonly Fault[]): boolean {
    const at = this.buses[bus];
    if (at) at.faults = faults;
    return at !== undefined;
  }
}
