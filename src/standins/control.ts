import type { IncomingMessage, ServerResponse } from 'node:http';
import { createServer } from 'node:http';
import { z } from 'zod';
import type { FleetConfig } from '$lib/schemas/standIns/config';
import { Fleet } from './fleet';
import type { Gateway } from './gateway';
import { openGateway } from './gateway';
import type { FleetOrder, FleetView } from '$lib/schemas/standIns/steering';
import { orderSchema, portsOf } from '$lib/schemas/standIns/steering';

/** The fleet as a process: its ports on the loopback, and one more by which it is shown and steered. */

const LOOPBACK = '127.0.0.1';
const TICK_MS = 1000;
const BODY_MOST = 200_000;
const BUSES_MOST = 8;

function viewOf(fleet: Fleet, firstPort: number): FleetView {
  return {
    standIn: true,
    config: fleet.config,
    hour: fleet.hour,
    buses: fleet.buses.map((bus, i) => ({
      tcpPort: portsOf(firstPort, i).tcp,
      rtuPort: portsOf(firstPort, i).rtu,
      faults: [...bus.faults],
      only: bus.only,
      units: bus.units.map((u) => ({
        address: u.address,
        serial: u.plate.serial,
        type: u.plate.type,
        modelCode: u.plate.modelCode,
        state: u.state.state,
        countdownS: u.state.countdownS,
        event: u.event,
        powerW: u.powerW,
        terminalV: u.terminalV,
      })),
    })),
  };
}

async function bodyOf(request: IncomingMessage): Promise<unknown> {
  let text = '';
  for await (const part of request) {
    text += String(part);
    if (text.length > BODY_MOST) throw new RangeError('body too large');
  }
  return JSON.parse(text) as unknown;
}

/** Opens the ports and keeps the fleet going until it is closed. Rejects where a port is taken. */
export async function runFleet(config: FleetConfig, firstPort: number) {
  let fleet = new Fleet(config);
  const nowS = () => Date.now() / 1000;
  const gateways: Gateway[] = [];
  const openAll = async () => {
    for (let bus = gateways.length; bus < Math.min(BUSES_MOST, fleet.buses.length); bus++)
      gateways.push(await openGateway(() => fleet.buses[bus], portsOf(firstPort, bus), nowS));
  };
  await openAll();
  const ticking = setInterval(() => fleet.tick(), TICK_MS);

  async function obey(order: FleetOrder): Promise<boolean> {
    if (order.do === 'faults') return fleet.setFaults(order.bus, order.faults);
    if (order.do === 'power') return fleet.power(order.bus, order.only);
    if (order.do === 'restart gateway') {
      gateways[order.bus]?.restart(order.seconds);
      return gateways[order.bus] !== undefined;
    }
    fleet = new Fleet(order.config);
    await openAll();
    return true;
  }

  const say = (response: ServerResponse, status: number, body: unknown) => {
    response.writeHead(status, { 'content-type': 'application/json' });
    response.end(JSON.stringify(body));
  };
  const control = createServer((request, response) => {
    const handled = async () => {
      if (request.method === 'GET') return say(response, 200, viewOf(fleet, firstPort));
      if (request.method !== 'POST') return say(response, 405, { error: 'GET or POST' });
      const order = orderSchema.safeParse(await bodyOf(request));
      if (!order.success) return say(response, 422, { error: z.prettifyError(order.error) });
      return (await obey(order.data))
        ? say(response, 200, viewOf(fleet, firstPort))
        : say(response, 404, { error: 'no such bus' });
    };
    handled().catch((cause: unknown) =>
      say(response, 400, { error: cause instanceof Error ? cause.message : 'bad request' }),
    );
  });
  await new Promise<void>((resolve, reject) => {
    control.once('error', reject);
    control.listen(firstPort, LOOPBACK, resolve);
  });
  return {
    async close() {
      clearInterval(ticking);
      await Promise.all([...gateways.map((g) => g.close()), new Promise((resolve) => control.close(resolve))]);
    },
  };
}
