import { describe, expect, it } from 'vitest';
import { readPdu, registersOf, writeManyPdu, writeOnePdu } from '$core/links/modbus/frames';
import { REGISTERS, registerOf, valueOf } from '$core/links/modbus/registerMap';
import { symptomOf } from '$core/links/field/symptoms';
import { DEFAULT_FLEET } from '$lib/schemas/standIns/config';
import type { Fault, FleetConfig } from '$lib/schemas/standIns/config';
import { Bus } from './bus';
import { Fleet } from './fleet';
import { GRID_CODES } from '$core/links/modbus/gridCodes';
import { irradianceWm2, outputOf } from './sun';
import type { UnitState } from './unitState';
import { AT_REST, STATE, nextState } from './unitState';

describe('the sky of the stand-ins', () => {
  it.each([
    [7, 197.51291],
    [9, 659.75396],
    [12, 1000],
    [16, 435.27528],
    [6, 0],
    [20, 0],
  ])('at %s h: %s W/m²', (hour, g) => expect(irradianceWm2(hour)).toBeCloseTo(g, 4));
});

const MODEL = {
  ratedW: 100_000,
  ratedV: 400,
  trackers: 6,
  modulesInString: 18,
  stringsPerTracker: 2,
  moduleUocV: 49.5,
  moduleImpA: 13.5,
  betaPerK: -0.0026,
  runOhm: 0.02,
};
/** Worked by hand from the formulas of the stand-in: they are its own, and no unit's. */
describe('a simulated unit', () => {
  it.each([
    [800, 20, 6, 1, 400, 0.02, [837.5346, 686.7784, 21.6, 87_671.38, 404.3366, 125.1856]],
    [1000, 30, 9, 1, 400, 0.02, [809.919, 718.2091, 15.70617, 100_000, 404.939, 142.5771]],
    [800, 20, 6, 0.5, 400, 0.02, [837.5346, 751.5566, 11.25695, 50_000, 402.4846, 71.72328]],
    [900, 25, 9, 1, 430, 0.08, [824.0875, 722.1876, 15.61965, 100_000, 447.8626, 128.9124]],
  ])(
    '%s W/m², %s °C, %s trackers, %s of its rating, %s V, %s Ω',
    (irradianceWm2, ambientC, trackers, share, gridV, runOhm, wanted) => {
      const o = outputOf({ ...MODEL, trackers, runOhm }, { irradianceWm2, ambientC }, share, gridV);
      [o.uocV, o.trackerV, o.trackerA, o.powerW, o.terminalV, o.lineA].forEach((v, i) =>
        expect(v / (wanted[i] as number), String(i)).toBeCloseTo(1, 5),
      );
    },
  );
  it('gives nothing at night, and less above 45 °C', () => {
    expect(outputOf(MODEL, { irradianceWm2: 0.9, ambientC: 20 }, 1, 400)).toMatchObject({
      uocV: 0,
      powerW: 0,
      terminalV: 400,
    });
    expect(outputOf({ ...MODEL, trackers: 12 }, { irradianceWm2: 1000, ambientC: 50 }, 1, 400).powerW).toBeCloseTo(
      90_000,
      6,
    );
  });
});

