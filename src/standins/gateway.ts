import type { Server, Socket } from 'node:net';
import { createServer } from 'node:net';
import { exceptionPdu, openRtu, openTcp, requestLength, tcpFrame } from '$core/links/modbus/frames';
import { Bus } from './bus';

/** One bus on two ports of the loopback: Modbus TCP, and RTU frames over TCP. Questions go over the pair one after the other. */

const LOOPBACK = '127.0.0.1';
/** More than a frame and what follows it at most: whoever sends more without a frame is let go. */
const BUFFER_MOST = 4096;

export interface Gateway {
  /** Ends the connections and opens the ports again after so long, s. */
  restart(seconds: number): void;
  close(): Promise<void>;
}
interface Ports {
  readonly tcp: number;
  readonly rtu: number;
}

const pause = (s: number) => new Promise<void>((resolve) => setTimeout(resolve, 1000 * s));

export async function openGateway(busNow: () => Bus | undefined, ports: Ports, nowS: () => number): Promise<Gateway> {
  const sockets = new Set<Socket>();
  let turn: Promise<unknown> = Promise.resolve();
  /** Over the pair: one question at a time. */
  const over = <T>(ask: () => Promise<T>): Promise<T> => {
    const mine = turn.then(ask);
    turn = mine.catch(() => undefined);
    return mine;
  };

  async function tcpAnswer(unit: number, pdu: Uint8Array): Promise<Uint8Array> {
    const bus = busNow();
    if (!bus) return exceptionPdu(pdu[0] ?? 0, 10);
    const { frame, afterS, waitS } = bus.ask(unit, pdu, nowS());
    const answer = Bus.readable(frame);
    const timeoutS = bus.fleet.timeoutS;
    if (answer && waitS <= timeoutS) {
      await pause(afterS);
      return answer;
    }
    await pause(timeoutS);
    return exceptionPdu(pdu[0] ?? 0, 11);
  }

  function onTcp(socket: Socket): void {
    let rest = Buffer.alloc(0);
    socket.on('data', (part) => {
      rest = Buffer.concat([rest, part]);
      for (let frame = openTcp(rest); frame; frame = openTcp(rest)) {
        if (frame === 'foreign') return void socket.destroy();
        const { adu, transaction, length } = frame;
        rest = rest.subarray(length);
        void over(() => tcpAnswer(adu.unit, adu.pdu)).then((pdu) => {
          if (!socket.destroyed) socket.write(tcpFrame({ unit: adu.unit, pdu }, transaction));
        });
      }
      if (rest.length > BUFFER_MOST) socket.destroy();
    });
  }

  function onRtu(socket: Socket): void {
    let rest = Buffer.alloc(0);
    socket.on('data', (part) => {
      rest = Buffer.concat([rest, part]);
      for (let length = requestLength(rest); length !== null; length = requestLength(rest)) {
        // A function that nobody has: where its frame ends is not known, so nothing of it is kept.
        if (length === 0) {
          rest = Buffer.alloc(0);
          return;
        }
        if (rest.length < length) break;
        const adu = openRtu(rest.subarray(0, length));
        rest = rest.subarray(length);
        // A wrong CRC is dropped in silence, as every unit would.
        if (typeof adu === 'string') continue;
        void over(async () => {
          const reply = busNow()?.ask(adu.unit, adu.pdu, nowS());
          if (!reply?.frame) return;
          await pause(reply.afterS);
          if (!socket.destroyed) socket.write(reply.frame);
        });
      }
      if (rest.length > BUFFER_MOST) socket.destroy();
    });
  }

  const listening = async (on: (socket: Socket) => void, port: number): Promise<Server> => {
    const server = createServer((socket) => {
      sockets.add(socket);
      socket.on('close', () => sockets.delete(socket));
      socket.on('error', () => socket.destroy());
      on(socket);
    });
    await new Promise<void>((resolve, reject) => {
      server.once('error', reject);
      server.listen(port, LOOPBACK, resolve);
    });
    return server;
  };
  const open = async () => [await listening(onTcp, ports.tcp), await listening(onRtu, ports.rtu)];
  const shut = (servers: readonly Server[]) => {
    for (const s of sockets) s.destroy();
    return Promise.all(servers.map((s) => new Promise<void>((resolve) => s.close(() => resolve()))));
  };

  let servers = await open();
  let closed = false;
  return {
    restart(seconds) {
      const old = servers;
      servers = [];
      void shut(old)
        .then(() => pause(seconds))
        .then(async () => {
          if (!closed) servers = await open();
        })
        .catch(() => undefined);
    },
    async close() {
      closed = true;
      await shut(servers);
    },
  };
}
