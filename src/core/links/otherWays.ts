import { z } from 'zod';
import type { Answer } from '../kernel/answer';
import { given, known } from '../kernel/answer';
import { partId, partName, quantity } from '../kernel/schema';
import { ipPlan } from './ethernet/ipPlan';

/** Ways to units beside the RS-485 buses: Ethernet from unit to unit, radio, carriers on the power line, exclusive service ports. */

const label = partName.meta({ description: 'Called' });
const address = (description: string) =>
  z
    .string()
    .trim()
    .regex(/^\d{1,3}(\.\d{1,3}){3}$/, 'Write four numbers, as 192.0.2.0.')
    .nullable()
    .meta({ description });
const whole = (min: number, max: number, description: string) => quantity(min, max, '', description).int().nullable();

const ethernetSchema = z.object({
  id: partId,
  label,
  units: whole(1, 247, 'Units on it'),
  longestM: quantity(0.1, 10_000, 'm', 'Longest hop with its cords').nullable(),
  ring: z.boolean().nullable().meta({ description: 'Closed to a ring' }),
  ringAllowed: z.boolean().nullable().meta({ description: 'Every unit supports a ring' }),
  network: address('Network'),
  prefix: whole(8, 30, 'Prefix'),
  gateway: address('Gateway'),
  first: whole(1, 16_000_000, 'First host'),
});
export type EthernetWay = z.infer<typeof ethernetSchema>;

const radioSchema = z.object({
  id: partId,
  label,
  distanceM: quantity(0.1, 100_000, 'm', 'Distance').nullable(),
  mhz: quantity(1, 100_000, 'MHz', 'Frequency').nullable(),
  powerDbm: quantity(-50, 50, 'dBm', 'Power sent').nullable(),
  gainDb: quantity(-20, 60, 'dB', 'Gain of both antennas').nullable(),
  wallsDb: quantity(0, 200, 'dB', 'Lost in walls').nullable(),
  sensitivityDbm: quantity(-150, 0, 'dBm', 'Sensitivity').nullable(),
});
export type RadioWay = z.infer<typeof radioSchema>;

const carrierSchema = z.object({
  id: partId,
  label,
  sameSecondary: z.boolean().nullable().meta({ description: 'One transformer secondary' }),
  sameBusbar: z.boolean().nullable().meta({ description: 'One bus bar' }),
});
export type CarrierWay = z.infer<typeof carrierSchema>;

const servicePortSchema = z.object({
  id: partId,
  label,
  firstPlugged: z.boolean().nullable().meta({ description: 'First port plugged' }),
  secondPlugged: z.boolean().nullable().meta({ description: 'Second port plugged' }),
});
export type ServicePorts = z.infer<typeof servicePortSchema>;

const MOST_WAYS = 40;
export const otherWaysSchema = z.object({
  ethernet: z.array(ethernetSchema).max(MOST_WAYS).default([]).meta({ description: 'Unit to unit by Ethernet' }),
  radio: z.array(radioSchema).max(MOST_WAYS).default([]).meta({ description: 'Radio links' }),
  carriers: z.array(carrierSchema).max(MOST_WAYS).default([]).meta({ description: 'Carriers on the power line' }),
  servicePorts: z
    .array(servicePortSchema)
    .max(MOST_WAYS)
    .default([])
    .meta({ description: 'Units with service ports that exclude one another' }),
});
export type OtherWays = z.infer<typeof otherWaysSchema>;
export const NO_OTHER_WAYS: OtherWays = { ethernet: [], radio: [], carriers: [], servicePorts: [] };

/** The addresses of an Ethernet by its plan, or why it has none. */
export type IpAddresses = { readonly given: readonly string[] } | { readonly refused: string };

/** Addresses of the units of an Ethernet, in their order. */
export function addressesOf({ units, network, prefix, gateway, first }: EthernetWay): Answer<IpAddresses> {
  const asked = given(
    {
      'units on the Ethernet': units,
      'network of the Ethernet': network,
      'prefix of the Ethernet': prefix,
      'gateway of the Ethernet': gateway,
      'first host of the Ethernet': first,
    },
    (k) => ({
      units: k['units on the Ethernet'],
      network: k['network of the Ethernet'],
      prefix: k['prefix of the Ethernet'],
      gateway: k['gateway of the Ethernet'],
      first: k['first host of the Ethernet'],
    }),
  );
  if (asked.value === null) return asked;
  try {
    return known({ given: ipPlan({ ...asked.value, reserved: [] }) });
  } catch (cause) {
    if (!(cause instanceof RangeError)) throw cause;
    return known({ refused: cause.message });
  }
}
