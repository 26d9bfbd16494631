import { exceptionPdu, answerPdu } from '$core/links/modbus/frames';
import type { Register } from '$core/links/modbus/registerMap';
import {
  MAP_ID,
  REGISTERS,
  TRACKERS_MOST,
  UNLOCKED_S,
  UNLOCK_KEY,
  registerOf,
  valueOf,
  wordsOf,
} from '$core/links/modbus/registerMap';
import { GRID_CODES } from '$core/links/modbus/gridCodes';
import type { Output, UnitModel, Weather } from './sun';
import { outputOf } from './sun';
import type { UnitState } from './unitState';
import { AT_REST, STATE, nextState } from './unitState';

/** A simulated unit: what it is, what was set, how it stands. */

export interface UnitPlate extends UnitModel {
  readonly type: 'inverter' | 'meter';
  readonly serial: string;
  readonly modelCode: number;
  readonly conductors: 3 | 4;
  readonly dcStartV: number;
  readonly dcMaxV: number;
}

/** What lies around it, of its own and of the faults that are on. */
export interface Around extends Weather {
  readonly gridLineV: number;
  readonly frequencyHz: number;
  readonly insulationKohm: number;
  /** Trackers that see too little to start. */
  readonly dcLow: boolean;
  readonly fanWarning: boolean;
  readonly clockOffsetS: number;
}
/** What a meter sees, by channel: line to neutral volts, amps, watts and vars, import positive. */
export interface Metered {
  readonly volt: readonly number[];
  readonly amp: readonly number[];
  readonly watt: readonly number[];
  readonly vars: readonly number[];
}

type Values = Readonly<Record<string, number | string | null>>;
const BIT_RATE_CODES = [9600, 19_200, 38_400, 57_600, 115_200];
const INSULATION_LEAST_KOHM = 50;
const BLOCKS: readonly (readonly [from: number, to: number])[] = [
  [0, 23],
  [30, 39],
  [100, 131],
  [200, 247],
  [300, 331],
];

export class Unit {
  address: number;
  /** Set by writes; kept over a restart. */
  bitRate: number;
  gridCode: number;
  limitPercent = 100;
  powerFactor = 1;
  ctPrimary = 500;
  ctSecondary = 5;
  state: UnitState = AT_REST;
  #clockFromS = 0;
  #stopped = false;
  #unlockedUntilS = -Infinity;
  #energyWh = 0;
  #around: Around | null = null;
  #output: Output | null = null;
  #metered: Metered | null = null;

  constructor(
    readonly plate: UnitPlate,
    set: { readonly address: number; readonly gridCode: number; readonly bitRate: number },
  ) {
    this.address = set.address;
    this.gridCode = set.gridCode;
    this.bitRate = set.bitRate;
  }

  /** One second goes by. */
  tick(around: Around): void {
    this.#around = around;
    if (this.plate.type === 'meter') return;
    const code = GRID_CODES[this.gridCode] ?? null;
    const atRest = outputOf(this.plate, around, 0, around.gridLineV);
    const feeding = this.state.state === STATE.running || this.state.state === STATE.limited;
    const terminalV = feeding ? (this.#output?.terminalV ?? around.gridLineV) : around.gridLineV;
    this.state = nextState(this.state, {
      gridCode: code,
      stopped: this.#stopped,
      fault: around.insulationKohm < INSULATION_LEAST_KOHM,
      dcReady: !around.dcLow && atRest.uocV >= this.plate.dcStartV,
      gridInWindow: code !== null && this.#gridEvent(terminalV, around.frequencyHz) === 0,
      limitPercent: this.limitPercent,
    });
    const powerPercent = this.state.powerPercent;
    this.#output = powerPercent > 0 ? outputOf(this.plate, around, powerPercent / 100, around.gridLineV) : atRest;
    this.#energyWh += this.#output.powerW / 3600;
  }

  /** What it feeds in now, W. */
  get powerW(): number {
    return this.#output?.powerW ?? 0;
  }
  /** At its own terminals, V line to line. */
  get terminalV(): number {
    return this.#output?.terminalV ?? this.#around?.gridLineV ?? 0;
  }
  measure(metered: Metered): void {
    this.#metered = metered;
  }

  #gridEvent(terminalV: number, frequencyHz: number): 0 | 201 | 202 | 203 {
    const code = GRID_CODES[this.gridCode];
    if (!code) return 0;
    const pu = terminalV / this.plate.ratedV;
    if (pu > code.voltPu[1]) return 201;
    if (pu < code.voltPu[0]) return 202;
    return frequencyHz < code.windowHz[0] || frequencyHz > code.windowHz[1] ? 203 : 0;
  }