describe('its states', () => {
  const code = GRID_CODES[1] ?? null;
  it('wait, count, ramp and are limited, second by second', () => {
    let s: UnitState = AT_REST;
    const seen = new Map<number, string>();
    for (let t = 0; t <= 340; t++) {
      const was = s.state;
      s = nextState(s, {
        gridCode: t >= 10 ? code : null,
        stopped: false,
        fault: false,
        dcReady: true,
        gridInWindow: !(t >= 100 && t < 105),
        limitPercent: t >= 300 ? 60 : 100,
      });
      if (s.state !== was || t === 0) seen.set(t, `${s.state}`);
      for (const [at, percent] of [
        [99, 28],
        [200, 35],
        [265, 100],
        [330, 60],
      ] as const)
        if (t === at) expect(s.powerPercent).toBeCloseTo(percent, 9);
    }
    expect([...seen].map(([t, state]) => `${state}@${t}`)).toEqual([
      '0@0',
      '1@10',
      '2@11',
      '3@71',
      '1@100',
      '2@105',
      '3@165',
      '4@300',
    ]);
  });
  it('stop, fail and lose their power for each condition, the first that fits', () => {
    const on = { gridCode: code, stopped: false, fault: false, dcReady: true, gridInWindow: true, limitPercent: 100 };
    const running: UnitState = { state: STATE.running, countdownS: null, powerPercent: 50 };
    const states = [
      { gridCode: null },
      { stopped: true, fault: true },
      { fault: true, dcReady: false },
      { dcReady: false },
      { gridInWindow: false },
    ];
    expect(states.map((over) => nextState(running, { ...on, ...over }))).toEqual(
      [0, 6, 5, 1, 1].map((state) => ({ state, countdownS: null, powerPercent: 0 })),
    );
  });
});

const fleetOf = (faults: readonly Fault[], over: Partial<FleetConfig> = {}, bitRate: 9600 | 115_200 = 9600): Fleet =>
  new Fleet({
    ...DEFAULT_FLEET,
    ...over,
    buses: [{ addresses: [1, 2, 3, 4, 5, 6, 100], meter: true, bitRate, faults: [...faults] }],
  });
const busOf = (fleet: Fleet): Bus => fleet.buses[0] as Bus;
const read = (bus: Bus, unit: number, name: string) => {
  const r = registerOf(name);
  const pdu = Bus.readable(bus.ask(unit, readPdu(r.at, r.words), 0).frame);
  if (!pdu) return null;
  return (pdu[0] ?? 0) > 0x80 ? `exception ${pdu[1]}` : valueOf(name, registersOf(pdu));
};
const write = (bus: Bus, unit: number, at: number, values: number[], nowS = 0) =>
  Bus.readable(
    bus.ask(unit, values.length === 1 ? writeOnePdu(at, values[0] as number) : writeManyPdu(at, values), nowS).frame,
  );

describe('its registers', () => {
  it('are all of the map that are its own, and nothing else', () => {
    const bus = busOf(fleetOf([]));
    for (const r of REGISTERS) {
      const own = (r.of === undefined || r.of === 'inverter') && r.access !== 'w';
      expect(read(bus, 1, r.name) === 'exception 2', r.name).toBe(!own);
      expect(read(bus, 100, r.name) === 'exception 2', r.name).toBe(
        !((r.of === undefined || r.of === 'meter') && r.access !== 'w'),
      );
    }
    expect(read(bus, 1, 'map_id')).toBe(0x4259);
    expect(Bus.readable(bus.ask(1, readPdu(22, 4), 0).frame)).toEqual(Uint8Array.from([0x83, 2]));
    expect(Bus.readable(bus.ask(1, Uint8Array.from([43, 14]), 0).frame)).toEqual(Uint8Array.from([0xab, 1]));
  });
  it('take a write only unlocked, for 60 s, and only of what they can be', () => {
    const bus = busOf(fleetOf([], { gridCode: 0 }));
    expect(write(bus, 1, 30, [9])).toEqual(Uint8Array.from([0x86, 2]));
    expect(write(bus, 1, 39, [1])).toEqual(Uint8Array.from([0x86, 3]));
    write(bus, 1, 39, [0x5a5a], 100);
    expect(write(bus, 1, 34, [9], 101)).toEqual(Uint8Array.from([0x86, 3]));
    expect(write(bus, 1, 34, [2], 160)).toEqual(Uint8Array.from([6, 0, 34, 0, 2]));
    expect(write(bus, 1, 34, [0], 101)).toEqual(Uint8Array.from([0x86, 3]));
    expect(write(bus, 1, 35, [1], 101)).toEqual(Uint8Array.from([0x86, 2]));
    expect(write(bus, 1, 30, [9], 161)).toEqual(Uint8Array.from([0x86, 2]));
    expect([read(bus, 1, 'grid_code'), read(bus, 1, 'reconnect_delay')]).toEqual([2, 90]);
  });
  it('answer a new address from the old one, and then are there', () => {
    const bus = busOf(fleetOf([]));
    write(bus, 1, 39, [0x5a5a]);
    expect(write(bus, 1, 30, [9])).toEqual(Uint8Array.from([6, 0, 30, 0, 9]));
    expect(bus.ask(1, readPdu(0, 1), 0).frame).toBeNull();
    expect(read(bus, 9, 'address')).toBe(9);
    expect(write(bus, 9, 30, [248])).toEqual(Uint8Array.from([0x86, 3]));
  });
  it('take a clock of two words whole or not at all', () => {
    const bus = busOf(fleetOf([]));
    write(bus, 2, 39, [0x5a5a]);
    write(bus, 2, 32, [0x6955, 0xb900]);
    expect(read(bus, 2, 'clock')).toBe(0x6955b900);
    expect(write(bus, 2, 32, [1])).toEqual(Uint8Array.from([0x86, 2]));
  });
});

