import type { z } from 'zod';
import { busesOf, devicesOn } from '$core/links/buses';
import { plannedOf } from '$core/links/field/planned';
import type {
  AddressAnswer,
  ScanLine,
  ScanRequest,
  SetUpAnswer,
  UnitAnswer,
  addressRequest,
  setUpRequest,
  unitRequest,
} from '$lib/schemas/field';
import type { FleetOrder, FleetView } from '$lib/schemas/standIns/steering';
import { FLEET_PORT, fleetViewSchema, portsOf } from '$lib/schemas/standIns/steering';
import { BusGone, FieldBus } from '../field/fieldBus';
import { addressGiven } from '../field/giveAddress';
import { setUpGiven } from '../field/giveSetUp';
import { scanned } from '../field/scan';
import { unitRead } from '../field/unitRead';
import { reported } from '../log';
import { Problem } from '../problem';
import type { Context } from './context';
import { loadDesign } from './designs';

/** The fleet of stand-ins beside this server: shown, steered, scanned and written to. Nothing but the loopback is ever spoken to. */

const firstPort = () => Number(process.env.YARD_FLEET_PORT ?? FLEET_PORT);
const away = (detail: string) => new Problem(503, 'No stand-ins', detail, [{ pointer: '', detail }]);
const WAIT_MS = 3000;

async function toFleet(order?: FleetOrder): Promise<FleetView> {
  const response = await fetch(`http://127.0.0.1:${firstPort()}`, {
    signal: AbortSignal.timeout(WAIT_MS),
    ...(order ? { method: 'POST', body: JSON.stringify(order) } : {}),
  }).catch(() => {
    throw away('The stand-ins do not answer: they start with ./yard up, or their port is taken.');
  });
  if (response.status === 404)
    throw new Problem(404, 'No such bus', 'The fleet has no such bus.', [
      { pointer: '/bus', detail: 'must be a bus of the fleet' },
    ]);
  if (!response.ok) throw away('The stand-ins refuse what they were told.');
  return fleetViewSchema.parse(await response.json());
}
export const standInsNow = (): Promise<FleetView> => toFleet();
export const steerStandIns = (order: FleetOrder): Promise<FleetView> => toFleet(order);

async function onBus<T>(
  { bus, speaks, timeoutMs }: { bus: number; speaks: ScanRequest['speaks']; timeoutMs: number },
  of: (on: FieldBus) => Promise<T>,
): Promise<T> {
  const ports = portsOf(firstPort(), bus);
  try {
    const on = await FieldBus.open(speaks === 'Modbus TCP' ? ports.tcp : ports.rtu, speaks, timeoutMs);
    try {
      return await of(on);
    } finally {
      on.close();
    }
  } catch (cause) {
    if (cause instanceof BusGone) throw away(cause.message);
    throw cause;
  }
}

/** A scan as lines of JSON, one as each address is asked; it ends when whoever asked goes away. */
export async function busScan(
  context: Context,
  siteId: string,
  asked: ScanRequest,
  signal: AbortSignal,
): Promise<ReadableStream<Uint8Array>> {
  const { design } = await loadDesign(context, siteId);
  const bus = busesOf(design.chain)[asked.bus];
  const plan = bus === undefined ? [] : plannedOf(devicesOn(design.chain, bus));
  const stop = new AbortController();
  signal.addEventListener('abort', () => stop.abort());
  const encoder = new TextEncoder();
  return new ReadableStream({
    start(to) {
      const send = (line: ScanLine) => to.enqueue(encoder.encode(`${JSON.stringify(line)}\n`));
      const work = onBus(asked, async (bus) => {
        for await (const line of scanned(bus, plan, asked, stop.signal)) send(line);
      });
      void work
        .catch((cause: unknown) => {
          if (stop.signal.aborted) return;
          const why =
            cause instanceof Problem
              ? cause.detail
              : cause instanceof RangeError
                ? cause.message
                : `What failed stands ${reported(cause)}.`;
          send({ failed: why });
        })
        .finally(() => {
          if (!stop.signal.aborted) to.close();
        });
    },
    cancel: () => stop.abort(),
  });
}

/** How long an answer is waited for while an address is written, ms. */
const WRITE_WAIT_MS = 400;

/** Gives one unit another address, read back; a Problem says what is not so. */
export async function giveAddress(
  context: Context,
  siteId: string,
  { bus, speaks, ...wanted }: z.infer<typeof addressRequest>,
): Promise<AddressAnswer> {
  await loadDesign(context, siteId);
  return onBus({ bus, speaks, timeoutMs: WRITE_WAIT_MS }, (on) => addressGiven(on, wanted));
}

/** What one unit says of itself. */
export async function readUnit(
  context: Context,
  siteId: string,
  { bus, speaks, address }: z.infer<typeof unitRequest>,
): Promise<UnitAnswer> {
  await loadDesign(context, siteId);
  return onBus({ bus, speaks, timeoutMs: WRITE_WAIT_MS }, (on) => unitRead(on, address, context.now().getTime()));
}

/** Sets clock and grid code of one unit, read back. */
export async function giveSetUp(
  context: Context,
  siteId: string,
  { bus, speaks, ...wanted }: z.infer<typeof setUpRequest>,
): Promise<SetUpAnswer> {
  await loadDesign(context, siteId);
  return onBus({ bus, speaks, timeoutMs: WRITE_WAIT_MS }, (on) =>
    setUpGiven(on, wanted, () => context.now().getTime()),
  );
}