  get event(): number {
    const around = this.#around;
    if (!around || this.plate.type === 'meter') return 0;
    if (around.insulationKohm < INSULATION_LEAST_KOHM) return 301;
    const uocV = outputOf(this.plate, around, 0, around.gridLineV).uocV;
    const dc = around.dcLow || uocV < this.plate.dcStartV ? 101 : uocV > this.plate.dcMaxV ? 102 : 0;
    return this.#gridEvent(this.terminalV, around.frequencyHz) || dc;
  }

  /** Its registers by name, as they are now. */
  values(nowS: number): Values {
    const { plate } = this;
    const around = this.#around;
    return {
      map_id: MAP_ID,
      map_version: 1,
      device_type: plate.type === 'meter' ? 2 : 1,
      model_code: plate.modelCode,
      rated_power: plate.ratedW,
      rated_voltage: plate.ratedV,
      conductors: plate.conductors,
      tracker_count: plate.trackers,
      strings_per_tracker: plate.stringsPerTracker,
      serial: plate.serial,
      firmware: '1.0',
      dc_start_voltage: plate.dcStartV,
      dc_max_voltage: plate.dcMaxV,
      address: this.address,
      bit_rate: this.bitRate,
      clock: Math.max(0, Math.floor(nowS + this.#clockFromS + (around?.clockOffsetS ?? 0))),
      grid_code: this.gridCode,
      reconnect_delay: GRID_CODES[this.gridCode]?.reconnectS ?? 0,
      power_limit: this.limitPercent,
      power_factor_set: this.powerFactor,
      command: null,
      unlock: null,
      ...(plate.type === 'meter' ? this.#meterValues() : this.#liveValues()),
    };
  }

  #liveValues(): Values {
    const { plate } = this;
    const around = this.#around;
    const out = this.#output;
    const powerW = out?.powerW ?? 0;
    const lineA = out?.lineA ?? 0;
    const phaseV = plate.conductors === 4 ? this.terminalV / Math.sqrt(3) : null;
    const counts = [STATE.running, STATE.limited].some((s) => s === this.state.state);
    const trackers = Object.fromEntries(
      Array.from({ length: TRACKERS_MOST }, (_, i): [string, number | null][] => {
        const own = i < plate.trackers;
        const volt = around?.dcLow ? 0.9 * plate.dcStartV : (out?.trackerV ?? 0);
        const amp = out?.trackerA ?? 0;
        return [
          [`mppt${i + 1}_volt`, own ? volt : null],
          [`mppt${i + 1}_amp`, own ? amp : null],
          [`mppt${i + 1}_power`, own ? volt * amp : null],
          [`mppt${i + 1}_status`, own ? (amp > 0 ? 2 ** plate.stringsPerTracker - 1 : 0) : null],
        ];
      }).flat(),
    );
    return {
      state: this.state.state,
      event_code: this.event,
      warning_bits: around?.fanWarning ? 1 : 0,
      countdown: this.state.countdownS,
      ...Object.fromEntries([1, 2, 3].map((n) => [`volt_L${n}N`, phaseV])),
      ...Object.fromEntries(['12', '23', '31'].map((n) => [`volt_L${n}`, this.terminalV])),
      ...Object.fromEntries([1, 2, 3].map((n) => [`amp_L${n}`, lineA])),
      active_power: powerW,
      reactive_power: 0,
      apparent_power: powerW,
      power_factor: counts && powerW > 0 ? 1 : null,
      frequency: around?.frequencyHz ?? null,
      insulation: around?.insulationKohm ?? null,
      temp_inside: around ? around.ambientC + (20 * powerW) / plate.ratedW : null,
      temp_heatsink: around ? around.ambientC + (35 * powerW) / plate.ratedW : null,
      fan_speed: Math.round((100 * powerW) / plate.ratedW),
      energy_today: this.#energyWh / 1000,
      energy_total: this.#energyWh / 1000,
      dc_power: powerW / 0.985,
      ...trackers,
    };
  }

  #meterValues(): Values {
    const m = this.#metered;
    const each = (name: string, of: readonly number[] | undefined) =>
      [1, 2, 3].map((n) => [`${name}_L${n}`, of?.[n - 1] ?? null] as const);
    const sum = (of: readonly number[] | undefined) => of?.reduce((a, b) => a + b, 0) ?? null;
    return {
      ...Object.fromEntries([
        ...each('meter_volt', m?.volt),
        ...each('meter_amp', m?.amp),
        ...each('meter_p', m?.watt),
        ...each('meter_q', m?.vars),
      ]),
      meter_p: sum(m?.watt),
      meter_q: sum(m?.vars),
      energy_import: 0,
      energy_export: 0,
      ct_primary: this.ctPrimary,
      ct_secondary: this.ctSecondary,
      meter_frequency: this.#around?.frequencyHz ?? null,
    };
  }

  #registers(): readonly Register[] {
    return REGISTERS.filter((r) => r.of === undefined || r.of === this.plate.type);
  }

