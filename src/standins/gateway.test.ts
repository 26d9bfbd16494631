import { once } from 'node:events';
import { Socket, connect } from 'node:net';
import { client as jsmodbus } from 'jsmodbus';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { openRtu, readPdu, rtuFrame } from '$core/links/modbus/frames';
import { valueOf } from '$core/links/modbus/registerMap';
import { DEFAULT_FLEET } from '$lib/schemas/standIns/config';
import type { FleetView } from '$lib/schemas/standIns/steering';
import { runFleet } from './control';
import { portsOf } from '$lib/schemas/standIns/steering';
import { freePort } from '../../scripts/ports.mjs';

let port = 0;
let fleet: Awaited<ReturnType<typeof runFleet>>;
beforeEach(async () => {
  port = await freePort(5);
  fleet = await runFleet({ ...DEFAULT_FLEET, speed: 100, turnaroundS: 0, timeoutS: 0.05 }, port);
});
afterEach(() => fleet.close());

async function socketTo(to: number) {
  const socket = connect(to, '127.0.0.1');
  await once(socket, 'connect');
  return socket;
}
/** Another library as the one that asks. */
async function asking<T>(unit: number, of: (c: InstanceType<typeof jsmodbus.TCP>) => Promise<T>): Promise<T> {
  return askingAt(portsOf(port, 0).tcp, unit, of);
}
async function askingAt<T>(
  to: number,
  unit: number,
  of: (c: InstanceType<typeof jsmodbus.TCP>) => Promise<T>,
): Promise<T> {
  // It counts itself connected by an event that it must not miss.
  const socket = new Socket();
  const client = new jsmodbus.TCP(socket, unit, 2000);
  socket.connect(to, '127.0.0.1');
  await once(socket, 'connect');
  try {
    return await of(client);
  } finally {
    socket.destroy();
  }
}
const wordsOf = async (unit: number, at: number, count: number) =>
  asking(unit, async (c) => [...(await c.readHoldingRegisters(at, count)).response.body.valuesAsArray]);
const order = async (body: unknown) => {
  const response = await fetch(`http://127.0.0.1:${port}`, { method: 'POST', body: JSON.stringify(body) });
  return { status: response.status, view: (await response.json()) as FleetView };
};

describe('a fleet behind its gateway', () => {
  it('is read by another library, by both read functions', async () => {
    expect(valueOf('serial', await wordsOf(3, 10, 8))).toBe('BY24-01000300001');
    const input = await asking(3, async (c) => [...(await c.readInputRegisters(0, 1)).response.body.valuesAsArray]);
    expect(input).toEqual([0x4259]);
  });
  it('says with an exception what it has not, and who is silent', async () => {
    const refused = async (unit: number, at: number) =>
      wordsOf(unit, at, 1).then(
        () => 'answered',
        (e: { response?: { body: { code: number } } }) => e.response?.body.code,
      );
    expect(await refused(3, 24)).toBe(2);
    expect(await refused(55, 0)).toBe(11);
  });
  it('takes what another library writes, and is at its new address then', async () => {
    await asking(10, async (c) => {
      await c.writeSingleRegister(39, 0x5a5a);
      await c.writeSingleRegister(30, 20);
    });
    expect(await wordsOf(20, 30, 1)).toEqual([20]);
  });
  it('asked several things at once, answers each', async () => {
    const read = await asking(1, (c) => Promise.all([0, 1, 2, 3].map((at) => c.readHoldingRegisters(at, 1))));
    expect(read.map((r) => r.response.body.valuesAsArray[0])).toEqual([0x4259, 100, 1, expect.any(Number)]);
  });
  it('speaks RTU over TCP, and drops a wrong CRC in silence', async () => {
    const socket = await socketTo(portsOf(port, 0).rtu);
    const question = rtuFrame({ unit: 3, pdu: readPdu(100, 1) });
    const wrong = question.map((b, i) => (i === 7 ? b ^ 1 : b));
    socket.write(wrong);
    socket.write(question.slice(0, 3));
    socket.write(question.slice(3));
    const [answer] = (await once(socket, 'data')) as [Buffer];
    expect(openRtu(answer)).toMatchObject({ unit: 3 });
    socket.destroy();
  });
  it('lets go of whoever speaks another protocol', async () => {
    const socket = await socketTo(portsOf(port, 0).tcp);
    socket.write('GET / HTTP/1.1\r\n\r\n');
    await once(socket, 'close');
    expect(await wordsOf(1, 0, 1)).toEqual([0x4259]);
  });
  it('is away while its gateway starts again, and then there', async () => {
    expect((await order({ do: 'restart gateway', bus: 0, seconds: 0.3 })).status).toBe(200);
    await new Promise((resolve) => setTimeout(resolve, 50));
    await expect(socketTo(portsOf(port, 0).tcp)).rejects.toThrow(/ECONNREFUSED/);
    await new Promise((resolve) => setTimeout(resolve, 600));
    expect(await wordsOf(1, 0, 1)).toEqual([0x4259]);
  });
});

describe('steered', () => {
  it('shows what it is, that it is a stand-in, and what is wrong with it', async () => {
    const { view } = await order({ do: 'faults', bus: 0, faults: [{ kind: 'dead unit', unit: 2 }] });
    expect(view.standIn).toBe(true);
    expect(view.buses[0]).toMatchObject({
      tcpPort: port + 1,
      rtuPort: port + 2,
      faults: [{ kind: 'dead unit', unit: 2 }],
    });
    expect(view.buses[0]?.units.map((u) => u.address)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 100]);
    await expect(wordsOf(2, 0, 1)).rejects.toBeDefined();
  });
  it('is set up anew, with more buses', async () => {
    const bus = { addresses: [7], meter: false, bitRate: 9600, faults: [] };
    const { view } = await order({ do: 'set up', config: { ...DEFAULT_FLEET, buses: [bus, bus] } });
    expect(view.buses.map((b) => b.tcpPort)).toEqual([port + 1, port + 3]);
    const read = await askingAt(portsOf(port, 1).tcp, 7, async (c) => [
      ...(await c.readHoldingRegisters(0, 1)).response.body.valuesAsArray,
    ]);
    expect(read).toEqual([0x4259]);
  });
  it('refuses what it does not know, and changes nothing', async () => {
    expect((await order({ do: 'faults', bus: 0, faults: [{ kind: 'flood' }] })).status).toBe(422);
    expect((await order({ do: 'faults', bus: 5, faults: [] })).status).toBe(404);
    expect((await fetch(`http://127.0.0.1:${port}`, { method: 'POST', body: '{' })).status).toBe(400);
    expect((await fetch(`http://127.0.0.1:${port}`, { method: 'DELETE' })).status).toBe(405);
  });
  it('does not start where a port is taken', async () =>
    expect(runFleet(DEFAULT_FLEET, port)).rejects.toThrow(/EADDRINUSE/));
});
