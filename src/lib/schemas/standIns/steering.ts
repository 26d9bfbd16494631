import { z } from 'zod';
import { FLEET_BUSES, faultSchema, fleetConfigSchema } from './config';

/** How a fleet of stand-ins is told what to do, and what it shows. */

export const orderSchema = z.discriminatedUnion('do', [
  z.object({ do: z.literal('set up'), config: fleetConfigSchema }),
  z.object({
    do: z.literal('faults'),
    bus: z
      .number()
      .int()
      .min(0)
      .max(FLEET_BUSES - 1),
    faults: z.array(faultSchema).max(40),
  }),
  z.object({
    do: z.literal('power'),
    bus: z
      .number()
      .int()
      .min(0)
      .max(FLEET_BUSES - 1),
    only: z
      .number()
      .int()
      .min(1)
      .max(247)
      .nullable()
      .meta({ description: 'Place of the one unit that has power; null: all' }),
  }),
  z.object({
    do: z.literal('restart gateway'),
    bus: z
      .number()
      .int()
      .min(0)
      .max(FLEET_BUSES - 1),
    seconds: z.number().min(0).max(60),
  }),
]);
export type FleetOrder = z.infer<typeof orderSchema>;

/** Where the fleet is steered unless told otherwise; the ports of its buses lie behind. */
export const FLEET_PORT = 24_180;

/** Ports of a bus: two each from the first on. */
export const portsOf = (firstPort: number, bus: number) => ({
  tcp: firstPort + 1 + 2 * bus,
  rtu: firstPort + 2 + 2 * bus,
});

/** How the fleet stands, for a page. */
export const fleetViewSchema = z.object({
  standIn: z.literal(true),
  config: fleetConfigSchema,
  hour: z.number(),
  buses: z.array(
    z.object({
      tcpPort: z.number(),
      rtuPort: z.number(),
      faults: z.array(faultSchema),
      only: z.number().nullable(),
      units: z.array(
        z.object({
          address: z.number(),
          serial: z.string(),
          type: z.enum(['inverter', 'meter']),
          modelCode: z.number(),
          state: z.number(),
          countdownS: z.number().nullable(),
          event: z.number(),
          powerW: z.number(),
          terminalV: z.number(),
        }),
      ),
    }),
  ),
});
export type FleetView = z.infer<typeof fleetViewSchema>;
