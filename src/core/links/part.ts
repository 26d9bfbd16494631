import { z } from 'zod';
import type { PartOf, Shape } from '../kernel/discipline';
import type { Flaw } from '../kernel/integrity';
import { dangling, repeated } from '../kernel/integrity';
import { partId, partName, quantity } from '../kernel/schema';
import type { Base } from '../site/base';
import type { SiteInverter } from '../site/parts';
import { positionSchema } from '../site/position';
import { BIT_RATES } from './bitRates';
import { FIRST_BUS, MOST_BUSES, busesOf } from './buses';
import { UNKNOWN_LINE, busLineSchema } from './line/busLine';
import type { OtherWays } from './otherWays';
import { NO_OTHER_WAYS, otherWaysSchema } from './otherWays';
import { UNKNOWN_POLL, pollPlanSchema } from './timing/pollPlan';

export const chainDeviceSchema = z.object({
  id: partId,
  kind: z.enum(['logger', 'inverter', 'meter', 'repeater']),
  label: partName,
  /** Each bus is a pair of its own, with its own port of a logger. */
  bus: z
    .number({ error: 'Enter a number.' })
    .int('Whole buses.')
    .min(FIRST_BUS, `Buses are numbered from ${FIRST_BUS} to ${MOST_BUSES}.`)
    .max(MOST_BUSES, `Buses are numbered from ${FIRST_BUS} to ${MOST_BUSES}.`)
    .default(FIRST_BUS)
    .meta({ description: 'Bus' }),
  inverterId: partId.nullable(),
  /** Null: still at the address it shipped with. A logger has none. */
  address: z.number().int().min(1, 'Addresses run from 1 to 247.').max(247, 'Addresses run from 1 to 247.').nullable(),
  terminated: z.boolean(),
  unitLoads: quantity(0.03125, 4, 'unit loads', 'Unit loads of a logger, meter or side of a repeater').nullable(),
  position: positionSchema.nullable(),
  /** The logger that it is a further port of, and stands where that does. */
  portOf: partId.nullable().default(null),
  entryM: quantity(0, 50, 'm', 'Cable a landed end takes'),
  /** Measured route to `hopFromId`; null: reckoned from the positions. */
  hopM: quantity(0.1, 2000, 'm', 'Measured route from the device before').nullable(),
  /** The other end of the measured route: where another device comes to stand before this one, nothing is measured. */
  hopFromId: partId.nullable().default(null),
  /** Of the unit that was delivered; null: not read yet. */
  serial: z
    .string()
    .trim()
    .min(1)
    .max(16, 'At most 16 characters.')
    .nullable()
    .default(null)
    .meta({ description: 'Serial number' }),
  /** Whether a logger may stand inside the chain: its own terminator can be taken out. Null: nobody looked. */
  terminatorOut: z.boolean().nullable().default(null).meta({ description: 'Its terminator can be turned off' }),
  /** Of a repeater, towards the devices behind it: its terminator there, and whether it biases that pair (null: nobody said). */
  terminatedBeyond: z.boolean().default(false),
  biasedBeyond: z
    .boolean()
    .nullable()
    .default(null)
    .meta({ description: 'It biases the pair behind it, as the pair is biased' }),
  /** Branch from the chain to the device; 0: landed in–out. */
  stubM: quantity(0, 500, 'm', 'Stub off the chain, 0 if landed in–out').nullable().default(null),
});
export type ChainDevice = z.infer<typeof chainDeviceSchema>;

/** The RS-485 chain in order, the logger or lead unit of each bus first. */
export const chainSchema = z.object({
  bitRate: z
    .union(BIT_RATES.map((r) => z.literal(r)))
    .nullable()
    .meta({ unit: 'bit/s', description: 'Bit rate' }),
  devices: z.array(chainDeviceSchema).max(600),
  line: busLineSchema.default(UNKNOWN_LINE),
  poll: pollPlanSchema.default(UNKNOWN_POLL),
  otherWays: otherWaysSchema.default(NO_OTHER_WAYS),
});
export type Chain = z.infer<typeof chainSchema>;

export const linksShape = {
  chain: chainSchema.default({
    bitRate: null,
    devices: [],
    line: UNKNOWN_LINE,
    poll: UNKNOWN_POLL,
    otherWays: NO_OTHER_WAYS,
  }),
} as const satisfies Shape;

/** What the chain works on: the base and its own part. */
export type LinksDesign = Base & PartOf<typeof linksShape>;

/** A device that joined the chain and of which nothing more is known. */
export const newDevice = (id: string, kind: ChainDevice['kind'], label: string): ChainDevice => ({
  id,
  kind,
  label,
  bus: FIRST_BUS,
  inverterId: null,
  address: null,
  terminated: false,
  unitLoads: null,
  position: null,
  portOf: null,
  entryM: 1,
  hopM: null,
  hopFromId: null,
  serial: null,
  terminatorOut: null,
  terminatedBeyond: false,
  biasedBeyond: null,
  stubM: null,
});

/** An inverter as it stands in the chain before anybody touched it. */
export const chainDeviceOf = (inverter: SiteInverter): ChainDevice => ({
  ...newDevice(`dev-${inverter.id}`, 'inverter', inverter.tag),
  inverterId: inverter.id,
});

/** Devices that stand twice, addresses that do on one bus, devices of no inverter, ports of no logger. */
export function linksFlaws({ chain, inverters }: LinksDesign): Flaw[] {
  const items = chain.devices;
  const list = 'chain.devices';
  const ofInverter = { items, list, field: 'inverterId', key: (c: ChainDevice) => c.inverterId };
  return [
    ...repeated({ items, list, field: 'id', key: (c) => c.id, what: 'Chain device' }),
    ...repeated({ ...ofInverter, what: 'Inverter' }),
    ...busesOf(chain).flatMap((bus) => {
      const key = (c: ChainDevice) => (c.bus === bus ? c.address?.toString() : null);
      return repeated({ items, list, field: 'address', key, what: 'Address' });
    }),
    ...otherWaysFlaws(chain.otherWays),
    ...repeated({ items, list, field: 'serial', key: (c) => c.serial, what: 'Serial number' }),
    ...dangling({ ...ofInverter, what: 'inverter' }, inverters),
    ...dangling(
      { items, list, field: 'portOf', key: (c) => c.portOf, what: 'logger' },
      items.filter((c) => c.kind === 'logger' && c.portOf === null),
    ),
  ];
}

/** Ways beside the bus that stand twice, or go by one name. */
const otherWaysFlaws = (ways: OtherWays): Flaw[] =>
  Object.entries(ways).flatMap(([kind, items]: [string, readonly { readonly id: string; readonly label: string }[]]) =>
    (['id', 'label'] as const).flatMap((field) =>
      repeated({ items, list: `chain.otherWays.${kind}`, field, key: (w) => w[field], what: 'A way called' }),
    ),
  );
