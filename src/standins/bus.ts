import { generator } from '$core/kernel/generator';
import { openRtu, rtuFrame } from '$core/links/modbus/frames';
import { characterS, silencesS } from '$core/links/timing/serialLine';
import { MARK_OF } from '$core/links/wave/heard';
import { busScope } from '$core/links/wave/scope';
import type { Bus as Pair } from '$core/links/wave/bus';
import type { BusConfig, Fault, FleetConfig } from '$lib/schemas/standIns/config';
import { meterSight } from './meterSight';
import type { Unit } from './unit';

/** What comes back over the pair: bytes, right or garbled, after a while; null: nothing. */
export interface Reply {
  readonly frame: Uint8Array | null;
  /** Until its last byte, and until the unit begins to answer. */
  readonly afterS: number;
  readonly waitS: number;
}

/** Loss of answers by how the line simulation judges a unit. */
const LOSS = { holds: 0, tight: 0.02, stop: 0.35 } as const;
/** Past so many units only the way out is simulated: it is enough for a stand-in. */
const BOTH_WAYS_MOST = 32;
const NIGHT_LINE: Pick<
  Pair,
  'impedanceOhm' | 'delayNsPerM' | 'loopOhmPerM' | 'terminatorOhm' | 'terminatorNf' | 'biasOhm' | 'asker'
> = {
  terminatorNf: null,
  impedanceOhm: 120,
  delayNsPerM: 6,
  loopOhmPerM: 0.07,
  terminatorOhm: 120,
  biasOhm: null,
  asker: 0,
};
const HOP_M = 25;
const UNIT_LOADS = 0.125;

/** Units on one pair behind the gateway, with what is wrong with it. */
export class Bus {
  readonly #random: () => number;
  #losses: readonly number[] = [];
  #faults: readonly Fault[] = [];
  /** Place of the one unit that has power; null: all have. */
  only: number | null = null;

  constructor(
    readonly units: readonly Unit[],
    readonly config: BusConfig,
    readonly fleet: FleetConfig,
    seed: number,
  ) {
    this.#random = generator(seed);
    this.faults = config.faults;
  }

  get faults(): readonly Fault[] {
    return this.#faults;
  }
  set faults(faults: readonly Fault[]) {
    const before = new Set(this.#faults.map((f) => JSON.stringify(f)));
    this.#faults = faults;
    this.#losses = this.#lossesBy(faults);
    // What was set in a unit happens once: it may be set otherwise since, and stays so.
    for (const f of faults.filter((g) => !before.has(JSON.stringify(g)))) {
      const other = f.kind === 'duplicate address' ? this.units[f.other - 1] : undefined;
      const first = f.kind === 'duplicate address' ? this.units[f.unit - 1] : undefined;
      if (other && first) other.address = first.address;
      if (f.kind === 'not initialised') {
        const unit = this.units[f.unit - 1];
        if (unit) unit.gridCode = 0;
      }
    }
  }

  /** Shares of answers that are lost where terminators are missing or the pair is open, by the line simulation. */
  #lossesBy(faults: readonly Fault[]): number[] {
    const missing = faults.find((f) => f.kind === 'missing terminator');
    const open = faults.find((f) => f.kind === 'broken hop');
    const n = this.units.length;
    if (!missing && !open) return this.units.map(() => 0);
    const far = n;
    const keptNear = missing?.kind === 'missing terminator' && missing.end !== 'far' ? [] : [0];
    const keptFar = open || (missing?.kind === 'missing terminator' && missing.end !== 'near') ? [] : [far];
    const pair: Pair = {
      ...NIGHT_LINE,
      hopsM: Array.from({ length: n }, () => HOP_M),
      unitLoads: Array.from({ length: n + 1 }, () => UNIT_LOADS),
      stubsM: Array.from({ length: n + 1 }, () => 0),
      terminated: Array.from({ length: n + 1 }, (_, i) => i === 0 || i === far),
    };
    const scope = busScope(
      pair,
      { terminatedAt: [...keptNear, ...keptFar], ...(open?.kind === 'broken hop' ? { openHop: open.unit } : {}) },
      this.config.bitRate,
      { ways: n > BOTH_WAYS_MOST ? 'out' : 'both' },
    );
    return scope.devices.map((d) => LOSS[MARK_OF[d.heard.verdict]]);
  }

