import { describe, expect, it } from 'vitest';
import { WHOLE_LINE, siteOf } from '../../testing/examples';
import { withDevices } from '../edits';
import { chainDeviceOf, newDevice } from '../part';
import { splitChain } from './splitChain';

const budget = { kicks: 200, timeLimitS: Infinity, nowS: () => 0 };
const POLL = { registers: 60, needS: 60, turnaroundMs: 50, timeoutMs: 1000, retries: 2, characterBits: 11 } as const;

/** Units along a line on both sides of a logger that is the second of the list. */
const site = (units: number, needS = 60, stepM = 10) => {
  const bare = siteOf(units, []);
  const inverters = bare.inverters.map((u, i) => ({
    ...u,
    position: { xM: (i % 2 ? -1 : 1) * stepM * (1 + Math.floor(i / 2)), yM: 0, zM: 0 },
  }));
  const [one, ...others] = bare.inverters.map(chainDeviceOf);
  const logger = { ...newDevice('log', 'logger', 'Logger'), unitLoads: 1, position: { xM: 0, yM: 0, zM: 0 } };
  const d = withDevices({ ...bare, inverters }, [...(one ? [one] : []), logger, ...others]);
  return { ...d, chain: { ...d.chain, bitRate: 9600 as const, line: WHOLE_LINE, poll: { ...POLL, needS } } };
};

describe('the chain of a design over its buses', () => {
  it('is one bus from the logger where one will do', () => {
    const { value } = splitChain(site(6), budget);
    expect(value?.buses).toHaveLength(1);
    expect(value?.buses[0]?.ids[0]).toBe('log');
    expect(value?.buses[0]?.ids).toHaveLength(7);
    expect(value?.lengthM).toBeCloseTo(value?.buses[0]?.lengthM ?? NaN, 9);
  });
  it('is two where the round wants two: one to each side', () => {
    // A unit takes 0.2104 s: four in 0.8 of a second and a bit.
    const { value } = splitChain(site(6, 1.1), budget);
    expect(value?.binds).toEqual(['poll']);
    expect(value?.mostUnits).toBe(4);
    expect(value?.buses.map((b) => b.ids[0])).toEqual(['log', 'log']);
    expect(value?.lengthM).toBeCloseTo(2 * (1.05 * 30 + 6), 9);
    expect(value?.boundM).toBeLessThanOrEqual(value?.lengthM ?? 0);
  });
  it('is more where the length asks for it, and says so; unknown where none reaches', () => {
    const long = splitChain(site(4, 60, 300), budget).value;
    expect(long?.binds).toEqual(['length']);
    for (const b of long?.buses ?? []) expect(b.lengthM).toBeLessThanOrEqual(1200);
    const never = splitChain(site(2, 60, 1300), budget);
    expect(never.value).toBeNull();
    expect(never.missing[0]).toMatch(/a bit rate that reaches every device \(9600 bit\/s: 1200 m\)/);
  });
  it('names what nobody said', () => {
    const d = site(3);
    const lost = { ...d, chain: { ...d.chain, poll: { ...d.chain.poll, registers: null } } };
    expect(splitChain(lost, budget).missing).toEqual(['registers read of each unit']);
  });
});
