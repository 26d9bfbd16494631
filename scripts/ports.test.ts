import { once } from 'node:events';
import { createServer } from 'node:net';
import { describe, expect, it } from 'vitest';
import { FLEET_BUSES } from '$lib/schemas/standIns/config';
import { FLEET_PORT, portsOf } from '$lib/schemas/standIns/steering';
import { DATABASE_PORT, freePort } from './ports.mjs';

/** Where Linux begins to take the near ends of outgoing connections from: ip(7), `ip_local_port_range`. */
const OUTGOING = 32_768;

describe('ports that are listened on', () => {
  it('lie where no outgoing connection of anybody can sit', async () => {
    expect(DATABASE_PORT).toBeLessThan(OUTGOING);
    expect(portsOf(FLEET_PORT, FLEET_BUSES - 1).rtu).toBeLessThan(OUTGOING);
    for (let i = 0; i < 20; i++) expect(await freePort(5)).toBeLessThan(OUTGOING - 5);
  });
  it('are free when they are found, all in a row, and none is found where one is taken', async () => {
    const first = await freePort(4);
    const servers = [0, 1, 2, 3].map((i) => createServer().listen(first + i, '127.0.0.1'));
    await Promise.all(servers.map((s) => once(s, 'listening')));
    await expect(freePort(1, [first, first + 4])).rejects.toThrow(/No 1 ports in a row are free/);
    await expect(freePort(2, [first - 1, first])).rejects.toThrow(/No 2 ports/);
    for (const s of servers) s.close();
  });
});
