import { z } from 'zod';

/** What a fleet of stand-ins is made of, and what is wrong with it. */

const count = (min: number, max: number, what: string) => z.number().int().min(min, what).max(max, what);
const unit = count(1, 247, 'Units count from 1 to 247.').meta({ description: 'Place of the unit on its bus, from 1' });
const channel = count(1, 3, 'Channels are 1 to 3.');

export const faultSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('duplicate address'), unit, other: unit }),
  z.object({ kind: z.literal('missing terminator'), end: z.enum(['near', 'far', 'both']) }),
  z.object({ kind: z.literal('swapped pair'), unit }),
  z.object({ kind: z.literal('crossed hop'), unit }),
  z.object({ kind: z.literal('broken hop'), unit }),
  z.object({ kind: z.literal('dead unit'), unit }),
  z.object({ kind: z.literal('noise'), rate: z.number().min(0).max(1) }),
  z.object({ kind: z.literal('slow unit'), unit, delayS: z.number().min(0).max(60) }),
  z.object({ kind: z.literal('grid high'), lineV: z.number().min(100).max(1500) }),
  z.object({ kind: z.literal('DC below start'), unit }),
  z.object({ kind: z.literal('fan warning'), unit }),
  z.object({ kind: z.literal('reversed CT'), channel }),
  z.object({ kind: z.literal('swapped CT'), channel, other: channel }),
  z.object({ kind: z.literal('wrong CT ratio'), factor: z.number().min(0.01).max(100) }),
  z.object({ kind: z.literal('isolation low'), unit, kohm: z.number().min(0).max(10_000) }),
  z.object({ kind: z.literal('not initialised'), unit }),
  z.object({ kind: z.literal('clock wrong'), unit, offsetS: z.number().int().min(-1e8).max(1e8) }),
]);
export type Fault = z.infer<typeof faultSchema>;

/** Most buses of the fleet: two ports each. */
export const FLEET_BUSES = 8;

export const busConfigSchema = z.object({
  /** Of every unit in the order of the chain; the meter, where there is one, is the last. */
  addresses: z
    .array(count(1, 247, 'Addresses run from 1 to 247.'))
    .min(1)
    .max(247),
  meter: z.boolean(),
  /** Serials by place; null and past the end: the fleet's own. */
  serials: z.array(z.string().min(1).max(16).nullable()).max(247).optional(),
  /** Between a unit and the board by place, Ω; null and past the end: that of the fleet. */
  runOhms: z.array(z.number().min(0).max(5).nullable()).max(247).optional(),
  bitRate: z.literal([9600, 19_200, 38_400, 57_600, 115_200]),
  faults: z.array(faultSchema).max(40).default([]),
});
export type BusConfig = z.infer<typeof busConfigSchema>;

export const fleetConfigSchema = z.object({
  seed: z
    .number()
    .int()
    .min(0)
    .max(2 ** 31 - 1),
  buses: z.array(busConfigSchema).min(1).max(FLEET_BUSES),
  /** Hour of the simulated day at which it begins, and of how many real seconds one of its seconds is. */
  hour: z.number().min(0).max(24),
  gridLineV: z.number().min(100).max(1000),
  frequencyHz: z.number().min(45).max(65),
  ambientC: z.number().min(-40).max(70),
  /** Between every unit and the board, Ω. */
  runOhm: z.number().min(0).max(5),
  /** Grid code that every unit has been set to; 0: not set yet. */
  gridCode: z.number().int().min(0).max(4),
  /** How much faster the line is than a real one. */
  speed: z.number().min(1).max(1000),
  turnaroundS: z.number().min(0).max(5),
  /** How long the gateway waits for a unit. */
  timeoutS: z.number().min(0.01).max(10),
});
export type FleetConfig = z.infer<typeof fleetConfigSchema>;

/** Ten inverters and a meter on one bus. */
export const DEFAULT_FLEET: FleetConfig = {
  seed: 1,
  buses: [
    {
      addresses: [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 100],
      meter: true,
      serials: [],
      runOhms: [],
      bitRate: 9600,
      faults: [],
    },
  ],
  hour: 11,
  gridLineV: 400,
  frequencyHz: 50,
  ambientC: 20,
  runOhm: 0.02,
  gridCode: 1,
  speed: 1,
  turnaroundS: 0.05,
  timeoutS: 0.2,
};
