import { describe, expect, it } from 'vitest';
import { busCalculations as c } from './busCalculations';

describe('what is computed of a bus without a site', () => {
  it('is its pair: 24 AWG over 1200 m loses 8.58 dB', () => {
    const pair = {
      lengthM: 1200,
      areaMm2: (Math.PI / 4) * (0.127 * 92 ** ((36 - 24) / 39)) ** 2,
      conductorC: 20,
      unitLoads: 3.875,
      terminatorOhm: 120,
      pullUpOhm: 560,
      pullDownOhm: 560,
      supplyV: 5,
      bitRate: 9600 as const,
    };
    const told = c['bus-pair'].output.parse(c['bus-pair'].run(c['bus-pair'].input.parse(pair)));
    expect(told.loopOhm).toBeCloseTo(202.112, 3);
    expect(told.lossDb).toBeCloseTo(8.577, 3);
    expect(told.idleNearMv).toBeCloseTo(361.397, 2);
    expect(told.idleFarMv).toBeCloseTo(133.018, 2);
    expect(told.lengthMostM).toBe(1200);
    expect(told.driverLoadOhm).toBeCloseTo(1 / (2 / 120 + 3.875 / 24_000 + 1 / 1120), 9);
  });
  it('is the round: 31 units of 60 registers, one silent, 9.35 s', () => {
    const asked = {
      bitRate: 9600 as const,
      characterBits: 11 as const,
      units: 31,
      silent: 1,
      registers: 60,
      turnaroundMs: 50,
      timeoutMs: 1000,
      retries: 2,
    };
    expect(c['bus-round'].run(asked).roundS).toBeCloseTo(9.35203, 5);
    expect(() => c['bus-round'].run({ ...asked, silent: 32 })).toThrow(/dead/);
  });
  it('is the wiring of a meter, from 1', () => {
    const own = { ownP1: 1000, ownQ1: 0, ownP2: 1000, ownQ2: 0, ownP3: 1000, ownQ3: 0 };
    const { channels } = c['ct-wiring'].run({
      ...own,
      meterP1: -1000,
      meterQ1: 0,
      meterP2: 1000,
      meterQ2: 0,
      meterP3: 0,
      meterQ3: 0,
    });
    expect(channels.map((w) => [w.phase, w.reversed])).toEqual([
      [1, true],
      [2, false],
      [null, false],
    ]);
    expect(channels[1]?.mend).toBe('');
  });
  it('are addresses, and what a radio link has left', () => {
    const ip = c['ip-plan'].run({ network: '192.0.2.0', prefix: 27, gateway: '192.0.2.1', first: 10, units: 18 });
    expect([ip.addresses[0], ip.addresses.at(-1), ip.longestPrefix]).toEqual(['192.0.2.10', '192.0.2.27', 27]);
    const radio = c['radio-link'].run({
      distanceM: 50,
      mhz: 2400,
      powerDbm: 10,
      gainDb: 0,
      wallsDb: 0,
      sensitivityDbm: -90,
    });
    expect(radio.lossDb).toBeCloseTo(74.0314, 4);
    expect(radio.marginDb).toBeCloseTo(100 - 74.0314, 4);
  });
});
