import { z } from 'zod';
import { FINDINGS } from '$core/links/field/compare';
import { CAUSES } from '$core/links/field/symptoms';
import { FLEET_BUSES } from './standIns/config';
import type { Cause } from '$core/links/field/symptoms';

/** Work on a bus of stand-ins: which one, and how it is spoken to. */
const onBus = {
  bus: z
    .number()
    .int()
    .min(0)
    .max(FLEET_BUSES - 1)
    .default(0)
    .meta({ description: 'Bus of the stand-ins, from 0' }),
  speaks: z
    .enum(['Modbus TCP', 'RTU over TCP'])
    .default('RTU over TCP')
    .meta({ description: 'A gateway hides wrong bytes as silence; RTU shows them' }),
};

export const scanRequest = z.object({
  ...onBus,
  times: z.number().int().min(1).max(100).default(1).meta({ description: 'Questions to each unit' }),
  all: z.boolean().default(false).meta({ description: 'All 247 addresses, not the planned ones and 1 alone' }),
  timeoutMs: z.number().int().min(20).max(5000).default(300).meta({ unit: 'ms', description: 'Wait for an answer' }),
});
export type ScanRequest = z.infer<typeof scanRequest>;

const findingSchema = z.object({
  address: z.number(),
  label: z.string(),
  kind: z.enum(FINDINGS),
  serials: z.array(z.string()),
  belongsAt: z.number().nullable(),
});
export const scanResult = z.object({
  standIn: z.literal(true).meta({ description: 'What answered were stand-ins, no real devices' }),
  findings: z.array(findingSchema),
  /** The planned units in the order of the chain: shares of good answers, wrong bytes and silence. */
  rates: z.array(
    z.object({
      label: z.string(),
      ok: z.number(),
      crc: z.number(),
      silent: z.number(),
      late: z.boolean().meta({ description: 'It answers, but later than it was waited for' }),
    }),
  ),
  symptom: z.object({ code: z.enum(Object.keys(CAUSES) as [Cause, ...Cause[]]), at: z.number().nullable() }).nullable(),
  times: z.number().meta({ description: 'Questions to each unit' }),
  tookS: z.number(),
});
export type ScanResult = z.infer<typeof scanResult>;

/** A line of a scan: how far it is, what came of it, or why it ended. */
export const scanLine = z.union([
  z.object({ asked: z.number(), of: z.number(), address: z.number() }),
  z.object({ done: scanResult }),
  z.object({ failed: z.string() }),
]);
export type ScanLine = z.infer<typeof scanLine>;

export const addressRequest = z.object({
  ...onBus,
  serial: z.string().min(1).max(16).meta({ description: 'Serial of the unit as it is read at its address' }),
  from: z.number().int().min(1).max(247),
  to: z.number().int().min(1).max(247),
});
export const addressAnswer = z.object({
  standIn: z.literal(true),
  serial: z.string(),
  from: z.number(),
  to: z.number(),
  /** What was read back, a step each. */
  steps: z.array(z.string()),
});
export type AddressAnswer = z.infer<typeof addressAnswer>;

export const unitRequest = z.object({ ...onBus, address: z.number().int().min(1).max(247) });
const unitShape = {
  standIn: z.literal(true),
  address: z.number(),
  serial: z.string(),
  type: z.enum(['inverter', 'meter']),
  firmware: z.string(),
  ratedKw: z.number().meta({ unit: 'kW' }),
  bitRate: z.number().nullable().meta({ unit: 'bit/s' }),
  gridCode: z.number().nullable().meta({ description: 'Code of the register map; 0 not set' }),
  clockAheadS: z.number().nullable().meta({ unit: 's', description: 'Its clock ahead of the server' }),
};
export const unitAnswer = z.object(unitShape);
export type UnitAnswer = z.infer<typeof unitAnswer>;

export const setUpRequest = z.object({
  ...onBus,
  serial: addressRequest.shape.serial,
  address: z.number().int().min(1).max(247),
  gridCode: z
    .number()
    .int()
    .min(1)
    .max(4)
    .nullable()
    .meta({ description: 'Code of the register map; null: left as it is' }),
});
export const setUpAnswer = z.object({ ...unitShape, steps: z.array(z.string()) });
export type SetUpAnswer = z.infer<typeof setUpAnswer>;