/** What a bus shows when every unit is asked for its state so many times. */
function shown(fleet: Fleet, times = 60) {
  const bus = busOf(fleet);
  return bus.units.map((unit) => {
    let [ok, crc] = [0, 0];
    for (let i = 0; i < times; i++) {
      const { frame } = bus.ask(unit.address, readPdu(10, 8), 0);
      if (frame && Bus.readable(frame)) ok++;
      else if (frame) crc++;
    }
    return { ok: ok / times, crc: crc / times, silent: 1 - (ok + crc) / times };
  });
}

describe('a fault of the bus is what the symptom tree makes of it', () => {
  it.each<[string, number | null, readonly Fault[]]>([
    ['HEALTHY', null, []],
    ['ONE_SILENT', 3, [{ kind: 'dead unit', unit: 3 }]],
    ['ONE_SILENT', 4, [{ kind: 'swapped pair', unit: 4 }]],
    ['LAST_UNIT', 7, [{ kind: 'dead unit', unit: 7 }]],
    ['BREAK_OR_CROSS_AFTER', 3, [{ kind: 'crossed hop', unit: 3 }]],
    ['BREAK_OR_CROSS_AFTER', 4, [{ kind: 'broken hop', unit: 4 }]],
    [
      'SEVERAL_SILENT',
      null,
      [
        { kind: 'dead unit', unit: 2 },
        { kind: 'dead unit', unit: 5 },
      ],
    ],
    ['BUS_NOISE', null, [{ kind: 'noise', rate: 0.3 }]],
    // At 9600 bit/s a missing terminator is not seen: the wiring is not to rule all the same.
    ['HEALTHY', null, [{ kind: 'missing terminator', end: 'far' }]],
  ])('%s %s', (code, at, faults) => expect(symptomOf(shown(fleetOf(faults)))).toEqual({ code, at }));

  it('two at one address read well where they are alike and badly where they differ', () => {
    const fleet = fleetOf([{ kind: 'duplicate address', unit: 2, other: 5 }]);
    const bus = busOf(fleet);
    expect(read(bus, 2, 'map_id')).toBe(0x4259);
    expect(read(bus, 2, 'serial')).toBeNull();
    expect(bus.ask(5, readPdu(0, 1), 0).frame).toBeNull();
    const planned = [1, 2, 3, 4, 5, 6, 100];
    const rates = planned.map((address) => {
      const { frame } = bus.ask(address, readPdu(10, 8), 0);
      return { ok: Bus.readable(frame) ? 1 : 0, crc: frame && !Bus.readable(frame) ? 1 : 0, silent: frame ? 0 : 1 };
    });
    expect(symptomOf(rates)).toEqual({ code: 'DUPLICATE', at: 2 });
  });
  it('a duplicate that was mended stays mended while other faults come and go', () => {
    const fleet = fleetOf([]);
    const twins: Fault = { kind: 'duplicate address', unit: 2, other: 5 };
    fleet.setFaults(0, [twins]);
    const unit = busOf(fleet).units[4];
    expect(unit?.address).toBe(2);
    if (unit) unit.address = 5;
    fleet.setFaults(0, [twins, { kind: 'dead unit', unit: 1 }]);
    expect(unit?.address).toBe(5);
    expect(fleet.setFaults(3, [])).toBe(false);
  });
  it('a missing terminator loses answers at a high rate, the same for the same seed', () => {
    const of = () => shown(fleetOf([{ kind: 'missing terminator', end: 'both' }], {}, 115_200), 200);
    const rates = of();
    expect(Math.min(...rates.map((r) => r.ok))).toBeLessThan(0.8);
    expect(of()).toEqual(rates);
  });
});

