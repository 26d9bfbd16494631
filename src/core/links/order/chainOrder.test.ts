import { describe, expect, it } from 'vitest';
import { siteOf } from '../../testing/examples';
import { calculations } from '../calculations';
import { withDevices } from '../edits';
import { chainDeviceOf, newDevice } from '../part';
import { FIRST_BUS } from '../buses';
import { chainResult } from '../results';
import { chainOrder } from './chainOrder';

/** Three units at 10, 30 and 20 m beside a logger; no tray: along the axes. */
const AT = [10, 30, 20];
const bare = siteOf(3, []);
const site = withDevices(
  { ...bare, inverters: bare.inverters.map((u, i) => ({ ...u, position: { xM: AT[i] ?? 0, yM: 0, zM: 0 } })) },
  [
    { ...newDevice('log', 'logger', 'Logger'), position: { xM: 0, yM: 0, zM: 0 } },
    ...bare.inverters.map(chainDeviceOf),
  ],
);
const budget = { kicks: 10, timeLimitS: Infinity, nowS: () => 0 };
const order = (d: typeof site, lastId: string | null, anyFirst = false) => chainOrder(d, { lastId, anyFirst }, budget);
const ids = (n: readonly number[]) => ['log', ...n.map((i) => `dev-inv-${i}`)];

describe('the shortest order of a chain', () => {
  it('goes from the logger outwards: 3 × 10 m and 5 %, two metres of ends a hop', () => {
    const { value } = order(site, null);
    expect(value?.ids).toEqual(ids([1, 3, 2]));
    expect(value?.lengthM).toBeCloseTo(3 * (10 * 1.05 + 2), 9);
    expect(value).toMatchObject({ proven: true, boundM: value?.lengthM });
    // As it stands it goes out, further out, and back.
    expect(value?.asItIsM).toBeCloseTo(chainResult(site, FIRST_BUS).lengthM.value ?? NaN, 9);
    expect(value?.asItIsM).toBeCloseTo(1.05 * (10 + 20 + 10) + 6, 9);
  });
  it('ends where it has to, and takes a measured route for what it is', () => {
    expect(order(site, 'dev-inv-1').value?.ids.at(-1)).toBe('dev-inv-1');
    const far = withDevices(
      site,
      site.chain.devices.map((d) => (d.id === 'dev-inv-1' ? { ...d, hopM: 100, hopFromId: 'log' } : d)),
    );
    expect(order(far, null).value?.ids).toEqual(ids([3, 2, 1]));
  });
  it('goes from one side to the other where the logger may ask from inside, its terminator out', () => {
    const moved = withDevices(
      site,
      site.chain.devices.map((d) => (d.id === 'log' ? { ...d, position: { xM: 15, yM: 0, zM: 0 } } : d)),
    );
    const fromEnd = order(moved, null).value;
    const inside = order(moved, null, true).value;
    expect(fromEnd?.lengthM).toBeCloseTo(1.05 * (5 + 10 + 10) + 6, 9);
    expect(inside?.lengthM).toBeCloseTo(1.05 * 20 + 6, 9);
    expect(inside?.proven).toBe(true);
    expect(inside?.ids.indexOf('log')).toBeGreaterThan(0);
    expect(inside?.ids.indexOf('log')).toBeLessThan(3);
    expect(order(moved, 'log', true).value?.ids.at(-1)).toBe('log');
    expect(() => order(moved, 'nobody', true)).toThrow(RangeError);
  });
  it('names the first hop that nobody can reckon, and is nothing for one device alone', () => {
    const lost = withDevices(site, [...site.chain.devices, newDevice('m', 'meter', 'Meter')]);
    expect(order(lost, null).missing).toEqual(['route or positions for Logger to Meter']);
    const alone = withDevices(site, site.chain.devices.slice(0, 1));
    expect(order(alone, null).missing).toEqual(['two devices on the chain']);
  });
  it('refuses an end that is the first device, or none', () => {
    expect(() => order(site, 'log')).toThrow(RangeError);
    expect(() => order(site, 'nobody')).toThrow(RangeError);
  });
  it('is answered over the API, with the same answer every time', () => {
    const { input, output, run } = calculations['chain-order'];
    const asked = input.parse({ design: site, lastId: 'dev-inv-2' });
    const told = output.parse(run(asked));
    expect(told.ids.at(-1)).toBe('dev-inv-2');
    expect(run(asked)).toEqual(told);
    const lost = { ...site, inverters: site.inverters.map((u) => ({ ...u, position: null })) };
    expect(() => run(input.parse({ design: lost }))).toThrow(/^Not known: route or positions for Logger to INV-01/);
  });
});
