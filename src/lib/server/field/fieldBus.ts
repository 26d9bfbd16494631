import ModbusRTU from 'modbus-serial';

/** What came of one question on a bus. */
export type Asked =
  | { readonly kind: 'answer'; readonly words: readonly number[] }
  | { readonly kind: 'exception'; readonly code: number }
  | { readonly kind: 'garbled' }
  | { readonly kind: 'silent' };

/** The line to the bus is gone: nobody answers behind it. */
export class BusGone extends Error {}

const LOOPBACK = '127.0.0.1';
/** A gateway's words for a unit that is silent. */
const TARGET_SILENT = 11;
const GONE = new Set(['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'EHOSTUNREACH']);

const fieldsOf = (cause: unknown) =>
  (typeof cause === 'object' && cause !== null ? cause : {}) as Readonly<
    Record<'modbusCode' | 'errno' | 'code' | 'name', unknown>
  >;

/** A bus as the one that asks sees it: one question after the other, each with its answer, an exception, wrong bytes or silence. */
export class FieldBus {
  #gone = false;
  private constructor(
    private readonly client: ModbusRTU,
    private readonly where: string,
    readonly timeoutMs: number,
  ) {
    client.on('close', () => (this.#gone = true));
    // Said again by whatever is asked then.
    client.on('error', () => undefined);
  }

  /** Throws BusGone where nobody listens. */
  static async open(port: number, speaks: 'Modbus TCP' | 'RTU over TCP', timeoutMs: number): Promise<FieldBus> {
    const client = new ModbusRTU();
    const where = `port ${port}`;
    try {
      if (speaks === 'Modbus TCP') await client.connectTCP(LOOPBACK, { port });
      else await client.connectTelnet(LOOPBACK, { port });
    } catch {
      throw new BusGone(`Nobody answers on ${where}: the stand-ins do not run, or have no such bus.`);
    }
    return new FieldBus(client, where, timeoutMs);
  }

  async #ask(unit: number, waitMs: number, question: () => Promise<readonly number[]>): Promise<Asked> {
    if (this.#gone) throw new BusGone(`The line on ${this.where} is gone.`);
    this.client.setTimeout(waitMs);
    this.client.setID(unit);
    try {
      return { kind: 'answer', words: await question() };
    } catch (cause) {
      const { modbusCode, errno, code, name } = fieldsOf(cause);
      if (typeof modbusCode === 'number')
        return modbusCode === TARGET_SILENT ? { kind: 'silent' } : { kind: 'exception', code: modbusCode };
      if (name === 'TransactionTimedOutError') return { kind: 'silent' };
      if (this.#gone || name === 'PortNotOpenError' || GONE.has(String(code)) || GONE.has(String(errno)))
        throw new BusGone(`The line on ${this.where} is gone.`);
      return { kind: 'garbled' };
    }
  }

  read(unit: number, at: number, count: number, waitMs = this.timeoutMs): Promise<Asked> {
    return this.#ask(unit, waitMs, async () => (await this.client.readHoldingRegisters(at, count)).data);
  }
  write(unit: number, at: number, value: number): Promise<Asked> {
    return this.#ask(unit, this.timeoutMs, async () => [(await this.client.writeRegister(at, value)).value]);
  }
  writeMany(unit: number, at: number, values: readonly number[]): Promise<Asked> {
    return this.#ask(unit, this.timeoutMs, async () => {
      await this.client.writeRegisters(at, [...values]);
      return values;
    });
  }
  close(): void {
    this.client.close(() => undefined);
  }
}