  /** Whether a unit, by its place from 1, is heard at all. */
  #reached(place: number): boolean {
    if (this.only !== null && this.only !== place) return false;
    return this.#faults.every((f) => {
      if (f.kind === 'swapped pair' || f.kind === 'dead unit') return f.unit !== place;
      if (f.kind === 'crossed hop' || f.kind === 'broken hop') return place <= f.unit;
      return true;
    });
  }

  /** One second for all units and the meter. */
  tick(irradianceWm2: number): void {
    const { fleet } = this;
    const high = this.#faults.find((f) => f.kind === 'grid high');
    const gridLineV = high?.kind === 'grid high' ? high.lineV : fleet.gridLineV;
    const on = (kind: Fault['kind'], place: number) =>
      this.#faults.find((f) => f.kind === kind && 'unit' in f && f.unit === place);
    this.units.forEach((unit, i) => {
      const low = on('isolation low', i + 1);
      const clock = on('clock wrong', i + 1);
      unit.tick({
        irradianceWm2,
        ambientC: fleet.ambientC,
        gridLineV,
        frequencyHz: fleet.frequencyHz,
        insulationKohm: low?.kind === 'isolation low' ? low.kohm : 1000,
        dcLow: on('DC below start', i + 1) !== undefined,
        fanWarning: on('fan warning', i + 1) !== undefined,
        clockOffsetS: clock?.kind === 'clock wrong' ? clock.offsetS : 0,
      });
    });
    const feedW = this.units.reduce((sum, u) => sum + u.powerW, 0);
    for (const unit of this.units)
      if (unit.plate.type === 'meter') unit.measure(meterSight(feedW, 0, gridLineV, this.#faults));
  }

  /** A question to an address, over the pair. Several units at one address answer over one another. */
  ask(address: number, pdu: Uint8Array, nowS: number): Reply {
    const heard = this.units.flatMap((unit, i) =>
      unit.address === address && this.#reached(i + 1) ? [{ unit, place: i + 1 }] : [],
    );
    const answers = heard.flatMap(({ unit, place }) => {
      const { pdu: answer, then } = unit.answer(pdu, nowS);
      then?.();
      const slow = this.#faults.find((f) => f.kind === 'slow unit' && f.unit === place);
      const lost = this.#random() < (this.#losses[place - 1] ?? 0);
      return lost
        ? []
        : [{ frame: rtuFrame({ unit: address, pdu: answer }), slowS: slow?.kind === 'slow unit' ? slow.delayS : 0 }];
    });
    if (!answers.length) return { frame: null, afterS: 0, waitS: 0 };
    const frame = this.#withNoise(this.#overlaid(answers.map((a) => a.frame)));
    const line = { bitRate: this.config.bitRate, characterBits: 11 } as const;
    const lineS = (pdu.length + 3 + frame.length) * characterS(line) + 2 * silencesS(line).t35;
    const waitS = this.fleet.turnaroundS + Math.max(...answers.map((a) => a.slowS));
    return { frame, afterS: lineS / this.fleet.speed + waitS, waitS };
  }

  /** Answers at one time: alike bytes pass, at the first that differ a line that either pulls low is low, behind it all is lost. */
  #overlaid(frames: readonly Uint8Array[]): Uint8Array {
    const [first, ...others] = frames as [Uint8Array, ...Uint8Array[]];
    return others.reduce((seen, other) => {
      const longer = seen.length >= other.length ? seen : other;
      const differs = longer.findIndex((_, i) => seen[i] !== other[i]);
      if (differs < 0) return seen;
      return longer.map((b, i) =>
        i < differs ? b : i === differs ? (seen[i] ?? 0xff) & (other[i] ?? 0xff) : Math.floor(256 * this.#random()),
      );
    }, first);
  }

  #withNoise(frame: Uint8Array): Uint8Array {
    const noise = this.#faults.find((f) => f.kind === 'noise');
    if (noise?.kind !== 'noise' || this.#random() >= noise.rate) return frame;
    const bit = Math.floor(8 * frame.length * this.#random());
    return frame.map((b, i) => (i === bit >> 3 ? b ^ (1 << (bit & 7)) : b));
  }

  /** What a gateway makes of a reply: a frame whose CRC is wrong is dropped like silence. */
  static readable(frame: Uint8Array | null): Uint8Array | null {
    const adu = frame && openRtu(frame);
    return adu && typeof adu !== 'string' ? adu.pdu : null;
  }
}
