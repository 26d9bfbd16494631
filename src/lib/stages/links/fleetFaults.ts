import { runResults } from '$core/ac/results';
import type { SiteDesign } from '$core/design';
import { busesOf, devicesOn } from '$core/links/buses';
import { isUnit } from '$core/links/segments';
import { FACTORY_ADDRESS } from '$core/links/addresses';
import type { Fault, FleetConfig } from '$lib/schemas/standIns/config';
import { DEFAULT_FLEET, FLEET_BUSES } from '$lib/schemas/standIns/config';

/** Faults of the stand-ins that the page offers, each at one unit or of the whole bus. */
export const UNIT_FAULTS = (
  [
    'duplicate address',
    'dead unit',
    'swapped pair',
    'broken hop',
    'crossed hop',
    'slow unit',
    'noise',
    'missing terminator',
    'not initialised',
    'DC below start',
    'isolation low',
    'grid high',
    'fan warning',
    'clock wrong',
    'reversed CT',
    'swapped CT',
    'wrong CT ratio',
  ] as const
).map((kind) => ({ value: kind, name: kind }));
export type UnitFault = (typeof UNIT_FAULTS)[number]['value'];

const SLOW_S = 2;
const NOISE = 0.3;
const LOW_KOHM = 20;
const HIGH_V = 445;
const CLOCK_OFF_S = 5400;
const RATIO = 2;

/** The fault with what it needs besides its unit; a duplicate takes the address of this unit for the next one. */
export function faultOf(kind: UnitFault, unit: number, units: number): Fault {
  switch (kind) {
    case 'duplicate address':
      return { kind, unit, other: unit < units ? unit + 1 : 1 };
    case 'slow unit':
      return { kind, unit, delayS: SLOW_S };
    case 'noise':
      return { kind, rate: NOISE };
    case 'missing terminator':
      return { kind, end: 'far' };
    case 'isolation low':
      return { kind, unit, kohm: LOW_KOHM };
    case 'clock wrong':
      return { kind, unit, offsetS: CLOCK_OFF_S };
    case 'reversed CT':
      return { kind, channel: 1 };
    case 'swapped CT':
      return { kind, channel: 1, other: 2 };
    case 'wrong CT ratio':
      return { kind, factor: RATIO };
    case 'grid high':
      return { kind, lineV: HIGH_V };
    default:
      return { kind, unit };
  }
}

export function faultWords(f: Fault): string {
  const at = 'unit' in f ? ` at ${f.unit}` : '';
  return f.kind === 'duplicate address' ? `duplicate address: ${f.unit} and ${f.other}` : `${f.kind}${at}`;
}

const RATES: readonly number[] = [9600, 19_200, 38_400, 57_600, 115_200];

/** A fleet with the units of a design at their addresses, bus by bus as far as it has so many: their serials where the plan knows them, a meter where the chain ends in one, the supply of the site and the resistance of every AC run. */
export function fleetLike(design: SiteDesign, was: FleetConfig = DEFAULT_FLEET): FleetConfig {
  const { chain, survey } = design;
  const bitRate = RATES.includes(chain.bitRate ?? 0) ? (chain.bitRate as 9600) : 9600;
  const runs = new Map(runResults(design).map((r) => [r.run.inverterId, r.impedance.value]));
  return {
    ...was,
    gridLineV: survey.lineV ?? was.gridLineV,
    frequencyHz: survey.frequencyHz ?? was.frequencyHz,
    buses: busesOf(chain)
      .slice(0, FLEET_BUSES)
      .map((bus) => {
        const units = devicesOn(chain, bus).filter((d) => isUnit(d) && d.address !== null);
        return {
          addresses: units.length ? units.map((d) => d.address as number) : [1],
          meter: units.at(-1)?.kind === 'meter',
          serials: units.map((d) => d.serial),
          runOhms: units.map((d) => runs.get(d.inverterId ?? '')?.ohm ?? null),
          bitRate,
          faults: [],
        };
      }),
  };
}

/** The same fleet as it comes out of its boxes: every unit at the factory address, no grid code set. */
export const fromTheBox = (config: FleetConfig): FleetConfig => ({
  ...config,
  gridCode: 0,
  buses: config.buses.map((b) => ({ ...b, addresses: b.addresses.map(() => FACTORY_ADDRESS) })),
});