describe('a fault of a unit shows in its registers', () => {
  const after = (faults: readonly Fault[], seconds: number, over: Partial<FleetConfig> = {}) => {
    const fleet = fleetOf(faults, over);
    for (let i = 0; i < seconds; i++) fleet.tick();
    return busOf(fleet);
  };
  it('none: it counts down, feeds in, and the meter sees it as export', () => {
    const bus = after([], 200);
    expect(read(bus, 1, 'state')).toBe(3);
    expect(read(bus, 1, 'active_power')).toBeGreaterThan(10_000);
    expect(read(bus, 100, 'meter_p')).toBeLessThan(-60_000);
    const counting = after([], 30);
    expect([read(counting, 1, 'state'), read(counting, 1, 'countdown')]).toEqual([2, 60 - 28]);
  });
  it.each<[string, readonly Fault[], Readonly<Record<string, unknown>>]>([
    ['grid high', [{ kind: 'grid high', lineV: 445 }], { state: 1, event_code: 201 }],
    ['DC below start', [{ kind: 'DC below start', unit: 1 }], { state: 1, event_code: 101, mppt1_volt: 225 }],
    ['fan', [{ kind: 'fan warning', unit: 1 }], { state: 3, warning_bits: 1 }],
    ['isolation', [{ kind: 'isolation low', unit: 1, kohm: 20 }], { state: 5, event_code: 301, insulation: 20 }],
    ['not initialised', [{ kind: 'not initialised', unit: 1 }], { state: 0, grid_code: 0 }],
  ])('%s', (_, faults, wanted) => {
    const bus = after(faults, 100);
    for (const [name, value] of Object.entries(wanted)) expect(read(bus, 1, name), name).toBe(value);
  });
  it('an AC run that is too thin trips its unit off on a high grid, and it tries again', () => {
    const bus = after([], 175, { gridLineV: 430, runOhm: 0.08 });
    const unit = bus.units[0];
    const states = new Set<number>();
    for (let i = 0; i < 400; i++) {
      bus.tick(1000);
      states.add(unit?.state.state ?? -1);
    }
    expect(states).toEqual(new Set([1, 2, 3]));
  });
  it.each<[string, readonly Fault[], readonly [number, number, number]]>([
    ['none', [], [1, 1, 1]],
    ['one reversed', [{ kind: 'reversed CT', channel: 2 }], [1, -1, 1]],
    ['two exchanged', [{ kind: 'swapped CT', channel: 1, other: 2 }], [-0.5, -0.5, 1]],
    ['a wrong ratio', [{ kind: 'wrong CT ratio', factor: 1.2 }], [1.2, 1.2, 1.2]],
  ])('current transformers, %s', (_, faults, shares) => {
    const right = after([], 200);
    const bus = after(faults, 200);
    const whole = Number(read(right, 100, 'meter_p_L1'));
    shares.forEach((share, i) => expect(Number(read(bus, 100, `meter_p_L${i + 1}`)) / whole).toBeCloseTo(share, 3));
  });
  it('a clock that is wrong is as far off as was said', () => {
    const bus = after([{ kind: 'clock wrong', unit: 1, offsetS: 3600 }], 1);
    expect(Number(read(bus, 1, 'clock')) - Number(read(bus, 2, 'clock'))).toBe(3600);
  });
});
