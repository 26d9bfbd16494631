import { ApiProblem, post } from '$lib/client/api';
import type { AddressAnswer, SetUpAnswer, UnitAnswer } from '$lib/schemas/field';
import type { FleetOrder, FleetView } from '$lib/schemas/standIns/steering';

/** What somebody does at one unit of a bus: who is there, its address, its set-up. One question at a time; what failed is said and may be asked again. */
export class WalkState {
  busy = $state(false);
  failure = $state('');
  /** Who answered last, and what was read back of it since. */
  unit = $state.raw<UnitAnswer | null>(null);
  steps = $state.raw<readonly string[]>([]);

  constructor(
    private readonly siteId: string,
    /** The bus of the stand-ins, and how it is spoken to. */
    private readonly on: () => { readonly bus: number; readonly speaks: 'Modbus TCP' | 'RTU over TCP' },
  ) {}

  /** At the next unit nothing is known yet. */
  fresh(): void {
    this.unit = null;
    this.steps = [];
    this.failure = '';
  }

  async #done<T>(work: () => Promise<T>): Promise<T | null> {
    if (this.busy) return null;
    this.busy = true;
    this.failure = '';
    try {
      return await work();
    } catch (cause) {
      this.failure = cause instanceof ApiProblem ? cause.problem.detail : 'The server does not answer: ask again.';
      return null;
    } finally {
      this.busy = false;
    }
  }
  #ask<T>(what: string, body: object): Promise<T | null> {
    return this.#done(() => post<T>(`/api/v1/sites/${this.siteId}/${what}`, { ...this.on(), ...body }));
  }

  async whoIsAt(address: number): Promise<UnitAnswer | null> {
    this.fresh();
    const read = await this.#ask<UnitAnswer>('bus-unit', { address });
    if (read) this.unit = read;
    return read;
  }
  async address(to: number): Promise<AddressAnswer | null> {
    const { unit } = this;
    if (!unit) return null;
    const given = await this.#ask<AddressAnswer>('bus-address', { serial: unit.serial, from: unit.address, to });
    if (given) {
      this.unit = { ...unit, address: to };
      this.steps = given.steps;
    }
    return given;
  }
  async setUp(gridCode: number | null): Promise<SetUpAnswer | null> {
    const { unit } = this;
    if (!unit) return null;
    const { serial, address } = unit;
    const given = await this.#ask<SetUpAnswer>('bus-set-up', { serial, address, gridCode });
    if (given) {
      this.unit = given;
      this.steps = given.steps;
    }
    return given;
  }
  /** Power for one simulated unit alone, or for all. */
  power(only: number | null): Promise<FleetView | null> {
    const order: FleetOrder = { do: 'power', bus: this.on().bus, only };
    return this.#done(() => post<FleetView>('/api/v1/stand-ins', order));
  }
}