  /** The answer to a request. What takes effect behind the answer is handed back to be done then. */
  answer(pdu: Uint8Array, nowS: number): { readonly pdu: Uint8Array; readonly then?: () => void } {
    const fn = pdu[0] ?? 0;
    const word = (i: number) => ((pdu[i] ?? 0) << 8) | (pdu[i + 1] ?? 0);
    if (fn === 3 || fn === 4) return { pdu: this.#read(fn, word(1), word(3), nowS) };
    if (fn === 6) {
      const done = this.#write(word(1), [word(3)], nowS);
      return typeof done === 'number' ? { pdu: exceptionPdu(fn, done) } : { pdu: pdu.slice(0, 5), ...done };
    }
    if (fn === 16) {
      const count = word(3);
      if (count < 1 || count > 123 || pdu[5] !== 2 * count || pdu.length !== 6 + 2 * count)
        return { pdu: exceptionPdu(fn, 3) };
      const done = this.#write(
        word(1),
        Array.from({ length: count }, (_, i) => word(6 + 2 * i)),
        nowS,
      );
      return typeof done === 'number' ? { pdu: exceptionPdu(fn, done) } : { pdu: pdu.slice(0, 5), ...done };
    }
    return { pdu: exceptionPdu(fn, 1) };
  }

  #read(fn: number, at: number, count: number, nowS: number): Uint8Array {
    if (count < 1 || count > 125) return exceptionPdu(fn, 3);
    const words = new Map<number, number>();
    const values = this.values(nowS);
    for (const r of this.#registers())
      if (r.access !== 'w') wordsOf(r.name, values[r.name] ?? null).forEach((w, i) => words.set(r.at + i, w));
    const wanted = Array.from({ length: count }, (_, i) => words.get(at + i));
    return wanted.includes(undefined) ? exceptionPdu(fn, 2) : answerPdu(fn, wanted as number[]);
  }

  #write(at: number, written: readonly number[], nowS: number): { readonly then?: () => void } | 2 | 3 {
    const inOneBlock = BLOCKS.some(([from, to]) => at >= from && at + written.length - 1 <= to);
    if (!inOneBlock) return 2;
    const steps: { readonly now?: () => void; readonly then?: () => void }[] = [];
    for (let i = 0; i < written.length;) {
      const r = this.#registers().find((x) => x.at === at + i);
      if (!r || r.access === 'r' || i + r.words > written.length) return 2;
      if (r.name !== 'unlock' && nowS > this.#unlockedUntilS) return 2;
      const step = this.#setting(r.name, written.slice(i, i + r.words), nowS);
      if (!step) return 3;
      steps.push(step);
      i += r.words;
    }
    for (const s of steps) s.now?.();
    const later = steps.flatMap((s) => (s.then ? [s.then] : []));
    return later.length ? { then: () => later.forEach((f) => f()) } : {};
  }

  /** What writing a register does; null for a value that it does not take. */
  #setting(name: string, words: readonly number[], nowS: number): { now?: () => void; then?: () => void } | null {
    const value = Number(valueOf(registerOf(name).name, words));
    const within = (low: number, high: number) => value >= low && value <= high;
    switch (name) {
      case 'unlock':
        return words[0] === UNLOCK_KEY ? { now: () => (this.#unlockedUntilS = nowS + UNLOCKED_S) } : null;
      case 'address':
        return within(1, 247) ? { then: () => (this.address = value) } : null;
      case 'bit_rate':
        return BIT_RATE_CODES.includes(value) ? { now: () => (this.bitRate = value) } : null;
      case 'clock':
        return { now: () => (this.#clockFromS = value - nowS - (this.#around?.clockOffsetS ?? 0)) };
      case 'grid_code':
        return GRID_CODES[value] || (value === 0 && this.gridCode === 0)
          ? { now: () => (this.gridCode = value) }
          : null;
      case 'power_limit':
        return within(0, 100) ? { now: () => (this.limitPercent = value) } : null;
      case 'power_factor_set':
        return within(-1, -0.8) || within(0.8, 1) ? { now: () => (this.powerFactor = value) } : null;
      case 'command':
        return within(1, 5) ? { now: () => this.#command(value) } : null;
      case 'ct_primary':
        return within(1, 10_000) ? { now: () => (this.ctPrimary = value) } : null;
      case 'ct_secondary':
        return value === 1 || value === 5 ? { now: () => (this.ctSecondary = value) } : null;
      default:
        return null;
    }
  }

  #command(value: number): void {
    if (value === 1) this.#stopped = false;
    if (value === 2) this.#stopped = true;
    if (value === 4) this.state = AT_REST;
  }
}
